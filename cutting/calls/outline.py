"""The calls that complete a piece: its corners, its edges, darts, openings, notches, and what is written on it."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import partial

from cutting.cached import cached_property
from cutting.calls.board import SAME, UNREAD, Board, spoken
from cutting.calls.call import Along, Kind, Name
from cutting.calls.spans import FOLD, Span
from cutting.calls.stroke import NEAR, Shown, Stroke
from cutting.drafting import Dart
from cutting.geometry import Point, Polyline, distance, unit
from cutting.lengths import Length, found, named, total
from cutting.pieces import Notch, Piece

FAR = 40.0
"""A dart's place by the method is that of the dart within so many mm of it."""

CRUMB = 2.0
"""An edge that starts and ends at one corner and is no longer, in mm, is not chalked; a longer one goes all round."""
SHORT = 8.0
"""A tape this short, in mm, is square enough to an edge that bends."""

CENTRE = ("crotch", "centre", FOLD)
Hints = dict[tuple[str, str], tuple[Point, Length]]
"""The method's own tape to a corner, by its two edges: where it starts and what it says."""


@dataclass(frozen=True)
class Edged:
    """An edge as it is chalked: the points it goes through, by how far along the stroke they are, the stroke, and which
    stretches of it are straight, from where to where along it.
    """

    span: Span
    name: Name
    shown: tuple[Shown, ...]
    points: tuple[Point, ...]
    straight: tuple[tuple[float, float], ...] = ()

    @cached_property
    def way(self) -> Polyline:
        return Polyline(self.points)


def corners(board: Board, spans: Sequence[Span], hints: Hints) -> list[Name]:
    """Chalk every corner; answers their names, each the start of its span."""
    board.stage = "corners"
    before = dict(zip((id(span) for span in spans), [spans[-1], *spans[:-1]], strict=True))
    names: dict[int, Name] = {}
    # Where the method has a tape to a corner, that starts at another one.
    for span in sorted(spans, key=lambda one: (before[id(one)].edge, one.edge) in hints):
        of = (before[id(span)].edge, span.edge)
        name = Name("corner_of", of if of[0] != of[1] else of[:1])
        same = sum(one[:2] == name[:2] for one in names.values())
        if same or of[0] == of[1]:
            name = name._replace(nth=same + 1)
        hint, point = hints.get(of), board.levelled(span.points[0])
        if hint is not None and board.at(point) is None and board.level_at(point.down) is None:
            board.level(Name("level_of", (name.code, *name.of), name.nth), point.down)
        names[id(span)] = board.reach(name, point, "corner", hint)
    return [names[id(span)] for span in spans]


def edges(board: Board, spans: Sequence[Span], starts: Sequence[Name]) -> list[Edged]:
    """Chalk every edge that is not on the fold, through what is chalked of it and as many points more as it needs."""
    board.stage = "edges"
    chalked: list[Edged] = []
    for number, span in enumerate(spans):
        ends = starts[number], starts[(number + 1) % len(starts)]
        there, points, bends = _known(board, span, ends), list(span.points), [True]
        if span.edge != FOLD and (ends[0] != ends[1] or span.length > CRUMB):
            there, points, bends = Stroke(board, span.edge, span.nth, span.way).chalked(there)
        way = Polyline(points)
        along = tuple(Shown(way.place(one.point)[0], one.name, one.point) for one in there)
        straight = tuple(
            (a.size, b.size) for a, b, bent in zip(along, along[1:], bends, strict=False) if not bent
        )  # fmt: skip
        chalked.append(Edged(span, Name("edge_of", (span.edge,), span.nth), along, tuple(points), straight))
    return chalked


def _known(board: Board, span: Span, ends: tuple[Name, Name]) -> list[Shown]:
    """What is chalked of a span: its two ends, and the points on it between them."""
    whole = span.length
    chalked = board.points | board.seen
    found_ = [Shown(0.0, ends[0], chalked[ends[0]]), Shown(whole, ends[1], chalked[ends[1]])]
    low, high = _corner(span.points, min), _corner(span.points, max)
    for name, point in board.points.items():
        if not (low.across <= point.across <= high.across and low.down <= point.down <= high.down):
            continue
        size, away = span.way.place(point)
        if away <= SAME and name not in ends and 5 < size < whole - 5:
            found_.append(Shown(size, name, point))
    return _spaced(sorted(found_, key=lambda one: one.size))


def _corner(points: Sequence[Point], most: Callable[..., float]) -> Point:
    """A corner of the box around points, a chalk line larger."""
    more = SAME if most is max else -SAME
    return Point(most(p.across for p in points) + more, most(p.down for p in points) + more)


def _spaced(shown: list[Shown]) -> list[Shown]:
    """Without points that are on top of each other; both ends stay."""
    kept = [shown[0]]
    for one in shown[1:-1]:
        if one.size - kept[-1].size > 5 and shown[-1].size - one.size > 5:
            kept.append(one)
    return [*kept, shown[-1]]


def darts(board: Board, piece: Piece, chalked: Sequence[Edged]) -> None:
    """Chalk every dart: its middle and its legs on the cut edge, then its point inside."""
    board.stage = "darts"
    several = len(piece.darts) > 1
    for number, dart in enumerate(piece.darts, 1):
        on = _edge_of(chalked, dart.edge, dart.near.towards(dart.far, 0.5))
        nth = number if several else 0
        legs = [(_notch_at(piece.notches, leg), leg) for leg in (dart.near, dart.far)]
        near, far = (on.way.place(leg if notch is None else notch.cut)[0] for notch, leg in legs)
        names = {key: Name("dart_of", (dart.edge, key), nth) for key in ("middle", "one", "other", "point")}
        middle = Shown((near + far) / 2, names["middle"], on.way.at((near + far) / 2)[0])
        _walk(board, names["middle"], on, middle.size, "point", _placed(board), _inner(chalked, on))
        half = partial(spoken, dart.intake / 2)
        for key, size in (("one", near), ("other", far)):
            _walk(board, names[key], on, size, "notch", half, middle)
        seam = next(edge.allowance for edge in piece.edges if edge.name == dart.edge)
        _tip(board, names, dart, total(dart.length, named(seam, "seam")))


def _inner(chalked: Sequence[Edged], on: Edged) -> Shown | None:
    """The end of an edge that is at the centre: from there a method says where a dart is."""
    at = chalked.index(on)
    if chalked[at - 1].span.edge in CENTRE:
        return on.shown[0]
    return on.shown[-1] if chalked[(at + 1) % len(chalked)].span.edge in CENTRE else None


def _placed(board: Board) -> Callable[[float], Length] | None:
    """What the method says of a dart's place, for a tape of about that length."""
    places = board.dart_places

    def placed(size: float) -> Length:
        near = [one for one in places if abs(one.mm - size) <= FAR]
        return spoken(min(near, key=lambda one: abs(one.mm - size)), size) if near else found(size, "along_the_edge")

    return placed if places else None


def _tip(board: Board, names: dict[str, Name], dart: Dart, said: Length) -> None:
    """A dart's point: square to the line between its legs, at their middle, where it is there."""
    one, other = board.points[names["one"]], board.points[names["other"]]
    foot, way = one.towards(other, 0.5), unit(other.minus(one))
    run = dart.tip.minus(foot)
    if abs(run.dot(way)) > NEAR:
        board.reach(names["point"], dart.tip, "dart_point", inside=True)
        return
    by = run.dot(way.left)
    along = Along("half", (names["one"], names["other"]))
    board.tape(names["point"], foot.plus(way.left, by), foot, names["one"], spoken(said, abs(by)), along, inside=True)


def openings(board: Board, piece: Piece, chalked: Sequence[Edged]) -> None:
    """Chalk the lines inside, such as where a pocket is opened: from notch to notch, on the sewing line."""
    board.stage = "openings"
    for name, path in piece.lines:
        way = Polyline(path.flat(0.1))
        ends = [_opening_end(board, piece, chalked, name, n, p) for n, p in enumerate((path.start, path.end), 1)]
        there = [Shown(size, end, board.points[end]) for size, end in zip((0.0, way.length), ends, strict=True)]
        Stroke(board, name, 0, way, inside=True).chalked(there)


def _opening_end(board: Board, piece: Piece, chalked: Sequence[Edged], line: str, number: int, point: Point) -> Name:
    """An end of a line inside: in from its notch, where it has one."""
    end, notch = Name("end_of", (line,), number), _notch_at(piece.notches, point)
    if notch is None:
        return board.reach(end, point, "opening", inside=True)
    on = _edge_of(chalked, notch.edge, notch.cut)
    mark = Name("notch_on", (on.span.edge, notch.code, line), number)
    size, _ = on.way.place(notch.cut)
    at = _walk(board, mark, on, size, "notch")
    square = on.way.at(size)[1].left
    by = point.minus(at).dot(square)
    if abs(by) > SHORT and not any(a + SHORT < size < b - SHORT for a, b in on.straight):
        # Square to a curve that is drawn by hand is another way for everybody.
        return board.reach(end, point, "opening", inside=True)
    length = found(abs(by), "to_the_seam")
    board.tape(end, at.plus(square, by), at, mark, length, Along("inside"), inside=True)
    return end


def _notch_at(notches: Sequence[Notch], point: Point) -> Notch | None:
    near = [notch for notch in notches if distance(notch.net, point) <= 1.0]
    return near[0] if near else None


def notches(board: Board, piece: Piece, chalked: Sequence[Edged]) -> None:
    """Chalk every notch that is not called yet: so far along its edge from what is chalked on it."""
    board.stage = "notches"
    done = [one.end for one in board.calls if one.kind == "notch"]
    counts: dict[tuple[str, str], int] = {}
    for notch in piece.notches:
        on = _edge_of(chalked, notch.edge, notch.cut)
        size, _ = on.way.place(notch.cut)
        place, _ = on.way.at(size)
        if on.span.edge == FOLD or any(distance(place, end) <= UNREAD + SAME for end in done):
            continue
        key = on.span.edge, notch.code
        counts[key] = counts.get(key, 0) + 1
        done.append(_walk(board, Name("notch_on", key, counts[key]), on, size, "notch"))


def _walk(
    board: Board,
    name: Name,
    on: Edged,
    size: float,
    kind: Kind,
    says: Callable[[float], Length] | None = None,
    first: Shown | None = None,
) -> Point:
    """Chalk a place on an edge by a tape along it: from `first`, else the nearest point that is chalked there."""
    end, _ = on.way.at(size)
    start = first or min(on.shown, key=lambda one: abs(one.size - size))
    long = abs(start.size - size)
    if kind == "notch" and long < UNREAD:
        # Nothing can be measured: the notch is where that point is.
        end, long = start.point, 0.0
    length = says(long) if says is not None else found(long, "notch" if kind == "notch" else "along_the_edge")
    board.tape(name, end, start.point, start.name, length, Along("edge", (on.name,)), kind)
    return end


def _edge_of(chalked: Sequence[Edged], edge: str, point: Point) -> Edged:
    """The chalked edge a point is on: of that name where there is one, else the nearest."""
    of = [one for one in chalked if one.span.edge == edge] or list(chalked)
    return min(of, key=lambda one: one.way.place(point)[1])


def writing(board: Board, piece: Piece) -> None:
    """What is written on the piece before it is cut."""
    board.stage = "writing"
    top, foot = piece.grain
    board.draw("write", Name("written"), (), top.towards(foot, 0.5))
