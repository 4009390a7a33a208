"""Making a lay exact and as short as it can be without changing who is beside whom: a linear programme.

Two convex parts are apart where one of their edges' lines separates them. Each pair of parts near one another keeps the
line that separates it best now; under these the pieces slide until the lay is shortest. Done anew until nothing moves.
"""

import numpy as np
from numba import njit
from scipy.optimize import linprog
from scipy.sparse import coo_matrix

from cutting.lay.search.model import Ints, Model
from cutting.lay.variants import Floats

NEAR = 90.0
"""Parts further apart than this, in mm, do not hold one another: no piece slides half as far in one round."""
ROUNDS, GAIN = 6, 0.05


def compact(model: Model, ways: Ints, corners: Floats) -> tuple[Floats, float] | None:
    """Least corners (along, across) of the shortest lay near these, and its reach, in mm; None where there is none."""
    table = model.way_table
    variants = [model.ways[int(way)][1] for way in ways]
    sizes = np.array([(v.width, v.depth) for v in variants])
    rooms = [v.room(model.table) for v in variants]
    low = np.array([room[0] for room in rooms if room is not None])
    high = np.array([room[1] for room in rooms if room is not None])
    stays = np.array([np.nan if v.stays is None else v.stays for v in variants])
    fixed = ~np.isnan(stays)
    points, part_ends, owner_ends = _placed_parts(model, ways)
    best: tuple[Floats, float] | None = None
    at = np.column_stack([np.where(fixed, stays, corners[:, 0]), np.clip(corners[:, 1], low, high)])
    for _ in range(ROUNDS):
        centres = at + sizes / 2
        rows = _walls(points, part_ends, owner_ends, centres, sizes, table[ways, 3], NEAR)
        reached = np.clip(at - NEAR / 2, [0, 0], None), at + NEAR / 2
        reached[0][:, 1], reached[1][:, 1] = np.maximum(low, reached[0][:, 1]), np.minimum(high, reached[1][:, 1])
        reached[0][fixed, 0] = reached[1][fixed, 0] = stays[fixed]
        solved = _slide(rows, sizes, *reached)
        if solved is None:
            return best
        at, reach = solved
        gain = (best[1] - reach) if best is not None else np.inf
        if best is None or gain > 0:
            best = at, reach
        if gain < GAIN:
            break
    return best


def _placed_parts(model: Model, ways: Ints) -> tuple[Floats, Ints, Ints]:
    """All convex parts of the placed pieces, about their middles: corners, where each part and each piece ends."""
    rings: list[Floats] = []
    ends, owners = [], []
    for way in ways:
        shape, along, across = (int(v) for v in model.way_table[int(way), :3])
        for part in model.shapes[shape].parts:
            turned = part * np.array([along, across], dtype=float)
            rings.append(turned if along * across > 0 else turned[::-1])
            ends.append(len(rings[-1]))
        owners.append(len(ends))
    return np.ascontiguousarray(np.concatenate(rings)), np.cumsum(ends), np.array(owners)


def _slide(rows: Floats, sizes: Floats, low: Floats, high: Floats) -> tuple[Floats, float] | None:
    """Least length with each row (i, j, nx, ny, need) kept: n (centre j - centre i) >= need; corners from `low` to
    `high`.
    """
    n = len(sizes)
    k = np.arange(len(rows))
    i, j = rows[:, 0].astype(int), rows[:, 1].astype(int)
    half = sizes / 2
    # With least corners: n (xj + hj - xi - hi) >= need.
    need = rows[:, 4] - (rows[:, 2:4] * (half[j] - half[i])).sum(axis=1)
    values = np.concatenate([rows[:, 2], rows[:, 3], -rows[:, 2], -rows[:, 3], np.ones(n), -np.ones(n)])
    row = np.concatenate([k, k, k, k, len(rows) + np.arange(n), len(rows) + np.arange(n)])
    column = np.concatenate([2 * i, 2 * i + 1, 2 * j, 2 * j + 1, 2 * np.arange(n), np.full(n, 2 * n)])
    left = coo_matrix((values, (row, column)), shape=(len(rows) + n, 2 * n + 1)).tocsc()
    right = np.concatenate([-need, -sizes[:, 0]])
    goal = np.full(2 * n + 1, 0.0)
    goal[0 : 2 * n : 2] = 1e-4 / n  # all else equal, towards the cut end
    goal[2 * n] = 1.0
    bounds = np.vstack([np.column_stack([low.ravel(), high.ravel()]), [0.0, np.inf]])
    solved = linprog(goal, A_ub=left, b_ub=right, bounds=bounds, method="highs")
    if solved.status != 0:
        return None
    return solved.x[: 2 * n].reshape(n, 2), float(solved.x[2 * n])


@njit(cache=True)
def _walls(points, part_ends, owner_ends, centres, sizes, layers, near):
    """A row for each pair of parts of different pieces near one another: i, j, the outward normal of the line that
    separates them best, and how far apart along it the two middles must be.
    """
    out = np.empty((1024, 5))
    count = 0
    n = len(centres)
    boxes = _boxes(points, part_ends)
    for i in range(n):
        for j in range(i + 1, n):
            if layers[i] & layers[j] == 0:
                continue
            gap_x = abs(centres[i, 0] - centres[j, 0]) - (sizes[i, 0] + sizes[j, 0]) / 2
            gap_y = abs(centres[i, 1] - centres[j, 1]) - (sizes[i, 1] + sizes[j, 1]) / 2
            if gap_x > near or gap_y > near:
                continue
            dx, dy = centres[j, 0] - centres[i, 0], centres[j, 1] - centres[i, 1]
            for a in range(owner_ends[i - 1] if i else 0, owner_ends[i]):
                a0, a1 = (part_ends[a - 1] if a else 0), part_ends[a]
                for b in range(owner_ends[j - 1] if j else 0, owner_ends[j]):
                    if (
                        boxes[b, 0] + dx - boxes[a, 2] > near or boxes[a, 0] - boxes[b, 2] - dx > near
                        or boxes[b, 1] + dy - boxes[a, 3] > near or boxes[a, 1] - boxes[b, 3] - dy > near
                    ):  # fmt: skip
                        continue
                    b0, b1 = (part_ends[b - 1] if b else 0), part_ends[b]
                    nx, ny, need, apart = _wall(points, a0, a1, b0, b1, dx, dy)
                    if apart > near:
                        continue
                    if count == len(out):
                        larger = np.empty((2 * len(out), 5))
                        larger[:count] = out
                        out = larger
                    out[count, 0], out[count, 1], out[count, 2], out[count, 3], out[count, 4] = i, j, nx, ny, need
                    count += 1
    return out[:count]


@njit(cache=True)
def _boxes(points, part_ends):
    """The box of each part: least along and across, greatest along and across."""
    out = np.empty((len(part_ends), 4))
    begin = 0
    for part, end in enumerate(part_ends):
        out[part, 0] = out[part, 1] = np.inf
        out[part, 2] = out[part, 3] = -np.inf
        for k in range(begin, end):
            for axis in range(2):
                out[part, axis] = min(out[part, axis], points[k, axis])
                out[part, 2 + axis] = max(out[part, 2 + axis], points[k, axis])
        begin = end
    return out


@njit(cache=True)
def _wall(points, a0, a1, b0, b1, dx, dy):
    """The best separating line of two convex parts, the second moved by (dx, dy): its normal, the need, the gap now."""
    best, best_x, best_y, best_need = -np.inf, 1.0, 0.0, 0.0
    for side in range(2):
        p0, p1 = (a0, a1) if side == 0 else (b0, b1)
        for k in range(p0, p1):
            after = k + 1 if k + 1 < p1 else p0
            ex, ey = points[after, 0] - points[k, 0], points[after, 1] - points[k, 1]
            long = np.sqrt(ex * ex + ey * ey)
            if long < 1e-9:
                continue
            nx, ny = ey / long, -ex / long  # outwards of a counter-clockwise ring
            if side == 1:
                nx, ny = -nx, -ny
            most = -np.inf
            for m in range(a0, a1):
                most = max(most, nx * points[m, 0] + ny * points[m, 1])
            least = np.inf
            for m in range(b0, b1):
                least = min(least, nx * points[m, 0] + ny * points[m, 1])
            apart = nx * dx + ny * dy + least - most
            if apart > best:
                best, best_x, best_y, best_need = apart, nx, ny, most - least
    return best_x, best_y, best_need, best
