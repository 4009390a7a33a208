"""A packing problem as the search has it: shapes, ways to be placed and the depths of every pair, all on one raster.

Every shape sits in the middle of a box of whole cells, so that turning it about moves nothing. A place is the box's
corner nearest to the cut end and the fold, counted in cells: true to half a cell, until `compact.py` makes it exact.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
import numpy.typing as npt

from cutting.cached import cached_property
from cutting.cloth import Folded
from cutting.geometry import Point
from cutting.lay.placement import Lay, Placement
from cutting.lay.search.depths import SIGNS, Bytes, pair_depths
from cutting.lay.search.parts import convex_parts, filled
from cutting.lay.variants import Floats, Item, Variant

Ints = npt.NDArray[np.int64]
CELL, LARGEST = 8.0, 16.0
PLACES = 30_000
"""So many places of the table can be weighed quickly; on a larger one the cells grow, up to `LARGEST` mm."""
NEAR = 1e-3
MANY = 24
"""From so many different shapes on the cells are as large as can be, so that the depths fit into memory."""


@dataclass(frozen=True)
class Shape:
    """A piece centred in its box: convex parts as (along, across), its size in mm and in cells."""

    parts: tuple[Floats, ...]
    middle: Floats
    size: Floats
    cells: Ints


@dataclass
class Model:
    """The whole problem for one width of table; arrays as `separate.py` reads them."""

    items: Sequence[Item]
    table: Folded
    cell: float

    @classmethod
    def of(cls, items: Sequence[Item], table: Folded, finer: float = 1.0) -> "Model":
        """The items with those ways only that have room on the table."""
        many = len({item.piece.id for item in items}) >= MANY
        reach = sum(item.surface for item in items) / table.surface
        cell = CELL * max(1.0, (reach * table.depth / CELL**2 / PLACES) ** 0.5)
        able = [replace(one, variants=tuple(v for v in one.variants if v.room(table) is not None)) for one in items]
        return cls(able, table, (LARGEST if many else min(LARGEST, cell)) * finer)

    @cached_property
    def names(self) -> list[str]:
        return list(dict.fromkeys(item.piece.id for item in self.items))

    @cached_property
    def shapes(self) -> list[Shape]:
        pieces = {item.piece.id: item.piece for item in self.items}
        return [self._shape(np.array([self._axes(p) for p in pieces[name].cut])) for name in self.names]

    def _axes(self, p: Point) -> tuple[float, float]:
        return (p.across, p.down) if self.table.crosswise else (p.down, p.across)

    def _shape(self, raw: Floats) -> Shape:
        low, high = raw.min(axis=0), raw.max(axis=0)
        middle, size = (low + high) / 2, high - low
        ring = filled(raw - middle)
        return Shape(
            tuple(convex_parts(ring)), middle, size, np.maximum(1, np.ceil(size / self.cell - 1e-9)).astype(int)
        )

    @cached_property
    def ways(self) -> list[tuple[int, Variant]]:
        """Every way of every item, item after item."""
        return [(number, variant) for number, item in enumerate(self.items) for variant in item.variants]

    @cached_property
    def first_way(self) -> Ints:
        """The number of each item's first way; one more entry at the end."""
        return np.cumsum([0, *(len(item.variants) for item in self.items)])

    @cached_property
    def way_table(self) -> Ints:
        """A row a way: shape, sign along, sign across, layers as bits, least and greatest place across."""
        rows = []
        for number, variant in self.ways:
            shape = self.names.index(self.items[number].piece.id)
            along, across = variant.signs
            room = variant.room(self.table)
            assert room is not None
            low, high = (self._place(y, shape, 1) for y in room)
            layers = sum(1 << (layer - 1) for layer in variant.layers)
            rows.append((shape, along, across, layers, low, max(low, high)))
        return np.array(rows, dtype=np.int64)

    @cached_property
    def cells(self) -> Ints:
        """Along and across, cells of each shape's box."""
        return np.array([shape.cells for shape in self.shapes], dtype=np.int64)

    @cached_property
    def depths(self) -> tuple[Bytes, Ints]:
        """All rasters one after the other, and where each begins: [lower shape, higher shape, how turned]."""
        count = len(self.shapes)
        begins = np.full((count, count, 4), -1, dtype=np.int64)
        table = self.way_table
        used = {(int(s), int(a), int(c)) for s, a, c in table[:, :3]}
        made: list[Bytes] = []
        total = 0
        for a in range(count):
            for b in range(a, count):
                turns = {
                    (x * p) * 2 + (y * q) for s, x, y in used if s == a for t, p, q in used if t == b
                }  # the product of the signs, as one number for each of the four
                for number, signs in enumerate(SIGNS):
                    if signs[0] * 2 + signs[1] in turns:
                        raster = self._raster(self.shapes[a], self.shapes[b], signs)
                        begins[a, b, number] = total
                        total += raster.size
                        made.append(raster.ravel())
        return np.concatenate(made), begins

    @cached_property
    def halves(self) -> Ints:
        """Where the four sieves of each raster begin: [lower shape, higher shape, how turned]; see `sieved`."""
        out = np.full_like(self.depths[1], -1)
        at = 0
        for a, b, turn in self._in_order:
            out[a, b, turn] = at
            at += 4 * int(np.prod(self._half(a, b)))
        return out

    def sieved(self, flat: Bytes) -> tuple[Bytes, Bytes]:
        """Every second row and column of each raster: even rows and columns, odd columns, odd rows, both odd. The same
        again with each sieve from its end to its beginning.
        """
        straight, turned = [], []
        for a, b, turn in self._in_order:
            begin = int(self.depths[1][a, b, turn])
            rows, columns = (int(v) for v in (self.cells[a] + self.cells[b] - 1)[::-1])
            half_rows, half_columns = self._half(a, b)
            padded = np.zeros((2 * half_rows, 2 * half_columns), dtype=np.uint8)
            padded[:rows, :columns] = flat[begin : begin + rows * columns].reshape(rows, columns)
            for row in (0, 1):
                for column in (0, 1):
                    sieve = padded[row::2, column::2].ravel()
                    straight.append(sieve)
                    turned.append(sieve[::-1])
        return np.concatenate(straight), np.concatenate(turned)

    @property
    def _in_order(self) -> list[tuple[int, int, int]]:
        """Which rasters there are, in the order in which they are."""
        return [(int(a), int(b), int(turn)) for a, b, turn in np.argwhere(self.depths[1] >= 0)]

    def _half(self, a: int, b: int) -> tuple[int, int]:
        columns, rows = (int(v) for v in self.cells[a] + self.cells[b] - 1)
        return (rows + 1) // 2, (columns + 1) // 2

    def _raster(self, a: Shape, b: Shape, signs: tuple[int, int]) -> Bytes:
        start = (1 - b.cells) * self.cell + (b.cells - a.cells) * self.cell / 2
        size = a.cells + b.cells - 1
        return pair_depths(a.parts, b.parts, signs, self.cell, (start[0], start[1]), (int(size[1]), int(size[0])))

    def _place(self, least: float, shape: int, axis: int) -> int:
        one = self.shapes[shape]
        pad = (one.cells[axis] * self.cell - one.size[axis]) / 2
        return max(0, round(float(least - pad) / self.cell))

    def most_along(self, length: float) -> Ints:
        """The last place along the cloth of each way, on cloth of that length."""
        return np.array([
            self._place(variant.stays if variant.stays is not None else length - variant.width, int(shape), 0)
            for (_, variant), shape in zip(self.ways, self.way_table[:, 0], strict=True)
        ])  # fmt: skip

    @cached_property
    def least_along(self) -> Ints:
        """The first place along the cloth of each way."""
        return np.array([
            self._place(variant.stays or 0.0, int(shape), 0)
            for (_, variant), shape in zip(self.ways, self.way_table[:, 0], strict=True)
        ])  # fmt: skip

    def places(self, lay: Lay) -> tuple[Ints, Ints, Ints]:
        """A lay's ways and nearest places of the raster, in the order of the items: way, along, across."""
        found = self._found(lay)
        ways = np.array([way for way, _ in found])
        return ways, *self.cells_at(ways, self.corners_of(lay))

    def corners_of(self, lay: Lay) -> Floats:
        """Where a lay's pieces have their least corners, in mm, in the order of the items; shape (items, 2)."""
        return np.array([self.ways[way][1].corner(placement) for way, placement in self._found(lay)])

    def _found(self, lay: Lay) -> list[tuple[int, Placement]]:
        waiting = list(lay.placements)
        found: dict[int, tuple[int, Placement]] = {}
        # What is pinned has one placement of its own; what is not takes any that is left.
        order = sorted(range(len(self.items)), key=lambda number: self.items[number].variants[0].pin is None)
        for number in order:
            for placement in waiting:
                way = self._way(number, placement) if placement.piece == self.items[number].piece.id else None
                if way is not None:
                    found[number] = way, placement
                    waiting.remove(placement)
                    break
        return [found[number] for number in range(len(self.items))]

    def _way(self, number: int, placement: Placement) -> int | None:
        for k in range(int(self.first_way[number]), int(self.first_way[number + 1])):
            variant = self.ways[k][1]
            if variant.pin is not None and max(np.abs(np.subtract(variant.corner(placement), variant.pin))) > NEAR:
                continue
            if variant.is_of(placement):
                return k
        return None

    def corners(self, ways: Ints, along: Ints, across: Ints) -> Floats:
        """Where the pieces' own least corners are, in mm; shape (items, 2)."""
        shapes = self.way_table[ways, 0]
        sizes = np.array([shape.size for shape in self.shapes])[shapes]
        pad = (self.cells[shapes] * self.cell - sizes) / 2
        places: Floats = np.stack([along, across], axis=1) * self.cell + pad
        return places

    def cells_at(self, ways: Ints, corners: Floats) -> tuple[Ints, Ints]:
        """The nearest places of the raster: along, across."""
        shapes = self.way_table[ways, 0]
        sizes = np.array([shape.size for shape in self.shapes])[shapes]
        pad = (self.cells[shapes] * self.cell - sizes) / 2
        places = np.maximum(0, np.rint((corners - pad) / self.cell)).astype(np.int64)
        return places[:, 0].copy(), places[:, 1].copy()

    def lay(self, ways: Ints, corners: Floats) -> Lay:
        """The lay of these ways with their least corners there, in mm."""
        placements: list[Placement] = []
        reach = 0.0
        for number, item in enumerate(self.items):
            variant = self.ways[int(ways[number])][1]
            x, y = float(corners[number, 0]), float(corners[number, 1])
            placements.append(variant.placed(item.piece.id, item.copies, x, y))
            reach = max(reach, x + variant.width)
        return Lay(self.table, tuple(placements), reach)
