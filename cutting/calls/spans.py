"""A cut outline from corner to corner, each span by the edge it is cut for."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from cutting.cached import cached_property
from cutting.drafting import Edge
from cutting.geometry import Point, Polyline, as_rows, distance, nearest_line

SHARP = 12.0
"""The outline turns by more degrees at a corner, whatever is beside it."""
KINK, TIMES = 1.5, 2.5
"""So many degrees are a corner where they are as many times those of the points beside it: a curve has none such."""
SMOOTH = 0.999
"""The cosine of a turn that is no corner."""
TINY = 2.0
"""Corners nearer to each other than this, in mm, are one: a blunt mitre, or an edge that comes to nothing."""
APART = 0.05
"""Points of an outline nearer to each other, in mm, are one."""
FOLD = "fold"


@dataclass(frozen=True)
class Span:
    """A stretch of the cut line between two corners, and the edge it is cut for; `nth` where an edge has several."""

    edge: str
    nth: int
    points: tuple[Point, ...]

    @cached_property
    def way(self) -> Polyline:
        return Polyline(self.points)

    @property
    def length(self) -> float:
        return self.way.length


def spans_of(cut: Sequence[Point], edges: Sequence[Edge], folds: float | None = None) -> list[Span]:
    """The cut outline in spans, in its own direction; what is on the cloth's fold has the edge `fold`."""
    ring = _clean(cut)
    corners = _with_joints(ring, _apart(ring, _corners(ring)), edges) or [0]
    ways = [Polyline(edge.path.flat(0.2)) for edge in edges]
    named: list[tuple[str, tuple[Point, ...]]] = []
    for start, end in zip(corners, [*corners[1:], corners[0] + len(ring)], strict=True):
        points = tuple(ring[k % len(ring)] for k in range(start, end + 1))
        named.append((_edge_of(points, edges, ways, folds), points))
    counts = {edge: sum(name == edge for name, _ in named) for edge, _ in named}
    spans: list[Span] = []
    for edge, points in named:
        nth = sum(span.edge == edge for span in spans) + 1 if counts[edge] > 1 else 0
        spans.append(Span(edge, nth, points))
    return spans


def _clean(cut: Sequence[Point]) -> list[Point]:
    ring: list[Point] = []
    for point in cut:
        if not ring or distance(ring[-1], point) > APART:
            ring.append(point)
    return ring[:-1] if distance(ring[0], ring[-1]) <= APART else ring


def _corners(ring: Sequence[Point]) -> list[int]:
    points = as_rows(ring)
    (x, y), (dx, dy) = (points - np.roll(points, 1, axis=0)).T, (np.roll(points, -1, axis=0) - points).T
    turns = np.abs(np.degrees(np.arctan2(x * dy - y * dx, x * dx + y * dy)))
    beside = np.maximum(np.roll(turns, 1), np.roll(turns, -1))
    sharp = (turns > SHARP) | ((turns > KINK) & (turns > TIMES * beside))
    return [int(k) for k in np.flatnonzero(sharp)]


def _apart(ring: Sequence[Point], corners: list[int]) -> list[int]:
    """Of corners on top of each other the first."""
    return [at for k, at in enumerate(corners) if distance(ring[at], ring[corners[k - 1]]) > TINY or len(corners) == 1]


def _with_joints(ring: Sequence[Point], corners: list[int], edges: Sequence[Edge]) -> list[int]:
    """The corners, and where one edge goes over into the next without one, such as the top of a sleeve's cap."""
    found, points = list(corners), as_rows(ring)
    for one, other in zip(edges, [*edges[1:], edges[0]], strict=True):
        joint = one.path.end
        if distance(joint, other.path.start) > APART or one.turned or other.turned:
            continue
        wide = max(one.allowance.mm, other.allowance.mm)
        near = int(np.hypot(*(points - np.array(joint)).T).argmin())
        # Where nothing is added the joint itself is on the outline.
        smooth = wide == 0 or one.path.segments[-1].direction(1.0).dot(other.path.segments[0].direction(0.0)) > SMOOTH
        if smooth and distance(ring[near], joint) <= wide + 1 and near not in found:
            found.append(near)
    return sorted(found)


def _edge_of(points: Sequence[Point], edges: Sequence[Edge], ways: Sequence[Polyline], folds: float | None) -> str:
    """The edge nearest to a span: to its middle and to what is on both sides of that."""
    if folds is not None and all(abs(p.across - folds) < 0.01 for p in points):
        return FOLD
    own = Polyline(points)
    return edges[nearest_line(ways, [own.share(share) for share in (0.3, 0.5, 0.7)])].name
