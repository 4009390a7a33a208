"""A piece to cut: its outlines, how many, and all that is drawn on it: edges, grain, darts, notches, lines inside."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
import numpy.typing as npt
import shapely

from cutting.cached import cached_property
from cutting.drafting import Dart, Edge
from cutting.geometry import Path, Point, as_rows, beyond, beyond_path, crossings
from cutting.pieces.panel import Notch, Panel

INSET = 0.12
"""The grain line stops this share of what is inside short of both ends."""
LEAST_AREA = 1.0
"""A piece of less, in square mm, is none."""


@dataclass(frozen=True)
class Piece:
    """`cut` and `net` are closed outlines in the draft frame; grain runs down the draft frame, at `grain_at` across.

    `edges` are the sewing lines as lines and curves, `lines` what is marked inside, such as a pocket's opening,
    `drawn` what is only drawn there. `over` where it is the side that mirrors the drawn one. `folds`
    is the across value of a line the piece can be laid on the cloth's fold with, None where it cannot.
    """

    id: str
    garment: str
    panel: str
    count: int
    pair: bool
    cut: tuple[Point, ...]
    net: tuple[Point, ...]
    notches: tuple[Notch, ...] = ()
    folds: float | None = None
    interfacing: bool = False
    edges: tuple[Edge, ...] = ()
    darts: tuple[Dart, ...] = ()
    lines: tuple[tuple[str, Path], ...] = ()
    grain_at: float | None = None
    drawn: tuple[Path, ...] = ()
    over: bool = False

    @property
    def width(self) -> float:
        """Across, cut, in mm."""
        return max(p.across for p in self.cut) - min(p.across for p in self.cut)

    @property
    def height(self) -> float:
        """Down, cut, in mm."""
        return max(p.down for p in self.cut) - min(p.down for p in self.cut)

    @cached_property
    def ring(self) -> npt.NDArray[np.float64]:
        """The corners of `cut`, as rows of across and down."""
        return as_rows(self.cut)

    @cached_property
    def is_sound(self) -> bool:
        """Whether `cut` encloses something and does not cross itself."""
        if len(self.cut) < 3 or not np.isfinite(self.ring).all():
            return False
        shape = shapely.polygons(self.ring)
        return bool(shapely.area(shape) > LEAST_AREA and shapely.is_valid(shape))

    @cached_property
    def grain(self) -> tuple[Point, Point]:
        """The grain line, from its upper to its lower end: at `grain_at`, else where the longest line is inside."""
        left, right = min(p.across for p in self.net), max(p.across for p in self.net)
        if self.grain_at is None:
            places = [left + share * (right - left) for share in PLACES]
            lines = [(across, _upright(self.net, across)[1]) for across in places]
            longest = max(long for _, long in lines)
            across = next(across for across, long in lines if long >= 0.9 * longest)
        else:
            across = min(right, max(left, self.grain_at))
        top, long = _upright(self.net, across)
        return Point(across, top + INSET * long), Point(across, top + (1 - INSET) * long)


PLACES = (0.5, 0.35, 0.65, 0.2, 0.8, 0.08, 0.92)
"""Where a grain line is tried, as shares of a piece's width: in the middle first."""


def _upright(net: Sequence[Point], across: float) -> tuple[float, float]:
    """The longest stretch of an upright line inside an outline: where it begins, and how long it is."""
    downs = [hit.at for hit in crossings([*net, net[0]], Point(across, 0.0), Point(0, 1))]
    inside = [(top, foot - top) for top, foot in zip(downs[::2], downs[1::2], strict=False)]
    return max(inside, key=lambda one: one[1]) if inside else (min(p.down for p in net), 0.0)


def whole_piece(panel: Panel, count: int, pair: bool, interfacing: bool, grain_at: float | None = None) -> Piece:
    """A piece as its panel is drawn."""
    return Piece(
        f"{panel.garment}.{panel.name}", panel.garment, panel.name, count, pair, tuple(panel.cut), tuple(panel.net),
        panel.notches, interfacing=interfacing, edges=tuple(panel.edges.values()), darts=panel.darts,
        lines=tuple(panel.lines.items()), grain_at=grain_at, drawn=panel.drawn,
    )  # fmt: skip


def drawn_half(piece: Piece) -> Piece:
    """The piece of a panel that is drawn as a half, on the fold: across is 0 at its middle line.

    What a hem that is turned up would take beyond the middle line ends there: that line is the fold.
    """
    return replace(piece, pair=False, cut=tuple(beyond(piece.cut, 0.0)), folds=0.0)


def both_halves(piece: Piece) -> Piece:
    """The piece of a panel that is drawn as a half, cut in one: the half, and its other half mirrored."""
    return replace(
        piece, cut=tuple(_whole(beyond(piece.cut, 0.0))), net=tuple(_whole(piece.net)),
        notches=piece.notches + tuple(replace(n, net=_other(n.net), cut=_other(n.cut)) for n in piece.notches),
        edges=_edges_round(piece.edges),
        darts=piece.darts + tuple(_mirrored(dart) for dart in piece.darts),
        lines=piece.lines + tuple((name, path.mapped(_other)) for name, path in piece.lines),
        drawn=piece.drawn + tuple(path.mapped(_other) for path in piece.drawn),
    )  # fmt: skip


def far_half(piece: Piece, middle: float, pair: bool) -> Piece:
    """The half of a piece beyond its middle line, on the fold: across is 0 there, and only what is on it is kept."""

    def moved(point: Point) -> Point:
        return Point(point.across - middle, point.down)

    cut, net = (tuple(beyond(points, middle)) for points in (piece.cut, piece.net))
    edges = [replace(edge, path=path.mapped(moved)) for edge in piece.edges for path in beyond_path(edge.path, middle)]
    return replace(
        piece, pair=pair, cut=cut, net=net, folds=0.0, edges=tuple(edges),
        notches=tuple(
            replace(n, net=moved(n.net), cut=moved(n.cut)) for n in piece.notches if n.net.across > middle - NEAR
        ),
        darts=tuple(
            replace(d, near=moved(d.near), far=moved(d.far), tip=moved(d.tip))
            for d in piece.darts if min(d.near.across, d.far.across) > middle - NEAR
        ),
        lines=tuple(
            (name, part.mapped(moved)) for name, path in piece.lines for part in beyond_path(path, middle)
        ),
        grain_at=None if piece.grain_at is None else piece.grain_at - middle,
    )  # fmt: skip


MIRRORED = ("back", "yoke")
"""How the names of the back's pieces begin. Seen from the right side of the cloth, drawn with its side at the left, a
front is the wearer's right one and a back the left; a leg is as its front.
"""


def one_side(piece: Piece, left: bool) -> Piece:
    """Half of a pair's pieces: those of one side of the wearer."""
    behind = piece.panel.startswith(MIRRORED)
    alone = piece.count == 2
    return replace(piece, count=piece.count // 2, pair=piece.pair and not alone, over=alone and left != behind)


NEAR = 1e-6


def _other(point: Point) -> Point:
    return Point(-point.across, point.down)


def _edges_round(half: tuple[Edge, ...]) -> tuple[Edge, ...]:
    """The edges of a half that has its middle line at 0, without that line, and then those of its other half."""
    middle = [all(abs(p.across) <= NEAR for p in edge.path.flat()) for edge in half]
    first = middle.index(True) + 1 if True in middle else 0
    outer = [edge for edge, inside in zip(half, middle, strict=True) if not inside]
    ordered = outer[first - sum(middle[:first]) :] + outer[: first - sum(middle[:first])]
    return (*ordered, *(replace(edge, path=edge.path.mapped(_other).back) for edge in reversed(ordered)))


def _mirrored(dart: Dart) -> Dart:
    return replace(dart, near=_other(dart.near), far=_other(dart.far), tip=_other(dart.tip))


def _whole(half: Sequence[Point]) -> list[Point]:
    """A half that has its middle line at 0, and its other half."""
    away = [point.across > NEAR for point in half]
    first = next(k for k in range(len(half)) if away[k] and not away[k - 1])
    around = [*half[first:], *half[:first]]
    outer = [point for point in around if point.across > NEAR]
    return [half[first - 1], *outer, around[len(outer)], *(_other(point) for point in reversed(outer))]
