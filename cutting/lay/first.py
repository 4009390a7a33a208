"""The first lay, computed with the draft, and what it is held against.

It is the best of the habit, the one-pass fit and fold pieces first.
"""

from collections.abc import Sequence
from dataclasses import dataclass

from cutting.cloth import Folded
from cutting.errors import refuse
from cutting.lay.checker import faults
from cutting.lay.habit import habit
from cutting.lay.one_pass import fit, one_pass
from cutting.lay.placement import Lay
from cutting.lay.score import bound, utilisation
from cutting.lay.variants import Item


@dataclass(frozen=True)
class Lays:
    """The lay to use, and beside it the figures that show what it is worth, in mm; None where there is none."""

    lay: Lay
    bound: float
    habit: float | None
    one_pass: float | None
    utilisation: float


def rivals(items: Sequence[Item], table: Folded, one_way: bool) -> Lays | None:
    """The best first lay on this fold, checked exactly. None where a piece is wider than the fold."""
    one, block = one_pass(items, table), habit(items, table)
    # Pieces on the fold have only one place across: laid first, others find room beside them.
    order = sorted(items, key=lambda item: (not item.variants[0].first, not item.on_fold, -item.area))
    fold_first = fit(order, table) if any(item.on_fold for item in items) else None
    valid = [lay for lay in (one, block, fold_first) if lay is not None]
    if not valid:
        return None
    best = min(valid, key=lambda lay: lay.length)
    pieces = list({item.piece.id: item.piece for item in items}.values())
    wrong = faults(best, pieces, one_way)
    if wrong:
        raise refuse("lay.invalid", "lay", faults=", ".join(fault.code for fault in wrong))
    return Lays(
        best, bound(items, table), block.length if block else None, one.length if one else None,
        utilisation(items, table, best.reach),
    )  # fmt: skip
