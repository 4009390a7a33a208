"""What is proved before the scissors: measured on the outlines, never read from the sums that drew them."""

from cutting.checks.check import Check, findings_of
from cutting.checks.fold import check_fold, worst_fit
from cutting.checks.join import check_joins
from cutting.checks.lower import check_lower
from cutting.checks.top import check_top
from cutting.garments import Garment, Lower, Top

__all__ = ["Check", "check_fold", "check_garment", "check_joins", "findings_of", "worst_fit"]


def check_garment(garment: Garment) -> list[Check]:
    """Every check of one garment, in the order of the body."""
    if isinstance(garment, Lower):
        return check_lower(garment)
    return check_top(garment) if isinstance(garment, Top) else []
