"""Pulling pieces out of one another on cloth of a given length: one at a time, over all its places and ways.

Each piece that overlaps goes where it costs least; every pair that stays in conflict counts for more from then on.
"""

from typing import NamedTuple

import numpy as np
from numba import njit

from cutting.lay.search.depths import Bytes
from cutting.lay.search.model import Ints

EASE, MOST = 0.95, 1e5
"""Pairs out of conflict count for less again; none counts for more than so much."""
CLOSER = 8
"""Around so many of the cheapest coarse places every place is weighed."""


class Board(NamedTuple):
    """What can be where: see `Model` for the arrays; `fewest` and `most` along the cloth for each way."""

    first_way: Ints
    table: Ints
    cells: Ints
    begins: Ints
    halves: Ints
    fewest: Ints
    most: Ints


class Rasters(NamedTuple):
    """How deep any two are in one another: all of it, and its sieves from both ends; see `Model.sieved`."""

    flat: Bytes
    straight: Bytes
    turned: Bytes


@njit(cache=True)
def _where(i, j, wi, wj, along, across, board):
    """The raster of two placed pieces: which it is (lower shape, higher shape, how turned), its rows and columns, and
    the index as step * place of i + shift.
    """
    table, cells = board.table, board.cells
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
        return a, b, turn, rows, columns, -su, shift_u + su * along[j], -sv, shift_v + sv * across[j]
    return a, b, turn, rows, columns, su, shift_u - su * along[j], sv, shift_v - sv * across[j]


@njit(cache=True)
def depth_between(i, j, way, u, v, ways, along, across, board, flat):
    """How deep piece i, placed that way there, is in piece j, in quarters of a cell; 0 where no layer is shared."""
    if board.table[way, 3] & board.table[ways[j], 3] == 0:
        return 0
    a, b, turn, rows, columns, du, cu, dv, cv = _where(i, j, way, ways[j], along, across, board)
    column, row = du * u + cu, dv * v + cv
    if column < 0 or column >= columns or row < 0 or row >= rows:
        return 0
    return flat[board.begins[a, b, turn] + row * columns + column]


@njit(cache=True)
def _weigh(i, way, ways, along, across, board, rasters, weights, cost):
    """What every second place of a way costs, into `cost`; returns how many rows and columns those are."""
    table = board.table
    low, near = table[way, 4], board.fewest[way]
    tall, wide = (table[way, 5] - low) // 2 + 1, (board.most[way] - near) // 2 + 1
    for row in range(tall):
        cost[row, :wide] = 0.0
    for j in range(len(ways)):
        if j == i or table[way, 3] & table[ways[j], 3] == 0:
            continue
        a, b, turn, rows, columns, du, cu, dv, cv = _where(i, j, way, ways[j], along, across, board)
        half_rows, half_columns = (rows + 1) // 2, (columns + 1) // 2
        # Column and row at the first place; which of the four sieves they are in; there they go on by one.
        u, v = du * near + cu, dv * low + cv
        begin = board.halves[a, b, turn] + ((v & 1) * 2 + (u & 1)) * half_rows * half_columns
        u, v = u >> 1, v >> 1
        u_from = max(0, -u if du > 0 else u - half_columns + 1)
        u_to = min(wide - 1, half_columns - 1 - u if du > 0 else u)
        if u_from > u_to:
            continue
        weight = np.float32(weights[i, j])
        row_from = max(0, -v if dv > 0 else v - half_rows + 1)
        row_to = min(tall - 1, half_rows - 1 - v if dv > 0 else v)
        for row in range(row_from, row_to + 1):
            there = v + dv * row
            if du > 0:
                base = begin + there * half_columns + u
                _add(cost[row, u_from : u_to + 1], rasters.straight[base + u_from : base + u_to + 1], weight)
            else:
                base = begin + (half_rows - 1 - there) * half_columns + half_columns - 1 - u
                _add(cost[row, u_from : u_to + 1], rasters.turned[base + u_from : base + u_to + 1], weight)
    return tall, wide


@njit(cache=True)
def _best_place(i, ways, along, across, board, rasters, weights, cost, near_at, near_cost):
    """The cheapest way and place of piece i; among equals any. Returns way, along, across.

    Every second place along and across is weighed, then each around the cheapest of those.
    """
    best, best_way, best_u, best_v, equals = np.float32(np.inf), ways[i], along[i], across[i], 0
    near_cost[:] = np.inf
    last = 0
    for way in range(board.first_way[i], board.first_way[i + 1]):
        low, near = board.table[way, 4], board.fewest[way]
        tall, wide = _weigh(i, way, ways, along, across, board, rasters, weights, cost)
        for row in range(tall):
            line = cost[row, :wide]
            value = _least(line)
            if value > near_cost[last]:
                continue
            if value < best:
                best, equals = value, 0
            first = -1
            for u in range(wide):
                if line[u] != value:
                    continue
                first = u if first < 0 else first
                if value > best:
                    break
                equals += 1
                if np.random.randint(0, equals) == 0:
                    best_way, best_u, best_v = way, near + 2 * u, low + 2 * row
            near_at[last, 0], near_at[last, 1], near_at[last, 2] = way, near + 2 * first, low + 2 * row
            near_cost[last] = value
            last = int(np.argmax(near_cost))
    if best == 0:
        return best_way, best_u, best_v
    for k in range(CLOSER):
        if near_cost[k] == np.inf:
            continue
        way, u0, v0 = near_at[k, 0], near_at[k, 1], near_at[k, 2]
        for u in range(max(board.fewest[way], u0 - 1), min(board.most[way], u0 + 1) + 1):
            for v in range(max(board.table[way, 4], v0 - 1), min(board.table[way, 5], v0 + 1) + 1):
                value = np.float32(0)
                for j in range(len(ways)):
                    if j != i and value < best:
                        depth = depth_between(i, j, way, u, v, ways, along, across, board, rasters.flat)
                        value += np.float32(weights[i, j]) * np.float32(depth)
                if value < best:
                    best, best_way, best_u, best_v = value, way, u, v
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
def separate(ways, along, across, board, rasters, passes, patience, seed):
    """Move pieces until none overlaps, or for so many passes.

    `ways`, `along`, `across` are changed in place and hold the best state found. Returns whether nothing
    overlaps.
    """
    np.random.seed(seed)
    n, table, most = len(ways), board.table, board.most
    weights = np.ones((n, n))
    overlap = np.zeros((n, n))
    cost = np.empty(((table[:, 5] - table[:, 4]).max() // 2 + 1, most.max() // 2 + 1), dtype=np.float32)
    near_at, near_cost = np.zeros((CLOSER, 3), dtype=np.int64), np.zeros(CLOSER, dtype=np.float32)
    for i in range(n):
        along[i] = max(min(along[i], most[ways[i]]), board.fewest[ways[i]])
        across[i] = max(min(across[i], table[ways[i], 5]), table[ways[i], 4])
    for i in range(n):
        for j in range(i):
            depth = depth_between(i, j, ways[i], along[i], across[i], ways, along, across, board, rasters.flat)
            overlap[i, j] = overlap[j, i] = depth
    least, since = overlap.sum(), 0
    kept = (ways.copy(), along.copy(), across.copy())
    for _ in range(passes):
        if least == 0 or since > patience:
            break
        for i in np.random.permutation(n):
            if overlap[i].sum() == 0:
                continue
            way, u, v = _best_place(i, ways, along, across, board, rasters, weights, cost, near_at, near_cost)
            if way == ways[i] and u == along[i] and v == across[i]:
                continue
            ways[i], along[i], across[i] = way, u, v
            for j in range(n):
                if j != i:
                    depth = depth_between(i, j, way, u, v, ways, along, across, board, rasters.flat)
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
