"""Pulling pieces out of one another on cloth of a given length: one at a time, over all its places and ways.

Each piece that overlaps goes where it costs least; every pair that stays in conflict counts for more from then on.
"""

import numpy as np
from numba import njit

EASE, MOST = 0.95, 1e5
"""Pairs out of conflict count for less again; none counts for more than so much."""


@njit(cache=True)
def _where(i, j, wi, wj, along, across, table, cells, begins):
    """The raster of two placed pieces: its begin, its rows and columns, and the index as step * place of i + shift."""
    a, b = table[wi, 0], table[wj, 0]
    sa, sb = wi, wj
    first = a <= b
    if not first:
        a, b, sa, sb = b, a, wj, wi
    su, sv = table[sa, 1], table[sa, 2]
    turn = (2 if su * table[sb, 1] < 0 else 0) + (1 if sv * table[sb, 2] < 0 else 0)
    columns, rows = cells[a, 0] + cells[b, 0] - 1, cells[a, 1] + cells[b, 1] - 1
    shift_u = cells[b, 0] - 1 - ((cells[b, 0] - cells[a, 0]) if su < 0 else 0)
    shift_v = cells[b, 1] - 1 - ((cells[b, 1] - cells[a, 1]) if sv < 0 else 0)
    if first:
        return begins[a, b, turn], rows, columns, -su, shift_u + su * along[j], -sv, shift_v + sv * across[j]
    return begins[a, b, turn], rows, columns, su, shift_u - su * along[j], sv, shift_v - sv * across[j]


@njit(cache=True)
def depth_between(i, j, ways, along, across, table, cells, begins, flat):
    """How deep two placed pieces lie in one another, in quarters of a cell; 0 where no layer is shared."""
    if table[ways[i], 3] & table[ways[j], 3] == 0:
        return 0
    begin, rows, columns, du, cu, dv, cv = _where(i, j, ways[i], ways[j], along, across, table, cells, begins)
    column, row = du * along[i] + cu, dv * across[i] + cv
    if column < 0 or column >= columns or row < 0 or row >= rows:
        return 0
    return flat[begin + row * columns + column]


@njit(cache=True)
def _best_place(i, ways, along, across, first_way, table, cells, begins, flat, turned, fewest, most, weights, cost):
    """The cheapest way and place of piece i; among equals any. Returns way, along, across."""
    n = len(ways)
    best, best_way, best_u, best_v, equals = np.float32(np.inf), ways[i], along[i], across[i], 0
    for way in range(first_way[i], first_way[i + 1]):
        low, high, last = table[way, 4], table[way, 5], most[way]
        rows_here = high - low + 1
        for row in range(rows_here):
            cost[row, fewest[way] : last + 1] = 0.0
        for j in range(n):
            if j == i or table[way, 3] & table[ways[j], 3] == 0:
                continue
            begin, rows, columns, du, cu, dv, cv = _where(i, j, way, ways[j], along, across, table, cells, begins)
            u_from = max(fewest[way], -cu if du > 0 else cu - columns + 1)
            u_to = min(last, columns - 1 - cu if du > 0 else cu)
            if u_from > u_to:
                continue
            weight = np.float32(weights[i, j])
            row_from = max(0, -(dv * low + cv) if dv > 0 else dv * low + cv - rows + 1)
            row_to = min(rows_here - 1, rows - 1 - (dv * low + cv) if dv > 0 else dv * low + cv)
            for row in range(row_from, row_to + 1):
                there = dv * (low + row) + cv
                if du > 0:
                    base = begin + there * columns + cu
                    _add(cost[row, u_from : u_to + 1], flat[base + u_from : base + u_to + 1], weight)
                else:
                    base = begin + (rows - 1 - there) * columns + columns - 1 - cu
                    _add(cost[row, u_from : u_to + 1], turned[base + u_from : base + u_to + 1], weight)
        for row in range(rows_here):
            line = cost[row, fewest[way] : last + 1]
            value = _least(line)
            if value > best:
                continue
            if value < best:
                best, equals = value, 0
            for u in range(len(line)):
                if line[u] == best:
                    equals += 1
                    if np.random.randint(0, equals) == 0:
                        best_way, best_u, best_v = way, fewest[way] + u, low + row
    return best_way, best_u, best_v


@njit(cache=True, fastmath=True)
def _add(line, raster, weight):
    """Add a row of depths to a row of costs. Kept apart and plain, so that it becomes vector instructions."""
    for k in range(len(line)):
        line[k] += weight * np.float32(np.int32(raster[k]))


@njit(cache=True, fastmath=True)
def _least(line):
    """The least cost of a row, four at a time."""
    a = b = c = d = line[0]
    whole = len(line) // 4 * 4
    for k in range(0, whole, 4):
        a = line[k] if line[k] < a else a
        b = line[k + 1] if line[k + 1] < b else b
        c = line[k + 2] if line[k + 2] < c else c
        d = line[k + 3] if line[k + 3] < d else d
    for k in range(whole, len(line)):
        a = line[k] if line[k] < a else a
    return min(min(a, b), min(c, d))


@njit(cache=True)
def separate(
    ways, along, across, first_way, table, cells, begins, flat, turned, fewest, most, passes, patience, seed, cost
):  # fmt: skip
    """Move pieces until none overlaps, or for so many passes. `turned` holds the rasters of `flat` from their ends.

    `ways`, `along`, `across` are changed in place and hold the best state found. Returns whether nothing
    overlaps.
    """
    np.random.seed(seed)
    n = len(ways)
    weights = np.ones((n, n))
    overlap = np.zeros((n, n))
    for i in range(n):
        along[i] = max(min(along[i], most[ways[i]]), fewest[ways[i]])
        across[i] = max(min(across[i], table[ways[i], 5]), table[ways[i], 4])
    for i in range(n):
        for j in range(i):
            depth = depth_between(i, j, ways, along, across, table, cells, begins, flat)
            overlap[i, j] = overlap[j, i] = depth
    least, since = overlap.sum(), 0
    kept = (ways.copy(), along.copy(), across.copy())
    for _ in range(passes):
        if least == 0 or since > patience:
            break
        for i in np.random.permutation(n):
            if overlap[i].sum() == 0:
                continue
            way, u, v = _best_place(
                i, ways, along, across, first_way, table, cells, begins, flat, turned, fewest, most, weights, cost
            )
            if way == ways[i] and u == along[i] and v == across[i]:
                continue
            ways[i], along[i], across[i] = way, u, v
            for j in range(n):
                if j != i:
                    depth = depth_between(i, j, ways, along, across, table, cells, begins, flat)
                    overlap[i, j] = overlap[j, i] = depth
        total = overlap.sum()
        if total < least:
            least, since = total, 0
            kept[0][:], kept[1][:], kept[2][:] = ways, along, across
        else:
            since += 1
        worst = overlap.max()
        for i in range(n):
            for j in range(n):
                if overlap[i, j] > 0:
                    weights[i, j] = min(MOST, weights[i, j] * (1.2 + 0.8 * overlap[i, j] / worst))
                else:
                    weights[i, j] = max(1.0, weights[i, j] * EASE)
    ways[:], along[:], across[:] = kept[0], kept[1], kept[2]
    return least == 0
