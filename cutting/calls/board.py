"""What is chalked of one piece so far, and how the next point is reached from it with as few tapes as there can be."""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from math import copysign, inf

from cutting.calls.call import Along, Call, Kind, Name
from cutting.geometry import Point, crossings, distance, unit
from cutting.lengths import Found, Length, Sum, found, total

SAME = 0.5
"""Chalk nearer to a point than this, in mm, is on it: a chalk line is as wide."""
LEVEL = 0.25
"""Two heights nearer to each other, in mm, are one level."""
SAID = 0.05
"""A length is said by a rule's sum that comes to it within so many mm: chalk goes from line to line, and what each is
off adds up.
"""
SNAP = 1.0
"""A corner or a point of a curve nearer to what is chalked than this, in mm, is put there: nobody measures less."""
UNREAD = 0.8
"""A tape of less, in mm, reads nothing: half a sixteenth of an inch. A level so near to another is that one."""
HAND = 200.0
"""A point is measured from another rather than from a line where it is no further away, in mm."""
ROUND_A_POINT = ("meets", "diagonal")
"""Ways that are said from a point alone: which point of a line they start at could not be seen."""
UNSEEN = 0.2
"""A sum that is off by less, in mm, is what the tape reads: the chalk is wider."""
BEYOND = 0.4
"""A line between two points is drawn on by no more than this share of what is between them."""


def spoken(length: Length, size: float) -> Length:
    """A rule's sum, brought to what the tape reads, `size` mm: what is between is said once, as the lean of a seam."""
    positive = length if length.value >= 0 else -length
    terms = positive.terms if isinstance(positive, Sum) else (positive,)
    own = [term for term in terms if not (isinstance(term, Found) and term.label == "lean")] or list(terms)
    lean = size - sum(term.mm for term in own)
    return total(*own) if abs(lean) < UNSEEN else total(*own, found(lean, "lean"))


def _nearest_of(known: Mapping[Name, Point], point: Point, within: float) -> tuple[Name, Point] | None:
    """What is chalked nearest to a point, where that is within so many mm."""
    across, down = point
    near = [
        (distance(there, point), name, there) for name, there in known.items()
        if abs(there[0] - across) <= within and abs(there[1] - down) <= within
    ]  # fmt: skip
    far, name, there = min(near, key=lambda one: one[0], default=(inf, None, point))
    return (name, there) if name is not None and far <= within else None


def _diagonal(start: Point, end: Point) -> Point:
    """Where a tape at half a right angle comes to that goes from a point towards another."""
    run = end.minus(start)
    reach = (abs(run.across) + abs(run.down)) / 2
    return Point(start.across + copysign(reach, run.across), start.down + copysign(reach, run.down))


@dataclass
class Board:
    """Lines and points by their names, in the draft frame, and the calls that chalked them.

    `seen` and `edges` are another panel's points and cut edges, where it was traced here; `sums` the lengths that are
    known with their rule.
    """

    panel: str
    guide: Name
    levels: dict[Name, float] = field(default_factory=dict)
    uprights: dict[Name, float] = field(default_factory=dict)
    slants: dict[Name, tuple[Point, Point]] = field(default_factory=dict)
    points: dict[Name, Point] = field(default_factory=dict)
    seen: dict[Name, Point] = field(default_factory=dict)
    edges: tuple[tuple[Name, tuple[Point, ...]], ...] = ()
    sums: tuple[Length, ...] = ()
    dart_places: tuple[Length, ...] = ()
    calls: list[Call] = field(default_factory=list)
    stage: str = "lines"

    def at(self, point: Point) -> Name | None:
        """What is chalked there: a point of this piece, else one of the panel that was traced."""
        for known in (self.points, self.seen):
            near = _nearest_of(known, point, SAME)
            if near is not None:
                return near[0]
        return None

    def level_at(self, down: float) -> Name | None:
        """The level line that is chalked there."""
        near = min(self.levels.items(), key=lambda one: abs(one[1] - down), default=None)
        return near[0] if near is not None and abs(near[1] - down) <= LEVEL else None

    def _on_level(self, down: float) -> Iterator[tuple[Name, Point]]:
        """Everything that can be seen on a level line: what crosses it, and the points on it."""
        for name, across in self.uprights.items():
            yield name, Point(across, down)
        for name, (one, other) in self.slants.items():
            share = (down - one.down) / (other.down - one.down) if abs(other.down - one.down) > 1 else -1.0
            if -BEYOND <= share <= 1 + BEYOND:
                yield name, one.towards(other, share)
        for name, points in self.edges:
            for hit in crossings(points, Point(0.0, down), Point(1, 0)):
                yield name, Point(hit.at, down)
        for known in (self.points, self.seen):
            for name, point in known.items():
                if abs(point.down - down) <= LEVEL:
                    yield name, point

    def _start_at(self, point: Point) -> tuple[Name, Point] | None:
        """What a tape can start at there, and where that is: a point, or a line that crosses a chalked level there."""
        for known in (self.points, self.seen):
            near = _nearest_of(known, point, SNAP)
            if near is not None:
                return near
        level = self.level_at(point.down)
        if level is None:
            return None
        crossing = self._on_level(self.levels[level])
        return next((one for one in crossing if distance(one[1], point) <= SAME), None)

    def tape(
        self,
        name: Name,
        end: Point,
        start: Point,
        source: Name,
        length: Length,
        along: Along,
        kind: Kind = "point",
        inside: bool = False,
        waits: str = "",
    ) -> None:
        """Chalk a point, or with `kind` a line through it, by a tape."""
        size = length if length.value >= 0 else -length
        self.calls.append(
            Call(self.panel, self.stage, kind, name, end, start, size, source, along, inside=inside, waits=waits)
        )
        if kind != "line":
            self.points[name] = end

    def draw(
        self, kind: Kind, name: Name, names: Sequence[Name], end: Point, inside: bool = False,
        bends: Sequence[bool] = (),
    ) -> None:  # fmt: skip
        """A stroke through what is chalked; `bends` says which of its stretches are curved."""
        self.calls.append(
            Call(self.panel, self.stage, kind, name, end, through=tuple(names), bends=tuple(bends), inside=inside)
        )

    def level(self, name: Name, down: float, length: Length | None = None, start: Point | None = None) -> None:
        """Chalk a level line: from `start` where a tape from there is given, else from the nearest level line."""
        guide = self.uprights[self.guide]
        source = self.level_at(start.down) if start is not None and length is not None else None
        if source is None or length is None:
            source, there = min(self.levels.items(), key=lambda one: abs(one[1] - down))
            length = self._sum(abs(down - there), "level")
        there = self.levels[source]
        self.levels[name] = down
        along = Along("line", (self.guide,))
        self.tape(name, Point(guide, down), Point(guide, there), source, length, along, kind="line")

    def upright(self, name: Name, end: Point, start: Point, length: Length) -> None:
        """Chalk a line along the grain through the end of a tape on a level line."""
        seen, level = self._start_at(start), self.level_at(end.down)
        if seen is None or level is None:
            seen = min(self._on_level(end.down), key=lambda one: distance(one[1], end))
            length = self._sum(distance(seen[1], end), "drawn")
        source, start = seen
        self.uprights[name] = end.across
        along = Along("line", (level,)) if level is not None else Along("level")
        self.tape(name, end, start, source, length, along, kind="line")

    def reach(
        self,
        name: Name,
        end: Point,
        why: str,
        tape: tuple[Point, Length] | None = None,
        inside: bool = False,
        waits: str = "",
    ) -> Name:
        """Chalk a point, and a level line before it where it needs one; answers the name it is known by.

        `tape` is where the method's own tape starts, and what that says; it is taken where one can see its start.
        """
        end = self._snapped(end) if tape is None else self.levelled(end)
        known = self.at(end)
        if known is not None and known.panel == "":
            return known
        meets = self._meeting(end)
        if tape is not None and abs(tape[0].down - end.down) <= LEVEL and self.level_at(end.down) is None:
            # The method measures along a level line of its own.
            self.level(Name("level_of", (name.code, *name.of), name.nth), end.down)
        seen = self._start_at(tape[0]) if tape is not None else None
        if tape is not None and seen is not None:
            (source, start), along = seen, self._along(seen[1], end)
            if source in self.uprights and along == Along("grain"):
                # Down a line from the level that it crosses.
                source, along = self.level_at(start.down) or source, Along("line", (source,))
            if along is not None and (source in self.uprights or source in self.slants) and along.code in ROUND_A_POINT:
                along = None
            if along is not None:
                end = _diagonal(start, end) if along.code == "diagonal" else end
                length = spoken(tape[1], distance(start, end))
                self.tape(name, end, start, source, length, along, "point", inside, waits)
                return name
        if known is not None:
            return self._meet(name, (known,), self.seen[known], waits)
        if meets is not None:
            return self._meet(name, *meets, waits)
        if self.level_at(end.down) is None and not self._over(name, end, why, inside, waits):
            self.level(Name("level_of", (name.code, *name.of), name.nth), end.down)
        if name in self.points:
            return name
        level, meets = self.level_at(end.down), self._meeting(end)
        if meets is not None:
            return self._meet(name, *meets, waits)
        source, start = self._nearest(end)
        along = Along("line", (level,)) if level is not None else Along("level")
        self.tape(name, end, start, source, self._sum(distance(start, end), why), along, "point", inside, waits)
        return name

    def levelled(self, point: Point) -> Point:
        """The point, or the one straight over or under it on a level line that a tape could not tell from it."""
        down = min(self.levels.values(), key=lambda level: abs(level - point.down))
        return Point(point.across, down) if abs(down - point.down) <= UNREAD else point

    def _snapped(self, end: Point) -> Point:
        """The point, or what is chalked hardly beside it: a point, else a level line."""
        near = _nearest_of(self.points, end, SNAP)
        if near is not None:
            return near[1]
        down = min(self.levels.values(), key=lambda level: abs(level - end.down))
        return Point(end.across, down) if abs(down - end.down) <= SNAP else end

    def _meeting(self, end: Point) -> tuple[tuple[Name, Name], Point] | None:
        """The two chalked lines that cross there, and where they do."""
        level = self.level_at(end.down)
        if level is None:
            return None
        for name, place in self._on_level(self.levels[level]):
            if (name in self.uprights or name in self.slants) and distance(place, end) <= SAME:
                return (name, level), place
        return None

    def _meet(self, name: Name, lines: tuple[Name, ...], end: Point, waits: str) -> Name:
        """Chalk a point where two lines cross, or at one of the panel that was traced: it needs no tape."""
        self.calls.append(Call(self.panel, self.stage, "meet", name, end, through=lines, waits=waits))
        self.points[name] = end
        return name

    def _over(self, name: Name, end: Point, why: str, inside: bool, waits: str) -> bool:
        """Straight up or down from a point that is near, where there is one over or under it."""
        near = [
            (source, point) for known in (self.points, self.seen) for source, point in known.items()
            if abs(point.across - end.across) <= LEVEL and SAME < abs(point.down - end.down) <= HAND
        ]  # fmt: skip
        if not near:
            return False
        source, start = min(near, key=lambda one: distance(one[1], end))
        straight = Point(end.across, start.down)
        length = self._sum(distance(straight, end), why)
        self.tape(name, end, straight, source, length, Along("grain"), "point", inside, waits)
        return True

    def _nearest(self, end: Point) -> tuple[Name, Point]:
        """Where a tape along the level starts: at a point that is near, else at the line nearest to hand."""
        there = list(self._on_level(end.down))
        points = [one for one in there if one[0] in self.points and distance(one[1], end) <= HAND]
        if points:
            return min(points, key=lambda one: distance(one[1], end))
        lines = [one for one in there if one[0] in self.uprights or one[0] in self.slants]
        return min(lines, key=lambda one: distance(one[1], end))

    def _along(self, start: Point, end: Point) -> Along | None:
        """How a tape between two points is said; None where it cannot be said in one way."""
        run = end.minus(start)
        if abs(run.down) <= LEVEL:
            level = self.level_at(end.down)
            return Along("line", (level,)) if level is not None else Along("level")
        if abs(run.across) <= LEVEL:
            return Along("grain")
        if distance(_diagonal(start, end), end) <= SNAP:
            return Along("diagonal")
        for name, (one, other) in self.slants.items():
            way = unit(other.minus(one))
            if abs(way.cross(start.minus(one))) <= SAME and abs(way.cross(end.minus(one))) <= SAME:
                return Along("line", (name,))
        level = self.level_at(end.down)
        if level is not None and abs(run.across) > abs(run.down):
            return Along("meets", (level,))
        return None

    def _sum(self, size: float, why: str) -> Length:
        """A length with its rule where one is known that is as long, else as it was found."""
        for known in self.sums:
            if abs(known.mm - size) < SAID:
                return known
        return found(size, why)
