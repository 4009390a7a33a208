"""The curves both panels are made of."""

from collections.abc import Callable
from dataclasses import dataclass
from math import atan2, cos, hypot, radians, sin, sqrt

from cutting.geometry import Cubic, Line, Path, Point, Segment, distance, hermite, squared, unit, zero_between

HALF_INCH = 12.7
LEAST, MOST = 0.50, 0.72
"""The curve's diagonal as a share of the distance from the corner to the chord."""


def side_above(hip: Point, waist: Point, upwards: Point) -> Cubic:
    """The side from the hip line up to the waist: leaves the hip along `upwards`, runs into the waist."""
    reach = 0.5 * abs(hip.down - waist.down) / max(0.2, abs(upwards.down))
    middle = hip.plus(upwards, reach)
    return Cubic(hip, hip.towards(middle, 2 / 3), waist.towards(middle, 2 / 3), waist)


def side_below(foot: Point, leaving: Point, points: list[Point]) -> list[Segment]:
    """The side from the crotch line down: leaves along `leaving`, bends to the knee or within 10 in, then straight."""
    hem = points[-1]
    bend = points[0] if len(points) > 1 else foot.towards(hem, min(0.35, 254 / distance(foot, hem)))
    onward = unit(hem.minus(bend))
    if unit(bend.minus(foot)).dot(leaving) > 1 - 1e-9 and leaving.dot(onward) > 1 - 1e-9:
        return [Line(foot, hem)]
    return [hermite(foot, leaving, bend, onward), Line(bend, hem)]


def as_long_as(size: float, seam_of: Callable[[float], Path]) -> Path:
    """The seam that is `size` mm long of those that `seam_of` draws by the straight distance between their ends."""
    chord = size
    for _ in range(4):
        seam = seam_of(chord)
        if abs(seam.length - size) < 1e-4:
            break
        chord -= seam.length - size
    return seam


def hem_of(inner: list[Segment], side: list[Segment]) -> Path:
    """The hem between an inner leg and a side, both run downwards: square to both."""
    up = side[-1].direction(1)
    return squared(inner[-1].direction(1), inner[-1].end, side[-1].end, Point(-up.across, -up.down))


def inner_leg(tip: Point, below: Point, onward: Point) -> tuple[list[Segment], Point]:
    """From the crotch point to `below`, going on along `onward`: 1/2 in straight, then a slight hollow.

    Returns the segments and the direction in which the leg leaves the crotch point.
    """
    chord = below.minus(tip)
    slope, end = atan2(-chord.across, chord.down), atan2(-onward.across, onward.down)
    start = max(radians(-20), min(radians(50), slope + (slope - end) / 2))
    leaving = Point(-sin(start), cos(start))
    knee = tip.plus(leaving, HALF_INCH)
    return [Line(tip, knee), hermite(knee, leaving, below, onward)], leaving


@dataclass(frozen=True)
class Crotch:
    """A crotch curve: segments from waist to crotch point, where it leaves the centre line, its diagonal in mm."""

    segments: list[Segment]
    leaves: Point
    diagonal: float
    wanted_was_moved: bool


def crotch(top: Point, base: Point, corner: Point, gap: float, tip: Point, arriving: Point, wanted: float) -> Crotch:
    """One cubic from the centre line to the crotch point.

    `top` and `base` are on the straight centre line; `corner` is where the centre meets the crotch line; `gap` the
    height above the crotch line at which the curve leaves; `arriving` the unit direction square to the inner leg.
    """
    segments: list[Segment] = []
    line = unit(base.minus(top))
    if gap < corner.down - base.down - 1e-6:
        leaves, line = Point(corner.across, corner.down - gap), Point(0, 1)
        segments = [Line(top, base), Line(base, leaves)]
    else:
        leaves = top.plus(line, (corner.down - gap - top.down) / line.down)
        segments = [Line(top, leaves)]
    e, g = tip.across - corner.across, gap
    chord = sqrt(2) * e * g / (e + g)
    used = min(max(wanted, LEAST * chord), MOST * chord)
    handle_down, handle_out = hypot(*corner.minus(leaves)), e

    def curve(fill: float) -> Cubic:
        return Cubic(leaves, leaves.plus(line, fill * handle_down), tip.plus(arriving, -fill * handle_out), tip)

    def miss(fill: float) -> float:
        return diagonal(curve(fill), corner) - used

    fill = zero_between(miss, 0.15, 0.95)
    if fill is None:
        fill = 0.15 if abs(miss(0.15)) < abs(miss(0.95)) else 0.95
    shape = curve(fill)
    return Crotch([*segments, shape], leaves, diagonal(shape, corner), abs(used - wanted) > 0.05)


def outside(curve: Segment, base: Point) -> float:
    """How far outside the centre line a curve is at the hip line's level, in mm."""
    t = zero_between(lambda share: curve.at(share).down - base.down, 0.0, 1.0)
    return curve.at(t).across - base.across if t is not None else 0.0


def passing(curve_from: Callable[[float], Crotch], base: Point, by: float, low: float, high: float) -> float:
    """How high the curve must start so that it is `by` mm outside the centre line at the hip line, within limits."""

    def miss(height: float) -> float:
        return outside(curve_from(height).segments[-1], base) - by

    found = zero_between(miss, low, high) if high > low else None
    return found if found is not None else max(low, high)


def diagonal(curve: Cubic, corner: Point) -> float:
    """From the corner to the curve, along the line at 45 degrees up and out."""

    ends = (curve.start, curve.one, curve.two, curve.end)
    a, b, c, e = (point.across - corner.across + point.down - corner.down for point in ends)

    def beside(t: float) -> float:
        s = 1 - t
        return s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * e

    t = zero_between(beside, 0.0, 1.0)
    if t is None:
        return 0.0
    point = curve.at(t)
    return hypot(point.across - corner.across, point.down - corner.down)
