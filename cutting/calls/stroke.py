"""How an edge is chalked by hand: through which of its points, which stretches straight and which curved."""

from collections.abc import Sequence
from dataclasses import dataclass, field

from cutting.calls.board import Board
from cutting.calls.call import Along, Name, Way
from cutting.calls.curve import drawn, through
from cutting.geometry import Point, Polyline, crossings, furthest, off_straight, unit
from cutting.lengths import found

STRAIGHT, NEAR = 1.6, 1.6
"""A stretch no further from the straight line is chalked straight; a curve goes no further from the cut line. In mm."""
MOST = 14
"""No more points than these are called on one edge."""
SHALLOW, WORTH = 1.6, 1.4
"""Nearer to the straight line than a sixteenth of an inch a curve is called by another point; a quarter of the way is
called in place of halfway where it is so many times as far from it.
"""


@dataclass(frozen=True)
class Shown:
    """A point of an edge that is chalked: how far along the edge it is, in mm, and its name."""

    size: float
    name: Name
    point: Point


Run = tuple[list[Shown], bool]
"""Points beside each other, and whether a curve goes through them or a straight line."""


@dataclass
class Stroke:
    """An edge, or a line `inside`, while it is found out how it is chalked."""

    board: Board
    edge: str
    nth: int
    way: Polyline
    inside: bool = False
    known: dict[tuple[Name, Name], bool] = field(default_factory=dict)

    def chalked(self, shown: list[Shown]) -> tuple[list[Shown], list[Point], list[bool]]:
        """Call points until straight lines and curves through them are near the edge, then chalk those; as a polyline,
        and which stretches are curved.
        """
        number = 0
        while True:
            worst = self._worst(shown)
            if worst is None or number == MOST:
                break
            number += 1
            name = Name("point_of", (self.edge, *(str(self.nth),) * bool(self.nth)), number)
            more = self._more(name, shown[worst], shown[worst + 1])
            if more.name != name:
                break  # nothing nearer than what is chalked already
            shown = sorted([*shown, more], key=lambda one: one.size)
        shown, bends = self._needed(shown)
        names = [one.name for one in shown]
        name = Name("line_of", (self.edge,)) if self.inside else Name("edge_of", (self.edge,), self.nth)
        self.board.draw("curve" if any(bends) else "join", name, names, shown[-1].point, self.inside, bends)
        return shown, drawn([one.point for one in shown], bends), bends

    def _needed(self, shown: list[Shown]) -> tuple[list[Shown], list[bool]]:
        """Without points that one straight line goes through all the same; and which stretches are curved."""
        kept, bends = [shown[0]], list[bool]()
        for run, curved in self._runs(shown):
            kept += run[1:] if curved else run[-1:]
            bends += [curved] * (len(run) - 1 if curved else 1)
        return kept, bends

    def _runs(self, shown: list[Shown]) -> list[Run]:
        """The stretches between points, those that are straight and those that are one curve together."""
        runs: list[Run] = []
        for one, other in zip(shown, shown[1:], strict=False):
            curved = self._bends(one, other)
            if runs and runs[-1][1] == curved and (curved or not self._bends(runs[-1][0][0], other)):
                runs[-1][0].append(other)
            else:
                runs.append(([one, other], curved))
        return runs

    def _bends(self, one: Shown, other: Shown) -> bool:
        """Whether a straight line between two points would leave the edge."""
        key = one.name, other.name
        if key not in self.known:
            # Its two ends are on the edge, so that what is between them says how far they are apart.
            self.known[key] = off_straight(self.way.part(one.size, other.size), one.point, other.point) > STRAIGHT
        return self.known[key]

    def _worst(self, shown: list[Shown]) -> int | None:
        """The stretch where a curve by hand would leave the edge furthest; None where all are near."""
        worst, where = NEAR, None
        before = 0
        runs = self._runs(shown)
        for number, (run, curved) in enumerate(runs):
            if curved:
                first = _way(runs[number - 1]) if number else None
                last = _way(runs[number + 1]) if number + 1 < len(runs) else None
                curve = through([one.point for one in run], 8, first, last)
                each = (len(curve) - 1) // (len(run) - 1)
                for k, (one, other) in enumerate(zip(run, run[1:], strict=False)):
                    away = furthest(self.way.part(one.size, other.size), curve[k * each : (k + 1) * each + 1])
                    if away > worst:
                        worst, where = away, before + k
            before += len(run) - 1
        return where

    def _more(self, name: Name, one: Shown, other: Shown) -> Shown:
        """One more point on a stretch: at the middle of the straight line between its ends, square to that."""
        part = self.way.part(one.size, other.size)
        best: tuple[float, Point, Along] | None = None
        ways: list[tuple[Way, Shown, Shown, float]] = [
            ("half", one, other, 0.5), ("quarter", one, other, 0.25), ("quarter", other, one, 0.25),
        ]  # fmt: skip
        for code, a, b, share in ways:
            foot, way = a.point.towards(b.point, share), unit(b.point.minus(a.point))
            hits = crossings(part, foot, way.left)
            by = min((hit.at for hit in hits), key=abs, default=0.0)
            if abs(by) >= SHALLOW and (best is None or abs(by) > WORTH * abs(best[0])):
                best = by, foot, Along(code, (a.name, b.name))
        if best is not None:
            by, foot, along = best
            end = foot.plus(unit(other.point.minus(one.point)).left, by if along.of[0] == one.name else -by)
            self.board.tape(name, end, foot, along.of[0], found(abs(by), "curve"), along, inside=self.inside)
        else:
            name = self.board.reach(name, self._furthest(part, one, other), "curve", inside=self.inside)
            end = self.board.points[name]
        return Shown(self.way.place(end)[0], name, end)

    def _furthest(self, part: Sequence[Point], one: Shown, other: Shown) -> Point:
        """The place of a stretch that is furthest from the straight line between its ends."""
        way = unit(other.point.minus(one.point))
        points = part[1:-1] or [self.way.at((one.size + other.size) / 2)[0]]
        return max(points, key=lambda at: abs(way.cross(at.minus(one.point))))


def _way(run: Run) -> Point | None:
    """The direction of a run, where it is straight."""
    shown, curved = run
    return None if curved else unit(shown[-1].point.minus(shown[0].point))
