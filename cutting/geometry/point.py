"""A point or a vector of the draft frame."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import chain
from math import hypot
from typing import NamedTuple

import numpy as np
import numpy.typing as npt

_new = tuple.__new__
"""Half the time of `Point(...)`, which a plan does ten thousand times."""


class Point(NamedTuple):
    """Millimetres across and down."""

    across: float
    down: float

    def plus(self, other: Point, times: float = 1.0) -> Point:
        """This point moved by `times` the vector `other`."""
        return _new(Point, (self.across + times * other.across, self.down + times * other.down))

    def minus(self, other: Point) -> Point:
        """The vector from `other` to this point."""
        return _new(Point, (self.across - other.across, self.down - other.down))

    def dot(self, other: Point) -> float:
        return self.across * other.across + self.down * other.down

    def cross(self, other: Point) -> float:
        return self.across * other.down - self.down * other.across

    def towards(self, other: Point, share: float) -> Point:
        """The point `share` of the way to `other`."""
        across, down = self
        return _new(Point, (across + share * (other.across - across), down + share * (other.down - down)))

    @property
    def left(self) -> Point:
        """The vector turned so that it points out of an outline that runs waist, crotch, hem, side."""
        return _new(Point, (self.down, -self.across))


def distance(one: Point, other: Point) -> float:
    """Millimetres between two points."""
    return hypot(other.across - one.across, other.down - one.down)


def unit(vector: Point) -> Point:
    """The vector of length 1; a vector of no length stays as it is."""
    across, down = vector
    size = hypot(across, down)
    return _new(Point, (across / size, down / size)) if size else vector


def as_rows(points: Sequence[tuple[float, float]]) -> npt.NDArray[np.float64]:
    """Points as rows of across and down. `np.array` of them takes four times as long."""
    return np.fromiter(chain.from_iterable(points), np.float64, 2 * len(points)).reshape(-1, 2)


ORIGIN = Point(0, 0)
