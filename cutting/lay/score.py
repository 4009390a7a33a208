"""How good a lay is: the length nothing can beat, and how much of the cloth is used."""

from collections.abc import Sequence

from cutting.lay.variants import Item


def bound(items: Sequence[Item], depth: float) -> float:
    """No lay is shorter: the longest piece, or all areas spread over the full depth, in mm."""
    longest = max(min(variant.width for variant in item.variants) for item in items)
    return max(longest, sum(item.area for item in items) / depth)


def utilisation(items: Sequence[Item], depth: float, length: float) -> float:
    """The share of one layer's surface that the pieces cover, 0 to 1."""
    return sum(item.area for item in items) / (depth * length) if length else 0.0
