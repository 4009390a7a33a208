"""A cut outline from corner to corner, each span by the edge it is cut for; and a smooth curve through points."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from math import atan2, degrees

from shapely.geometry import LineString
from shapely.geometry import Point as Place

from cutting.drafting import Edge
from cutting.geometry import Point, distance, unit

SHARP = 12.0
"""The outline turns by more degrees at a corner, whatever is beside it."""
KINK, TIMES = 1.5, 2.5
"""So many degrees are a corner where they are as many times those of the points beside it: a curve has none such."""
SMOOTH = 0.999
"""The cosine of a turn that is no corner."""
TINY = 2.0
"""Corners nearer to each other than this, in mm, are one: a blunt mitre, or an edge that comes to nothing."""
FINE = 24
"""A curve is drawn in so many steps between two points."""
APART = 0.05
"""Points of an outline nearer to each other, in mm, are one."""
FOLD = "fold"


@dataclass(frozen=True)
class Span:
    """A stretch of the cut line between two corners, and the edge it is cut for; `nth` where an edge has several."""

    edge: str
    nth: int
    points: tuple[Point, ...]

    @property
    def length(self) -> float:
        return sum(distance(a, b) for a, b in zip(self.points, self.points[1:], strict=False))


def spans_of(cut: Sequence[Point], edges: Sequence[Edge], folds: float | None = None) -> list[Span]:
    """The cut outline in spans, in its own direction; what is on the cloth's fold has the edge `fold`."""
    ring = _clean(cut)
    corners = _with_joints(ring, _apart(ring, _corners(ring)), edges) or [0]
    ways = [LineString(edge.path.flat(0.2)) for edge in edges]
    named: list[tuple[str, tuple[Point, ...]]] = []
    for start, end in zip(corners, [*corners[1:], corners[0] + len(ring)], strict=True):
        points = tuple(ring[k % len(ring)] for k in range(start, end + 1))
        named.append((_edge_of(points, edges, ways, folds), points))
    counts = {edge: sum(name == edge for name, _ in named) for edge, _ in named}
    spans: list[Span] = []
    for edge, points in named:
        nth = sum(span.edge == edge for span in spans) + 1 if counts[edge] > 1 else 0
        spans.append(Span(edge, nth, points))
    return spans


def _clean(cut: Sequence[Point]) -> list[Point]:
    ring: list[Point] = []
    for point in cut:
        if not ring or distance(ring[-1], point) > APART:
            ring.append(point)
    return ring[:-1] if distance(ring[0], ring[-1]) <= APART else ring


def _corners(ring: Sequence[Point]) -> list[int]:
    turns = [abs(_turn(ring[k - 1], ring[k], ring[(k + 1) % len(ring)])) for k in range(len(ring))]
    found = []
    for k, turn in enumerate(turns):
        beside = max(turns[k - 1], turns[(k + 1) % len(turns)])
        if turn > SHARP or (turn > KINK and turn > TIMES * beside):
            found.append(k)
    return found


def _apart(ring: Sequence[Point], corners: list[int]) -> list[int]:
    """Of corners on top of each other the first."""
    return [at for k, at in enumerate(corners) if distance(ring[at], ring[corners[k - 1]]) > TINY or len(corners) == 1]


def _with_joints(ring: Sequence[Point], corners: list[int], edges: Sequence[Edge]) -> list[int]:
    """The corners, and where one edge goes over into the next without one, such as the top of a sleeve's cap."""
    found = list(corners)
    for one, other in zip(edges, [*edges[1:], edges[0]], strict=True):
        joint = one.path.end
        if distance(joint, other.path.start) > APART or one.turned or other.turned:
            continue
        wide = max(one.allowance.mm, other.allowance.mm)
        near = min(range(len(ring)), key=lambda k: distance(ring[k], joint))
        smooth = one.path.segments[-1].direction(1.0).dot(other.path.segments[0].direction(0.0)) > SMOOTH
        if smooth and distance(ring[near], joint) <= wide + 1 and near not in found:
            found.append(near)
    return sorted(found)


def _turn(a: Point, b: Point, c: Point) -> float:
    one, other = b.minus(a), c.minus(b)
    return degrees(atan2(one.cross(other), one.dot(other)))


def _edge_of(points: Sequence[Point], edges: Sequence[Edge], ways: Sequence[LineString], folds: float | None) -> str:
    """The edge nearest to a span: to its middle and to what is on both sides of that."""
    if folds is not None and all(abs(p.across - folds) < 0.01 for p in points):
        return FOLD
    seen = [Place(between(points, share)) for share in (0.3, 0.5, 0.7)]
    far = [sum(way.distance(place) for place in seen) for way in ways]
    return edges[far.index(min(far))].name


def between(points: Sequence[Point], share: float) -> Point:
    """The point so far along a polyline, as a share of its length."""
    steps = [distance(a, b) for a, b in zip(points, points[1:], strict=False)]
    left = share * sum(steps)
    for k, step in enumerate(steps):
        if left <= step and step > 0:
            return points[k].towards(points[k + 1], left / step)
        left -= step
    return points[-1]


def place_on(points: Sequence[Point], point: Point) -> tuple[float, float]:
    """How far along a polyline the place nearest to a point is, and how far the point is from it; in mm."""
    line, place = _line(tuple(points)), Place(point)
    return float(line.project(place)), float(line.distance(place))


@lru_cache(maxsize=64)
def _line(points: tuple[Point, ...]) -> LineString:
    return LineString(points)


def at_place(points: Sequence[Point], size: float) -> tuple[Point, Point]:
    """The point so many mm along a polyline, and the unit direction there."""
    left = size
    for a, b in zip(points, points[1:], strict=False):
        step = distance(a, b)
        if left <= step + 1e-9 and step > 0:
            return a.towards(b, min(1.0, left / step)), unit(b.minus(a))
        left -= step
    return points[-1], unit(points[-1].minus(points[-2]))


def stretch(points: Sequence[Point], start: float, end: float) -> list[Point]:
    """The part of a polyline between two places along it."""
    found, before = [at_place(points, start)[0]], 0.0
    for a, b in zip(points, points[1:], strict=False):
        before += distance(a, b)
        if start + 1e-6 < before < end - 1e-6:
            found.append(b)
    return [*found, at_place(points, end)[0]]


def through(
    points: Sequence[Point], each: int = 8, first: Point | None = None, last: Point | None = None
) -> list[Point]:
    """The curve drawn by hand through points: a cubic spline over the lengths of its chords, as a polyline.

    `first` and `last` are the unit directions in which it goes on from a straight line, and into one; where there is
    none it is free. Through two points without either it is straight. (Press et al., Numerical Recipes, section 3.3.)
    """
    n = len(points) - 1
    if n < 2 and first is None and last is None:
        return list(points)
    t = [0.0]
    for a, b in zip(points, points[1:], strict=False):
        t.append(t[-1] + distance(a, b))
    bent = [
        _second(t, [p[k] for p in points], None if first is None else first[k], None if last is None else last[k])
        for k in (0, 1)
    ]
    found = [points[0]]
    for i in range(n):
        wide = t[i + 1] - t[i]
        for k in range(1, each + 1):
            onward = k / each
            left = 1 - onward
            x, y = (
                left * points[i][axis] + onward * points[i + 1][axis]
                + ((left**3 - left) * bent[axis][i] + (onward**3 - onward) * bent[axis][i + 1]) * wide * wide / 6
                for axis in (0, 1)
            )  # fmt: skip
            found.append(Point(x, y))
    return found


def drawn(points: Sequence[Point], bends: Sequence[bool]) -> list[Point]:
    """A stroke through points, each stretch straight or, where `bends` says so, one curve with those beside it, which
    runs smoothly out of a straight stretch and into one.
    """
    found, k = [points[0]], 0
    while k < len(bends):
        if not bends[k]:
            found.append(points[k + 1])
            k += 1
            continue
        end = k
        while end < len(bends) and bends[end]:
            end += 1
        found += through(points[k : end + 1], FINE, way_at(points, bends, k - 1), way_at(points, bends, end))[1:]
        k = end
    return found


def way_at(points: Sequence[Point], bends: Sequence[bool], k: int) -> Point | None:
    """The direction of a straight stretch; None where there is none, or it is curved."""
    return unit(points[k + 1].minus(points[k])) if 0 <= k < len(bends) and not bends[k] else None


def _second(t: Sequence[float], y: Sequence[float], first: float | None, last: float | None) -> list[float]:
    """The second derivatives of a spline at its points; `first` and `last` are its slopes at the ends, where given."""
    n = len(t)
    out, carried = [0.0] * n, [0.0] * n
    if first is not None:
        wide = t[1] - t[0]
        out[0], carried[0] = -0.5, 3 / wide * ((y[1] - y[0]) / wide - first)
    for i in range(1, n - 1):
        share = (t[i] - t[i - 1]) / (t[i + 1] - t[i - 1])
        p = share * out[i - 1] + 2
        out[i] = (share - 1) / p
        slope = (y[i + 1] - y[i]) / (t[i + 1] - t[i]) - (y[i] - y[i - 1]) / (t[i] - t[i - 1])
        carried[i] = (6 * slope / (t[i + 1] - t[i - 1]) - share * carried[i - 1]) / p
    half, end = 0.0, 0.0
    if last is not None:
        wide = t[-1] - t[-2]
        half, end = 0.5, 3 / wide * (last - (y[-1] - y[-2]) / wide)
    out[-1] = (end - half * carried[-2]) / (half * out[-2] + 1)
    for i in range(n - 2, -1, -1):
        out[i] = out[i] * out[i + 1] + carried[i]
    return out


def apart(one: Sequence[Point], other: Sequence[Point]) -> float:
    """How far two polylines are from each other where they are furthest apart, in mm."""
    return float(LineString(one).hausdorff_distance(LineString(other)))
