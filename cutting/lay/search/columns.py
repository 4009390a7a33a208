"""A piece column by column along the table: what of it is surely there, wherever within a mm it starts.

A column is `WIDE` mm of the piece. Of each: how deep the piece is at least, and which stretches across it are in the
piece over the whole column.
"""

from dataclasses import dataclass
from functools import reduce
from itertools import pairwise
from math import ceil, floor
from typing import NamedTuple

import numpy as np

from cutting.cached import cached_property
from cutting.lay.variants import Floats

WIDE = 2.0
SURE = 0.02
"""A stretch is drawn in by so many mm at both ends: what the figures may be off."""
PLACES = 60
"""Steps and boxes begin and end at no more places than this."""

Stretches = tuple[tuple[float, float], ...]
"""From and to across the table, in mm, one after the other."""


class Step(NamedTuple):
    """From one whole mm to another from its start rounded down, a piece is at least so deep, in mm."""

    start: int
    end: int
    deep: float


class Box(NamedTuple):
    """A rectangle in a piece, in whole mm from its start and its least place across, both rounded down."""

    start: int
    end: int
    low: int
    high: int


@dataclass(frozen=True)
class Columns:
    """`ends` are where columns begin and end, one more than there are; `deep` and `stretches` of each column."""

    ends: Floats
    deep: Floats
    stretches: tuple[Stretches, ...]

    @cached_property
    def places(self) -> list[int]:
        """The numbers of the columns at which parts may begin or end."""
        count = len(self.ends)
        return sorted({round(k * (count - 1) / (PLACES - 1)) for k in range(PLACES)})

    @cached_property
    def runs(self) -> dict[tuple[int, int], Stretches]:
        """What is in the piece all the way from one place to another, where anything is."""
        between = [reduce(common, self.stretches[a:b]) for a, b in pairwise(self.places)]
        found: dict[tuple[int, int], Stretches] = {}
        for a in range(len(between)):
            own = between[a]
            for b in range(a, len(between)):
                own = common(own, between[b])
                if not own:
                    break
                found[a, b + 1] = own
        return found


def columns_of(ring: Floats) -> Columns:
    """The columns of an outline (along, across) whose least values are 0, in mm."""
    ends = np.append(np.arange(0.0, floor(ring[:, 0].max()), WIDE), floor(ring[:, 0].max()))
    turns = np.unique(np.concatenate([ends, ring[:, 0][ring[:, 0] < ends[-1]]]))
    a, b = turns[:-1], turns[1:]
    little = np.minimum(1e-5, (b - a) / 4)
    # Between two corners everything is straight: what is least is so at an end.
    at = np.stack([a + little, b - little], axis=1)[b - a > 1e-6]
    column = np.minimum(np.searchsorted(ends, at.mean(axis=1), "right") - 1, len(ends) - 2).repeat(2)
    met = _met(ring, at.ravel())
    crossed = np.where(np.isfinite(met), met, 0.0)
    depths = (crossed[:, 1::2] - crossed[:, ::2]).sum(axis=1)
    deep = np.full(len(ends) - 1, np.inf)
    np.minimum.at(deep, column, depths)
    stretches: list[Stretches | None] = [None] * (len(ends) - 1)
    for k, row in zip(column, met, strict=True):
        own = tuple((float(x) + SURE, float(y) - SURE) for x, y in zip(row[::2], row[1::2], strict=True) if y < np.inf)
        known = stretches[k]
        stretches[k] = own if known is None else common(known, own)
    return Columns(ends, np.maximum(0.0, deep - SURE), tuple(one or () for one in stretches))


def _met(ring: Floats, at: Floats) -> Floats:
    """Where lines across the table at these places cross the outline, each row in order, filled up with infinity."""
    start, end = ring, np.roll(ring, -1, axis=0)
    (x1, y1), (x2, y2) = start.T, end.T
    crosses = (x1 < at[:, None]) != (x2 < at[:, None])
    with np.errstate(divide="ignore", invalid="ignore"):
        y = y1 + (at[:, None] - x1) / (x2 - x1) * (y2 - y1)
    met = np.sort(np.where(crosses, y, np.inf), axis=1)
    most = int(crosses.sum(axis=1).max(initial=0))
    return met[:, : most + most % 2]


def common(one: Stretches, other: Stretches) -> Stretches:
    """What is in both."""
    met = ((max(a, c), min(b, d)) for a, b in one for c, d in other)
    return tuple((low, high) for low, high in met if high > low)


def steps_below(columns: Columns, most: int) -> list[Step]:
    """At most so many steps under a piece's depth along its length, those that lose least of it."""
    places = columns.places
    n = len(places) - 1
    least, between = np.zeros((n, n + 1)), np.minimum.reduceat(columns.deep, places[:-1])
    for a in range(n):
        least[a, a + 1 :] = np.minimum.accumulate(between[a:])
    long = columns.ends[places]
    parts = _parts(least * np.maximum(0.0, long[None, :] - long[:-1, None]), most)
    return [
        Step(*whole, float(least[a, b])) for a, b in parts
        if (whole := _whole(float(long[a]), float(long[b]))) is not None
    ]  # fmt: skip


def boxes_in(columns: Columns, most: int) -> list[Box]:
    """Rectangles in a piece that do not overlap, from at most so many stretches along it, those that lose least."""
    n, long = len(columns.places) - 1, columns.ends[columns.places]
    surface = np.zeros((n, n + 1))
    for (a, b), own in columns.runs.items():
        surface[a, b] = (long[b] - long[a]) * sum(high - low for low, high in own)
    boxes = []
    for a, b in _parts(surface, most):
        along = _whole(float(long[a]), float(long[b]))
        for low, high in columns.runs[a, b]:
            across = _whole(low, high)
            if along is not None and across is not None:
                boxes.append(Box(*along, *across))
    return boxes


def _whole(low: float, high: float) -> tuple[int, int] | None:
    """The whole mm that are in a stretch of a piece, counted from its start rounded down; None where there is none."""
    first, last = ceil(low - 1e-9) + 1, floor(high + 1e-9) + 1
    return (first, last) if last > first else None


def _parts(worth: Floats, most: int) -> list[tuple[int, int]]:
    """At most so many parts (from, to) one after the other whose worth is the greatest together; worth[from, to]."""
    n = len(worth)
    best = np.zeros((most + 1, n + 1))
    before = np.zeros((most + 1, n + 1), dtype=int)
    for count in range(1, most + 1):
        sums = best[count - 1, :n, None] + worth
        sums[np.tril_indices(n, -1)] = -1.0
        best[count], before[count] = sums.max(axis=0), sums.argmax(axis=0)
    parts, b = [], n
    for count in range(most, 0, -1):
        if b == 0:
            break
        a = int(before[count, b])
        if worth[a, b] > 0:
            parts.append((a, b))
        b = a
    return parts[::-1]
