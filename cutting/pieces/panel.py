"""A finished panel: net outline, cut line, notches."""

from dataclasses import dataclass, field, replace
from math import asin

from cutting.cached import cached_property
from cutting.drafting import Dart, Draft, Edge, Step
from cutting.geometry import Path, Point, crossings, distance, is_simple, offset_polyline, unit
from cutting.lengths import Length

LONG = 300.0
"""How far an edge is drawn on, in mm, to find where it meets the next."""
MITRE = 4.0
"""A corner sticks out no further than this many allowances; beyond, it is cut blunt."""
FURTHEST = 60.0
"""Two cut edges meet within so many mm of their ends; what would cut off more of an edge is left out."""


@dataclass(frozen=True)
class Notch:
    """A short stroke across the allowance: on which edge, from the net line to the cut line."""

    edge: str
    code: str
    net: Point
    cut: Point


@dataclass(frozen=True)
class Panel:
    """One panel of a garment, in the draft frame. `lines` are marked inside it, such as a pocket's opening; `drawn`
    is only drawn there.
    """

    garment: str
    name: str
    points: dict[str, Point]
    edges: dict[str, Edge]
    darts: tuple[Dart, ...]
    steps: tuple[Step, ...]
    lengths: dict[str, Length]
    notches: tuple[Notch, ...] = field(default=())
    lines: dict[str, Path] = field(default_factory=dict)
    drawn: tuple[Path, ...] = ()

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
    def sound(self) -> bool:
        """Whether neither of its outlines crosses itself."""
        return is_simple(self.net) and is_simple(self.cut)

    @cached_property
    def waist_closed(self) -> float:
        """The waist seam with its darts closed, in mm."""
        path = self.edges["waist"].path
        mouths = [(path.place_of(dart.near), path.place_of(dart.far)) for dart in self.darts if dart.edge == "waist"]
        return path.length - sum(abs(far - near) for near, far in mouths)

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
            if met is not None and max(distance(met, one[-1]), distance(met, other[0])) <= FURTHEST:
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
    first, last = _end_frames(panel.edges[name].path)
    one, other = panel.offsets[before], panel.offsets[after]
    keep = next((k for k in range(len(one) - 1, 0, -1) if first.inside(one[k - 1])), 1)
    start = next((k for k in range(1, len(other)) if last.inside(other[k])), len(other) - 1)
    return keep, start


@dataclass(frozen=True)
class _Frame:
    """An end of a turned edge, the direction the edge runs in there, and how many mm of flare, that
    way, each mm of a turn is given.
    """

    origin: Point
    along: Point
    flare: float

    def inside(self, point: Point) -> bool:
        """Whether a point is on the panel's side of the edge's line."""
        return point.minus(self.origin).dot(self.along.left) < -1e-9

    def at(self, size: float, above: float) -> Point:
        """The point `size` mm along the edge's line and `above` mm outside it."""
        return self.origin.plus(self.along, size).plus(self.along.left, above)

    def corners(self, neighbour: list[Point], reference: Point, edge: Edge) -> list[Point]:
        """Where a neighbour's cut line ends at each fold: mirrored below it, so that it is flat folded up.

        Where the edge bends at this end, a hollow turn would be short of what it is stitched to and a round one too
        full: that is given or taken at the seam.
        """
        step = edge.allowance.mm / edge.turned
        wanted = reference.minus(self.origin).dot(self.along)
        turn = crossings(neighbour, self.origin, self.along, extend=True)
        at_turn = min(turn, key=lambda one: abs(one.at - wanted)).at
        if not step:
            return [self.at(at_turn, 0.0)]
        inside = crossings(neighbour, self.at(0.0, -step), self.along, extend=True)
        one_fold_in = min(inside, key=lambda one: abs(one.at - at_turn)).at
        folds = range(1, edge.turned + 1)
        below = [self.at((at_turn, one_fold_in)[fold % 2] + step * self.flare, fold * step) for fold in folds]
        return [self.at(at_turn, 0.0), *below]


def _end_frames(path: Path) -> tuple[_Frame, _Frame]:
    first, last = path.segments[0].direction(0.0), path.segments[-1].direction(1.0)
    _, middle = path.along(path.length / 2)
    ends = (path.start, first), (path.end, last)
    one, other = (_Frame(point, along, -2 * asin(middle.dot(along.left))) for point, along in ends)
    return one, other


def _mirrored_hem(panel: Panel, before: str, name: str, after: str) -> list[Point]:
    """The hem allowance's outline: the leg's own sides mirrored below each fold, between them the edge moved out."""
    edge = panel.edges[name]
    first, last = _end_frames(edge.path)
    down = first.corners(panel.offsets[before], panel.offsets[before][-1], edge)
    up = last.corners(panel.offsets[after], panel.offsets[after][0], edge)
    between = [
        point for point in panel.offsets[name][1:-1]
        if point.minus(down[-1]).dot(first.along) > APART and up[-1].minus(point).dot(last.along) > APART
    ]  # fmt: skip
    return [*down, *between, *reversed(up)]


APART = 0.5
"""A point of a hem's edge nearer to its corner than this many mm is left out."""
