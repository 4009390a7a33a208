"""How deep two pieces are in one another, for every offset of one against the other: a raster of their no-fit region.

Two convex parts overlap where the offset is in the sum of the one and the other turned about; the pieces do where any
of their parts do. Inside, the depth is how far the nearest offset without overlap is (a distance transform).
"""

from collections.abc import Sequence

import numpy as np
import numpy.typing as npt
from numba import njit

from cutting.lay.variants import Floats

Bytes = npt.NDArray[np.uint8]
SIGNS = ((1, 1), (1, -1), (-1, 1), (-1, -1))
"""How one piece may be against the other: along the cloth and across it, each as drawn or turned about."""
FINE = 4
"""Depths are kept in quarters of a cell."""


def pair_depths(
    one: Sequence[Floats], other: Sequence[Floats], signs: tuple[int, int], cell: float, start: tuple[float, float],
    size: tuple[int, int],
) -> Bytes:  # fmt: skip
    """Depths in quarters of a cell, up to 255; shape (across, along) = `size`, first offset (along, across) `start`."""
    s = np.array(signs, dtype=np.float64)
    first, first_ends = flat(one)
    turned = [-(part * s) if s[0] * s[1] > 0 else -(part * s)[::-1] for part in other]
    second, second_ends = flat(turned)
    inside = np.zeros(size, dtype=np.bool_)
    _fill(inside, first, first_ends, second, second_ends, cell, start[0], start[1])
    depths: Bytes = _depths(inside)
    return depths


def flat(parts: Sequence[Floats]) -> tuple[Floats, npt.NDArray[np.int64]]:
    """Polygons one after the other, and where each ends: what compiled code reads."""
    return np.concatenate(parts), np.cumsum([len(part) for part in parts])


@njit(cache=True)
def sum_of(p, q, out):
    """The sum of two convex polygons, counter-clockwise, into `out`; the number of its corners."""
    n, m = len(p), len(q)
    i0, j0 = 0, 0
    for k in range(1, n):
        if p[k, 1] < p[i0, 1] or (p[k, 1] == p[i0, 1] and p[k, 0] < p[i0, 0]):
            i0 = k
    for k in range(1, m):
        if q[k, 1] < q[j0, 1] or (q[k, 1] == q[j0, 1] and q[k, 0] < q[j0, 0]):
            j0 = k
    i, j, count = 0, 0, 0
    while i < n or j < m:
        a, b = (i0 + i) % n, (j0 + j) % m
        out[count, 0], out[count, 1] = p[a, 0] + q[b, 0], p[a, 1] + q[b, 1]
        count += 1
        a1, b1 = (a + 1) % n, (b + 1) % m
        turn = (p[a1, 0] - p[a, 0]) * (q[b1, 1] - q[b, 1]) - (p[a1, 1] - p[a, 1]) * (q[b1, 0] - q[b, 0])
        if j >= m or (i < n and turn >= 0):
            i += 1
            if i <= n and j < m and turn == 0:
                j += 1
        else:
            j += 1
    return count


@njit(cache=True)
def span(ring, count, y):
    """Where a convex polygon is cut by the level y: from, to; from > to where it is not."""
    low, high = np.inf, -np.inf
    for k in range(count):
        x1, y1 = ring[k, 0], ring[k, 1]
        x2, y2 = ring[(k + 1) % count, 0], ring[(k + 1) % count, 1]
        if (y1 <= y and y2 >= y) or (y2 <= y and y1 >= y):
            if y1 == y2:
                low, high = min(low, x1, x2), max(high, x1, x2)
            else:
                x = x1 + (y - y1) / (y2 - y1) * (x2 - x1)
                low, high = min(low, x), max(high, x)
    return low, high


@njit(cache=True)
def _fill(inside, first, first_ends, second, second_ends, cell, u0, v0):
    """Mark every offset at which any part of the first overlaps any of the second."""
    rows, columns = inside.shape
    ring = np.empty((len(first) + len(second) + 2, 2))
    a = 0
    for end in first_ends:
        b = 0
        for other in second_ends:
            count = sum_of(first[a:end], second[b:other], ring)
            low, high = ring[0, 1], ring[0, 1]
            for k in range(count):
                low, high = min(low, ring[k, 1]), max(high, ring[k, 1])
            for row in range(max(0, int(np.ceil((low - v0) / cell))), min(rows, int((high - v0) / cell) + 1)):
                y = v0 + row * cell
                if y <= low or y >= high:
                    continue
                left, right = span(ring, count, y)
                for column in range(
                    max(0, int(np.floor((left - u0) / cell)) + 1), min(columns, int(np.ceil((right - u0) / cell)))
                ):
                    inside[row, column] = True
            b = other
        a = end


@njit(cache=True)
def _depths(inside):
    """The distance to the nearest offset without overlap, less half a cell, in quarters of a cell; 0 outside."""
    rows, columns = inside.shape
    far = 1e12
    down = np.empty((rows, columns))
    for c in range(columns):
        gone = 1.0  # beyond the raster nothing overlaps
        for r in range(rows):
            gone = gone + 1.0 if inside[r, c] else 0.0
            down[r, c] = gone if r > 0 or not inside[r, c] else 1.0
            gone = down[r, c]
        gone = 0.0
        for r in range(rows - 1, -1, -1):
            gone = gone + 1.0 if inside[r, c] else 0.0
            down[r, c] = min(down[r, c], gone)
    out = np.zeros((rows, columns), dtype=np.uint8)
    place, edge = np.empty(columns + 2), np.empty(columns + 3)
    for r in range(rows):
        # The lower envelope of parabolas along the row, with nothing beyond either end.
        count = 0
        place[0], edge[0], edge[1] = -1.0, -far, far
        for c in range(columns + 1):
            height = down[r, c] ** 2 if c < columns else 0.0
            while True:
                at = place[count]
                own = 0.0 if at < 0 or at >= columns else down[r, int(at)] ** 2
                cut = ((height + c * c) - (own + at * at)) / (2 * c - 2 * at)
                if cut > edge[count] or count == 0:
                    break
                count -= 1
            if cut <= edge[count]:
                place[0] = float(c)
                count = 0
                edge[0], edge[1] = -far, far
            else:
                count += 1
                place[count] = float(c)
                edge[count], edge[count + 1] = cut, far
        k = 0
        for c in range(columns):
            while edge[k + 1] < c:
                k += 1
            if inside[r, c]:
                at = place[k]
                own = 0.0 if at < 0 or at >= columns else down[r, int(at)] ** 2
                depth = (np.sqrt((c - at) ** 2 + own) - 0.5) * FINE
                out[r, c] = np.uint8(min(255.0, max(1.0, depth)))
    return out
