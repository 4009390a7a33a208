"""How good a lay is: the length nothing can beat, and how much of the cloth is used."""

from collections.abc import Sequence

from cutting.cloth import Folded
from cutting.lay.variants import Item


def bound(items: Sequence[Item], table: Folded) -> float:
    """No lay takes less cloth: the longest piece, or all surfaces spread over the full width, in mm."""
    longest = max(min(variant.width for variant in item.variants) for item in items)
    return max(longest, sum(item.surface for item in items) / table.surface) * table.times


def utilisation(items: Sequence[Item], table: Folded, reach: float) -> float:
    """The share of the cloth, in all its layers, that the pieces cover, 0 to 1."""
    return sum(item.surface for item in items) / (table.surface * reach) if reach else 0.0
