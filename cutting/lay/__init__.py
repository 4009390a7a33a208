"""Laying the pieces on the folded cloth with the least length.

The cloth's frame: x from the cut end along the selvedge, y from the fold (open cloth: from one selvedge). With a fold
across the cloth: x along the fold from one selvedge, y from the fold.
"""

from cutting.lay.bound import Bound, BoundStep, plain_bound
from cutting.lay.checker import faults
from cutting.lay.first import BestLay, first_lay
from cutting.lay.laid import Laid
from cutting.lay.offcuts import Offcut, offcuts
from cutting.lay.one_pass import one_pass
from cutting.lay.pins import pinned
from cutting.lay.placement import Lay, Placement, is_under
from cutting.lay.section import Section
from cutting.lay.variants import Item, Known, items_for

__all__ = [
    "BestLay",
    "Bound",
    "BoundStep",
    "Item",
    "Known",
    "Laid",
    "Lay",
    "Offcut",
    "Placement",
    "Section",
    "faults",
    "first_lay",
    "is_under",
    "items_for",
    "offcuts",
    "one_pass",
    "pinned",
    "plain_bound",
]
