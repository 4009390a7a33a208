"""The smaller and the larger of lengths, with the sum they came from."""

from cutting.lengths import Length


def least(*among: Length) -> Length:
    """The smallest, with the sum it alone came from."""
    return min(among, key=lambda one: one.value)


def most(*among: Length) -> Length:
    """The largest, with the sum it alone came from."""
    return max(among, key=lambda one: one.value)
