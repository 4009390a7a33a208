"""What is drawn of a piece: every stroke of it, once for the screen, paper and files."""

from collections.abc import Sequence
from itertools import pairwise

from cutting.drawing.sheet import Figure, Sheet, Stroke, Text
from cutting.geometry import ORIGIN, Line, Path, Point, Segment
from cutting.pieces import Piece
from cutting.words import Language

HEAD = (4.0, 8.0)
"""Half the width and the length of the grain line's heads, mm."""
GAP = 20.0
NEAR = 1e-6


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
        *(Stroke("notch", Path((Line(notch.net, notch.cut),)), name=notch.code) for notch in piece.notches),
    ]  # fmt: skip
    return tuple(strokes)


def figure_of(piece: Piece, words: Language, at: Point = ORIGIN) -> Figure:
    """A piece with its name, how many and on which fold, written along its grain."""
    top, foot = piece.grain
    label = words.piece_label(piece.garment, piece.panel, piece.count, piece.pair, piece.folds is not None)
    text = Text(label, Point(top.across + 8, (top.down + foot.down) / 2), 9.0, 90.0)
    return Figure(piece.id, strokes_of(piece), (text,), at)


def pieces_sheet(pieces: Sequence[Piece], words: Language) -> Sheet:
    """Pieces side by side, in true size."""
    figures: list[Figure] = []
    left, deep = GAP, 0.0
    for piece in pieces:
        corner = Point(min(p.across for p in piece.cut), min(p.down for p in piece.cut))
        figures.append(figure_of(piece, words, Point(left - corner.across, GAP - corner.down)))
        left += piece.width + GAP
        deep = max(deep, piece.height)
    return Sheet("pieces", left, deep + 2 * GAP, tuple(figures))


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
