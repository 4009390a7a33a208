"""The first lay, made with the draft, and what it is compared with.

It is the best of the habit, the one-pass fit and fold pieces first.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace

from cutting.cloth import Folded
from cutting.errors import refuse
from cutting.lay.bound import Bound, plain_bound
from cutting.lay.checker import faults
from cutting.lay.habit import habit
from cutting.lay.one_pass import ALIKE, fit, largest, one_pass
from cutting.lay.placement import Lay
from cutting.lay.variants import Item
from cutting.where import LAY


@dataclass(frozen=True)
class BestLay:
    """The lay in use, and what it is compared with, in mm: the bound, the habit, one pass; None where one has none."""

    lay: Lay
    bound: Bound
    habit: float | None
    one_pass: float | None


def first_lay(
    items: Sequence[Item], table: Folded, one_way: bool, outfits: Sequence[Sequence[Item]] = ()
) -> BestLay | None:
    """The best first lay on this fold, checked exactly. None where a piece is wider than the fold.

    Where the items are those of several `outfits`, it is no longer than they are one after the other.
    """
    one, block, *more = _tried(items, table)
    valid = [lay for lay in (one, block, *more, _end_to_end(outfits, table)) if lay is not None]
    if not valid:
        return None
    best = min(valid, key=lambda lay: round(lay.length, ALIKE))
    pieces = list({item.piece.id: item.piece for item in items}.values())
    wrong = faults(best, pieces, one_way)
    if wrong:
        raise refuse("lay.invalid", LAY, faults=[fault.code for fault in wrong])
    return BestLay(best, plain_bound(items, table), block.length if block else None, one.length if one else None)


def _tried(items: Sequence[Item], table: Folded) -> tuple[Lay | None, Lay | None, Lay | None]:
    """One pass, the habit, fold pieces first."""
    return one_pass(items, table), habit(items, table), _fold_first(items, table)


def _fold_first(items: Sequence[Item], table: Folded) -> Lay | None:
    """Pieces on the fold have only one place across: laid first, others find room beside them."""
    order = sorted(items, key=lambda item: (not item.variants[0].first, not item.on_fold, -largest(item)))
    return fit(order, table) if any(item.on_fold for item in items) else None


def _end_to_end(outfits: Sequence[Sequence[Item]], table: Folded) -> Lay | None:
    """Each outfit laid by itself, and all of them one after the other along the table."""
    if len(outfits) < 2 or any(item.variants[0].first for items in outfits for item in items):
        return None
    reach, placements = 0.0, []
    for items in outfits:
        tried = [lay for lay in _tried(items, table) if lay is not None]
        if not tried:
            return None
        best = min(tried, key=lambda lay: round(lay.reach, ALIKE))
        axis = "y" if table.crosswise else "x"
        placements += [replace(one, **{axis: getattr(one, axis) + reach}) for one in best.placements]
        reach += best.reach
    return Lay(table, tuple(placements), reach)
