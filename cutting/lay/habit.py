"""The block-by-block lay of today, fixed here so that it means the same every time.

Pieces in the order they are drafted, each thought of as its bounding block, as drawn (not turned). A block is put
beside the last one where the depth left allows it; else it begins where the longest block so far ends.
"""

from collections.abc import Sequence

from cutting.lay.placement import Lay, Placement
from cutting.lay.variants import Item


def habit(items: Sequence[Item], fold: str, depth: float) -> Lay | None:
    """The habit's lay. None where a block is wider than the cloth."""
    start = end = used = 0.0
    placements: list[Placement] = []
    for item in items:
        variant = item.variants[0]
        if variant.depth > depth + 1e-9:
            return None
        fold_taken = variant.on_fold and used > 0
        if used and (fold_taken or used + variant.depth > depth + 1e-9):
            start, used = end, 0.0
        placements.append(
            Placement(
                item.piece.id, item.copies, item.layers, start - variant.origin[0], used - variant.origin[1],
                variant.turned, variant.mirrored,
            )
        )  # fmt: skip
        used += variant.depth
        end = max(end, start + variant.width)
    return Lay(fold, depth, tuple(placements), end)
