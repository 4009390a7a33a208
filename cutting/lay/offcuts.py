"""What is left over: the largest rectangles of cloth that no piece touches, within the length that is bought."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from cutting.geometry import Point, as_rows
from cutting.lay.placement import Lay
from cutting.lay.variants import CELL, Shape
from cutting.pieces import Piece

STEP = 20.0
"""Sizes are whole steps of so many mm, and never too large."""
LEAST = 160.0
"""A strip narrower than this, in mm, is rags."""
MOST = 3


@dataclass(frozen=True)
class Offcut:
    """A rectangle on the table, in the cloth's frame, in mm; it is free in so many layers."""

    x: float
    y: float
    along: float
    across: float
    layers: int


def offcuts(lay: Lay, pieces: Sequence[Piece]) -> tuple[Offcut, ...]:
    """The largest free rectangles, largest first; none overlaps another, each is free in all the layers there."""
    cuts = {piece.id: piece.cut for piece in pieces}
    taken = _taken(lay, cuts)
    found: list[Offcut] = []
    while len(found) < MOST:
        row, column, rows, columns = _largest(taken)
        if min(rows, columns) * STEP < LEAST:
            break
        taken[row : row + rows, column : column + columns] = True
        along, across = column * STEP, row * STEP
        layers = sum(
            layer.start <= across + 1e-6 and layer.end >= across + rows * STEP - 1e-6 for layer in lay.table.layers
        )
        x, y = (across, along) if lay.table.crosswise else (along, across)
        wide, deep = (rows, columns) if lay.table.crosswise else (columns, rows)
        found.append(Offcut(x, y, wide * STEP, deep * STEP, max(1, layers)))
    return tuple(found)


def _taken(lay: Lay, cuts: dict[str, tuple[Point, ...]]) -> np.ndarray:
    """Rows across, columns along: which steps any piece touches, or a layer's edge runs through."""
    table = lay.table
    rows, columns = int(table.depth / STEP), int(lay.reach / STEP)
    taken = np.zeros((rows, columns), dtype=bool)
    for layer in table.layers:
        for edge in (layer.start, layer.end):
            if 0 < edge < table.depth:
                taken[int(edge / STEP) : int(edge / STEP) + (edge % STEP > 0), :] = True
    for placement in lay.placements:
        raw = as_rows(placement.outline(cuts[placement.piece]))
        raw = raw[:, ::-1] if table.crosswise else raw
        least = raw.min(axis=0)
        low, high = Shape(raw - least, (0.0, 0.0)).profile
        start, deep = least[1], np.ptp(raw[:, 1])
        left, right = ((least[0] + low) / STEP).astype(int), ((least[0] + high) / STEP).astype(int)
        ends = np.arange(len(low) + 1) * CELL
        rows_of = (
            ((start + end) / STEP).astype(int).tolist() for end in (ends[:-1], np.minimum(ends[1:], deep) - 1e-9)
        )
        for first, last, here, there in zip(*rows_of, left.tolist(), right.tolist(), strict=True):
            taken[first : last + 1, here : there + 1] = True
    return taken


def _largest(taken: np.ndarray) -> tuple[int, int, int, int]:
    """The free rectangle of the greatest area: row, column, rows, columns; zeros where all is taken."""
    best, found = 0, (0, 0, 0, 0)
    high = np.zeros(taken.shape[1] + 1, dtype=int)
    for row in range(taken.shape[0]):
        high[:-1] = np.where(taken[row], 0, high[:-1] + 1)
        open_: list[tuple[int, int]] = []  # where a rectangle began, and how high it is
        for column, height in enumerate(high.tolist()):
            start = column
            while open_ and open_[-1][1] >= height:
                start, tall = open_.pop()
                if tall * (column - start) > best:
                    best, found = tall * (column - start), (row - tall + 1, start, tall, column - start)
            if height:
                open_.append((start, height))
    return found
