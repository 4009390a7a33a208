"""The curves of a top: neck, armhole, and the lower edge that runs level into the centre."""

from cutting.geometry import Cubic, Line, Path, Point, Segment, hermite, unit, zero_between


def square_in(shoulder_from: Point, shoulder_to: Point) -> Point:
    """Square to the shoulder, downwards: so that front and back run into each other without a corner."""
    along = unit(shoulder_to.minus(shoulder_from))
    return Point(-along.down, along.across)


def neck(shape: str, centre: Point, neck_point: Point, down: Point) -> list[Segment]:
    """The neck from the centre to the neck point; `down` is square to the shoulder."""
    wide, deep = neck_point.across - centre.across, centre.down - neck_point.down
    if shape == "v":
        onward = unit(neck_point.minus(centre))
        return [hermite(centre, onward, neck_point, Point(-down.across, -down.down))]
    if shape == "square":
        corner = neck_point.plus(down, deep / max(0.2, down.down))
        return [Line(centre, corner), Line(corner, neck_point)]
    flat, steep = (0.72, 0.3) if shape == "boat" else (0.55, 0.55)
    return [
        Cubic(centre, Point(centre.across + flat * wide, centre.down), neck_point.plus(down, steep * deep), neck_point)
    ]


def armhole(tip: Point, down: Point, across: float, underarm: Point, arriving: Point) -> list[Segment]:
    """From the shoulder tip, square to the shoulder, hollow at half depth to `across`, square into the side."""
    middle = Point(across, (tip.down + underarm.down) / 2)
    upper = middle.down - tip.down
    lower, out = underarm.down - middle.down, underarm.across - across
    first = Cubic(tip, tip.plus(down, 0.4 * upper), Point(across, middle.down - 0.45 * upper), middle)
    second = Cubic(middle, Point(across, middle.down + 0.6 * lower), underarm.plus(arriving, -0.62 * out), underarm)
    return [first, second]


def lower_edge(side: Point, centre: Point, arriving: Point, down: Point) -> list[Segment]:
    """From the side to the centre, square to both; `down` is the side's unit direction there."""
    return [hermite(side, Point(-down.down, down.across), centre, arriving)]


def side_for(width: float, level: float, centre: Point, arriving: Point, underarm: Point) -> Point:
    """Where the side's end of a lower edge is on its level, so that the edge is `width` mm long."""

    def miss(across: float) -> float:
        end = Point(across, level)
        return Path(tuple(lower_edge(end, centre, arriving, unit(end.minus(underarm))))).length - width

    at = zero_between(miss, centre.across + 0.6 * width, centre.across + 1.02 * width)
    if at is None:
        at = centre.across + max(0.0, width**2 - (centre.down - level) ** 2) ** 0.5
    return Point(at, level)


def cap(half: float, height: float, front: bool) -> Cubic:
    """Half of a sleeve's cap from its top to the underarm: full above, hollow below, the front more than the back."""
    sign = 1 if front else -1
    full, hollow = (0.44, 0.56) if front else (0.52, 0.44)
    end = Point(sign * half, height)
    return Cubic(Point(0, 0), Point(sign * full * half, 0), Point(sign * (1 - hollow) * half, height), end)


def cap_length(half: float, height: float) -> float:
    """The whole cap's length in mm."""
    return cap(half, height, True).length + cap(half, height, False).length
