"""Lengths of the cloth on the shelf, as the core reads and shows them."""

from cutting.lengths import read, show
from shop.bridge.measuring import is_bare
from shop.bridge.words import as_unit

LEAST_MM = 25
"""What is shorter is not kept."""


def what_is_left(typed: str, used_mm: float, unit: str) -> str | None:
    """A cloth's length after so much was cut off, as a tape shows it: empty where nothing worth keeping is left, None
    where there is not so much.
    """
    left = float(read(typed, as_unit(unit))) - used_mm
    if left < -0.5:
        return None
    return length_text(left, unit) if left >= LEAST_MM else ""


def as_length(typed: str, unit: str) -> str:
    """A length as it was typed, with the unit where that was left out."""
    return f"{typed} {unit}" if is_bare(typed) else typed


def length_text(mm: float, unit: str) -> str:
    """A length with its unit."""
    return show(mm, as_unit(unit)).text
