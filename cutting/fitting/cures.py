"""A cure tried on the client's own draft: what it changes, in numbers and lines, and where this garment can take it."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from fractions import Fraction

from cutting.body import Body, Correction, Side
from cutting.errors import CuttingError, Problem
from cutting.fitting.signs import Cure, Room, Sign, layers_of
from cutting.garments import Garment, spare
from cutting.lengths import Length, OfCorrection, Rule, named, total
from cutting.moves import Moved, moved_panel

SEEN = 0.8
"""A number that changes by less, in mm, is not said to."""
NAMED = 5
"""So many numbers are said to change, the most first."""
HEM_KEPT = Rule(1, "kept")
"""So much of a hem stays when a leg is let down."""
ALONG: Mapping[Room, tuple[tuple[str, str], ...]] = {
    "side": (("front", "side"),), "inner_leg": (("front", "inner_leg"), ("leg", "inner_leg")),
}  # fmt: skip
"""The edges whose allowance a cure is let out of: of the first of them that there is."""
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
    `left` how much there at most, None where that has no end.
    """

    cure: Cure
    corrections: tuple[Correction, ...]
    numbers: tuple[NumberMoved, ...] = ()
    moved: Moved | None = None
    refused: tuple[Problem, ...] = ()
    works: Fraction = Fraction(1)
    room: Room = ""
    left: Length | None = None


Draft = Callable[[Body], Garment]


def corrections_of(
    cure: Cure, kind: str, pinned: Fraction, since: str, share: Fraction = Fraction(1), side: Side = "both"
) -> tuple[Correction, ...]:
    """A cure as corrections, where so many mm are pinned; a share of it where all of it cannot be."""
    return tuple(
        Correction(one.choice, OfCorrection(share * one.amount(pinned).size, since), kind, side=side)
        for one in cure.changes
    )


def tried(sign: Sign, pinned: Fraction, since: str, body: Body, draft: Draft, side: Side = "both") -> list[Tried]:
    """Every cure of a sign on a draft as it stands, of one side on that side's. Raises CuttingError where that cannot
    be made.
    """
    body = replace(body, side="left" if side == "left" else "right")
    now = draft(body)
    return [_tried(cure, sign.kind, pinned, since, side, body, draft, now) for cure in sign.cures]


def _tried(
    cure: Cure, kind: str, pinned: Fraction, since: str, side: Side, body: Body, draft: Draft, now: Garment
) -> Tried:
    whole = corrections_of(cure, kind, pinned, since, side=side)

    def then(corrections: tuple[Correction, ...]) -> Garment:
        return draft(replace(body, corrections=(*body.corrections, *corrections)))

    try:
        made = then(whole)
    except CuttingError as error:
        for k in range(EIGHTHS - 1, 0, -1):
            share = Fraction(k, EIGHTHS)
            try:
                then(corrections_of(cure, kind, pinned, since, share, side))
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


def _room(cure: Cure, garment: Garment, corrections: tuple[Correction, ...]) -> tuple[Room, Length | None]:
    """Where a garment that is sewn can take a cure, and how much of it: what is taken in needs no allowance."""
    if corrections[0].by.mm < 0:
        return cure.room, None
    if cure.room in ALONG:
        each, layers = spare(garment, *ALONG[cure.room]), layers_of(cure)
        return ("", None) if each is None else (cure.room, each * layers if layers > 1 else each)
    if cure.room == "hem":
        hems = (panel.edges["hem"].allowance for panel in garment.panels.values() if "hem" in panel.edges)
        turned = next(hems, None)
        return ("", None) if turned is None else ("hem", total(named(turned, "hem"), -HEM_KEPT.now))
    return cure.room, None
