"""A piece chalked again by its calls, with tapes that were read wrong: where everything comes to be then.

What is chalked from a mark that is off is off with it, as on the table. What another panel's chalk gives stays.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from math import hypot, sqrt

from cutting.calls.call import GUIDE, TOP, Call, Name
from cutting.calls.curve import drawn
from cutting.geometry import Point, Polyline, distance, unit

Line = tuple[Point, Point]
"""A point of a line, and its direction."""
FOLDS = "fold", "near_fold", "far_fold"
SQUARE = Point(1.0, 0.0), Point(0.0, 1.0)


@dataclass
class Again:
    """What is chalked: points and lines by their names. `slips` are mm too much by the number of the call.

    Edges are drawn when they are asked for; `strokes` are what they go through, and which stretches are curved.
    """

    slips: Mapping[int, float]
    points: dict[Name, Point] = field(default_factory=dict)
    lines: dict[Name, Line] = field(default_factory=dict)
    strokes: dict[Name, tuple[list[Point], tuple[bool, ...]]] = field(default_factory=dict)

    def edge(self, name: Name) -> list[Point]:
        """An edge as a polyline; empty where it is not chalked."""
        return drawn(*self.strokes[name]) if name in self.strokes else []

    def chalk(self, number: int, call: Call) -> None:
        """Do one call. Nothing is measured from a notch, but from one of a dart."""
        if call.kind in ("write", "slit") or call.name.code == "notch_on":
            return
        if call.kind in ("join", "curve"):
            self._stroke(call)
        elif call.kind == "meet":
            self._meet(call)
        elif call.start is None or call.stage == "place":
            self._place(call)
        else:
            self._tape(call, self.slips.get(number, 0.0))

    def _place(self, call: Call) -> None:
        """One of the two first lines of a piece: it is where the lay has it. A piece without a guide line of its own is
        on a fold, which crosses its level line there.
        """
        upright = call.name.code.endswith("guide")
        known = GUIDE if upright else Name("hip_line", panel="front") if call.name.code == "hip_place" else TOP
        self.lines[known] = (call.end, SQUARE[1] if upright else SQUARE[0])
        self.lines |= {Name(fold): (call.end, SQUARE[1]) for fold in FOLDS}

    def _stroke(self, call: Call) -> None:
        points = [self.points.get(name) for name in call.through]
        known = [point for point in points if point is not None]
        if len(known) != len(points) or len(known) < 2:
            return
        if call.bends:
            self.strokes[call.name] = (known, call.bends)
        else:
            self.lines[call.name] = (known[-1], unit(known[-1].minus(known[0])))

    def _meet(self, call: Call) -> None:
        lines = [self.lines[name] for name in call.through if name in self.lines]
        met = _crossing(*lines) if len(lines) == 2 else None
        other = call.through[0]
        self.points[call.name] = met or self.points.get(other, call.end)

    def _tape(self, call: Call, slip: float) -> None:
        assert call.start is not None
        assert call.along is not None
        size = distance(call.start, call.end) + slip if call.along.code != "edge" else 0.0
        if call.along.code == "edge":
            start, end = self._walked(call, slip)
        elif call.along.code in ("half", "quarter"):
            start, end = self._square(call, size)
        elif call.along.code == "meets":
            start = self._start(call)
            end = self._swung(call, start, size)
        else:
            start = self._start(call)
            end = start.plus(self._way(call), size)
            line = self._along(call) if call.along.code == "line" else None
            if line is not None:
                # What is measured along a line is marked on it.
                end = _foot(end, line)
        if call.kind != "line":
            self.points[call.name] = end
            return
        run = call.end.minus(call.start)
        self.lines[call.name] = (end, SQUARE[abs(run.across) > abs(run.down)])

    def _start(self, call: Call) -> Point:
        """Where the tape starts now: at its point, or where its line crosses the one that the tape is along."""
        assert call.source is not None
        assert call.start is not None
        assert call.along is not None
        if call.source in self.points:
            return self.points[call.source]
        along = self._along(call)
        if call.source in self.lines and along is not None:
            return _crossing(self.lines[call.source], along) or call.start
        return call.start

    def _along(self, call: Call) -> Line | None:
        """The line that a tape runs along, where it is one."""
        assert call.along is not None
        assert call.start is not None
        if call.along.code == "line":
            return self.lines.get(call.along.of[0])
        square = {"level": SQUARE[0], "grain": SQUARE[1]}.get(call.along.code)
        return None if square is None else (call.start, square)

    def _way(self, call: Call) -> Point:
        """The direction of a tape, to the side it had."""
        assert call.start is not None
        run, along = unit(call.end.minus(call.start)), self._along(call)
        if along is None:
            return run
        way = along[1]
        return way if way.dot(run) > 0 else Point(-way.across, -way.down)

    def _square(self, call: Call, size: float) -> Line:
        """Square to the straight line between two points, halfway or a quarter of the way."""
        assert call.along is not None
        assert call.start is not None
        a, b = (self.points.get(name) for name in call.along.of)
        if a is None or b is None:
            return call.start, call.end
        foot = a.towards(b, 0.5 if call.along.code == "half" else 0.25)
        way, run = unit(b.minus(a)).left, call.end.minus(call.start)
        return foot, foot.plus(way, size if way.dot(run) > 0 else -size)

    def _swung(self, call: Call, start: Point, size: float) -> Point:
        """So far from the start on the line that the tape is swung to."""
        assert call.along is not None
        line = self.lines.get(call.along.of[0])
        if line is None:
            return call.end
        way, foot = line[1], _foot(start, line)
        reach = sqrt(max(0.0, size**2 - distance(start, foot) ** 2))
        ends = foot.plus(way, reach), foot.plus(way, -reach)
        return min(ends, key=lambda end: distance(end, call.end))

    def _walked(self, call: Call, slip: float) -> Line:
        """So far along a chalked edge."""
        assert call.along is not None
        assert call.start is not None
        edge, first = self.edge(call.along.of[0]), self.points.get(call.source) if call.source else None
        if not edge or first is None or call.length is None:
            return call.start, call.end
        line = Polyline(edge)
        at, size = line.place(first)[0], call.length.mm + slip
        ends = [line.at(min(max(at + way * size, 0.0), line.length))[0] for way in (1, -1)]
        run = call.end.minus(call.start)
        return first, max(ends, key=lambda end: end.minus(first).dot(run))


def chalked_again(calls: Sequence[tuple[int, Call]], slips: Mapping[int, float]) -> Again:
    """The numbered calls of a piece, each with its place in the draft frame, done one after the other. `slips`: by how
    many mm the tape of a call was read too long.
    """
    made = Again(slips)
    for number, call in calls:
        made.chalk(number, call)
    return made


def _foot(point: Point, line: Line) -> Point:
    """The place of a line that is nearest to a point."""
    at, way = line
    return at.plus(way, point.minus(at).dot(way))


def _crossing(one: Line, other: Line) -> Point | None:
    (p, u), (q, v) = one, other
    slope = u.cross(v)
    if abs(slope) < 1e-6 * hypot(u.across, u.down):
        return None
    return p.plus(u, q.minus(p).cross(v) / slope)
