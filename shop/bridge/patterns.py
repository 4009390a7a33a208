"""Kept house patterns: what of a file is kept, how it is shown, and as the part of a job that it is."""

import re
from collections.abc import Sequence
from typing import Any, Literal

from pydantic import BaseModel

from cutting.drawing import Stroke, path_data, polyline
from cutting.errors import CuttingError, Problem
from cutting.formats.pattern_v1 import PatternIn, check_amount, read_pattern_ask
from cutting.geometry import Point, least_box
from cutting.readers import HousePiece
from cutting.where import GARMENT
from shop.bridge.outside import sound_pattern
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit
from shop.errors import ShopError

Line = list[list[float]]
FileUnit = Literal["", "mm", "cm", "in", "px"]
"""The unit of a file that says none; else empty."""


class OtherPiecesError(ShopError):
    """What is said of the pieces is not of the pieces that are in the file."""

    code = "other_pieces"


class SaidPiece(BaseModel):
    """What is said of a piece: its name, how often it is cut, and how; turned clockwise so that its grain runs down."""

    name: str
    count: int
    pair: bool
    on_fold: bool
    turned: int = 0


class ShownPiece(BaseModel):
    """A kept piece: what is said of it, how large it is in mm, its lines as SVG path data, upper left at 0, 0."""

    name: str
    count: int
    pair: bool
    on_fold: bool
    across_mm: float
    down_mm: float
    d: str
    lines: list[str]


def pieces_of(text: str, unit: FileUnit, house_unit: str, said: Sequence[SaidPiece]) -> list[dict[str, Any]]:
    """The pieces of a file with what is said of each, as they are kept. Raises CoreRefusal, RefusedFileError,
    OtherPiecesError.
    """
    return _kept([_drawn(piece) for piece in sound_pattern(text, unit or None, house_unit)], house_unit, said)


def said_otherwise(pieces: list[dict[str, Any]], house_unit: str, said: Sequence[SaidPiece]) -> list[dict[str, Any]]:
    """Kept pieces with something else said of them. Raises CoreRefusal, OtherPiecesError."""
    return _kept([{key: piece[key] for key in LINES} for piece in pieces], house_unit, said)


LINES = ("outline_mm", "lines_mm")


def _drawn(piece: HousePiece) -> dict[str, Any]:
    return {"outline_mm": list(map(list, piece.outline)), "lines_mm": [list(map(list, one)) for one in piece.lines]}


def _kept(drawn: list[dict[str, Any]], house_unit: str, said: Sequence[SaidPiece]) -> list[dict[str, Any]]:
    if len(drawn) != len(said):
        raise OtherPiecesError("This is said of other pieces than there are. Read the file once more.")
    keys = _keys([one.name for one in said])
    pieces = [
        {"name": key, "count": one.count, "pair": one.pair, "on_fold": one.on_fold}
        | {
            "outline_mm": _turned(piece["outline_mm"], one.turned),
            "lines_mm": [_turned(line, one.turned) for line in piece["lines_mm"]],
        }
        for key, one, piece in zip(keys, said, drawn, strict=True)
    ]
    _check(pieces, house_unit)
    return pieces


def _turned(line: Line, degrees: int) -> Line:
    for _ in range(degrees // 90 % 4):
        line = [[-down, across] for across, down in line]
    return [[round(across, 3), round(down, 3)] for across, down in line]


def _keys(names: Sequence[str]) -> list[str]:
    """Names in small letters with hyphens, each once."""
    keys: list[str] = []
    for number, name in enumerate(names, 1):
        key = re.sub(r"[\W_]+", "-", name.lower()).strip("-")[:36].strip("-") or f"piece-{number}"
        while key in keys:
            key = f"{key[:33]}-{number}"
        keys.append(key)
    return keys


def _check(pieces: list[dict[str, Any]], house_unit: str) -> None:
    """Raises CoreRefusal where a job with these pieces could not be planned."""
    problems: list[Problem] = []
    raw = PatternIn.model_validate(pattern_part("pattern", pieces), strict=False)
    try:
        check_amount([raw], GARMENT)
        ask = read_pattern_ask(raw, GARMENT, problems)
        if ask is None:
            raise CuttingError(*problems)
        ask.check()
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(house_unit)) from None


def pattern_part(id: str, pieces: list[dict[str, Any]]) -> dict[str, Any]:
    """A pattern as a job has it."""
    return {"id": id, "pieces": pieces}


def shown_pieces(pieces: list[dict[str, Any]]) -> list[ShownPiece]:
    """How kept pieces are shown."""
    return [_shown(piece) for piece in pieces]


def _shown(piece: dict[str, Any]) -> ShownPiece:
    outline = [Point(*one) for one in piece["outline_mm"]]
    left, top, right, low = least_box(outline)

    def path(line: Sequence[Point]) -> str:
        return path_data(Stroke("cut", polyline([Point(one.across - left, one.down - top) for one in line])))

    return ShownPiece(
        name=piece["name"], count=piece["count"], pair=piece["pair"], on_fold=piece["on_fold"],
        across_mm=right - left, down_mm=low - top, d=path([*outline, outline[0]]),
        lines=[path([Point(*one) for one in line]) for line in piece["lines_mm"]],
    )  # fmt: skip
