"""Lengths with their sums as plain data, and back: how a stored plan keeps them.

`["m", key, size]` a measurement, `["f", size, label]` a fixed amount, `["d", mm, label]` a length found on the draft,
`["c", size, since]` what a correction of that day adds,
`["x", factor, length]` a share or a multiple, `["+", length, ...]` a sum. Exact sizes in mm are texts such as `5207/5`.
"""

from fractions import Fraction
from functools import lru_cache
from typing import Any

from cutting.lengths import Corrected, Fixed, Found, Length, Measured, OfCorrection, Scaled, Sum

Tree = list[Any]


def to_tree(length: Length) -> Tree:
    """A length as plain data."""
    if isinstance(length, Corrected):
        return to_tree(length.parts)
    if isinstance(length, OfCorrection):
        return ["c", str(length.size), length.since]
    if isinstance(length, Measured):
        return ["m", length.key, str(length.size)]
    if isinstance(length, Fixed):
        return ["f", str(length.size), length.label]
    if isinstance(length, Found):
        return ["d", float(length.size), length.label]
    if isinstance(length, Scaled):
        return ["x", str(length.factor), to_tree(length.of)]
    if isinstance(length, Sum):
        return ["+", *map(to_tree, length.terms)]
    raise TypeError(type(length).__name__)


@lru_cache(maxsize=4096)
def _exact(text: str) -> Fraction:
    return Fraction(text)


def from_tree(tree: Tree) -> Length:
    """The length that was kept. Raises ValueError for data that is none."""
    match tree:
        case ["+", *terms]:
            return Sum(tuple(from_tree(term) for term in terms))
        case ["f", str(size), str(label)]:
            return Fixed(_exact(size), label)
        case ["m", str(key), str(size)]:
            return Measured(key, _exact(size))
        case ["x", str(factor), list(of)]:
            return Scaled(from_tree(of), _exact(factor))
        case ["d", float(mm) | int(mm), str(label)]:
            return Found(float(mm), label)
        case ["c", str(size), str(since)]:
            return OfCorrection(_exact(size), since)
    raise ValueError(f"this is no length: {tree!r:.80}")


def keep_params(params: dict[str, Any]) -> dict[str, Any]:
    """What a finding carries, its lengths as trees under `sum`."""
    return {key: {"sum": to_tree(value)} if isinstance(value, Length) else value for key, value in params.items()}


def read_params(kept: dict[str, Any]) -> dict[str, Any]:
    """The same with its lengths again."""
    return {key: from_tree(value["sum"]) if isinstance(value, dict) else value for key, value in kept.items()}
