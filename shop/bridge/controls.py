"""Control tapes of a plan that is chalked, read and judged."""

from collections.abc import Mapping
from typing import Any, TypeAlias

from cutting.controls import NOT_CUT, Tape
from cutting.formats.controls_v1 import TapeOut, VerdictOut, calls_of_piece, tapes_of, verdict_of
from shop.bridge.words import as_unit, words

TapeShape: TypeAlias = TapeOut
VerdictShape: TypeAlias = VerdictOut
ControlTape: TypeAlias = Tape
NOT_CUT_MM = NOT_CUT


def tapes(plan: dict[str, Any], garment: str, panel: str) -> tuple[list[ControlTape], list[TapeShape]]:
    """The control tapes of a piece: as data, and in words. None where the piece is too small or there is none such."""
    return tapes_of(calls_of_piece(plan, garment, panel), panel, plan, words())


def verdict(
    plan: dict[str, Any], garment: str, panel: str, made: list[ControlTape], read: Mapping[int, float], unit: str
) -> VerdictShape:
    """What the readings of a piece mean, in mm by the number of the tape."""
    return verdict_of(calls_of_piece(plan, garment, panel), made, read, words(), as_unit(unit))
