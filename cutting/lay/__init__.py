"""Laying the pieces on the folded cloth with the least length.

The cloth's frame: x from the cut end along the selvedge, y from the fold (open cloth: from one selvedge).
"""

from cutting.lay.checker import faults
from cutting.lay.first import Lays, rivals
from cutting.lay.one_pass import one_pass
from cutting.lay.placement import Lay, Placement
from cutting.lay.variants import Item, items_for

__all__ = ["Item", "Lay", "Lays", "Placement", "faults", "items_for", "one_pass", "rivals"]
