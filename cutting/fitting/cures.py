"""A cure tried on the client's own draft: what it changes, in numbers and lines, and where this garment can take it."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from fractions import Fraction

from cutting.body import Body, Correction
from cutting.errors import CuttingError, Problem
from cutting.fitting.signs import Cure, Room, Sign
from cutting.garments import Garment
from cutting.lengths import Length, OfCorrection
from cutting.moves import Moved, moved_panel

SEEN = 0.8
"""A number that changes by less, in mm, is not said to."""
NAMED = 5
"""So many numbers are said to change, the most first."""
KEPT = 6.35
"""So many mm of an allowance stay when a seam is let out."""
HEM_KEPT = 25.4
"""So many mm of a hem stay when a leg is let down."""
EIGHTHS = 8
"""Where a cure is refused, so many parts of it are tried, the largest first."""


@dataclass(frozen=True)
class NumberMoved:
    """A number of the plan by its key without the garment's id: as it was and as it would be."""

    key: str
    was: Length
    now: Length


@dataclass(frozen=True)
class Tried:
    """A cure on this draft: the corrections that it is, what they change, or why they cannot be.

    `works` is how much of a refused one can be drafted, as a share; `room` where the sewn garment can still take it and
    `left` how many mm there at most, None where that has no end.
    """

    cure: Cure
    corrections: tuple[Correction, ...]
    numbers: tuple[NumberMoved, ...] = ()
    moved: Moved | None = None
    refused: tuple[Problem, ...] = ()
    works: Fraction = Fraction(1)
    room: Room = ""
    left: float | None = None


Draft = Callable[[Body], Garment]


def corrections_of(
    cure: Cure, kind: str, pinned: Fraction, since: str, share: Fraction = Fraction(1)
) -> tuple[Correction, ...]:
    """A cure as corrections, where so many mm are pinned; a share of it where all of it cannot be."""
    return tuple(Correction(one.choice, OfCorrection(share * one.by(pinned), since), kind) for one in cure.changes)


def tried(sign: Sign, pinned: Fraction, since: str, body: Body, draft: Draft) -> list[Tried]:
    """Every cure of a sign on a draft as it stands. Raises CuttingError where that cannot be made."""
    now = draft(body)
    return [_tried(cure, sign.kind, pinned, since, body, draft, now) for cure in sign.cures]


def _tried(cure: Cure, kind: str, pinned: Fraction, since: str, body: Body, draft: Draft, now: Garment) -> Tried:
    whole = corrections_of(cure, kind, pinned, since)

    def then(corrections: tuple[Correction, ...]) -> Garment:
        return draft(replace(body, corrections=(*body.corrections, *corrections)))

    try:
        made = then(whole)
    except CuttingError as error:
        for k in range(EIGHTHS - 1, 0, -1):
            share = Fraction(k, EIGHTHS)
            try:
                then(corrections_of(cure, kind, pinned, since, share))
            except CuttingError:
                continue
            return Tried(cure, whole, refused=error.problems, works=share)
        return Tried(cure, whole, refused=error.problems, works=Fraction(0))
    room, left = _room(cure, now, whole)
    return Tried(cure, whole, _numbers(now, made), _moved(now, made), room=room, left=left)


def _moved(was: Garment, now: Garment) -> Moved | None:
    """The panel that is moved most, of those that cover the body if one of them is."""
    before, after = ({name: one.panels[name] for name in was.main if name in one.panels} for one in (was, now))
    return moved_panel(before, after) or moved_panel(was.panels, now.panels)


def _numbers(was: Garment, now: Garment) -> tuple[NumberMoved, ...]:
    found = [
        NumberMoved(key, number.net, now.numbers[key].net)
        for key, number in was.numbers.items()
        if not key.startswith("fold.") and key in now.numbers and abs(number.net.mm - now.numbers[key].net.mm) > SEEN
    ]
    return tuple(sorted(found, key=lambda one: -round(abs(one.now.mm - one.was.mm), 3))[:NAMED])


def _room(cure: Cure, garment: Garment, corrections: tuple[Correction, ...]) -> tuple[Room, float | None]:
    """Where a garment that is sewn can take a cure, and how many mm of it: what is taken in needs no allowance."""
    by = corrections[0].by.mm
    if cure.room == "side":
        return "side", None if by < 0 else _out(garment, 4, "front", "side")
    if cure.room == "inner_leg":
        return "inner_leg", None if by < 0 else _out(garment, 1, "front", "inner_leg")
    if cure.room == "hem":
        turned = next(
            (panel.edges["hem"].allowance.mm for panel in garment.panels.values() if "hem" in panel.edges), 0.0
        )
        return "hem", None if by < 0 else max(0.0, turned - HEM_KEPT)
    return cure.room, None


def _out(garment: Garment, layers: int, panel: str, edge: str) -> float:
    """How many mm the seams of an edge can be let out, all layers together."""
    edges = garment.panels[panel].edges if panel in garment.panels else {}
    return layers * max(0.0, edges[edge].allowance.mm - KEPT) if edge in edges else 0.0
