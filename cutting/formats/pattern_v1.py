"""House patterns of a job file: pieces as they were drawn, in mm, with how often and how each is cut."""

import re
from collections.abc import Sequence
from decimal import Decimal

from pydantic import Field

from cutting.errors import CuttingError, Problem
from cutting.formats.values_v1 import Strict
from cutting.garments import HouseDrawing
from cutting.geometry import Point, least_box
from cutting.job import HouseAsk
from cutting.where import Where

Number = int | Decimal
MOST_PIECES, MOST_AREA, MOST_IN_ALL, MOST_CUT = 40, 20, 8000, 20
"""Pieces of all patterns of an outfit and the m2 of the boxes of one, points that all have, how often a piece is
cut: more would take longer to plan than somebody waits.
"""
LEAST, LONGEST = 10.0, 5000.0
"""No piece is smaller or larger, in mm."""
NAME = re.compile(r"[^\W_A-Z]+(?:-[^\W_A-Z]+)*")
"""Letters of any script and figures, in small letters, with hyphens between words."""


class HousePieceIn(Strict):
    name: str = Field(max_length=40)
    outline_mm: list[list[Number]]
    lines_mm: list[list[list[Number]]] = Field(default_factory=list)
    count: int = 1
    pair: bool = False
    on_fold: bool = False


class PatternIn(Strict):
    id: str
    pieces: list[HousePieceIn]


def check_amount(patterns: Sequence[PatternIn], where: Where) -> None:
    """Raises CuttingError where an outfit has patterns of more pieces or points than can be planned while one waits, or
    one without a piece.
    """
    pieces = [piece for pattern in patterns for piece in pattern.pieces]
    points = sum(len(one.outline_mm) + sum(map(len, one.lines_mm)) for one in pieces)
    if len(pieces) > MOST_PIECES or not all(pattern.pieces for pattern in patterns):
        raise CuttingError(Problem("pattern.pieces", where / "patterns", {"most": MOST_PIECES, "area": MOST_AREA}))
    if points > MOST_IN_ALL:
        raise CuttingError(Problem("pattern.drawn", where / "patterns", {"most": MOST_IN_ALL}))


def read_pattern_ask(raw: PatternIn, where: Where, problems: list[Problem]) -> HouseAsk | None:
    """A pattern's pieces; None where they cannot be read, with the reasons added to `problems`."""
    before = len(problems)
    drawings, seen = list[HouseDrawing](), set[str]()
    for piece in raw.pieces:
        at = where / "pieces" / piece.name[:40]
        if not NAME.fullmatch(piece.name) or piece.name in seen:
            problems.append(Problem("job.id", at, {"word": piece.name[:40]}))
        seen.add(piece.name)
        try:
            drawings.append(_drawing(piece))
        except CuttingError as error:
            problems += [Problem(one.code, at, one.params) for one in error.problems]
    boxes = [least_box(one.outline) for one in drawings]
    if sum((right - left) * (low - top) for left, top, right, low in boxes) > MOST_AREA * 1e6:
        problems.append(Problem("pattern.pieces", where / "pieces", {"most": MOST_PIECES, "area": MOST_AREA}))
    return None if len(problems) > before else HouseAsk(raw.id, tuple(drawings))


def _drawing(piece: HousePieceIn) -> HouseDrawing:
    if not 1 <= piece.count <= MOST_CUT:
        raise CuttingError(Problem("pattern.often", params={"most": MOST_CUT}))
    if piece.pair and (piece.count % 2 or piece.on_fold):
        raise CuttingError(Problem("pattern.pair"))
    outline = _points(piece.outline_mm, 3)
    left, top, right, low = least_box(outline)
    if min(right - left, low - top) < LEAST:
        raise CuttingError(Problem("pattern.tiny"))
    if max(right - left, low - top) > LONGEST:
        raise CuttingError(Problem("pattern.long"))
    lines = tuple(_points(line, 2) for line in piece.lines_mm)
    return HouseDrawing(piece.name, outline, lines, piece.count, piece.pair, piece.on_fold)


def _points(raw: Sequence[Sequence[Number]], least: int) -> tuple[Point, ...]:
    """Raises CuttingError for what are no two numbers within reach, and where there are too few points."""
    points = tuple(Point(*map(float, one)) for one in raw if len(one) == 2)
    if len(points) < max(least, len(raw)) or any(max(abs(p.across), abs(p.down)) > 2 * LONGEST for p in points):
        raise CuttingError(Problem("pattern.numbers"))
    return points
