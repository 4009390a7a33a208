"""Control tapes of a kept plan, in words: which to read on a piece that is chalked, and what the readings mean."""

from collections.abc import Mapping

from pydantic import BaseModel

from cutting.calls import Call, Name
from cutting.controls import Tape, control_tapes, judge
from cutting.formats.keep import Kept
from cutting.formats.plan_v1 import call_from
from cutting.lengths import Unit
from cutting.words import Language

XY = tuple[float, float]


class TapeOut(BaseModel):
    """One control tape: from where to where, what it is to read; its ends on the cloth, where there is a lay."""

    n: int
    from_: str
    to: str
    mm: float
    cloth_mm: tuple[XY, XY] | None


class SuspectOut(BaseModel):
    """A mark that may be off: the number of its call, and in words by how much and what that does."""

    call: int
    says: str


class VerdictOut(BaseModel):
    """What readings mean: whether they agree, whether the piece may be cut; the likeliest marks first."""

    agrees: bool
    may_cut: bool
    suspects: list[SuspectOut]


Numbered = list[tuple[int, Call]]


def calls_of_piece(kept: Kept, garment: str, panel: str) -> Numbered:
    """The calls of a piece with their numbers, and their places in the draft frame; without those of its twin."""
    return [
        (number, call_from(mark)) for number, mark in enumerate(kept["marks"], 1)
        if (mark["garment"], mark["panel"]) == (garment, panel) and not mark["name"][0].startswith("second_")
    ]  # fmt: skip


def tapes_of(calls: Numbered, panel: str, kept: Kept, words: Language) -> tuple[list[Tape], list[TapeOut]]:
    """The control tapes of a piece, and the same in words."""
    tapes = list(control_tapes(calls))
    ends = {call.name: kept["marks"][number - 1]["cloth_mm"] for number, call in calls}

    def place(name: Name) -> XY | None:
        there = ends.get(name)
        return None if there is None else (there[1][0], there[1][1])

    said: list[TapeOut] = []
    for n, tape in enumerate(tapes):
        one, other = place(tape.one), place(tape.other)
        said.append(TapeOut(
            n=n, from_=words.chalk_name(panel, tape.one), to=words.chalk_name(panel, tape.other),
            mm=tape.mm, cloth_mm=(one, other) if one and other else None,
        ))  # fmt: skip
    return tapes, said


def verdict_of(
    calls: Numbered, tapes: list[Tape], read: Mapping[int, float], words: Language, unit: Unit
) -> VerdictOut:
    """What readings mean, by their place among the tapes, in mm."""
    found = judge(calls, tapes, read)
    known = dict(calls)
    return VerdictOut(
        agrees=found.agrees, may_cut=found.may_cut,
        suspects=[
            SuspectOut(
                call=one.call, says=words.say_suspect(words.call_words(known[one.call]).name, one.mm, one.edges, unit)
            )
            for one in found.suspects
        ],
    )  # fmt: skip
