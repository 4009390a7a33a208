"""Closed outlines: area, level lines across them, offsets, and whether they cross themselves."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import hypot

from shapely import is_valid, polygons
from shapely.geometry import LineString, Polygon

from cutting.geometry.point import Point, as_rows, distance, unit

BESIDE = 1e-5
"""A segment of less than 10 m whose two ends are further than this, in mm, to one side of a line does not cross it."""


@dataclass(frozen=True)
class Crossing:
    """Where a line meets a polyline: how far along the line, and the polyline's unit direction there."""

    at: float
    direction: Point


def crossings(polyline: Sequence[Point], start: Point, direction: Point, extend: bool = False) -> list[Crossing]:
    """Where the endless line from `start` along the unit `direction` meets `polyline`, in the line's order.

    With `extend`, the polyline's two ends go on straight.
    """
    found: list[Crossing] = []
    last = len(polyline) - 2
    dx, dy = direction
    # How far each point is to the side of the line; a segment crosses where this passes through nothing.
    still = dx * start.down - dy * start.across
    left, right = still + BESIDE, still - BESIDE
    near: list[int] = []
    before = still
    for number, (across, down) in enumerate(polyline):
        aside = dx * down - dy * across
        if not (before > left < aside or before < right > aside):
            near.append(number - 1)
        before = aside
    # The first of them is none: no segment ends at the first point.
    for k in sorted({*near[1:], 0, last}) if extend else near[1:]:
        (ax, ay), (bx, by) = polyline[k], polyline[k + 1]
        one, other = dx * ay - dy * ax - still, dx * by - dy * bx - still
        slope = other - one
        if abs(slope) < 1e-12:
            continue
        share = -one / slope
        low = -1e9 if extend and k == 0 else -1e-9
        high = 1e9 if extend and k == last else 1 + 1e-9
        if low <= share <= high:
            step = polyline[k + 1].minus(polyline[k])
            found.append(Crossing(polyline[k].minus(start).cross(step) / slope, unit(step)))
    return sorted(found, key=lambda one: one.at)


def offset_polyline(points: Sequence[Point], by: float) -> list[Point]:
    """An open polyline moved `by` mm to its left (outwards), its inner corners mitred."""
    if by == 0:
        return list(points)
    steps = [(b[0] - a[0], b[1] - a[1]) for a, b in zip(points, points[1:], strict=False)]
    sides: list[tuple[float, float]] = []
    for x, y in steps:
        size = hypot(x, y) or 1.0
        sides.append((y / size, -x / size))
    moved = [points[0].plus(Point(*sides[0]), by)]
    for k in range(1, len(points) - 1):
        before, after = sides[k - 1], sides[k]
        mx, my = before[0] + after[0], before[1] + after[1]
        size = mx * mx + my * my
        times = 2 * by / size if size > 0.5 else by
        moved.append(Point(points[k][0] + times * mx, points[k][1] + times * my))
    moved.append(points[-1].plus(Point(*sides[-1]), by))
    backwards = any(
        (b[0] - a[0]) * x + (b[1] - a[1]) * y < 0 for a, b, (x, y) in zip(moved, moved[1:], steps, strict=False)
    )
    if not backwards:
        return moved
    # A hollow tighter than the allowance: let the general offset cut its loops away. Our left is its right.
    whole = LineString([(p.across, p.down) for p in points]).offset_curve(-by, join_style="mitre")
    parts = [part for part in getattr(whole, "geoms", [whole]) if not part.is_empty]
    longest = max(parts, key=lambda part: float(part.length))
    clean = [Point(float(x), float(y)) for x, y in longest.coords]
    return clean if distance(clean[0], moved[0]) <= distance(clean[-1], moved[0]) else clean[::-1]


def gap(one: Sequence[Point], other: Sequence[Point]) -> float:
    """The smallest distance between two polylines, in mm."""
    lines = [LineString([(p.across, p.down) for p in points]) for points in (one, other)]
    return float(lines[0].distance(lines[1]))


def area(points: Sequence[Point]) -> float:
    """Square millimetres inside a closed outline (shoelace)."""
    return abs(sum(a.cross(b) for a, b in zip(points, [*points[1:], points[0]], strict=True))) / 2


def is_simple(points: Sequence[Point]) -> bool:
    """True where the outline does not cross or touch itself."""
    return bool(is_valid(polygons(as_rows(points))))


def simplified(points: Sequence[Point], near: float) -> list[Point]:
    """A closed outline without the points that are within `near` mm of the line between the others."""
    ring = Polygon([(p.across, p.down) for p in points]).exterior.simplify(near)
    return [Point(across, down) for across, down in ring.coords[:-1]]


def beyond(points: Sequence[Point], across: float) -> list[Point]:
    """The part of a closed outline that is on the far side of an upright line, moved so that the line is at 0."""
    kept: list[Point] = []
    for a, b in zip(points, [*points[1:], points[0]], strict=True):
        one, other = a.across - across, b.across - across
        if one >= 0:
            kept.append(Point(one, a.down))
        if (one < 0) != (other < 0) and one != 0 and other != 0:
            kept.append(Point(0.0, a.down + (b.down - a.down) * one / (one - other)))
    return kept


def least_box(points: Sequence[Point]) -> tuple[float, float, float, float]:
    """The box round points: left, top, right, low, in mm."""
    across, down = [point.across for point in points], [point.down for point in points]
    return min(across), min(down), max(across), max(down)
