"""The calls in the order of the table, and where each is on the cloth."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal

from cutting.cloth import Folded
from cutting.drafting import Step
from cutting.garments import Garment
from cutting.geometry import Point
from cutting.lay import Laid, Placement
from cutting.lengths import found
from cutting.pieces import Tape


@dataclass(frozen=True)
class Mark:
    """One call at the table: the step, its tape in the draft frame, and on the cloth where there is a lay.

    `placing` is the number of the placement it is chalked on, from 0; `from_code` the place its tape starts from.
    """

    garment: str
    step: Step
    tape: Tape
    on_cloth: tuple[tuple[float, float], tuple[float, float]] | None
    placing: int | None = None
    from_code: str = ""


@dataclass(frozen=True)
class Place:
    """Where a piece is: the number of the placement on the whole cloth, the section and its fold."""

    number: int
    section: int
    placement: Placement
    table: Folded


def place_marks(
    garments: tuple[Garment, ...], laid: Laid, cut_from: Literal["main", "other"] = "main"
) -> tuple[Mark, ...]:
    """Every call on one cloth in the order of the table: section by section, in each garment by garment; each panel
    starts from where its lines are in the lay.

    On open cloth a pair is there twice: the second is traced from the first, turned over, along lines of its own.
    """
    places: dict[str, list[Place]] = {}
    for number, (section, placement) in enumerate(laid.placements()):
        place = Place(number, section, placement, laid.sections[section].table)
        places.setdefault(placement.piece, []).append(place)
    for there in places.values():
        there.sort(key=lambda place: (place.placement.mirrored, place.number))
    marks: list[tuple[int, Mark]] = []
    for garment in garments:
        for name, tapes, there in _panels(garment, places):
            if garment.cut_from(name) == cut_from:
                section = there[0].section if there else 0
                marks += [(section, mark) for mark in _calls(garment, tapes, there)]
    return _from_before([mark for _, mark in sorted(marks, key=lambda pair: pair[0])])


MOVED_ON = {
    "crotch_tip", "centre_slant", "centre_base", "own_slant", "own_crotch_point", "front_out", "back_out", "bag_middle",
    "shoulder_out",
}  # fmt: skip
"""Marks that another tape goes on from: where it is called next they are the point just marked."""


def _from_before(marks: list[Mark]) -> tuple[Mark, ...]:
    """Each call with where its tape starts: a place by its code, or the point just marked."""
    done: list[Mark] = []
    before: Mark | None = None
    for mark in marks:
        code = mark.step.from_code
        same = before is not None and (before.garment, before.step.panel) == (mark.garment, mark.step.panel)
        just = same and before is not None and before.step.code == code and code in MOVED_ON
        done.append(replace(mark, from_code="just_marked" if just else code))
        before = mark
    return tuple(done)


Tapes = list[tuple[Step, Tape]]


def _panels(garment: Garment, places: dict[str, list[Place]]) -> Iterator[tuple[str, Tapes, list[Place]]]:
    """Each panel with its tapes, as it is drawn there: on folded cloth what can be laid on the fold is a half."""
    drawn: dict[bool, Tapes] = {False: garment.tapes()}
    for name in dict.fromkeys(step.panel for step, _ in drawn[False]):
        there = places.get(f"{garment.id}.{name}", [])
        folded = bool(there) and there[0].table.fold != "open"
        if folded not in drawn:
            drawn[folded] = garment.tapes(on_fold=folded)
        yield name, [pair for pair in drawn[folded] if pair[0].panel == name], there


def _calls(garment: Garment, tapes: Tapes, places: list[Place]) -> list[Mark]:
    """A panel's calls, with their places on the cloth where it is laid."""
    if not places:
        return [Mark(garment.id, step, tape, None) for step, tape in tapes]
    first = places[0]
    folded = first.table.fold != "open"
    marks = _anchors(garment, *tapes[0], first)
    for step, tape in tapes:
        shift = _fold_shift(garment, step, folded)
        on_cloth = (first.placement.point(tape.start.plus(shift)), first.placement.point(tape.end.plus(shift)))
        marks.append(Mark(garment.id, step, tape, on_cloth, first.number))
    for place in places[1:]:
        marks += _anchors(garment, *tapes[0], place, twin=True)
    return marks


def _fold_shift(garment: Garment, step: Step, folded: bool) -> Point:
    """A part that is on the fold is drawn as its half: across is counted from its middle."""
    part = garment.part(step.panel)
    return Point(-part.fold, 0) if part is not None and part.fold is not None and folded else Point(0, 0)


def _anchors(garment: Garment, first: Step, tape: Tape, place: Place, twin: bool = False) -> list[Mark]:
    """Where the panel's guide line and top line are on the cloth: from the fold and from the cut end."""
    placement, folded, crosswise = place.placement, place.table.fold != "open", place.table.crosswise
    top, corner = garment.anchor(first.panel, tape)
    on_guide = folded and garment.guide_on_fold(first.panel)
    x, y = placement.point(corner.plus(_fold_shift(garment, first, folded)))
    t, m = (-1 if placement.turned else 1), (-1 if placement.mirrored else 1)
    edge = "fold" if folded else "selvedge"
    # Where the fold runs across the cloth, away from it is along the selvedge, and along it from one selvedge.
    ways = ("along_cloth", "across_cloth") if crosswise else ("across_cloth", "along_cloth")
    lines = [
        ("guide", y, ways[0], edge, (x, 0.0), Point(t * m * y, 0)),
        (top, x, ways[1], "selvedge" if crosswise else "cut_end", (0.0, y), Point(0, t * x)),
    ]
    marks = []
    for code, size, along, datum, start, away in lines:
        if on_guide and code == "guide":
            continue  # the fold itself is its guide
        back = corner.plus(away, -1)
        length = found(size, "lay_place")
        called = garment.guide_words(first.panel, folded, twin) + code
        step = Step(first.panel, "place", called, back, corner, length, datum, along)
        marks.append(Mark(garment.id, step, Tape(back, corner, length), (start, (x, y)), place.number))
    return marks
