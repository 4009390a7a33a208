"""The table while pieces are put on it: each slides in from the far end until it touches what lies there."""

from dataclasses import dataclass, field

import numpy as np

from cutting.lay.placement import Lay, Placement
from cutting.lay.variants import CELL, Floats, Item, Variant

GAP = 1e-6
"""Pieces touch; this keeps rounding from making them overlap, in mm."""


@dataclass
class Table:
    """The skyline: for each cell across the cloth, how far along it is taken."""

    depth: float
    skyline: Floats = field(init=False)
    placed: list[tuple[Item, Variant, float, float]] = field(default_factory=list)

    def __post_init__(self) -> None:
        self.skyline = np.zeros(int(np.ceil(self.depth / CELL + 1e-9)))

    def reach(self, variant: Variant) -> Floats:
        """For each cell offset the variant can have: the least x at which it touches nothing. Empty: too wide."""
        low, _ = variant.profile
        offsets = 1 if variant.on_fold else int((self.depth - variant.depth) / CELL + 1e-9) + 1
        if variant.depth > self.depth + 1e-9:
            return np.empty(0)
        windows = np.lib.stride_tricks.sliding_window_view(self.skyline, len(low))[:offsets]
        touch: Floats = np.maximum(0.0, (windows - low).max(axis=1))
        return touch

    def put(self, item: Item, variant: Variant, cell: int, x: float) -> None:
        """Lay a variant `cell` cells from the fold, at x."""
        _, high = variant.profile
        part = self.skyline[cell : cell + len(high)]
        np.maximum(part, x + high, out=part)
        self.placed.append((item, variant, cell * CELL, x))

    def lay(self, fold: str) -> Lay:
        """The lay on the table, every piece slid to exact touch in the order it was put down."""
        done: list[tuple[Variant, float, float]] = []
        placements: list[Placement] = []
        for item, variant, y, x in self.placed:
            touch = 0.0
            # Nothing is touched beyond its own far end: from the farthest on, most need no exact look.
            for other, oy, ox in sorted(done, key=lambda one: -(one[2] + one[0].width)):
                if ox + other.width <= touch:
                    break
                touch = max(touch, _touch(other, oy, ox, variant, y))
            exact = min(x, touch + GAP) if done else 0.0
            done.append((variant, y, exact))
            origin = exact - variant.origin[0], y - variant.origin[1]
            placements.append(
                Placement(item.piece.id, item.copies, item.layers, *origin, variant.turned, variant.mirrored)
            )
        length = max((x + variant.width for variant, _, x in done), default=0.0)
        return Lay(fold, self.depth, tuple(placements), length)


def _touch(left: Variant, left_y: float, left_x: float, right: Variant, right_y: float) -> float:
    """The least x at which `right` lies beside `left` without overlap; -inf where they share no y."""
    a, b = left.polygon + (left_x, left_y), right.polygon + (0.0, right_y)
    low, high = max(a[:, 1].min(), b[:, 1].min()), min(a[:, 1].max(), b[:, 1].max())
    if high - low <= 1e-9:
        return -np.inf
    ys = np.unique(np.concatenate([a[:, 1], b[:, 1], [low, high]]))
    ys = ys[(ys >= low - 1e-12) & (ys <= high + 1e-12)]
    # The outlines jump where an edge runs along the cloth: look a hair to either side of each corner.
    ys = np.clip(np.concatenate([ys - 1e-7, ys + 1e-7]), low + 1e-9, high - 1e-9)
    return float((_edge(a, ys, far=True) - _edge(b, ys, far=False)).max())


def _edge(polygon: Floats, ys: Floats, far: bool) -> Floats:
    """The far or the near side of an outline at each y."""
    ends = np.roll(polygon, -1, axis=0)
    y1, y2 = polygon[:, 1][:, None], ends[:, 1][:, None]
    within = (np.minimum(y1, y2) <= ys) & (ys <= np.maximum(y1, y2)) & (y1 != y2)
    with np.errstate(divide="ignore", invalid="ignore"):
        xs = polygon[:, 0][:, None] + (ys - y1) / (y2 - y1) * (ends[:, 0] - polygon[:, 0])[:, None]
    side: Floats = np.where(within, xs, -np.inf).max(axis=0) if far else np.where(within, xs, np.inf).min(axis=0)
    return side
