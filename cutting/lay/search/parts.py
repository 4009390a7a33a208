"""An outline as the search has it: a little larger than it is, with few hollow corners, and cut into convex parts."""

from collections.abc import Sequence

import numpy as np
import shapely
from shapely.geometry import Polygon

from cutting.lay.variants import Floats

GROW = 0.4
"""A hollow curve is filled by no more than so much, in mm: fewer parts, and nothing that holds for it is untrue."""


def filled(outline: Floats, most: float = GROW) -> Floats:
    """The outline counter-clockwise, hollow corners left out while the chord leaves the piece by at most `most` mm.

    The result holds the whole piece. Shape (n, 2), the last corner not repeated.
    """
    ring = outline if _area(outline) > 0 else outline[::-1]
    kept = list(range(len(ring)))
    k, since, held = 0, 0, {n: [ring[n]] for n in kept}
    while since < len(kept) and len(kept) > 3:
        before, here, after = kept[k - 1], kept[k], kept[(k + 1) % len(kept)]
        a, b = ring[before], ring[after]
        passed = held[before][1:] + held[here]
        if _turn(a, ring[here], b) <= 1e-12 and all(_aside(a, b, p) <= most for p in passed):
            held[before] = [ring[before], *passed]
            kept.pop(k)
            k, since = k % len(kept), 0
        else:
            k, since = (k + 1) % len(kept), since + 1
    return ring[kept]


def convex_parts(ring: Floats) -> list[Floats]:
    """The outline (counter-clockwise) as convex parts that share only edges: triangles, joined while it lasts."""
    if all(_turn(ring[k - 1], ring[k], ring[(k + 1) % len(ring)]) >= -1e-9 for k in range(len(ring))):
        return [ring]
    where = {(float(x), float(y)): n for n, (x, y) in enumerate(ring)}
    parts: dict[int, list[int]] = {}
    beside: dict[tuple[int, int], int] = {}
    for number, triangle in enumerate(shapely.constrained_delaunay_triangles(Polygon(ring)).geoms):
        corners = [where[x, y] for x, y in triangle.exterior.coords[:3]]
        if _turn(*(ring[n] for n in corners)) < 0:
            corners.reverse()
        parts[number] = corners
        for one, other in zip(corners, corners[1:] + corners[:1], strict=True):
            beside[one, other] = number
    inner = [pair for pair in beside if pair[0] < pair[1] and pair[::-1] in beside]
    for one, other in sorted(inner, key=lambda pair: -float(np.hypot(*(ring[pair[0]] - ring[pair[1]])))):
        first, second = beside[one, other], beside[other, one]
        if first == second:
            continue
        joined = _joined(parts[first], parts[second], one, other)
        if _convex(ring, joined):
            parts[first] = joined
            for a, b in zip(parts[second], parts[second][1:] + parts[second][:1], strict=True):
                beside[a, b] = first
            del parts[second]
    return [_plain(ring[corners]) for corners in parts.values()]


def _joined(first: list[int], second: list[int], one: int, other: int) -> list[int]:
    """Two rings that share the edge one -> other (in the second: other -> one), as one ring."""
    k, m = first.index(one), second.index(other)
    return [*first[k + 1 :], *first[: k + 1], *(second[m + 1 :] + second[:m])[1:]]


def _convex(ring: Floats, corners: Sequence[int]) -> bool:
    return all(
        _turn(ring[corners[k - 1]], ring[corners[k]], ring[corners[(k + 1) % len(corners)]]) >= -1e-9
        for k in range(len(corners))
    )


def _plain(ring: Floats) -> Floats:
    """Without corners that are on a straight edge."""
    keep = [
        abs(_turn(ring[k - 1], ring[k], ring[(k + 1) % len(ring)])) > 1e-9 or len(ring) <= 3 for k in range(len(ring))
    ]
    return ring[keep]


def _turn(a: Floats, b: Floats, c: Floats) -> float:
    """Above 0 where a, b, c turn to the left; twice the area they span."""
    return float((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]))


def _aside(a: Floats, b: Floats, p: Floats) -> float:
    """How far p is from the line through a and b."""
    long = float(np.hypot(b[0] - a[0], b[1] - a[1]))
    return abs(_turn(a, b, p)) / long if long else float(np.hypot(*(p - a)))


def _area(ring: Floats) -> float:
    x, y = ring.T
    return float(np.dot(x, np.roll(y, -1)) - np.dot(y, np.roll(x, -1))) / 2
