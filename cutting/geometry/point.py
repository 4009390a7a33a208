"""A point or a vector of the draft frame."""

from __future__ import annotations

from math import hypot
from typing import NamedTuple


class Point(NamedTuple):
    """Millimetres across and down."""

    across: float
    down: float

    def plus(self, other: Point, times: float = 1.0) -> Point:
        """This point moved by `times` the vector `other`."""
        return Point(self.across + times * other.across, self.down + times * other.down)

    def minus(self, other: Point) -> Point:
        """The vector from `other` to this point."""
        return Point(self.across - other.across, self.down - other.down)

    def dot(self, other: Point) -> float:
        return self.across * other.across + self.down * other.down

    def cross(self, other: Point) -> float:
        return self.across * other.down - self.down * other.across

    def towards(self, other: Point, share: float) -> Point:
        """The point `share` of the way to `other`."""
        return self.plus(other.minus(self), share)

    @property
    def left(self) -> Point:
        """The vector turned so that it points out of an outline that runs waist, crotch, hem, side."""
        return Point(self.down, -self.across)


def distance(one: Point, other: Point) -> float:
    """Millimetres between two points."""
    return hypot(other.across - one.across, other.down - one.down)


def unit(vector: Point) -> Point:
    """The vector of length 1; a vector of no length stays as it is."""
    size = hypot(vector.across, vector.down)
    return Point(vector.across / size, vector.down / size) if size else vector


ORIGIN = Point(0, 0)
