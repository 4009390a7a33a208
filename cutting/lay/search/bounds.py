"""A length that no lay can beat, proved from how the largest pieces block one another.

Two pieces whose middles are side by side overlap, unless one is moved along by some least distance. In any lay the
pieces stand in some order of their middles: the first reaches half its length back, the last half its length on, and
each step between neighbours in that order takes at least their least distance. The cheapest order over every choice of
ways is therefore a lower bound, for any set of the pieces; the best set is kept. Distances are taken over strips of
the offset across, each as if the offset could change within it, on outlines a hair smaller than the pieces.
"""

from itertools import pairwise

import numpy as np
from numba import njit
from shapely import union_all
from shapely.geometry import Polygon

from cutting.lay.bound import Bound, BoundStep, best_of, plain_bound
from cutting.lay.search.depths import SIGNS, flat, span, sum_of
from cutting.lay.search.model import Model
from cutting.lay.search.parts import convex_parts
from cutting.lay.variants import Floats

STRIP = 3.0
MOST_PIECES = 7
SHRUNK, LEFT_OFF = 0.3, 0.25
"""Outlines are drawn in by the sum of both, in mm, and may then be simplified by the second: they stay within."""


def proved(model: Model) -> Bound:
    """A reach along the table that no lay of these items can be under."""
    order = sorted(range(len(model.items)), key=lambda k: (-model.items[k].area, k))[:MOST_PIECES]
    ways = [k for number in order for k in range(int(model.first_way[number]), int(model.first_way[number + 1]))]
    owner = np.array([order.index(model.ways[k][0]) for k in ways])
    longest = np.array([model.ways[k][1].width for k in ways])
    least = distances(model, ways, owner)
    chain = [int(w) for w in _cheapest(least, owner, longest, len(order))]
    names = [model.items[model.ways[way][0]].piece.id for way in ways]
    steps = [BoundStep("apart", float(least[a, b]), names[a], names[b]) for a, b in pairwise(chain)]
    first, last = (BoundStep("half", float(longest[end] / 2), names[end]) for end in (chain[0], chain[-1]))
    blocked = Bound((first, *steps, last), model.table.times)
    return best_of([plain_bound(model.items, model.table), blocked])


def distances(model: Model, ways: list[int], owner: np.ndarray) -> Floats:
    """For two ways of different items: how far the second's middle must at least be beyond the first's."""
    parts = [_smaller(shape.parts, shape.size) for shape in model.shapes]
    known: dict[tuple[int, int, int], tuple[Floats, Floats, float]] = {}
    out = np.zeros((len(ways), len(ways)))
    middles = []
    for way in ways:
        variant = model.ways[way][1]
        room = variant.room(model.table)
        assert room is not None
        middles.append((room[0] + variant.depth / 2, room[1] + variant.depth / 2))
    for p, one in enumerate(ways):
        for q, other in enumerate(ways):
            a, su, sv, layers = model.way_table[one, :4]
            b, tu, tv, through = model.way_table[other, :4]
            if owner[p] == owner[q] or layers & through == 0:
                continue
            turn = SIGNS.index((int(su * tu), int(sv * tv)))
            key = (int(a), int(b), turn)
            if key not in known:
                known[key] = _blocked(parts[a], parts[b], SIGNS[turn])
            after, before, start = known[key]
            low, high = middles[q][0] - middles[p][1], middles[q][1] - middles[p][0]
            if sv < 0:
                low, high = -high, -low
            first, last = int(np.floor((low - start) / STRIP - 1e-9)), int(np.floor((high - start) / STRIP + 1e-9))
            side = after if su > 0 else before
            if first >= 0 and last < len(side):
                out[p, q] = side[first : last + 1].min()
    return out


def _smaller(parts: tuple[Floats, ...], size: Floats) -> list[Floats]:
    """Convex parts of an outline that is within the piece."""
    whole = union_all([Polygon(part) for part in parts])
    inner = whole.buffer(-SHRUNK - LEFT_OFF, join_style="mitre").simplify(LEFT_OFF)
    if inner.geom_type != "Polygon" or inner.is_empty or min(size) < 20:
        return []
    ring = np.array(inner.exterior.coords[:-1])
    return convex_parts(ring if inner.exterior.is_ccw else ring[::-1])


def _blocked(one: list[Floats], other: list[Floats], signs: tuple[int, int]) -> tuple[Floats, Floats, float]:
    """Strip by strip of the offset across, from the returned start: how far on, and how far back, all is blocked."""
    if not one or not other:
        return np.zeros(0), np.zeros(0), 0.0
    s = np.array(signs, dtype=np.float64)
    turned = [-(part * s) if s[0] * s[1] > 0 else -(part * s)[::-1] for part in other]
    first, first_ends = flat(one)
    second, second_ends = flat(turned)
    start = float(first[:, 1].min() + second[:, 1].min())
    end = float(first[:, 1].max() + second[:, 1].max())
    after, before = _reach(first, first_ends, second, second_ends, start, int((end - start) / STRIP) + 1)
    return after, before, start


@njit(cache=True)
def _reach(first, first_ends, second, second_ends, start, strips):
    pairs = len(first_ends) * len(second_ends)
    low, high = np.full((strips, pairs), np.inf), np.full((strips, pairs), -np.inf)
    ring = np.empty((len(first) + len(second) + 2, 2))
    a, pair = 0, 0
    for end in first_ends:
        b = 0
        for other in second_ends:
            count = sum_of(first[a:end], second[b:other], ring)
            bottom, top = ring[0, 1], ring[0, 1]
            for k in range(count):
                bottom, top = min(bottom, ring[k, 1]), max(top, ring[k, 1])
            for k in range(max(0, int(np.ceil((bottom - start) / STRIP))), strips):
                y0 = start + k * STRIP
                y1 = y0 + STRIP
                if y1 > top:
                    break
                if y0 < bottom:
                    continue
                l0, r0 = span(ring, count, y0)
                l1, r1 = span(ring, count, y1)
                # The sum of convex parts is convex: within the strip it covers at least what it covers at both ends.
                low[k, pair], high[k, pair] = max(l0, l1), min(r0, r1)
            pair += 1
            b = other
        a = end
    after, before = np.zeros(strips), np.zeros(strips)
    for k in range(strips):
        after[k] = _first_free(low[k], high[k])
        before[k] = _first_free(-high[k], -low[k])
    return after, before


@njit(cache=True)
def _first_free(low, high):
    """The least value from 0 on that is in none of the open intervals."""
    at = 0.0
    moved = True
    while moved:
        moved = False
        for k in range(len(low)):
            if low[k] < at < high[k]:
                at, moved = high[k], True
    return at


@njit(cache=True)
def _cheapest(least, owner, longest, count):
    """The ways of the set of items whose cheapest order is the longest, in that order."""
    ways = len(owner)
    cost = np.full((1 << count, ways), np.inf)
    before = np.full((1 << count, ways), -1)
    for w in range(ways):
        cost[1 << owner[w], w] = longest[w] / 2
    bound, best, end = 0.0, 1, 0
    for chosen in range(1, 1 << count):
        cheapest, last = np.inf, -1
        for w in range(ways):
            own = 1 << owner[w]
            if chosen & own == 0:
                continue
            rest = chosen & ~own
            if rest:
                for v in range(ways):
                    if rest & (1 << owner[v]) and cost[rest, v] + least[v, w] < cost[chosen, w]:
                        cost[chosen, w] = cost[rest, v] + least[v, w]
                        before[chosen, w] = v
            if cost[chosen, w] + longest[w] / 2 < cheapest:
                cheapest, last = cost[chosen, w] + longest[w] / 2, w
        if bound < cheapest < np.inf:
            bound, best, end = cheapest, chosen, last
    chain = [end]
    while before[best, end] >= 0:
        best, end = best & ~(1 << owner[end]), before[best, end]
        chain.append(end)
    return np.array(chain[::-1])
