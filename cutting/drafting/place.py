"""A place on the cloth: a point, and how the tape found it."""

from __future__ import annotations

from dataclasses import dataclass, field

from cutting.geometry import Point, distance, unit
from cutting.lengths import Length, found, mm


@dataclass(frozen=True)
class Place:
    """A point with the tape that found it: from where, how far, in which direction."""

    point: Point
    code: str = ""
    length: Length = field(default_factory=lambda: mm(0))
    datum: Place | None = None

    def _by(self, length: Length, direction: Point) -> Place:
        return Place(self.point.plus(direction, length.mm), "", length, self)

    def down(self, length: Length) -> Place:
        """Straight down, towards the hem."""
        return self._by(length, Point(0, 1))

    def up(self, length: Length) -> Place:
        """Straight up, towards the waist."""
        return self._by(length, Point(0, -1))

    def out(self, length: Length) -> Place:
        """Across, away from the guide line."""
        return self._by(length, Point(1, 0))

    def back(self, length: Length) -> Place:
        """Across, towards the guide line."""
        return self._by(length, Point(-1, 0))

    def towards(self, other: Place, length: Length) -> Place:
        """Along the straight line to another place."""
        return self._by(length, unit(other.point.minus(self.point)))

    def along(self, direction: Point, length: Length) -> Place:
        """In any direction."""
        return self._by(length, unit(direction))

    def to(self, point: Point, label: str) -> Place:
        """To a point worked out elsewhere; the tape reads the distance, named `label`."""
        return Place(point, "", found(distance(self.point, point), label), self)
