"""Control tapes of a chalked piece: tapes that no mark was made with, and which mark a wrong reading comes from.

A mark that is off takes with it what was measured from it, so each leaves a trace of its own in the tapes: how much
each reads too long for every mm. They are chosen so that every line, width, corner and dart leaves one: what is on an
edge between its corners, and a notch, is seen by eye. Strips and other small parts where that is not so have none.
How sure a tape is read is common practice, no source: a sixteenth of an inch.
"""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from itertools import combinations

import numpy as np
import numpy.typing as npt

from cutting.calls import Call, Name
from cutting.calls.again import Again, chalked_again
from cutting.geometry import distance

Floats = npt.NDArray[np.float64]
Worth = Callable[[list[int]], float]
FEWEST, MOST = 3, 6
"""So many tapes a piece."""
SHORTEST, LONGEST = 100.0, 1500.0
"""What one tape reaches, in mm: a tape measure is 60 in long."""
PROBE = 12.0
"""By so many mm a mark is moved to see what it does."""
HONEST = 1.6
"""A tape is read to a sixteenth of an inch, in mm."""
AGREES = 2.5 * HONEST
"""A reading that is off by no more has nothing wrong: both ends are chalk lines, and the figure is rounded."""
NOT_CUT = 6.35
"""Off by more than a quarter of an inch it is not cut: CALLS 13."""
SHOWS = 0.6
"""A mark shows in a tape that reads so many mm more or less for each mm it is off: 3/8 in is seen then."""
ENOUGH = 0.6
"""A piece has control tapes where they show at least so many of its marks."""
ALIKE = 2.5
"""Marks explain the readings as well as the best one where what they leave is at most so many times as much."""
NAMED = 3
"""No more marks than these are named."""
TOLD_APART = 0.4
"""Two marks are told apart where the best of one leaves at least so many mm for each mm of the other."""
TRIED = 8
"""So many of the likeliest marks are chalked again."""
LITTLE = 0.1
"""A tape more has to be worth so many marks."""


@dataclass(frozen=True)
class Tape:
    """One control tape, between two chalked points; `mm` what it reads, `slopes` by how much more for each mm that the
    call of that number is off.
    """

    one: Name
    other: Name
    mm: float
    slopes: Mapping[int, float]


@dataclass(frozen=True)
class Suspect:
    """A mark that may be off: the number of its call, by how many mm too long its tape was, and what that does: by how
    many mm each edge comes out longer.
    """

    call: int
    mm: float
    edges: Mapping[str, float]


@dataclass(frozen=True)
class Verdict:
    """Whether all agree, whether it may be cut, which marks explain them, the likeliest first."""

    agrees: bool
    may_cut: bool
    suspects: tuple[Suspect, ...]


def control_tapes(calls: Sequence[tuple[int, Call]]) -> tuple[Tape, ...]:
    """Three to six tapes for a piece, of its numbered calls; none for one that is too small for them."""
    base = chalked_again(calls, {})
    moved = {number: chalked_again(calls, {number: PROBE}) for number, call in calls if _slips(call)}
    shape = [name for _, call in calls for name in (call.through if call.bends else ())]
    shape += [call.name for _, call in calls if call.name.code == "dart_of"]
    marks = [
        number for number, again in moved.items()
        if any(distance(again.points[name], base.points[name]) > PROBE / 4 for name in shape)
    ]  # fmt: skip
    pairs = _pairs(calls, base)
    if not pairs or not marks:
        return ()
    sizes = np.array([distance(base.points[a], base.points[b]) for a, b in pairs])
    trace = np.array([[distance(moved[m].points[a], moved[m].points[b]) for m in marks] for a, b in pairs])
    trace = (trace - sizes[:, None]) / PROBE
    chosen = _chosen(trace)
    if (np.abs(trace[chosen]).max(axis=0) >= SHOWS).mean() < ENOUGH:
        return ()
    return tuple(
        Tape(*pairs[k], float(sizes[k]), {m: round(float(trace[k, n]), 4) for n, m in enumerate(marks) if trace[k, n]})
        for k in chosen
    )


def _slips(call: Call) -> bool:
    """Whether a call is one that others are measured from, or a corner: what is on the edge between is seen by eye."""
    return (
        call.kind in ("line", "point") and call.start is not None and call.stage != "place"
        and call.name.code != "point_of"
    )  # fmt: skip


def _pairs(calls: Sequence[tuple[int, Call]], base: Again) -> list[tuple[Name, Name]]:
    """Pairs of points that a tape can be laid between, none of which was measured from the other."""
    known = [
        call.name for _, call in calls
        if call.name in base.points and call.kind != "notch" and call.name.code != "end_of"
    ]  # fmt: skip
    used = {frozenset((call.name, call.source)) for _, call in calls if call.source is not None}
    return [
        (one, other) for one, other in combinations(dict.fromkeys(known), 2)
        if frozenset((one, other)) not in used
        and SHORTEST <= distance(base.points[one], base.points[other]) <= LONGEST
    ]  # fmt: skip


def _chosen(trace: Floats) -> list[int]:
    """The rows that are worth most together, three to six: set out from those that show most marks, and from those
    that are worth most one by one, each is changed for a better one as long as there is one.
    """
    shows = np.abs(trace) >= SHOWS

    def seen(rows: list[int]) -> float:
        return float(shows[rows].any(axis=0).sum())

    def worth(rows: list[int]) -> float:
        return _worth(trace[rows])

    return max((_bettered(trace, _one_by_one(trace, by)) for by in (seen, worth)), key=worth)


def _one_by_one(trace: Floats, worth: Worth) -> list[int]:
    chosen: list[int] = []
    while len(chosen) < min(MOST, len(trace)):
        best = max((k for k in range(len(trace)) if k not in chosen), key=lambda k: worth([*chosen, k]))
        if len(chosen) >= FEWEST and worth([*chosen, best]) <= worth(chosen) + LITTLE:
            break
        chosen.append(best)
    return chosen


def _bettered(trace: Floats, chosen: list[int]) -> list[int]:
    worth, better = _worth(trace[chosen]), True
    while better:
        better = False
        for place in range(len(chosen)):
            others = [k for n, k in enumerate(chosen) if n != place]
            best = max((k for k in range(len(trace)) if k not in others), key=lambda k: _worth(trace[[*others, k]]))
            if (now := _worth(trace[[*others, best]])) > worth + LITTLE:
                chosen, worth, better = [*others, best], now, True
    return chosen


def _worth(trace: Floats) -> float:
    """How many marks show in some tapes, less for those that would be taken for many others."""
    seen = np.abs(trace).max(axis=0) >= SHOWS
    sizes = np.linalg.norm(trace, axis=0)
    ways = trace / np.maximum(sizes, 1e-9)
    apart = np.sqrt(np.clip(1 - (ways.T @ ways) ** 2, 0, 1)) * sizes[:, None]
    taken_for = (apart < TOLD_APART).sum(axis=1) - 1
    return float(seen.sum() - (0.35 * np.maximum(taken_for - NAMED + 1, 0) + 0.02 * taken_for)[seen].sum())


def judge(calls: Sequence[tuple[int, Call]], tapes: Sequence[Tape], read: Mapping[int, float]) -> Verdict:
    """What readings mean: `read` has the mm of some tapes, by their place among them."""
    off = np.array([read[k] - tapes[k].mm for k in sorted(read)])
    if not len(off) or float(np.abs(off).max()) <= AGREES:
        return Verdict(True, True, ())
    marks = sorted({mark for k in read for mark in tapes[k].slopes})
    fits = sorted(fit for mark in marks if (fit := _fit(tapes, read, off, mark)) is not None)
    exact = sorted(_exactly(calls, tapes, read, mark, mm) for _, mark, mm in fits[:TRIED])
    if exact and exact[0][0] > AGREES:
        exact = sorted([*exact, *(_exactly(calls, tapes, read, mark, mm) for _, mark, mm in fits[TRIED:])])
    best = max(exact[0][0], AGREES / 2) if exact else 0.0
    suspects = [
        Suspect(mark, mm, _longer(calls, mark, mm)) for left, mark, mm in exact[:NAMED]
        if left <= min(ALIKE * best, 2 * AGREES)
    ]  # fmt: skip
    return Verdict(False, float(np.abs(off).max()) <= NOT_CUT, tuple(suspects))


Fit = tuple[float, int, float]
"""What a mark leaves unexplained at most, in mm; its number; by how many mm it is off."""


def _fit(tapes: Sequence[Tape], read: Mapping[int, float], off: Floats, mark: int) -> Fit | None:
    """How well one mark explains what is off, by its slopes; None where it hardly shows in these tapes."""
    slopes = np.array([tapes[k].slopes.get(mark, 0.0) for k in sorted(read)])
    size = float(slopes @ slopes)
    if size < SHOWS**2:
        return None
    mm = float(slopes @ off) / size
    return float(np.abs(off - mm * slopes).max()), mark, mm


def _exactly(
    calls: Sequence[tuple[int, Call]], tapes: Sequence[Tape], read: Mapping[int, float], mark: int, mm: float
) -> Fit:
    """The same by chalking it again: where a mark is off by much, the tapes do not follow in proportion."""
    keys = sorted(read)
    best: Fit = (float("inf"), mark, mm)
    for _ in range(3):
        there, beside = (_reads(calls, tapes, keys, {mark: size}) for size in (mm, mm + 1.0))
        left, slopes = np.array([read[k] for k in keys]) - there, beside - there
        best = min(best, (float(np.abs(left).max()), mark, mm))
        mm += float(slopes @ left) / max(float(slopes @ slopes), 1e-6)
    return best


def _reads(
    calls: Sequence[tuple[int, Call]], tapes: Sequence[Tape], keys: Sequence[int], slips: Mapping[int, float]
) -> Floats:
    """What tapes read where marks are off."""
    points = chalked_again(calls, slips).points
    return np.array([distance(points[tapes[k].one], points[tapes[k].other]) for k in keys])


def _longer(calls: Sequence[tuple[int, Call]], mark: int, mm: float) -> dict[str, float]:
    """By how many mm the chalked edges are longer where a mark is off."""
    was, now = chalked_again(calls, {}), chalked_again(calls, {mark: mm})
    found: dict[str, float] = {}
    for name in now.strokes:
        more = _length(now.edge(name)) - _length(was.edge(name))
        found[name.of[0]] = found.get(name.of[0], 0.0) + more
    return {edge: more for edge, more in found.items() if abs(more) > HONEST}


def _length(points: Sequence[tuple[float, float]]) -> float:
    return float(sum(np.hypot(b[0] - a[0], b[1] - a[1]) for a, b in zip(points, points[1:], strict=False)))
