"""The block-by-block lay of today, fixed here so that it means the same every time.

Pieces in the order they are drafted, each thought of as its bounding block, as drawn (not turned), in the first layers
it can be cut through. A block is put beside the last one where the depth left allows it; else it begins where the
longest block so far ends.
"""

from collections.abc import Sequence

from cutting.cloth import Folded
from cutting.lay.placement import Lay, Placement
from cutting.lay.variants import Item

NEAR = 1e-9


def habit(items: Sequence[Item], table: Folded) -> Lay | None:
    """The habit's lay. None where a block is wider than the cloth."""
    start = end = used = 0.0
    placements: list[Placement] = []
    # With the fold across the cloth only the table's beginning is on it: those pieces are laid first.
    for item in sorted(items, key=lambda item: not item.variants[0].first):
        variant = item.variants[0]
        room = variant.room(table)
        if room is None:
            return None
        low, high = room
        if used and max(used, low) > high + NEAR:
            start, used = end, 0.0
            if variant.first:
                return None
        at = max(used, low)
        placements.append(variant.placed(item.piece.id, item.copies, start, at))
        used = at + variant.depth
        end = max(end, start + variant.width)
    return Lay(table, tuple(placements), end)
