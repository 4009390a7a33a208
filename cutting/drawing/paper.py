"""Paper: its sizes, and a drawing in true size cut up into pages of it that are stuck together again."""

from dataclasses import dataclass
from itertools import product
from math import ceil
from typing import Literal

import numpy as np
from shapely import box, intersects, prepare
from shapely.geometry import Polygon

from cutting.drawing.of_piece import polyline
from cutting.drawing.sheet import Figure, Sheet, Stroke, Text
from cutting.geometry import Point

PaperName = Literal["A4", "Letter", "A3", "A0", "roll"]
MARGIN = 10.0
"""What a printer leaves white at each edge of a page, mm."""
OVERLAP = 10.0
"""What two pages beside each other both show, mm."""
NAME = 5.0
"""How high a page's name is on the map where there is room, mm."""
MARK = 4.0
"""Half the width of a matching mark, mm."""
LONGEST = 5000.0
"""A longer page no program reads, mm: the format ends at 5,080 (200 in)."""


@dataclass(frozen=True)
class Paper:
    """A page upright, in mm; a roll is as long as is wanted."""

    name: PaperName
    width: float
    height: float

    @property
    def across(self) -> float:
        """What of its width can be printed on."""
        return self.width - 2 * MARGIN

    @property
    def down(self) -> float:
        """What of its height can be printed on."""
        return self.height - 2 * MARGIN

    @property
    def steps(self) -> tuple[float, float]:
        """From one page to the next, across and down."""
        return self.across - OVERLAP, self.down - OVERLAP


PAPERS: dict[PaperName, Paper] = {
    "A4": Paper("A4", 210.0, 297.0),
    "Letter": Paper("Letter", 215.9, 279.4),
    "A3": Paper("A3", 297.0, 420.0),
    "A0": Paper("A0", 841.0, 1189.0),
    "roll": Paper("roll", 914.4, LONGEST),
}
"""A roll is 36 in wide: common practice, no source."""


@dataclass(frozen=True)
class Tile:
    """One page of a drawing: its row and column, counted from 0, and where its corner is on the drawing, in mm."""

    row: int
    column: int
    across: float
    down: float

    @property
    def name(self) -> str:
        """Such as B3: the row by a letter, the column by a number."""
        letters, row = "", self.row
        while row >= 0:
            letters, row = chr(65 + row % 26) + letters, row // 26 - 1
        return f"{letters}{self.column + 1}"


@dataclass(frozen=True)
class Pages:
    """A drawing on pages of paper: row by row those on which something is."""

    sheet: Sheet
    paper: Paper
    tiles: tuple[Tile, ...]

    @property
    def whole(self) -> bool:
        """Whether it is on one page."""
        return len(self.tiles) == 1

    @property
    def count(self) -> int:
        """How many pages are printed: where there are several, their map too."""
        return len(self.tiles) + (not self.whole)


def on_pages(sheet: Sheet, paper: Paper) -> Pages:
    """A drawing cut up into pages."""
    step_across, step_down = paper.steps
    columns = max(1, ceil((sheet.width - OVERLAP) / step_across - 1e-9))
    rows = max(1, ceil((sheet.height - OVERLAP) / step_down - 1e-9))
    found = [
        Tile(row, column, column * step_across, row * step_down) for row, column in product(range(rows), range(columns))
    ]
    windows = box(*np.array([[t.across, t.down, t.across + paper.across, t.down + paper.down] for t in found]).T)
    shown = np.zeros(len(found), dtype=bool)
    for figure in sheet.figures:
        shape = _covered(figure)
        prepare(shape)
        shown |= intersects(shape, windows)
    return Pages(sheet, paper, tuple(tile for tile, there in zip(found, shown, strict=True) if there))


def matching(pages: Pages) -> tuple[Figure, ...]:
    """On every strip that two pages both show a diamond, at the same place of the drawing on each."""
    paper, there = pages.paper, {(one.row, one.column) for one in pages.tiles}
    across, down = paper.steps
    made = []
    for one in pages.tiles:
        middle = Point(one.across + paper.across / 2, one.down + paper.down / 2)
        if (one.row, one.column + 1) in there:
            made.append(_diamond(Point(one.across + across + OVERLAP / 2, middle.down)))
        if (one.row + 1, one.column) in there:
            made.append(_diamond(Point(middle.across, one.down + down + OVERLAP / 2)))
    return (Figure("matching", tuple(made)),) if made else ()


def page_map(pages: Pages, width: float, height: float) -> Sheet:
    """The outlines of a drawing and the frames of its pages, each with its name, as large as they fit."""
    sheet, paper, shown = pages.sheet, pages.paper, pages.tiles
    across = max(one.across for one in shown) + paper.across
    down = max(one.down for one in shown) + (paper.down if paper.name != "roll" else sheet.height)
    frames, names = [], []
    letters = min(NAME, 0.45 * paper.across * min(width / across, height / down))
    for one in shown:
        right, low = one.across + paper.across, min(one.down + paper.down, down)
        corners = [(one.across, one.down), (right, one.down), (right, low), (one.across, low), (one.across, one.down)]
        frames.append(Stroke("frame", polyline([Point(*corner) for corner in corners]), closed=True))
        middle = Point((one.across + right) / 2, (one.down + low) / 2)
        names.append(Text(one.name, middle, letters, middle=True, always=True))
    named = Figure("pages", tuple(frames), () if pages.whole else tuple(names))
    return Sheet("map", across, down, (*sheet.figures, named)).small(width, height)


def _covered(figure: Figure) -> Polygon:
    """What a figure takes of the drawing."""
    return Polygon(np.array(figure.outline) + figure.at)


def _diamond(at: Point) -> Stroke:
    corners = [(0, -1), (1, 0), (0, 1), (-1, 0), (0, -1)]
    return Stroke("frame", polyline([at.plus(Point(x, y), MARK) for x, y in corners]), closed=True)
