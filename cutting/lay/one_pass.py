"""The careful one-pass fit: largest piece first, each where its far end comes out nearest to the cut end."""

from collections.abc import Sequence

import numpy as np

from cutting.cloth import Folded
from cutting.lay.placement import Lay
from cutting.lay.skyline import Skyline
from cutting.lay.variants import Item

ALIKE = 6
"""Lengths in mm, and areas, that are the same to so many decimals are the same: a lay is no other one on another
machine, whose last digits differ.
"""


def one_pass(items: Sequence[Item], table: Folded) -> Lay | None:
    """Largest first, every place and every way tried for each piece. None where a piece is wider than the cloth."""
    return fit(sorted(items, key=lambda item: (not item.variants[0].first, -largest(item), item.piece.id)), table)


def largest(item: Item) -> float:
    """What pieces are put in order by: their area, where what only the last digits tell apart is the same."""
    return round(item.area, ALIKE)


def fit(order: Sequence[Item], table: Folded) -> Lay | None:
    """Place the items in this order. None where one is wider than the cloth."""
    skyline = Skyline(table)
    for item in order:
        best: tuple[float, float, int] | None = None
        chosen, along = None, 0.0
        for variant in item.variants:
            reach = skyline.reach(variant)
            if not len(reach):
                continue
            ends = np.round(reach + variant.width, ALIKE)
            cell = int(ends.argmin())
            score = (float(ends[cell]), round(float(reach[cell]), ALIKE), cell)
            if best is None or score < best:
                best, chosen, along = score, variant, float(reach[cell])
        if best is None or chosen is None:
            return None
        skyline.put(item, chosen, best[2], along)
    return skyline.lay()
