"""Which tapes are read of a chalked piece.

A mark that is off takes with it what was measured from it, so each leaves a trace of its own in the tapes: how much
each reads too long for every mm. They are chosen so that every line, width, corner and dart leaves one: what is on an
edge between its corners, and a notch, is seen by eye. Strips and other small parts where that is not so have none.
"""

from collections.abc import Callable, Sequence
from itertools import combinations

import numpy as np
import numpy.typing as npt

from cutting.calls import Call, Name
from cutting.calls.again import Again, chalked_again
from cutting.controls.tape import FEWEST, LONGEST, MOST, NAMED, SHORTEST, SHOWS, Tape
from cutting.geometry import distance

Floats = npt.NDArray[np.float64]
Worth = Callable[[list[int]], float]
PROBE = 12.0
"""By so many mm a mark is moved to see what it does."""
ENOUGH = 0.6
"""A piece has control tapes where they show at least so many of its marks."""
TOLD_APART = 0.4
"""Two marks are told apart where the best of one leaves at least so many mm for each mm of the other."""
LITTLE = 0.1
"""A tape more has to be worth so many marks."""


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
    if len(chosen) < FEWEST or (np.abs(trace[chosen]).max(axis=0) >= SHOWS).mean() < ENOUGH:
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
