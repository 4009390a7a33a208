"""The careful one-pass fit: largest piece first, each where its far end comes out nearest to the cut end."""

from collections.abc import Sequence

from cutting.cloth import Folded
from cutting.lay.placement import Lay
from cutting.lay.skyline import Skyline
from cutting.lay.variants import Item


def one_pass(items: Sequence[Item], table: Folded) -> Lay | None:
    """Largest first, every place and every way tried for each piece. None where a piece is wider than the cloth."""
    return fit(sorted(items, key=lambda item: (not item.variants[0].first, -item.area, item.piece.id)), table)


def fit(order: Sequence[Item], table: Folded) -> Lay | None:
    """Place the items in this order. None where one is wider than the cloth."""
    skyline = Skyline(table)
    for item in order:
        best: tuple[float, float, int] | None = None
        chosen = None
        for variant in item.variants:
            reach = skyline.reach(variant)
            if not len(reach):
                continue
            cell = int((reach + variant.width).argmin())
            score = (round(float(reach[cell]) + variant.width, 6), float(reach[cell]), cell)
            if best is None or score < best:
                best, chosen = score, variant
        if best is None or chosen is None:
            return None
        skyline.put(item, chosen, best[2], best[1])
    return skyline.lay()
