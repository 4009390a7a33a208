"""A pattern from outside: what is in its file, what is refused of it, and the files that are made of it."""

from pydantic import BaseModel, Field

from cutting.drawing import path_data
from cutting.errors import CuttingError, Problem
from cutting.files import OUTSIDE, FromOutside
from cutting.geometry import Point, least_box
from cutting.readers import HousePattern, HousePiece, Unit, read_pattern
from shop.bridge.files import PlanFileOut, all_files, file_of
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, words
from shop.errors import ShopError

XY = tuple[float, float]


class RefusedFileError(ShopError):
    """Nothing is made of a file of which a line is refused."""

    code = "pattern"


class HousePieceOut(BaseModel):
    """A piece of a file: how large it is in mm, and its lines as SVG path data in mm of the drawing."""

    name: str
    across_mm: float
    down_mm: float
    d: str
    lines: list[str]
    box: tuple[float, float, float, float] = Field(description="left, top, width, height, mm")


class RefusedLineOut(BaseModel):
    """A line that cannot be taken: why, how it is mended, the line itself, and where it is wrong."""

    name: str
    what: str
    mend: str
    line: list[XY]
    at: XY


class HousePatternOut(BaseModel):
    """What is in a file, and the files that can be made of it. `box` is what is drawn of it: left, top, width, height
    in mm.
    """

    unit: Unit
    pieces: list[HousePieceOut]
    refused: list[RefusedLineOut]
    box: tuple[float, float, float, float] = Field(description="left, top, width, height, mm")
    files: list[PlanFileOut]


def look_into(text: str, unit: Unit | None, house_unit: str) -> HousePatternOut:
    """What is in a file. Raises CoreRefusal where it cannot be read, or its unit is not known."""
    found = _read(text, unit, house_unit)
    points = [p for one in found.pieces for p in one.outline] + [p for one in found.refused for p in one.points]
    left, top, right, low = least_box(points)
    return HousePatternOut(
        unit=found.unit, pieces=[_piece(one) for one in found.pieces],
        refused=[
            RefusedLineOut(
                name=one.name, line=[_xy(p) for p in one.points[:MOST_SHOWN]], at=_xy(one.at),
                **dict(zip(("what", "mend"), words().say_problem(Problem(one.code), as_unit(house_unit)), strict=True)),
            ) for one in found.refused[:MOST_REFUSED]
        ],
        box=(left, top, max(1.0, right - left), max(1.0, low - top)),
        files=[] if found.refused else [one for one in all_files() if one.name in OUTSIDE],
    )  # fmt: skip


MOST_SHOWN, MOST_REFUSED = 1000, 40
"""So many points of a line and so many lines are shown where they are refused."""


def made(text: str, unit: Unit | None, house_unit: str, name: str, head: str) -> tuple[str, bytes] | None:
    """One of the files of OUTSIDE: its type and its bytes; None where it is none of them. Raises as `look_into`, and
    RefusedFileError.
    """
    file = file_of(name) if name in OUTSIDE else None
    if file is None:
        return None
    return file.media, file.made(FromOutside(sound_pattern(text, unit, house_unit), words(), head))


def sound_pattern(text: str, unit: Unit | None, house_unit: str) -> tuple[HousePiece, ...]:
    """The pieces of a file of which nothing is refused. Raises as `look_into`, and RefusedFileError."""
    found = _read(text, unit, house_unit)
    if found.refused:
        raise RefusedFileError("Some lines of this file cannot be cut. Mend them first: they are shown.")
    return found.pieces


def _read(text: str, unit: Unit | None, house_unit: str) -> HousePattern:
    try:
        return read_pattern(text, unit)
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(house_unit)) from None


def _piece(piece: HousePiece) -> HousePieceOut:
    left, top, right, low = least_box(piece.outline)
    cut, *lines = piece.figure.strokes
    return HousePieceOut(
        name=piece.name, across_mm=right - left, down_mm=low - top, d=path_data(cut),
        lines=[path_data(line) for line in lines], box=(left, top, right - left, low - top),
    )  # fmt: skip


def _xy(point: Point) -> XY:
    return round(point.across, 2), round(point.down, 2)
