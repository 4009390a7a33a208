"""The calls of one piece: its method's own tapes as far as they end on the cut line, then what completes it."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

from cutting.calls.board import Board
from cutting.calls.call import Call, Name
from cutting.calls.curve import curves, drawn
from cutting.calls.outline import Edged, Hints, corners, darts, edges, notches, openings, writing
from cutting.calls.spans import Span, spans_of
from cutting.drafting import Step
from cutting.geometry import Point, Polyline, crossings, distance, unit
from cutting.lengths import Length, named, total
from cutting.pieces import Piece, Tape

Tapes = Sequence[tuple[Step, Tape]]
LEVELS = {
    "crotch_line", "hip_line", "knee_line", "hem_line", "hem_turn", "rise_line", "casing_line", "armhole_line",
    "armhole_level", "side_level", "top_hip_line", "top_hem", "cap_height", "cap_upper", "cap_lower", "sleeve_length",
}  # fmt: skip
"""Marks on the guide line that a level line is chalked through."""
UPRIGHTS = {"crease"}
"""Marks that a line along the grain is chalked through."""
BY_EDGE = {
    "curve_start", "side_middle", "side_height", "side_raise", "dart_place", "dart_intake", "dart_length", "dart_up",
    "waist_width", "bust_dart_place", "bust_dart_intake", "bust_dart_length",
}  # fmt: skip
"""Marks that are called where the edges, the corners and the darts are."""

BESIDE = 2.0
"""A point further from the edge than this, in mm, is not on it: as near a chalk line by hand is to the edge."""


@dataclass(frozen=True)
class Chalked:
    """A piece with every call made: what its guide line and its level line `top` are, and where they cross."""

    panel: str
    guide: Name
    top: Name
    corner: Point
    calls: tuple[Call, ...]
    levels: dict[Name, float]
    uprights: dict[Name, float]
    points: dict[Name, Point]
    edges: tuple[Edged, ...]

    def path(self, call: Call) -> list[Point]:
        """What a stroke is drawn through, as a polyline; for a tape from between two points the line between them."""
        if call.along is not None and call.along.code in ("half", "quarter"):
            return [self.points[name] for name in call.along.of]
        if call.kind not in ("join", "curve"):
            return []
        edge = next((one for one in self.edges if one.name == call.name), None)
        if edge is not None:
            return list(edge.points)
        points = [self.points[name] for name in call.through]
        return drawn(points, call.bends or (False,) * (len(points) - 1))

    def hollows(self, call: Call) -> list[Point | None]:
        """Where each curve of a stroke is hollow, in the draft frame; None of one that bends to both sides."""
        points, line = [self.points[name] for name in call.through], self.path(call)
        found, before = list[Point | None](), 0
        for start, end in curves(call.bends):
            first = line.index(points[start], before)
            before = line.index(points[end], first + 1)
            found.append(_hollow_side(line[first : before + 1]))
        return found


BOTH_SIDES = 0.2
"""A curve that goes to the one side of the straight line between its ends for more than so much of the other bends to
both.
"""


def _hollow_side(curve: Sequence[Point]) -> Point | None:
    """Square to the straight line between a curve's ends, away from the curve."""
    left = unit(curve[-1].minus(curve[0])).left
    off = [left.dot(point.minus(curve[0])) for point in curve]
    between = [
        (one + other) / 2 * distance(a, b) for (one, other), (a, b) in zip(pairwise(off), pairwise(curve), strict=True)
    ]
    aside = sum(size for size in between if size > 0), -sum(size for size in between if size < 0)
    if min(aside) >= BOTH_SIDES * max(aside):
        return None
    return Point(-left.across, -left.down) if aside[0] > aside[1] else left


def calls_of(
    piece: Piece,
    tapes: Tapes,
    guide: Name,
    top: Name,
    corner: Point,
    on_cloth: bool,
    main: bool,
    traced: Chalked | None = None,
) -> Chalked:
    """Every call of a piece. `corner` is where its guide line and the level line `top` cross, in the draft frame;
    `traced` what was chalked of the panel that it is laid out from. On paper the net line is chalked.

    The tapes of a panel that covers the body, `main`, are called; a small part's only say what its lengths are made of.
    """
    drawn_ = piece if on_cloth else _on_paper(piece)
    spans = spans_of(drawn_.cut, piece.edges, piece.folds)
    board = Board(piece.panel, guide, levels={top: corner.down}, uprights={guide: corner.across})
    if traced is not None:
        _trace(board, traced, guide)
    board.sums = () if main else _sums(piece, tapes, on_cloth)
    board.dart_places = tuple(tape.length for step, tape in tapes if step.code in ("dart_place", "bust_dart_place"))
    hints: Hints = {}
    for step, tape in tapes if main else ():
        board.stage = step.stage
        _control(board, step, tape, spans, hints)
    starts = corners(board, spans, hints)
    chalked = edges(board, spans, starts)
    darts(board, drawn_, chalked)
    openings(board, drawn_, chalked)
    notches(board, drawn_, chalked)
    writing(board, piece)
    points = board.points | board.seen
    outline = Polyline((*drawn_.cut, drawn_.cut[0]))
    away = outline.away([call.end for call in board.calls])
    calls = tuple(_aside(call, far) for call, far in zip(board.calls, away, strict=True))
    return Chalked(piece.panel, guide, top, corner, calls, board.levels, board.uprights, points, tuple(chalked))


def _aside(call: Call, away: float) -> Call:
    """The call, which says so where its point, so far away from the outline, is only measured from."""
    by_edge = call.along is not None and call.along.code == "edge"
    if call.kind not in ("point", "meet") or call.inside or by_edge:
        return call
    return replace(call, aside=True) if away > BESIDE else call


def _on_paper(piece: Piece) -> Piece:
    """The piece with its sewing lines for its cut lines."""
    return replace(piece, cut=piece.net, notches=tuple(replace(notch, cut=notch.net) for notch in piece.notches))


def _trace(board: Board, traced: Chalked, guide: Name) -> None:
    """What can be seen of another panel that was traced here: its own points, lines and edges."""
    own = {name: name._replace(panel=traced.panel) for name in (*traced.points, *traced.levels, *traced.uprights)}
    board.seen = {own[name]: point for name, point in traced.points.items() if not name.panel}
    levels = {own[name]: down for name, down in traced.levels.items() if name.code != "level_of"}
    board.levels |= {name: down for name, down in levels.items() if board.level_at(down) is None}
    board.uprights |= {own[name]: across for name, across in traced.uprights.items() if name != guide}
    board.edges = tuple((one.name._replace(panel=traced.panel), one.points) for one in traced.edges)


def _sums(piece: Piece, tapes: Tapes, on_cloth: bool) -> tuple[Length, ...]:
    """Lengths whose rule is known: those of the tapes, half of them, and on cloth with one or two of the seams."""
    own = [tape.length for _, tape in tapes]
    own += [length / 2 for length in own]
    if not on_cloth:
        return tuple(own)
    seams = {round(edge.allowance.mm, 3): edge.allowance for edge in piece.edges if edge.allowance.mm}
    given = [named(allowance, "hem" if allowance.mm > 20 else "seam") for allowance in seams.values()]
    pairs = [total(one, other) for k, one in enumerate(given) for other in given[k:]]
    return (*own, *(total(length, more) for length in own for more in (*given, *pairs)))


def _control(board: Board, step: Step, tape: Tape, spans: Sequence[Span], hints: Hints) -> None:
    """One of the method's own marks, where it is a line or ends on the cut line."""
    name = Name(step.code)
    if step.code == "waist_width":
        ends = [(a.edge, b.edge) for a, b in zip([spans[-1], *spans[:-1]], spans, strict=True) if b.edge == "waist"]
        starts = [b.points[0] for a, b in zip([spans[-1], *spans[:-1]], spans, strict=True) if a.edge == "waist"]
        if ends and starts:
            hints[ends[0]] = (starts[0], tape.length)
    elif step.code in BY_EDGE:
        return
    elif step.code in LEVELS:
        if board.level_at(board.levelled(tape.end).down) is None:
            board.level(name, tape.end.down, tape.length, tape.start)
    elif step.code in UPRIGHTS:
        board.upright(name, tape.end, tape.start, tape.length)
    elif step.code == "curve_diagonal":
        _diagonal(board, step, spans, tape.length)
    else:
        if step.from_code == "centre_line":
            _centre_line(board, spans)
        board.reach(name, tape.end, "drawn", (tape.start, tape.length), waits=step.waits)
        if step.code == "centre_on_crotch_line":
            _centre_line(board, spans)


def _diagonal(board: Board, step: Step, spans: Sequence[Span], said: Length) -> None:
    """How far the cut curve is from the corner of the centre and the crotch line, at half a right angle."""
    starts = [point for name, point in (board.points | board.seen).items() if name.code == step.from_code]
    way = unit(step.end.minus(step.start))
    for start in starts[:1]:
        hits = [hit.at for span in spans for hit in crossings(span.points, start, way) if hit.at > 0]
        if hits:
            board.reach(Name(step.code), start.plus(way, min(hits)), "drawn", (start, said))


def _centre_line(board: Board, spans: Sequence[Span]) -> None:
    """The straight centre line: through its top and where it crosses the crotch line."""
    name, top = Name("centre_line"), [span.points for span in spans if span.edge == "crotch"]
    levels = [down for line, down in board.levels.items() if line.code == "crotch_line"]
    if name in board.slants or not top or not levels:
        return
    first, second = top[0][0], top[0][1]
    low = first.plus(second.minus(first), (levels[0] - first.down) / (second.down - first.down))
    foot = board.at(low) or board.reach(Name("centre_on_crotch_line"), low, "drawn")
    head = board.at(first) or Name("hip_width")
    chalked = board.points | board.seen
    if head in chalked:
        board.slants[name] = (chalked[head], chalked[foot])
        board.draw("join", name, (head, foot), low)
