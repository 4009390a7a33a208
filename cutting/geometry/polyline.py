"""A line through points, read by how far along it one is."""

from bisect import bisect_left, bisect_right
from collections.abc import Sequence
from itertools import accumulate, pairwise
from math import hypot, inf, sqrt

import numpy as np
from shapely import distance, hausdorff_distance, linestrings
from shapely import points as shapely_points
from shapely.geometry import LineString

from cutting.cached import cached_property
from cutting.geometry.point import Point, as_rows, unit

ROUND = 1e-9
"""A place so little beyond a point, in mm, is still on the stretch before it."""


class Polyline:
    """Points that follow one another, at least two. All lengths in mm."""

    def __init__(self, points: Sequence[Point]):
        self.points = tuple(points)

    @cached_property
    def sizes(self) -> list[float]:
        """How far along each point is."""
        return [0.0, *accumulate(hypot(b[0] - a[0], b[1] - a[1]) for a, b in pairwise(self.points))]

    @property
    def length(self) -> float:
        return self.sizes[-1]

    @cached_property
    def line(self) -> LineString:
        return linestrings(as_rows(self.points))

    @cached_property
    def steps(self) -> list[tuple[float, float, float, float, float]]:
        """Each stretch: where it starts, where to it goes, the square of its length."""
        ways = ((a, b[0] - a[0], b[1] - a[1]) for a, b in pairwise(self.points))
        return [(a[0], a[1], dx, dy, dx * dx + dy * dy) for a, dx, dy in ways]

    def at(self, size: float) -> tuple[Point, Point]:
        """The point so far along, and the unit direction there; beyond the end the last point."""
        points, sizes = self.points, self.sizes
        k = bisect_left(sizes, size - ROUND, 1)
        while k < len(sizes) and sizes[k] <= sizes[k - 1]:
            k += 1
        if k == len(sizes):
            return points[-1], unit(points[-1].minus(points[-2]))
        a, b = points[k - 1], points[k]
        share = min(1.0, (size - sizes[k - 1]) / (sizes[k] - sizes[k - 1]))
        return a.towards(b, share), unit(b.minus(a))

    def share(self, share: float) -> Point:
        """The point so far along, as a share of the whole length."""
        return self.at(share * self.length)[0]

    def place(self, point: Point) -> tuple[float, float]:
        """How far along the place nearest to a point is, and how far the point is from it."""
        across, down = point
        nearest, at = inf, 0.0
        for (ax, ay, dx, dy, square), size in zip(self.steps, self.sizes, strict=False):
            x, y = across - ax, down - ay
            share = (x * dx + y * dy) / square if square else 0.0
            share = 0.0 if share < 0.0 else 1.0 if share > 1.0 else share
            x, y = x - share * dx, y - share * dy
            far = x * x + y * y
            if far < nearest:
                nearest, at = far, size + share * sqrt(square)
        return at, sqrt(nearest)

    def away(self, points: Sequence[Point]) -> list[float]:
        """How far each of some points is from the line."""
        return [float(far) for far in distance(self.line, shapely_points(as_rows(points)))] if points else []

    def part(self, start: float, end: float) -> list[Point]:
        """The points between two places along it, both included."""
        first, last = bisect_right(self.sizes, start + 1e-6, 1), bisect_left(self.sizes, end - 1e-6)
        return [self.at(start)[0], *self.points[first:last], self.at(end)[0]]


def nearest_line(lines: Sequence[Polyline], points: Sequence[Point]) -> int:
    """Which of some lines is nearest to points, by how far they are from it together; of equal ones the first."""
    among = np.array([line.line for line in lines])
    return int(distance(among[:, np.newaxis], shapely_points(as_rows(points))).sum(axis=1).argmin())


def off_straight(points: Sequence[Point], one: Point, other: Point) -> float:
    """How far the furthest of some points is from the straight line between two others, in mm."""
    (ax, ay), (bx, by) = one, other
    dx, dy = bx - ax, by - ay
    square = dx * dx + dy * dy
    most = 0.0
    for across, down in points:
        x, y = across - ax, down - ay
        share = (x * dx + y * dy) / square if square else 0.0
        share = 0.0 if share < 0.0 else 1.0 if share > 1.0 else share
        x, y = x - share * dx, y - share * dy
        far = x * x + y * y
        if far > most:
            most = far
    return sqrt(most)


def furthest(one: Sequence[Point], other: Sequence[Point]) -> float:
    """How far two polylines are from each other where they are furthest apart, in mm."""
    return float(hausdorff_distance(linestrings(as_rows(one)), linestrings(as_rows(other))))
