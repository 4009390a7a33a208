"""A finished panel: net outline, cut line, notches."""

from dataclasses import dataclass, field, replace
from functools import cached_property

from cutting.drafting import Dart, Draft, Edge, Step
from cutting.geometry import Path, Point, crossings, distance, offset_polyline, unit
from cutting.lengths import Length

LONG = 300.0
"""How far an edge is drawn on, in mm, to find where it meets the next."""
MITRE = 4.0
"""A corner sticks out no further than this many allowances; beyond, it is cut blunt."""


@dataclass(frozen=True)
class Notch:
    """A short stroke across the allowance: on which edge, from the net line to the cut line."""

    edge: str
    code: str
    net: Point
    cut: Point


@dataclass(frozen=True)
class Panel:
    """One panel of a garment, in the draft frame. `lines` are drawn inside it, such as a pocket's opening."""

    garment: str
    name: str
    points: dict[str, Point]
    edges: dict[str, Edge]
    darts: tuple[Dart, ...]
    steps: tuple[Step, ...]
    lengths: dict[str, Length]
    notches: tuple[Notch, ...] = field(default=())
    lines: dict[str, Path] = field(default_factory=dict)

    @cached_property
    def net(self) -> list[Point]:
        """The net outline as a closed polyline, its first point not repeated."""
        outline: list[Point] = []
        for edge in self.edges.values():
            outline.extend(edge.path.flat()[:-1])
        return outline

    @cached_property
    def offsets(self) -> dict[str, list[Point]]:
        """Each edge moved out by its allowance, corners not yet joined."""
        return {name: _offset(edge) for name, edge in self.edges.items()}

    @cached_property
    def cut(self) -> list[Point]:
        """The cut line as a closed polyline: edges offset, corners mitred, hems mirrored at the turn."""
        return _cut_line(self)

    @property
    def waist_closed(self) -> float:
        """The waist seam with its darts closed, in mm."""
        darts = sum(distance(dart.near, dart.far) for dart in self.darts if dart.edge == "waist")
        return self.edges["waist"].path.length - darts

    def corner(self, one: str, other: str) -> Point:
        """Where the cut lines of two neighbouring edges meet."""
        return _join(self.offsets[one], self.offsets[other]).corner[0]

    def notch(self, edge: str, code: str, from_start: float) -> Notch:
        """A notch `from_start` mm along an edge's net line."""
        point, direction = self.edges[edge].path.along(from_start)
        return Notch(edge, code, point, point.plus(direction.left, self.edges[edge].allowance_at(from_start).mm))


STEP = 12.7
"""Over so many mm the cut line runs from a zip's allowance to the seam's own."""


def _offset(edge: Edge) -> list[Point]:
    """An edge moved out by its allowance; where part of it holds a zip, by that one's and then by its own."""
    wide = edge.wide
    if wide is None:
        return offset_polyline(edge.path.flat(), edge.allowance.mm)
    path = edge.path.back if wide.at_end else edge.path
    upper, rest = path.split(wide.reach)
    _, lower = rest.split(STEP)
    sign = -1 if wide.at_end else 1
    moved = [
        *offset_polyline(upper.flat(), sign * wide.allowance.mm),
        *offset_polyline(lower.flat(), sign * edge.allowance.mm),
    ]
    return moved[::-1] if wide.at_end else moved


def finish(garment: str, draft: Draft) -> Panel:
    """The panel a draft describes."""
    return Panel(
        garment, draft.panel, dict(draft.points), dict(draft.edges), tuple(draft.darts), tuple(draft.steps),
        dict(draft.lengths),
    )  # fmt: skip


def with_notches(panel: Panel, *notches: Notch) -> Panel:
    """The panel with more notches."""
    return replace(panel, notches=panel.notches + notches)


@dataclass(frozen=True)
class _Join:
    """How two offset edges meet: the first keeps its points before `keep`, the second those from `start` on."""

    keep: int
    corner: list[Point]
    start: int


def _join(one: list[Point], other: list[Point]) -> _Join:
    """Two offset edges that follow each other, trimmed or drawn on to where they meet.

    The corner is one point, or two where a mitre would stick out too far.
    """
    along, onward = unit(one[-1].minus(one[-2])), unit(other[1].minus(other[0]))
    slope = along.cross(onward)
    gap = other[0].minus(one[-1])
    if abs(slope) < 1e-6:
        return _Join(len(one) - 1, [one[-1].towards(other[0], 0.5)], 1)
    reach, past = gap.cross(onward) / slope, gap.cross(along) / slope
    if reach > -distance(one[-1], one[-2]) and past < distance(other[0], other[1]):
        limit = MITRE * max(1.0, abs(gap.across) + abs(gap.down))
        corner = [one[-1].plus(along, reach)] if abs(reach) <= limit else [one[-1], other[0]]
        return _Join(len(one) - 1, corner, 1)
    first = [*one[:-1], one[-1].plus(along, LONG)]
    second = [other[0].plus(onward, -LONG), *other[1:]]
    for k in range(len(first) - 2, -1, -1):
        for j in range(len(second) - 1):
            met = _meet(first[k], first[k + 1], second[j], second[j + 1])
            if met is not None:
                return _Join(k + 1, [met], j + 1)
    return _Join(len(one) - 1, [one[-1], other[0]], 1)


def _meet(a: Point, b: Point, c: Point, d: Point) -> Point | None:
    """Where two stretches cross, if they do."""
    one, other, away = b.minus(a), d.minus(c), c.minus(a)
    slope = one.cross(other)
    if abs(slope) < 1e-12:
        return None
    at, along = away.cross(other) / slope, away.cross(one) / slope
    return a.plus(one, at) if 0 <= at <= 1 and 0 <= along <= 1 else None


def _cut_line(panel: Panel) -> list[Point]:
    names = list(panel.edges)
    start, keep = dict.fromkeys(names, 1), {name: len(panel.offsets[name]) - 1 for name in names}
    corners: dict[str, list[Point]] = {name: [] for name in names}
    for name, after in zip(names, [*names[1:], names[0]], strict=True):
        if panel.edges[name].turned:
            before = names[names.index(name) - 1]
            corners[name] = _mirrored_hem(panel, before, name, after)
            keep[name] = 0
            keep[before], start[after] = _up_to_the_turn(panel, before, name, after)
        elif not panel.edges[after].turned:
            join = _join(panel.offsets[name], panel.offsets[after])
            keep[name], corners[name], start[after] = join.keep, join.corner, join.start
    return [point for name in names for point in (*panel.offsets[name][start[name] : keep[name]], *corners[name])]


def _up_to_the_turn(panel: Panel, before: str, name: str, after: str) -> tuple[int, int]:
    """How many points of the offset before a turned edge are kept, and from which on those after it."""
    path = panel.edges[name].path
    outward = unit(path.end.minus(path.start)).left

    def inside(point: Point) -> bool:
        return point.minus(path.start).dot(outward) < -1e-9

    one, other = panel.offsets[before], panel.offsets[after]
    keep = next((k for k in range(len(one) - 1, 0, -1) if inside(one[k - 1])), 1)
    start = next((k for k in range(1, len(other)) if inside(other[k])), len(other) - 1)
    return keep, start


def _mirrored_hem(panel: Panel, before: str, name: str, after: str) -> list[Point]:
    """The hem allowance's outline: the leg's own sides mirrored below each fold, so that it is flat folded up."""
    edge = panel.edges[name]
    start, direction = edge.path.start, unit(edge.path.end.minus(edge.path.start))
    step = edge.allowance.mm / edge.turned
    up = direction.left

    def side(polyline: list[Point]) -> tuple[float, float]:
        """Where the leg's side is at the fold, and one fold's depth above it: along the hem line."""
        turn = crossings(polyline, start, direction, extend=True)
        above = crossings(polyline, start.plus(up, -step), direction, extend=True)
        reference = polyline[0] if polyline is panel.offsets[after] else polyline[-1]
        wanted = reference.minus(start).dot(direction)
        at_turn = min(turn, key=lambda one: abs(one.at - wanted)).at
        return at_turn, min(above, key=lambda one: abs(one.at - at_turn)).at

    first, last = side(panel.offsets[before]), side(panel.offsets[after])
    folds = range(edge.turned + 1) if step else range(1)

    def corner(ends: tuple[float, float], fold: int) -> Point:
        return start.plus(direction, ends[fold % 2]).plus(up, fold * step)

    return [corner(first, k) for k in folds] + [corner(last, k) for k in reversed(folds)]
