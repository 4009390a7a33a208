"""What is proved before the scissors: measured on the outlines, never read from the sums that drew them."""

from cutting.checks.check import Check, findings_of
from cutting.checks.fold import check_fold
from cutting.checks.garment import check_garment

__all__ = ["Check", "check_fold", "check_garment", "findings_of"]
