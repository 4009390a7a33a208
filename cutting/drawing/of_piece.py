"""What is drawn of a piece: every stroke of it, once for the screen, paper and files."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import atan2, cos, degrees, pi, sin

from cutting.drafting import Edge
from cutting.drawing.sheet import Stroke
from cutting.geometry import Line, Path, Point, Segment
from cutting.pieces import Piece

HEAD = (4.0, 8.0)
"""Half the width and the length of the grain line's heads, mm."""
NEAR = 1e-6
SEAM_HEIGHT, INSIDE = 5.0, 4.0
"""How high a seam's width is written, and how far inside the sewing line, mm."""
SHORT = 50.0
"""On an edge that is shorter, in mm, it is not written."""


def strokes_of(piece: Piece) -> tuple[Stroke, ...]:
    """In the piece's draft frame: cut line, sewing line, fold, grain, darts, lines inside, notches."""
    top, foot = piece.grain
    strokes = [
        Stroke("cut", polyline([*piece.cut, piece.cut[0]]), closed=True),
        Stroke("net", _sewing_line(piece), closed=True),
        *(Stroke("fold", path) for path in _fold(piece)),
        Stroke("grain", Path((Line(top, foot),))),
        Stroke("grain", _head(top, 1)), Stroke("grain", _head(foot, -1)),
        *(Stroke("dart", polyline([dart.near, dart.tip, dart.far])) for dart in piece.darts),
        *(Stroke("chalk", path, name=name) for name, path in piece.lines),
        *(Stroke("chalk", path) for path in piece.drawn),
        *(Stroke("notch", Path((Line(notch.net, notch.cut),)), name=notch.code) for notch in piece.notches),
    ]  # fmt: skip
    return tuple(strokes)


@dataclass(frozen=True)
class SeamWidth:
    """How wide a seam is, in mm, and where it is written: halfway along a line of text turned by so many degrees."""

    mm: float
    at: Point
    angle: float


def seam_widths(piece: Piece) -> tuple[SeamWidth, ...]:
    """Each seam's width inside its edge, along the middle of it, the way one reads; in the piece's draft frame."""
    return tuple(_width(edge) for edge in piece.edges if edge.allowance.mm > 0 and edge.path.length >= SHORT)


def _width(edge: Edge) -> SeamWidth:
    at, way = edge.path.along(edge.path.length / 2)
    turn = atan2(way.down, way.across)
    upright = turn - pi if turn > pi / 2 else turn + pi if turn <= -pi / 2 else turn
    middle = at.plus(way.left, -(INSIDE + SEAM_HEIGHT / 2))
    return SeamWidth(
        edge.allowance.mm, middle.plus(Point(-sin(upright), cos(upright)), 0.35 * SEAM_HEIGHT), degrees(upright)
    )


def polyline(points: Sequence[Point]) -> Path:
    """Straight lines from point to point."""
    return Path(tuple(Line(a, b) for a, b in pairwise(points)))


def _sewing_line(piece: Piece) -> Path:
    """The edges one after the other; where the piece is on the fold a line joins their ends along it."""
    segments: list[Segment] = []
    for segment in (part for edge in piece.edges for part in edge.path.segments):
        if segments and _apart(segments[-1].end, segment.start):
            segments.append(Line(segments[-1].end, segment.start))
        segments.append(segment)
    return Path(tuple(segments))


def _apart(one: Point, other: Point) -> bool:
    return abs(one.across - other.across) > NEAR or abs(one.down - other.down) > NEAR


def _fold(piece: Piece) -> list[Path]:
    """The cut line's stretch along the cloth's fold."""
    if piece.folds is None:
        return []
    on = [point.down for point in piece.cut if abs(point.across - (piece.folds or 0.0)) < 1e-3]
    return [Path((Line(Point(piece.folds, min(on)), Point(piece.folds, max(on))),))] if len(on) > 1 else []


def _head(tip: Point, way: int) -> Path:
    wide, long = HEAD
    return polyline(
        [Point(tip.across - wide, tip.down + way * long), tip, Point(tip.across + wide, tip.down + way * long)]
    )
