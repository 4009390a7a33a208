"""Finding the number that makes two things agree."""

from collections.abc import Callable


def bisect(miss: Callable[[float], float], low: float, high: float, steps: int = 60) -> float | None:
    """Where `miss` is zero between `low` and `high`; None where it does not change its sign there."""
    at_low, at_high = miss(low), miss(high)
    if at_low == 0:
        return low
    if at_high == 0:
        return high
    if (at_low > 0) == (at_high > 0):
        return None
    for _ in range(steps):
        # A secant step where it falls well inside, else halve: quick and never lost.
        middle = low - at_low * (high - low) / (at_high - at_low)
        margin = 0.05 * (high - low)
        if not low + margin < middle < high - margin:
            middle = (low + high) / 2
        at = miss(middle)
        if abs(at) < 1e-9 or high - low < 1e-10:
            return middle
        if (at > 0) == (at_low > 0):
            low, at_low = middle, at
        else:
            high, at_high = middle, at
    return (low + high) / 2
