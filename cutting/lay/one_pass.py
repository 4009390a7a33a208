"""The careful one-pass fit: largest piece first, each where its far end comes out nearest to the cut end."""

from collections.abc import Sequence

from cutting.lay.placement import Lay
from cutting.lay.table import Table
from cutting.lay.variants import Item


def one_pass(items: Sequence[Item], fold: str, depth: float) -> Lay | None:
    """Largest first, every place and every way tried for each piece. None where a piece is wider than the cloth."""
    return fit(sorted(items, key=lambda item: (-item.area, item.piece.id)), fold, depth)


def fit(order: Sequence[Item], fold: str, depth: float, ways: Sequence[int] | None = None) -> Lay | None:
    """Place the items in this order; `ways` fixes which way each lies (an index, taken round its number of ways)."""
    table = Table(depth)
    for number, item in enumerate(order):
        variants = item.variants if ways is None else (item.variants[ways[number] % len(item.variants)],)
        best: tuple[float, float, int] | None = None
        chosen = None
        for variant in variants:
            reach = table.reach(variant)
            if not len(reach):
                continue
            cell = int((reach + variant.width).argmin())
            score = (round(float(reach[cell]) + variant.width, 6), float(reach[cell]), cell)
            if best is None or score < best:
                best, chosen = score, variant
        if best is None or chosen is None:
            return None
        table.put(item, chosen, best[2], best[1])
    return table.lay(fold)
