"""Finding the number that makes two things agree."""

from collections.abc import Callable

AGREES, NEAR = 1e-9, 1e-10
"""So little a miss is none; so near to each other are two numbers the same."""


def zero_between(miss: Callable[[float], float], low: float, high: float, steps: int = 60) -> float | None:
    """Where `miss` is zero between `low` and `high`; None where it does not change its sign there.

    By Chandrupatla's method: a curve through the last three places where those are in order, else half. Source: T. R.
    Chandrupatla, A new hybrid quadratic/bisection algorithm, Advances in Engineering Software 28 (1997), from memory.
    """
    new, other, before = high, low, high
    at_other, at_new = miss(low), miss(high)
    at_before = at_new
    if at_other == 0:
        return low
    if at_new == 0:
        return high
    if (at_other > 0) == (at_new > 0):
        return None
    share = 0.5
    for _ in range(steps):
        tried = new + share * (other - new)
        at = miss(tried)
        if (at > 0) == (at_new > 0):
            before, at_before = new, at_new
        else:
            before, other, at_before, at_other = other, new, at_other, at_new
        new, at_new = tried, at
        if abs(at_new) < AGREES or abs(other - new) < NEAR:
            break
        share = _share(new, other, before, at_new, at_other, at_before)
    return new if abs(at_new) <= abs(at_other) else other


def _share(a: float, b: float, c: float, at_a: float, at_b: float, at_c: float) -> float:
    """How far it is from the newest place `a` towards `b`, beyond the zero, to the next one; `c` is one of before."""
    place, height = (a - b) / (c - b), (at_a - at_b) / (at_c - at_b)
    if height * height >= place or (1 - height) * (1 - height) >= 1 - place:
        return 0.5
    by_curve = at_a / (at_b - at_a) * at_c / (at_b - at_c)
    by_curve += (c - a) / (b - a) * at_a / (at_c - at_a) * at_b / (at_c - at_b)
    least = NEAR / 2 / abs(b - a)
    return min(1 - least, max(least, by_curve))
