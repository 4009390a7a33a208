"""The ways each piece may lie: turned, mirrored, through which layers, and its profile across the cloth."""

from dataclasses import dataclass
from functools import cached_property
from math import ceil

import numpy as np
import numpy.typing as npt

from cutting.pieces import Piece

CELL = 4.0
"""The step across the cloth at which places are tried, in mm."""
Floats = npt.NDArray[np.float64]


@dataclass(frozen=True)
class Variant:
    """One way a piece may lie: `polygon` is its cut outline (x, y) with its least x and y at 0."""

    turned: bool
    mirrored: bool
    polygon: Floats
    origin: tuple[float, float]
    on_fold: bool

    @cached_property
    def width(self) -> float:
        """Along the cloth, mm."""
        return float(self.polygon[:, 0].max())

    @cached_property
    def depth(self) -> float:
        """Across the cloth, mm."""
        return float(self.polygon[:, 1].max())

    @cached_property
    def profile(self) -> tuple[Floats, Floats]:
        """For each cell across: the least and the greatest x of the outline there."""
        cells = max(1, ceil(self.depth / CELL - 1e-9))
        bounds = np.arange(cells + 1) * CELL
        start, end = self.polygon, np.roll(self.polygon, -1, axis=0)
        (x1, y1), (x2, y2) = start.T[:, :, None], end.T[:, :, None]
        # Between two bounds every edge is straight: its extremes are its corners and where it crosses the bounds.
        across = (np.minimum(y1, y2) <= bounds) & (bounds <= np.maximum(y1, y2)) & (y1 != y2)
        with np.errstate(divide="ignore", invalid="ignore"):
            xs = x1 + (bounds - y1) / (y2 - y1) * (x2 - x1)
        least = np.where(across, xs, np.inf).min(axis=0)
        most = np.where(across, xs, -np.inf).max(axis=0)
        low, high = np.minimum(least[:-1], least[1:]), np.maximum(most[:-1], most[1:])
        cell = np.minimum((start[:, 1] / CELL).astype(int), cells - 1)
        np.minimum.at(low, cell, start[:, 0])
        np.maximum.at(high, cell, start[:, 0])
        return low, high


@dataclass(frozen=True)
class Item:
    """Something to place once: a piece, how many it yields, the layers it goes through, the ways it may lie."""

    piece: Piece
    copies: int
    layers: tuple[int, ...]
    variants: tuple[Variant, ...]

    @cached_property
    def area(self) -> float:
        """Square mm of cloth surface it covers in one layer."""
        x, y = self.variants[0].polygon[:, 0], self.variants[0].polygon[:, 1]
        return float(abs(np.dot(x, np.roll(y, -1)) - np.dot(y, np.roll(x, -1))) / 2)


def _variant(piece: Piece, turned: bool, mirrored: bool, on_fold: bool) -> Variant:
    t, m = (-1 if turned else 1), (-1 if mirrored else 1)
    raw = np.array([(t * p.down, t * m * p.across) for p in piece.cut])
    least = raw.min(axis=0)
    return Variant(turned, mirrored, raw - least, (float(least[0]), float(least[1])), on_fold)


def items_for(pieces: list[Piece], fold: str, one_way: bool) -> list[Item]:
    """What is to be placed on cloth folded so; with one-way cloth nothing is turned.

    Folded: two of a kind are placed once and cut through both layers, and may be flipped, since left and right only
    change layers; one alone is cut through the upper layer. Open: left and right are placed by themselves, the right
    one mirrored.
    """
    turns = [False] if one_way else [False, True]
    items: list[Item] = []
    for piece in pieces:
        if fold == "lengthwise-centre":
            if piece.folds is not None:
                ways = tuple(_variant(piece, turned, turned, True) for turned in turns)
                items += [Item(piece, 1, (1, 2), ways)] * piece.count
                continue
            ways = tuple(_variant(piece, turned, mirrored, False) for turned in turns for mirrored in (False, True))
            items += [Item(piece, 2, (1, 2), ways)] * (piece.count // 2)
            items += [Item(piece, 1, (1,), ways)] * (piece.count % 2)
            continue
        for number in range(piece.count):
            mirrored = piece.pair and number % 2 == 1
            ways = tuple(_variant(piece, turned, mirrored, False) for turned in turns)
            items.append(Item(piece, 1, (1,), ways))
    return items
