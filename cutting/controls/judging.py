"""What readings of control tapes mean: which mark explains them, and what it does to the garment."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
import numpy.typing as npt

from cutting.calls import Call
from cutting.calls.again import chalked_again
from cutting.controls.tape import HONEST, NAMED, NOT_CUT, SHOWS, Tape
from cutting.geometry import distance

Floats = npt.NDArray[np.float64]
AGREES = 2.5 * HONEST
"""What a mark leaves unexplained is no more than this, in mm, where it is the right one: the rest is rounding."""
ALIKE = 2.5
"""Marks explain the readings as well as the best one where what they leave is at most so many times as much."""
TRIED = 8
"""So many of the likeliest marks are chalked again."""


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


def judge(calls: Sequence[tuple[int, Call]], tapes: Sequence[Tape], read: Mapping[int, float]) -> Verdict:
    """What readings mean: `read` has the mm of some tapes, by their place among them."""
    off = np.array([read[k] - tapes[k].mm for k in sorted(read)])
    if all(abs(one) <= tapes[k].honest for one, k in zip(off, sorted(read), strict=True)):
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
