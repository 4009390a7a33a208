"""What is proved before the scissors: measured on the outlines, never read from the sums that drew them."""

from collections.abc import Callable
from typing import Any

from cutting.checks.check import Check, findings_of
from cutting.checks.fold import check_fold, worst_fit
from cutting.checks.join import check_joins
from cutting.checks.lower import check_lower
from cutting.checks.sides import check_left
from cutting.checks.top import check_top
from cutting.garments import Garment

__all__ = ["CHECKS", "Check", "check_fold", "check_garment", "check_joins", "findings_of", "worst_fit"]


CHECKS: dict[str, Callable[[Any], list[Check]]] = {
    "lower": check_lower,
    "top": check_top,
    "house": lambda _: [],
    "left": check_left,
}
"""By the kind of garment; one that is not here is not proved, and fails. Of a house pattern nothing is known that its
outlines could be compared with."""


def check_garment(garment: Garment) -> list[Check]:
    """Every check of one garment, in the order of the body. Raises KeyError for a kind that has none."""
    return CHECKS[garment.kind](garment)
