"""Pieces on paper: in a row, or in rows on as few pages as are found."""

from collections.abc import Sequence
from dataclasses import replace
from math import ceil

from cutting.drawing.paper import OVERLAP, Pages, Paper, on_pages
from cutting.drawing.sheet import Figure, Sheet
from cutting.geometry import Point, least_box

GAP = 8.0
"""Between two pieces, and between a piece and the edge of the paper, mm."""
MOST = 8
"""Drawings of more different widths are not tried."""


def in_a_row(name: str, figures: Sequence[Figure], gap: float = 20.0) -> Sheet:
    """Side by side, in true size."""
    moved, left = [], gap
    for figure in figures:
        moved.append(figure.moved(left, gap))
        left += figure.width + gap
    return Sheet(name, left, max((one.height for one in figures), default=0.0) + 2 * gap, tuple(moved))


def pattern_pages(figures: Sequence[Figure], paper: Paper) -> Pages:
    """Every piece once, in true size, in rows: on the width of so many pages beside each other that they are fewest."""
    least = max((figure.width for figure in figures), default=0.0) + 2 * GAP
    step, _ = paper.steps
    first = max(1, ceil((least - OVERLAP) / step))
    widths = [columns * step + OVERLAP for columns in range(first, first + (1 if paper.name == "roll" else MOST))]
    tried = (on_pages(_in_rows(figures, width), paper) for width in widths)
    return min(tried, key=lambda one: (len(one.tiles), one.sheet.width))


def _in_rows(figures: Sequence[Figure], width: float) -> Sheet:
    """Tallest first, from left to right, row under row."""
    moved = []
    left, top, deep = GAP, GAP, 0.0
    for figure in sorted(figures, key=lambda one: (-one.height, one.id)):
        if left > GAP and left + figure.width + GAP > width:
            left, top, deep = GAP, top + deep + GAP, 0.0
        moved.append(figure.moved(left, top))
        left += figure.width + GAP
        deep = max(deep, figure.height)
    return Sheet("pattern", width, top + deep + GAP, tuple(moved))


def around(name: str, figures: Sequence[Figure], gap: float = GAP) -> Sheet:
    """A sheet just so large that figures have room on it where they are, and `gap` mm beside them."""
    boxes = [least_box([at for stroke in one.strokes for at in stroke.path.flat(0.1)]) for one in figures]
    left, top = min(box[0] for box in boxes) - gap, min(box[1] for box in boxes) - gap
    right, low = max(box[2] for box in boxes) + gap, max(box[3] for box in boxes) + gap
    moved = tuple(replace(one, at=one.at.plus(Point(-left, -top))) for one in figures)
    return Sheet(name, right - left, low - top, moved)
