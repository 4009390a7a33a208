"""The ways each piece may be: turned, mirrored, through which layers, and its profile across the table.

The table's frame is (along, across): along is what the lay is to be short in. It is the cloth's frame (x, y), but for a
crosswise fold, where along is y, away from the fold.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import ceil

import numpy as np
import numpy.typing as npt

from cutting.cached import cached_property
from cutting.cloth import Doubling, Folded
from cutting.errors import refuse
from cutting.lay.placement import Placement
from cutting.pieces import Piece
from cutting.where import LAY

CELL = 4.0
"""The step across the table at which places are tried, in mm."""
Floats = npt.NDArray[np.float64]
Ints = npt.NDArray[np.int64]
NEAR = 1e-9


@dataclass(frozen=True)
class Sides:
    """The far and the near side of an outline. Between two of the places `at` across where it has a corner, each is
    straight: rows of where they are along, at the first and at the second of the two.
    """

    at: Floats
    far: tuple[Floats, Floats]
    near: tuple[Floats, Floats]

    def far_at(self, across: Floats) -> Floats:
        return self._between(self.far, across)

    def near_at(self, across: Floats) -> Floats:
        return self._between(self.near, across)

    def _between(self, ends: tuple[Floats, Floats], across: Floats) -> Floats:
        k = np.clip(np.searchsorted(self.at, across, "right") - 1, 0, len(self.at) - 2)
        share = (across - self.at[k]) / (self.at[k + 1] - self.at[k])
        return np.asarray(ends[0][k] + share * (ends[1][k] - ends[0][k]))


@dataclass(frozen=True)
class Shape:
    """A cut outline (along, across) with its least values at 0; `origin` is where the draft's own 0, 0 was before."""

    polygon: Floats
    origin: tuple[float, float]

    @cached_property
    def width(self) -> float:
        """Along the table, mm."""
        return float(self.polygon[:, 0].max())

    @cached_property
    def depth(self) -> float:
        """Across the table, mm."""
        return float(self.polygon[:, 1].max())

    @cached_property
    def profile(self) -> tuple[Floats, Floats]:
        """For each cell across: the least and the greatest place along of the outline there."""
        cells = max(1, ceil(self.depth / CELL - 1e-9))
        bounds = np.arange(cells + 1) * CELL
        x1, y1, x2, y2 = self.slanting
        # Between two bounds every edge is straight: its extremes are its corners and where it crosses the bounds.
        low_y, high_y = np.minimum(y1, y2), np.maximum(y1, y2)
        edge, bound = _each(np.searchsorted(bounds, low_y, "left"), np.searchsorted(bounds, high_y, "right"))
        x1, y1, x2, y2 = x1[edge], y1[edge], x2[edge], y2[edge]
        xs = x1 + (bounds[bound] - y1) / (y2 - y1) * (x2 - x1)
        least, most = np.full(cells + 1, np.inf), np.full(cells + 1, -np.inf)
        np.minimum.at(least, bound, xs)
        np.maximum.at(most, bound, xs)
        low, high = np.minimum(least[:-1], least[1:]), np.maximum(most[:-1], most[1:])
        cell = np.minimum((self.polygon[:, 1] / CELL).astype(int), cells - 1)
        np.minimum.at(low, cell, self.polygon[:, 0])
        np.maximum.at(high, cell, self.polygon[:, 0])
        return low, high

    @cached_property
    def sides(self) -> Sides:
        """Its far and its near side, exactly."""
        at = np.unique(self.polygon[:, 1])
        x1, y1, x2, y2 = self.slanting
        edge, row = _each(np.searchsorted(at, np.minimum(y1, y2)), np.searchsorted(at, np.maximum(y1, y2)))
        x1, y1, slope = x1[edge], y1[edge], ((x2 - x1) / (y2 - y1))[edge]
        first, second = x1 + (at[row] - y1) * slope, x1 + (at[row + 1] - y1) * slope
        # Edges do not cross: which is furthest on the middle of a stretch is so on all of it.
        order = np.lexsort((first + second, row))
        begins = np.searchsorted(row[order], np.arange(len(at)))
        far, near = order[begins[1:] - 1], order[begins[:-1]]
        return Sides(at, (first[far], second[far]), (first[near], second[near]))

    @cached_property
    def slanting(self) -> tuple[Floats, Floats, Floats, Floats]:
        """Its edges but for those along the table: from where they start, x and y, to where they end."""
        start, end = self.polygon, np.roll(self.polygon, -1, axis=0)
        slants = start[:, 1] != end[:, 1]
        return *start[slants].T, *end[slants].T


def _each(first: Ints, beyond: Ints) -> tuple[Ints, Ints]:
    """For ranges of whole numbers from `first` to before `beyond`: every number, with which range it is of."""
    counts = beyond - first
    of = np.repeat(np.arange(len(counts)), counts)
    return of, np.arange(len(of)) + np.repeat(first - (np.cumsum(counts) - counts), counts)


@dataclass(frozen=True)
class Variant:
    """One way a piece may be. `layers` are those it is cut through.

    On the fold it has one place: its own fold edge across `fold`; with a crosswise fold, at the table's beginning.
    Where it is pinned its least corner stays at `pin` (along, across), in mm.
    """

    turned: bool
    mirrored: bool
    shape: Shape
    layers: tuple[int, ...]
    fold: float | None = None
    crosswise: bool = False
    pin: tuple[float, float] | None = None

    @property
    def on_fold(self) -> bool:
        return self.fold is not None

    @property
    def signs(self) -> tuple[int, int]:
        """Along and across: 1 as the piece is drawn, -1 turned about."""
        down = -1 if self.turned else 1
        out = -down if self.mirrored else down
        return (out, down) if self.crosswise else (down, out)

    @property
    def first(self) -> bool:
        """Whether it can only are at the table's beginning."""
        return self.on_fold and self.crosswise

    @property
    def stays(self) -> float | None:
        """Where along the table its least corner must be, in mm; None where it may be anywhere."""
        return self.pin[0] if self.pin is not None else 0.0 if self.first else None

    @property
    def width(self) -> float:
        """Along the table, mm."""
        return self.shape.width

    @property
    def depth(self) -> float:
        """Across the table, mm."""
        return self.shape.depth

    def room(self, table: Folded) -> tuple[float, float] | None:
        """The least and greatest place across of its least corner, in mm; None where it is too deep."""
        room = table.room(self.layers, self.depth)
        if room is not None and self.pin is not None:
            return self.pin[1], self.pin[1]
        if room is None or self.fold is None or self.crosswise:
            return room
        at = self.fold if self.fold == 0 else self.fold - self.depth
        return at, at

    def placed(self, piece: str, copies: int, along: float, across: float) -> Placement:
        """The piece lying this way with its least corner there, in mm."""
        a, b = along - self.shape.origin[0], across - self.shape.origin[1]
        x, y = (b, a) if self.crosswise else (a, b)
        return Placement(piece, copies, self.layers, x, y, self.turned, self.mirrored)

    def is_of(self, placement: Placement) -> bool:
        """Whether a piece was placed this way."""
        ways = placement.turned, placement.mirrored, placement.layers
        return (self.turned, self.mirrored, self.layers) == ways

    def corner(self, placement: Placement) -> tuple[float, float]:
        """Along and across of its least corner where it was placed so, in mm."""
        a, b = (placement.y, placement.x) if self.crosswise else (placement.x, placement.y)
        return a + self.shape.origin[0], b + self.shape.origin[1]


@dataclass(frozen=True)
class Item:
    """Something to place once: a piece, how many of it that yields, the ways it may be."""

    piece: Piece
    copies: int
    variants: tuple[Variant, ...]

    @cached_property
    def area(self) -> float:
        """Square mm it covers in one layer."""
        x, y = self.variants[0].shape.polygon[:, 0], self.variants[0].shape.polygon[:, 1]
        return float(abs(np.dot(x, np.roll(y, -1)) - np.dot(y, np.roll(x, -1))) / 2)

    @cached_property
    def surface(self) -> float:
        """Square mm of cloth it takes, in all its layers."""
        return self.area * len(self.variants[0].layers)

    @cached_property
    def on_fold(self) -> bool:
        return self.variants[0].on_fold


Known = dict[tuple[str, bool, int, int, bool], Shape]
"""Shapes by piece, on the fold or whole, and how they are: the same on cloth of every width."""


def items_for(pieces: Sequence[Piece], table: Folded, one_way: bool, known: Known | None = None) -> list[Item]:
    """What is to be placed on cloth folded so; with one-way cloth nothing is turned.

    Two of a kind are placed once and cut through two layers where they are narrow enough, and may be flipped, since
    left and right only change layers. One alone is in a layer as it is drawn, in a layer with its other face up
    mirrored. On the fold a piece is drawn as its half. Shapes that are `known` are not worked out again.

    Raises CuttingError for a piece that is no piece: without a surface, or with an outline that crosses itself.
    """
    maker = _Maker(table, (False,) if one_way else (False, True), {} if known is None else known)
    return [item for piece in pieces for item in maker.items(piece)]


@dataclass(frozen=True)
class _Maker:
    table: Folded
    turns: tuple[bool, ...]
    known: Known

    def items(self, piece: Piece) -> list[Item]:
        table = self.table
        if not piece.is_sound:
            raise refuse("lay.broken", LAY / piece.id, piece=piece.id)
        if piece.folds is not None and table.doublings:
            on_fold = [d for d in table.doublings if d.fold is not None]
            return self._at_once(piece, piece.count, on_fold, on_fold=True)
        deep = piece.height if table.crosswise else piece.width
        together = [d for d in table.doublings if not d.apart]
        doubled = piece.count // 2 * 2 if together and deep <= table.double_depth + NEAR else 0
        return [*self._at_once(piece, doubled, together, on_fold=False), *self._singles(piece, doubled)]

    def _at_once(self, piece: Piece, count: int, doublings: list[Doubling], on_fold: bool) -> list[Item]:
        """As many as can be cut at once are, then as many as can of what is left."""
        items: list[Item] = []
        for many in sorted({len(d.layers) for d in doublings}, reverse=True):
            copies = many // 2 if on_fold else many
            through = [d for d in doublings if len(d.layers) == many]
            ways = tuple(way for d in through for way in (self._on(piece, d) if on_fold else self._off(piece, d)))
            items += [Item(piece, copies, ways)] * (count // copies)
            count %= copies
        return items

    def _off(self, piece: Piece, d: Doubling) -> list[Variant]:
        return [
            self._variant(piece, turned, mirrored, d.layers) for turned in self.turns for mirrored in (False, True)
        ]  # fmt: skip

    def _on(self, piece: Piece, d: Doubling) -> list[Variant]:
        """Across grows away from the fold: what is turned is mirrored too; at the far fold just one of both."""
        far = d.fold != 0
        return [self._variant(piece, turned, turned != far, d.layers, d.fold) for turned in self.turns]

    def _singles(self, piece: Piece, first: int) -> list[Item]:
        """One by one; every second of a pair is the other side, as is one alone that is turned over."""
        items: list[Item] = []
        for number in range(first, piece.count):
            other = piece.over or (piece.pair and number % 2 == 1)
            ways = tuple(
                self._variant(piece, turned, other != layer.face_down, (layer.number,))
                for layer in reversed(self.table.layers) for turned in self.turns
            )  # fmt: skip
            items.append(Item(piece, 1, ways))
        return items

    def _variant(
        self, piece: Piece, turned: bool, mirrored: bool, layers: tuple[int, ...], fold: float | None = None
    ) -> Variant:
        along = -1 if turned else 1
        across = -along if mirrored else along
        key = (piece.id, piece.folds is not None, along, across, self.table.crosswise)
        if key not in self.known:
            raw = piece.ring[:, ::-1] * (along, across)
            raw = raw[:, ::-1] if self.table.crosswise else raw
            least = raw.min(axis=0)
            self.known[key] = Shape(raw - least, (float(least[0]), float(least[1])))
        return Variant(turned, mirrored, self.known[key], layers, fold, self.table.crosswise)
