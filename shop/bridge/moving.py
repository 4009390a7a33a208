"""What a choice moves on the client's own draft, as small drawings."""

from contextlib import suppress
from typing import Any, Literal, TypeAlias

from pydantic import BaseModel

from cutting.errors import CuttingError
from cutting.geometry import Point
from cutting.lengths import Fixed, inch, on_tape
from cutting.moves import Move, moves
from shop.bridge.designing import Outline, in_hand
from shop.bridge.words import as_unit

Lines: TypeAlias = list[Outline]

MORE = {"in": inch(1), "cm": Fixed(inch(1).size * 200 / 254)}
"""A length is shown so much longer, or shorter where it cannot be: 1 in, or 2 cm."""


class MoveOut(BaseModel):
    """A choice made otherwise: by the rule `rule`, or a length `by_mm` `more` or `less`; `of` is the set it is one of.

    `lines` are the panel's as they would be, `was` as they stand, empty where the panel comes anew; `view` is what
    differs with room round it: left, top, across, down. In mm, in the panel's draft frame.
    """

    key: str
    of: str
    way: Literal["rule", "more", "less"]
    rule: str
    by_mm: float
    panel: str
    lines: Lines
    was: Lines
    view: list[float]


def moved(job: dict[str, Any], garment: str, half: str, choice: str, of: str) -> list[MoveOut]:
    """What a choice would move in a garment, or in a jumpsuit's half; nothing where it is not drafted."""
    made, unit = in_hand(job, garment, half), as_unit(job["unit"])
    with suppress(CuttingError), on_tape(unit):
        found = moves(
            made.body(), made.method, made.style, made.read(), made.cloth, made.joined, choice, of, MORE[unit]
        )  # fmt: skip
        return [_out(one, MORE[unit]) for one in found]
    return []


def _out(move: Move, more: Fixed) -> MoveOut:
    by = 0 if move.way == "rule" else more.mm
    return MoveOut(
        key=move.choice, of=move.of, way=move.way, rule=move.rule, by_mm=by, panel=move.panel,
        lines=_points(move.lines), was=_points(move.was), view=[round(size, 1) for size in move.view],
    )  # fmt: skip


def _points(lines: list[list[Point]]) -> Lines:
    return [[[round(point.across, 1), round(point.down, 1)] for point in line] for line in lines]
