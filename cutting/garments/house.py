"""A house pattern: pieces that were drawn elsewhere, cut as they are; nothing of them is worked out from the body."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import atan2, degrees
from typing import ClassVar

from cutting.body import Body
from cutting.drafting import Edge, Step
from cutting.errors import CuttingError, Problem
from cutting.garments.garment import Garment
from cutting.garments.part import Part
from cutting.garments.seams import Seam
from cutting.geometry import Line, Path, Point, Polyline, distance, is_simple, least_box, simplified
from cutting.lengths import mm
from cutting.pieces import Notch, Panel, Piece, Tape
from cutting.where import GARMENT

OWN = "house-"
"""The panels of house patterns begin so: none is taken for a drafted front or back."""
CORNER, QUARTER, LONG = 12.0, 80.0, 30.0
"""An outline that turns by more degrees begins another edge, as does a curve that turns by more in all, and a straight
side that is so long, in mm.
"""
ON_THE_WAY = 0.02
"""A point so near to the line between those beside it, in mm, is left out."""
ON_IT, NOTCH = 1.0, 20.0
"""A line inside that ends so near to the outline and is no longer, in mm, is a notch."""
STRAIGHT = 0.5
"""What is on the fold is straight to so many mm."""


@dataclass(frozen=True)
class HouseDrawing:
    """One piece as it was drawn: its cut line and what is drawn inside it, in mm, the grain down. `half` where it is
    cut on the fold, which is its left side.
    """

    name: str
    outline: tuple[Point, ...]
    lines: tuple[tuple[Point, ...], ...] = ()
    count: int = 1
    pair: bool = False
    half: bool = False


@dataclass(frozen=True)
class House(Garment):
    """A pattern's pieces, all of them small parts: each is chalked from its guide line and its top line."""

    kind: ClassVar[str] = "house"

    def pieces(self, on_fold: bool) -> list[Piece]:
        return [part.piece(on_fold) for part in self.parts]

    def tapes(self, on_fold: bool = False) -> list[tuple[Step, Tape]]:
        """None: where its numbers come from is not known."""
        return []

    def anchor(self, panel: str) -> tuple[str, Point]:
        return "top_line", Point(0.0, 0.0)

    def guide_words(self, panel: str, folded: bool, twin: bool) -> str:
        """A traced twin; on open cloth a half that is traced over to the other side."""
        if twin:
            return "second_"
        part = self.part(panel)
        return "whole_" if part is not None and part.half and not folded else ""

    @property
    def own_seams(self) -> tuple[Seam, ...]:
        """None is known."""
        return ()


def draft_house(name: str, drawings: Sequence[HouseDrawing], body: Body) -> House:
    """The pattern as a garment of that name. Raises CuttingError for a piece that crosses itself, or that is to be on
    the fold and has no straight left side.
    """
    problems: list[Problem] = []
    parts: list[Part] = []
    for drawing in drawings:
        where = GARMENT / "pieces" / drawing.name
        if not is_simple(list(drawing.outline)):
            problems.append(Problem("pattern.crossed", where))
        elif drawing.half and not _has_fold(drawing):
            problems.append(Problem("pattern.fold", where))
        else:
            parts.append(Part(_panel(name, drawing), drawing.count, drawing.pair, 0.0 if drawing.half else None,
                              half=drawing.half))  # fmt: skip
    if problems:
        raise CuttingError(*problems)
    return House(
        id=name, style="house", method="", body=body, marking="on-cloth", other_cloth=(), main=(),
        panels={part.panel.name: part.panel for part in parts}, parts=tuple(parts), numbers={}, notions=(), findings=(),
    )  # fmt: skip


def _has_fold(drawing: HouseDrawing) -> bool:
    """Whether the furthest left of an outline is a straight side, longer than half of the piece's length."""
    left, top, _, low = least_box(drawing.outline)
    on = [p.down for p in drawing.outline if p.across - left <= STRAIGHT]
    return bool(on) and max(on) - min(on) > (low - top) / 2


def _panel(garment: str, drawing: HouseDrawing) -> Panel:
    """Its outline from corner to corner as edges without allowance, with the upper left corner of its box at 0, 0."""
    left, top, *_ = least_box(drawing.outline)

    def there(point: Point) -> Point:
        across = point.across - left
        return Point(0.0 if drawing.half and across <= STRAIGHT else across, point.down - top)

    ring = [there(point) for point in simplified(drawing.outline, ON_THE_WAY)]
    if sum(a.cross(b) for a, b in zip(ring, [*ring[1:], ring[0]], strict=True)) < 0:
        ring.reverse()  # as drafts go round
    corners = _corners(ring)
    edges = {
        f"edge-{k}": Edge(f"edge-{k}", Path(tuple(_lines(ring, a, b))), mm(0))
        for k, (a, b) in enumerate(zip(corners, [*corners[1:], corners[0] + len(ring)], strict=True), 1)
    }
    inside = [tuple(map(there, line)) for line in drawing.lines]
    notches = [_notch(line, edges) for line in inside]
    return Panel(
        garment, OWN + drawing.name, {}, edges, (), (), {}, tuple(notch for notch in notches if notch is not None),
        drawn=tuple(
            Path(tuple(Line(a, b) for a, b in zip(line, line[1:], strict=False)))
            for line, notch in zip(inside, notches, strict=True) if notch is None
        ),
    )  # fmt: skip


def _corners(ring: Sequence[Point]) -> list[int]:
    """Where an edge begins, from the upper left on: at a corner, at both ends of a long straight side, and on a curve
    before it has turned by a quarter, so that each edge is one stroke of chalk.
    """
    turns = [_turn(ring[k - 1], ring[k], ring[(k + 1) % len(ring)]) for k in range(len(ring))]
    found = {k for k, turn in enumerate(turns) if abs(turn) > CORNER}
    for k in range(len(ring)):
        if distance(ring[k - 1], ring[k]) > LONG:
            found |= {(k - 1) % len(ring), k}
    start = min(found or range(len(ring)), key=lambda k: ring[k].across + ring[k].down)
    corners, turned = [start], 0.0
    for k in range(start + 1, start + len(ring)):
        turn = turns[k % len(ring)]
        if k % len(ring) in found or abs(turned + turn) > QUARTER:
            corners.append(k)
            turned = 0.0
        else:
            turned += turn
    return corners


def _turn(a: Point, b: Point, c: Point) -> float:
    one, other = b.minus(a), c.minus(b)
    return degrees(atan2(one.cross(other), one.dot(other)))


def _lines(ring: Sequence[Point], start: int, end: int) -> list[Line]:
    return [Line(ring[k % len(ring)], ring[(k + 1) % len(ring)]) for k in range(start, end)]


def _notch(line: Sequence[Point], edges: dict[str, Edge]) -> Notch | None:
    """A short straight line from the outline inwards."""
    if len(line) != 2 or Polyline(line).length > NOTCH:
        return None
    ways = {name: Polyline(edge.path.flat()) for name, edge in edges.items()}
    away, name, cut, net = min(
        (way.place(one)[1], name, one, other) for name, way in ways.items() for one, other in (line, line[::-1])
    )
    return Notch(name, "seam", net, cut) if away <= ON_IT else None
