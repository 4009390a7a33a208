"""What no lay can beat."""

from collections.abc import Sequence

from cutting.cloth import Folded
from cutting.lay.variants import Item


def bound(items: Sequence[Item], table: Folded) -> float:
    """No lay takes less cloth: the longest piece, or all surfaces spread over the full width, in mm."""
    longest = max(min(variant.width for variant in item.variants) for item in items)
    return max(longest, sum(item.surface for item in items) / table.surface) * table.times
