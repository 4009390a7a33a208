"""The table while pieces are put on it: each slides in from the far end until it touches what is there."""

from dataclasses import dataclass, field
from functools import reduce
from math import ceil

import numpy as np

from cutting.cloth import Folded
from cutting.lay.placement import Lay, Placement
from cutting.lay.variants import CELL, Floats, Item, Variant

GAP = 1e-6
"""Pieces touch; this keeps rounding from making them overlap, in mm."""


@dataclass
class Skyline:
    """For each layer and each cell across the table, how far along it is taken."""

    table: Folded
    taken: dict[int, Floats] = field(init=False)
    placed: list[tuple[Item, Variant, float, float]] = field(default_factory=list)

    def __post_init__(self) -> None:
        cells = ceil(self.table.depth / CELL + 1e-9)
        self.taken = {layer.number: np.zeros(cells) for layer in self.table.layers}

    def reach(self, variant: Variant) -> Floats:
        """For each place across the variant can have: the least place along at which it touches nothing.

        Empty: it is too deep, or what must be at the beginning cannot.
        """
        room = variant.room(self.table)
        if room is None:
            return np.empty(0)
        low, _ = variant.shape.profile
        first = int(room[0] // CELL)
        count = int((room[1] - room[0]) / CELL + 1e-9) + 1
        taken = self._through(variant, room[0])[first:]
        beyond = count - 1 + len(low) - len(taken)
        if beyond > 0:
            taken = np.concatenate([taken, np.full(beyond, taken[-1])])
        # A row for each place, each a cell further; numpy's own sliding view takes longer than all else here.
        windows = np.ndarray((count, len(low)), taken.dtype, taken, strides=taken.strides * 2)
        touch: Floats = np.maximum(0.0, (windows - low).max(axis=1))
        if variant.first:
            touch[touch > 0] = np.inf
            if not np.isfinite(touch).any():
                return np.empty(0)
        return touch

    def _through(self, variant: Variant, least: float) -> Floats:
        """The furthest that any of its layers is taken, cell by cell; where its `least` place across is between cells,
        each counts with the next.
        """
        taken: Floats = reduce(np.maximum, [self.taken[layer] for layer in variant.layers])
        return np.maximum(taken, np.append(taken[1:], taken[-1])) if least % CELL > 1e-6 else taken

    def put(self, item: Item, variant: Variant, cell: int, along: float) -> None:
        """Lay a variant `cell` cells beyond its least place across."""
        room = variant.room(self.table)
        assert room is not None
        at = room[0] + cell * CELL
        _, high = variant.shape.profile
        first = int(at // CELL)
        between = at % CELL > 1e-6
        for layer in variant.layers:
            for shift in range(1 + between):
                part = self.taken[layer][first + shift : first + shift + len(high)]
                np.maximum(part, along + high[: len(part)], out=part)
        self.placed.append((item, variant, at, along))

    def lay(self) -> Lay:
        """The lay on the table, every piece slid to exact touch in the order it was put down."""
        done: list[tuple[Variant, float, float]] = []
        placements: list[Placement] = []
        for item, variant, across, along in self.placed:
            touch = 0.0
            # Nothing is touched beyond its own far end: from the farthest on, most need no exact look.
            for other, oy, ox in sorted(done, key=lambda one: -(one[2] + one[0].width)):
                if ox + other.width <= touch:
                    break
                if set(other.layers) & set(variant.layers):
                    touch = max(touch, _touch(other, oy, ox, variant, across))
            exact = min(along, touch + GAP) if done and touch > 0 else 0.0
            done.append((variant, across, exact))
            placements.append(variant.placed(item.piece.id, item.copies, exact, across))
        reach = max((x + variant.width for variant, _, x in done), default=0.0)
        return Lay(self.table, tuple(placements), reach)


def _touch(left: Variant, left_y: float, left_x: float, right: Variant, right_y: float) -> float:
    """The least x at which `right` is beside `left` without overlap; -inf where they share no y."""
    far, near = left.shape.sides, right.shape.sides
    low, high = max(left_y, right_y), min(left_y + left.depth, right_y + right.depth)
    if high - low <= 1e-9:
        return -np.inf
    ys = np.concatenate([far.at + left_y, near.at + right_y, [low, high]])
    ys = ys[(ys >= low - 1e-12) & (ys <= high + 1e-12)]
    # The outlines jump where an edge runs along the cloth: look a hair to either side of each corner.
    ys = np.clip(np.concatenate([ys - 1e-7, ys + 1e-7]), low + 1e-9, high - 1e-9)
    return left_x + float((far.far_at(ys - left_y) - near.near_at(ys - right_y)).max())
