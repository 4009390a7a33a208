"""Lines and cubic curves, and paths made of them."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from itertools import pairwise
from math import atan2, ceil, hypot, inf, sqrt

from cutting.cached import cached_property
from cutting.geometry.point import Point, distance, unit

# Gauss-Legendre, 8 points on -1..1 (Abramowitz and Stegun, table 25.4).
_NODES = (0.1834346424956498, 0.5255324099163290, 0.7966664774136267, 0.9602898564975363)
_WEIGHTS = (0.3626837833783620, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763)
_ON_CURVE = tuple(
    (middle + sign * node / 4, weight / 4)
    for middle in (0.25, 0.75)
    for node, weight in zip(_NODES, _WEIGHTS, strict=True)
    for sign in (-1, 1)
)
"""Where on a curve the speed is read, on both of its halves, and with what weight."""


@dataclass(frozen=True)
class Line:
    """A straight segment."""

    start: Point
    end: Point

    @property
    def length(self) -> float:
        return distance(self.start, self.end)

    def at(self, t: float) -> Point:
        return self.start.towards(self.end, t)

    def direction(self, t: float) -> Point:
        """The unit tangent at t in 0..1."""
        return unit(self.end.minus(self.start))

    def flat(self, tolerance: float) -> list[Point]:
        """The points of a polyline within `tolerance` mm, without the start."""
        return [self.end]

    @property
    def back(self) -> Line:
        """The same segment, run the other way."""
        return Line(self.end, self.start)


@dataclass(frozen=True)
class Cubic:
    """A cubic Bezier segment."""

    start: Point
    one: Point
    two: Point
    end: Point

    def at(self, t: float) -> Point:
        s = 1 - t
        a, b, c, d = s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t
        return Point(
            a * self.start.across + b * self.one.across + c * self.two.across + d * self.end.across,
            a * self.start.down + b * self.one.down + c * self.two.down + d * self.end.down,
        )

    def _speed(self, t: float) -> Point:
        s = 1 - t
        a, b, c = 3 * s * s, 6 * s * t, 3 * t * t
        return Point(
            a * (self.one.across - self.start.across)
            + b * (self.two.across - self.one.across)
            + c * (self.end.across - self.two.across),
            a * (self.one.down - self.start.down)
            + b * (self.two.down - self.one.down)
            + c * (self.end.down - self.two.down),
        )

    def direction(self, t: float) -> Point:
        """The unit tangent at t in 0..1."""
        speed = self._speed(t)
        if hypot(*speed) < 1e-9:
            speed = self.at(min(1.0, t + 1e-4)).minus(self.at(max(0.0, t - 1e-4)))
        return unit(speed)

    @cached_property
    def length(self) -> float:
        """Millimetres along the curve."""
        return self.length_to(1.0)

    def length_to(self, end: float) -> float:
        """Millimetres along the curve from its start up to t = `end`, by quadrature on two halves."""
        (ax, ay), (bx, by), (cx, cy), (dx, dy) = self.start, self.one, self.two, self.end
        ux, uy, vx, vy, wx, wy = bx - ax, by - ay, cx - bx, cy - by, dx - cx, dy - cy
        whole = 0.0
        for share, weight in _ON_CURVE:
            t = share * end
            s = 1 - t
            a, b, c = 3 * s * s, 6 * s * t, 3 * t * t
            whole += weight * hypot(a * ux + b * vx + c * wx, a * uy + b * vy + c * wy)
        return end * whole

    def flat(self, tolerance: float) -> list[Point]:
        """The points of a polyline within `tolerance` mm, without the start."""
        (ax, ay), (bx, by), (cx, cy), (dx, dy) = self.start, self.one, self.two, self.end
        bend = max(hypot(ax - 2 * bx + cx, ay - 2 * by + cy), hypot(bx - 2 * cx + dx, by - 2 * cy + dy))
        pieces = max(1, ceil(sqrt(0.75 * bend / tolerance)))
        points = []
        for k in range(1, pieces):
            t = k / pieces
            s = 1 - t
            a, b, c, d = s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t
            points.append(Point(a * ax + b * bx + c * cx + d * dx, a * ay + b * by + c * cy + d * dy))
        points.append(self.end)
        return points

    @property
    def back(self) -> Cubic:
        """The same curve, run the other way."""
        return Cubic(self.end, self.two, self.one, self.start)


Segment = Line | Cubic
FLAT = 0.02
"""How far a polyline may be from its curve, in mm; the formats promise 0.1."""


@dataclass(frozen=True)
class Path:
    """Segments that follow one another."""

    segments: tuple[Segment, ...]

    @property
    def start(self) -> Point:
        return self.segments[0].start

    @property
    def end(self) -> Point:
        return self.segments[-1].end

    @cached_property
    def length(self) -> float:
        return sum(segment.length for segment in self.segments)

    @property
    def longer(self) -> float:
        """How much longer the path is than its ends are apart, in mm."""
        return self.length - distance(self.start, self.end)

    @property
    def back(self) -> Path:
        return Path(tuple(segment.back for segment in reversed(self.segments)))

    def flat(self, tolerance: float = FLAT) -> list[Point]:
        """The path as a polyline, both ends included."""
        return self._finely if tolerance == FLAT else self._flat(tolerance)

    @cached_property
    def _finely(self) -> list[Point]:
        return self._flat(FLAT)

    def _flat(self, tolerance: float) -> list[Point]:
        points = [self.start]
        for segment in self.segments:
            points.extend(segment.flat(tolerance))
        return points

    @property
    def bends(self) -> list[float]:
        """The angle each segment bends through, in radians: positive where it is hollow seen from outside, so that
        the path moved out by so many mm is as many times the angle shorter.
        """
        ends = [(part.direction(0.0), part.direction(1.0)) for part in self.segments]
        return [-atan2(first.cross(last), first.dot(last)) for first, last in ends]

    def along(self, size: float) -> tuple[Point, Point]:
        """The point `size` mm along the path, and the unit tangent there."""
        left = max(0.0, size)
        for segment in self.segments:
            length = segment.length
            if left <= length or segment is self.segments[-1]:
                return _walk(segment, min(left, length), length)
            left -= length
        raise ValueError("a path without segments")

    def place_of(self, point: Point) -> float:
        """How far along the path, in mm, its place nearest to a point is."""
        across, down = point
        best, at, before = inf, 0.0, 0.0
        for segment in self.segments:
            flat = [segment.start, *segment.flat(FLAT)]
            whole = segment.length
            steps = [(b[0] - a[0], b[1] - a[1]) for a, b in pairwise(flat)]
            sizes = [hypot(dx, dy) for dx, dy in steps]
            scale = whole / (sum(sizes) or 1.0)
            so_far = 0.0
            for (x, y), (dx, dy), size in zip(flat, steps, sizes, strict=False):
                share = ((across - x) * dx + (down - y) * dy) / size**2 if size else 0.0
                share = 0.0 if share < 0.0 else 1.0 if share > 1.0 else share
                away = hypot(x + share * dx - across, y + share * dy - down)
                if away < best:
                    best, at = away, before + scale * (so_far + share * size)
                so_far += size
            before += whole
        return at

    def split(self, size: float) -> tuple[Path, Path]:
        """The path up to `size` mm along it, and the rest; raises ValueError where that is at or beyond an end."""
        left, before = size, list[Segment]()
        for k, segment in enumerate(self.segments):
            length = segment.length
            if left < length:
                first, rest = _parted(segment, left, length)
                return Path((*before, first)), Path((rest, *self.segments[k + 1 :]))
            left -= length
            before.append(segment)
        raise ValueError("nothing is left beyond the split")

    def mapped(self, move: Callable[[Point], Point]) -> Path:
        """The path with every point moved by a motion that keeps shapes."""
        return Path(
            tuple(
                Line(move(s.start), move(s.end))
                if isinstance(s, Line)
                else Cubic(move(s.start), move(s.one), move(s.two), move(s.end))
                for s in self.segments
            )
        )


def _parted(segment: Segment, size: float, length: float) -> tuple[Segment, Segment]:
    """A segment in two, `size` mm along it."""
    point, _ = _walk(segment, size, length)
    if isinstance(segment, Line):
        return Line(segment.start, point), Line(point, segment.end)
    low, high = 0.0, 1.0
    for _ in range(60):
        t = (low + high) / 2
        low, high = (t, high) if segment.length_to(t) < size else (low, t)
    return _first(segment, low), _first(segment.back, 1 - low).back


def _walk(segment: Segment, size: float, length: float) -> tuple[Point, Point]:
    if isinstance(segment, Line) or length == 0:
        t = size / length if length else 0.0
        return segment.at(t), segment.direction(t)
    t = size / length
    for _ in range(6):  # Newton's steps: the speed along the curve is the slope of its length.
        miss = segment.length_to(t) - size
        if abs(miss) < 1e-7:
            break
        t = min(1.0, max(0.0, t - miss / max(1e-6, hypot(*segment._speed(t)))))
    return segment.at(t), segment.direction(t)


def _first(curve: Cubic, t: float) -> Cubic:
    """The part of a curve up to t (de Casteljau)."""
    a, b, c = curve.start.towards(curve.one, t), curve.one.towards(curve.two, t), curve.two.towards(curve.end, t)
    d, e = a.towards(b, t), b.towards(c, t)
    return Cubic(curve.start, a, d, d.towards(e, t))


def hermite(start: Point, leaving: Point, end: Point, arriving: Point) -> Segment:
    """A cubic from `start` to `end` with those tangents; a line where both are along it."""
    chord = end.minus(start)
    size = hypot(*chord)
    straight = unit(chord)
    if straight.dot(leaving) > 1 - 1e-12 and straight.dot(arriving) > 1 - 1e-12:
        return Line(start, end)
    return Cubic(start, start.plus(leaving, size / 3), end.plus(arriving, -size / 3), end)


def beyond_path(path: Path, across: float) -> list[Path]:
    """The stretches of a path on the far side of an upright line, in the path's order."""
    found: list[Path] = []
    run: list[Segment] = []
    for segment in (part for whole in path.segments for part in _at_line(whole, across)):
        if segment.at(0.5).across > across:
            run.append(segment)
        elif run:
            found.append(Path(tuple(run)))
            run = []
    return [*found, Path(tuple(run))] if run else found


def _at_line(segment: Segment, across: float) -> list[Segment]:
    """A segment, parted where it crosses an upright line; a curve at the first place alone."""
    one, other = segment.start.across - across, segment.end.across - across
    if one * other >= 0:
        return [segment]
    if isinstance(segment, Line):
        middle = segment.at(one / (one - other))
        return [Line(segment.start, middle), Line(middle, segment.end)]
    low, high = 0.0, 1.0
    for _ in range(60):
        t = (low + high) / 2
        low, high = (t, high) if (segment.at(t).across - across) * one > 0 else (low, t)
    return [_first(segment, low), _first(segment.back, 1 - low).back]
