"""What a garment requires whose left side differs: each side is sound, and what is sewn across the middle agrees."""

from dataclasses import replace

from cutting.checks.check import Check
from cutting.checks.lower import check_lower
from cutting.checks.shared import GIRTH
from cutting.garments import LeftSide

MEETS = 1.6
"""Two seams that are sewn together differ by no more than 1/16 in."""


def check_left(garment: LeftSide) -> list[Check]:
    """Those checks of the left side as a garment of its own that come to something else than the right's, and where the
    right is sewn to it.
    """
    left, right, where = garment.whole, garment.right, garment.where
    known = [_measured(one) for one in check_lower(right)]
    own = [one for one in check_lower(left) if _measured(one) not in known]
    checks = [replace(one, where=replace(one.where, garment=garment.id)) for one in own]
    for name in left.main:
        for edge in ("crotch", "back_crotch"):
            if edge in left.panels[name].edges:
                one, other = (each.panels[name].edges[edge].path.length for each in (left, right))
                checks.append(Check("sides.centre", where / name / edge, one, other, MEETS, abs(one - other) <= MEETS))
    one, other = left.waist_sewn / 2, right.waist_sewn / 2
    checks.append(Check("sides.waist", where / "waist", one, other, GIRTH, abs(one - other) <= GIRTH))
    return checks


def _measured(check: Check) -> tuple[object, ...]:
    """What was compared where, to a tenth of a mm."""
    return check.code, check.where.path, round(check.left, 1), round(check.right, 1), check.ok
