"""Front and back of a top: from the centre (or the fold) out to the side; one line, one chalk mark."""

from cutting.drafting import Dart, Draft, Place
from cutting.errors import refuse
from cutting.geometry import Line, Path, Point, Segment, squared, unit, zero_between
from cutting.lengths import Length, Rule, found, inch, mm
from cutting.methods.upper.ask import TopAsk
from cutting.methods.upper.curves import armhole, lower_edge, neck, side_for, square_in
from cutting.methods.upper.styles import TOPS
from cutting.methods.upper.sums import TopSums
from cutting.where import choice, measure

STAGES = ("lines", "neck", "shoulder", "armhole", "side", "waist", "darts")
"""The order of the table."""
SEEN = 0.2
LEAN = Rule(0.5)
"""What a zip behind takes out at the waist, and how far the waist is lifted there."""
FROM_BUST, FROM_BUST_SIDE = Rule(1), Rule(1.5)
"""A dart ends so far short of the bust point: below it, and beside it."""
CURVED_HEM, SHIRT = Rule(0.5), Rule(2)


class Half:
    """One half of the body: what front and back differ in."""

    def __init__(self, name: str, sums: TopSums, ask: TopAsk):
        self.name, self.sums, self.ask = name, sums, ask
        front = self.front = name == "front"
        self.neck = sums.front_neck if front else sums.back_neck
        self.across = sums.front_across if front else sums.back_across
        self.length = sums.front_length if front else sums.back_length
        self.waist = sums.front_waist if front else sums.back_waist
        self.darts = sums.front_darts if front else sums.back_darts
        self.zip = ask.closure == f"{name}-zip"
        self.fitted = TOPS[ask.style].fitted
        self.leans = self.zip and not front and self.fitted

    @property
    def bottom(self) -> Point:
        """The centre's lower end: a zip behind leans in and is lifted there."""
        if self.leans:
            return Point(LEAN.now.mm, self.length.mm - LEAN.now.mm)
        return Point(0, self.length.mm)

    def centre(self, down: float) -> float:
        """How far the centre's sewing line is from the fold at a level."""
        if not self.leans:
            return 0.0
        top, bottom = self.neck.mm, self.bottom
        return bottom.across * (down - top) / (bottom.down - top)


def half(name: str, ask: TopAsk, sums: TopSums, d: Draft, side_length: float | None = None) -> None:
    """Draw one half. Lengths in mm, net; `side_length` is what the other half's side seam measures.

    Raises CuttingError where a sum cannot be laid out.
    """
    one = Half(name, sums, ask)
    o = d.start("O", Point(0, 0), "neck_level")
    _lines(one, d, o)
    neck_point, tip = _neck_and_shoulder(one, d, o)
    if one.front and sums.opening is not None:
        low = Place(Point(0, one.neck.mm), "neck_depth")
        d.mark("NO", low.down(sums.opening), "neck_opening", "centre_line")
    down = square_in(neck_point, tip)
    level = sums.armhole_level.mm
    centre = Place(Point(one.centre(level), level), "centre")
    d.stage = "armhole"
    underarm = d.mark("U", centre.out(sums.width), "bust_width", "armhole_line", "centre", "side").point

    bottom = one.bottom
    arriving = unit(Point(-(bottom.down - one.neck.mm), bottom.across)) if one.leans else Point(-1, 0)
    dart = sums.bust_dart if one.front else mm(0)
    side_end = _side_end(one, d, underarm, bottom, arriving, side_length, dart)
    side = unit(side_end.minus(underarm))
    d.stage = "armhole"
    into = Point(side.down, -side.across)
    curve = armhole(tip, down, one.across.mm, underarm, into)
    middle = curve[0].end
    halfway = found(middle.down, "half_armhole")
    at = Place(d.mark("AL", o.down(halfway), "armhole_level", "centre_line").point, "centre_line_level")
    d.mark("A", at.out(one.across), "armhole_hollow", "level", closes="armhole")

    if one.fitted or ask.hem_shape == "curved":
        lower = lower_edge(side_end, bottom, arriving, side)
    else:
        lower = list(squared(side, side_end, bottom, Point(-arriving.down, arriving.across)).segments)
    neck_edge = neck(ask.neck_shape if one.front else "round", Point(0, one.neck.mm), neck_point, down)
    given = ask.allowances
    waist_named = one.fitted or ask.joined
    d.edge("neck", neck_edge, given.neck)
    d.edge("shoulder", [Line(neck_point, tip)], given.shoulder)
    d.edge("armhole", curve, given.armhole)
    d.edge("side", [Line(underarm, side_end)], given.side)
    _lower(one, d, lower, waist_named)
    zip_edge = ask.zip_edge if one.zip else mm(0)
    d.edge("centre", [Line(bottom, Point(0, one.neck.mm))], zip_edge)
    if one.fitted:
        _waist_darts(one, d, Path(tuple(lower)))
    if dart.mm > 0:
        _bust_dart(one, d, underarm, side_end, dart)
    d.points.update(CN=Point(0, one.neck.mm), CW=bottom, S=side_end)
    d.steps.sort(key=lambda step: STAGES.index(step.stage))


def _lines(one: Half, d: Draft, o: Place) -> None:
    d.stage = "lines"
    sums = one.sums
    d.mark("B", o.down(sums.armhole_level), "armhole_line", "centre_line")
    if not one.fitted and not one.ask.joined and TOPS[one.ask.style].ends == "hip":
        d.mark("H", o.down(sums.hip_level), "top_hip_line", "centre_line")
    if one.leans:
        level = d.mark("W0", o.down(one.length - LEAN.now), "centre_waist", "centre_line", None, "waist")
        d.mark("W1", Place(level.point, "centre_waist").out(LEAN.now), "zip_lean", "level")
    else:
        at_waist = one.fitted or one.ask.joined
        code, closes = ("centre_waist", "waist") if at_waist else ("top_hem", "hem")
        d.mark("W0", o.down(one.length), code, "centre_line", None, closes)


def _neck_and_shoulder(one: Half, d: Draft, o: Place) -> tuple[Point, Point]:
    sums = one.sums
    d.stage = "neck"
    d.mark("F", o.down(one.neck), "neck_depth", "centre_line", None, "neck")
    neck_point = d.mark("N", o.out(sums.neck_width), "neck_width", "neck_level", None, "neck").point
    d.stage = "shoulder"
    level = d.mark("T0", o.out(sums.shoulder), "shoulder_out", "neck_level", None, "armhole")
    tip = d.mark("T", Place(level.point, "shoulder_out").down(sums.slope), "shoulder_slope", "down", None, "shoulder")
    return neck_point, tip.point


def _side_end(
    one: Half, d: Draft, underarm: Point, bottom: Point, arriving: Point, side_length: float | None, dart: Length
) -> Point:
    """The side's lower end: as far from the underarm as the other half's, and the bust dart open on top of that."""
    sums = one.sums

    def end(level: float) -> Point:
        if one.fitted:
            return side_for(one.waist.mm, level, bottom, arriving, underarm)
        run = max(0.0, sums.hip_width.mm - sums.width.mm) / (sums.hip_level.mm - sums.armhole_level.mm)
        return Point(underarm.across + run * (level - underarm.down), level)

    d.stage = "side"
    back_level = sums.back_length.mm - (SHIRT.now.mm if one.ask.hem_shape == "curved" else 0.0)
    if side_length is None:
        point = end(back_level)
    else:
        wanted = side_length + dart.mm

        def miss(level: float) -> float:
            point = end(level)
            return Line(underarm, point).length - wanted

        low = max(underarm.down + 0.3 * wanted, bottom.down - inch(5).mm)
        level = zero_between(miss, low, underarm.down + 1.02 * wanted)
        if level is None:
            raise refuse("side.open", measure("neck_to_waist"))
        point = end(level)
    if point.down < underarm.down + inch(1).mm:
        raise refuse("top.too_short", choice("top_length"), least=found(underarm.down + 25.4, ""))
    start = Place(Point(0, point.down), "centre_line_level")
    top = Place(Point(0, 0), "neck_level")
    d.mark("S0", top.down(found(point.down, "side_equal")), "side_level", "centre_line", None, None)
    if one.fitted:
        d.stage = "waist"
        waist = Place(bottom, "centre_waist").along(point.minus(bottom), one.waist)
        d.mark("S", waist, "waist_width", "waist_seam", "centre", "side")
    else:
        d.mark("S", start.to(point, "drawn"), "hem_out", "level", "centre", "side")
    return point


def _lower(one: Half, d: Draft, lower: list[Segment], waist: bool) -> None:
    ask = one.ask
    if waist and ask.joined:
        d.edge("waist", lower, ask.allowances.waist)
    elif ask.hem_shape == "curved" or one.fitted:
        d.edge("waist" if waist else "hem", lower, CURVED_HEM.now if ask.hem_shape == "curved" else ask.hem)
    else:
        d.edge("waist" if waist else "hem", lower, ask.hem, turned=1)


def _waist_darts(one: Half, d: Draft, edge: Path) -> None:
    """The darts on the waist: place, intake, point; the front's below the bust point, the back's up to the armhole."""
    darts, ask, sums = one.darts, one.ask, one.sums
    if darts.count == 0:
        return
    d.stage = "darts"
    width = one.waist
    first: Length
    at = ask.front_dart_at if one.front else ask.back_dart_at
    if at is not None:
        first = at
    elif darts.count == 2:
        first = width / 3
    else:
        first = sums.bust_out if one.front else width / 2
    first = first if first.mm - darts.intake.mm / 2 > 25.4 else width / 2
    places = [first] if darts.count == 1 else [first, (first + width) / 2]
    high = sums.bust_level.mm + FROM_BUST.now.mm if one.front else sums.armhole_level.mm + inch(0.5).mm
    centre = Place(edge.end, "centre_waist")
    for number, place in enumerate(places, 1):
        from_side = edge.length - place.mm
        middle, direction = edge.along(from_side)
        far, _ = edge.along(from_side - darts.intake.mm / 2)
        near, _ = edge.along(from_side + darts.intake.mm / 2)
        up = Point(direction.down, -direction.across)
        up = up if up.down < 0 else Point(-up.across, -up.down)
        deep = max(50.8, (middle.down - high) / max(0.5, -up.down))
        d.mark(f"P{number}", centre.along(middle.minus(centre.point), place), "dart_place", "waist_seam", "centre")
        start = Place(near, "dart_near").along(far.minus(near), darts.intake)
        d.mark(f"Q{number}", start, "dart_intake", "waist_seam")
        tip = d.mark(
            f"R{number}", Place(middle, "dart_place").along(up, found(deep, "below_the_bust")), "dart_up", "dart_up"
        )
        d.darts.append(Dart(near, far, tip.point, darts.intake, found(deep, "below_the_bust")))
        d.lengths.setdefault("dart_place", place)
        d.lengths.setdefault("dart_length", found(deep, "below_the_bust"))


def _bust_dart(one: Half, d: Draft, underarm: Point, end: Point, intake: Length) -> None:
    """The front's extra length, in a dart from the side towards the bust point."""
    d.stage = "darts"
    side = Line(underarm, end)
    along = unit(end.minus(underarm))
    half = intake.mm / 2
    wanted = (one.sums.bust_level.mm - underarm.down) / along.down
    middle = min(max(wanted, 25.4 + half), side.length - 19.05 - half)
    if middle < half + 6:
        raise refuse("bust_dart.large", measure("neck_to_waist"), dart=intake)
    at = underarm.plus(along, middle)
    inward = Point(-along.down, along.across)
    deep = max(50.8, at.across - one.sums.bust_out.mm - FROM_BUST_SIDE.now.mm)
    top = Place(underarm, "underarm")
    place = d.mark(
        "G1", top.along(along, found(middle - half, "to_the_bust")), "bust_dart_place", "side_seam", "armhole"
    )
    d.mark("G2", Place(place.point, "bust_dart_place").along(along, intake), "bust_dart_intake", "side_seam")
    tip = d.mark(
        "G3", Place(at, "bust_dart_middle").along(inward, found(deep, "short_of_bust")), "bust_dart_length", "dart_in"
    )
    near, far = at.plus(along, -half), at.plus(along, half)
    d.darts.append(Dart(near, far, tip.point, intake, found(deep, "short_of_bust"), "side"))
