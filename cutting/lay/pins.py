"""Pieces that stay where they are, while the rest is laid anew."""

from collections.abc import Collection
from dataclasses import replace

from cutting.errors import refuse
from cutting.lay.bound import Bound, BoundStep, best_of
from cutting.lay.section import Section
from cutting.lay.variants import Item
from cutting.where import LAY


def pinned(section: Section, numbers: Collection[int]) -> Section:
    """The section with the placements of these numbers fixed where they are; nothing in it may end before they do.

    Raises CuttingError where there is no such placement.
    """
    if section.best is None or any(not 0 <= number < len(section.best.lay.placements) for number in numbers):
        raise refuse("lay.pin", LAY)
    items = list(section.items)
    bounds = [section.best.bound]
    for number in sorted(set(numbers)):
        placement = section.best.lay.placements[number]
        at, variant = next(
            (at, variant) for at, item in enumerate(items) if item.piece.id == placement.piece
            for variant in item.variants if variant.pin is None and variant.is_of(placement)
        )  # fmt: skip
        corner = variant.corner(placement)
        fixed = replace(variant, pin=corner)
        items[at] = Item(items[at].piece, items[at].copies, (fixed,))
        end = BoundStep("pinned", corner[0] + fixed.width, placement.piece)
        bounds.append(Bound((end,), section.table.times))
    return replace(section, items=tuple(items), best=replace(section.best, bound=best_of(bounds)))
