"""Outlines from outside: which are pieces, what is drawn inside them, and what cannot be cut, with its place."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field
from itertools import pairwise
from math import hypot
from typing import Literal

from shapely import STRtree
from shapely.geometry import LineString, Polygon, box
from shapely.validation import explain_validity

from cutting.codes import ProblemCode
from cutting.drawing import Figure, Stroke, Text, polyline
from cutting.errors import refuse
from cutting.geometry import Point, least_box

Unit = Literal["mm", "cm", "in", "px"]
UNITS: dict[Unit, float] = {"mm": 1.0, "cm": 10.0, "in": 25.4, "px": 25.4 / 96}
"""A unit of a drawing in mm; a px is a 96th of an inch."""
JOINED = 0.5
"""Two ends so near, in mm, are one point."""
LEAST, LONGEST = 10.0, 5000.0
"""What is no longer one way is no piece, and what is longer no table takes, mm."""
MOST_POINTS, MOST_LINES, MOST_IN_ALL = 5000, 800, 20_000
"""Of one line, how many lines, and how many points of all of them."""
MOST_PIECES, MOST_AREA = 100, 20
"""How many pieces, and how many m2 of paper their boxes take."""
NEAR = 0.05
"""A curve is read as straight parts that are so near it, mm."""


@dataclass(frozen=True)
class Drawn:
    """A line of the file, in mm, down as sheets are: its name, its points, whether it is closed."""

    name: str
    points: tuple[Point, ...]
    closed: bool

    @property
    def round(self) -> tuple[Point, ...]:
        """A closed line back to where it begins."""
        return (*self.points, self.points[0])


@dataclass(frozen=True)
class Refused:
    """A line that cannot be taken: why, what of it is drawn, and where it is wrong."""

    code: ProblemCode
    name: str
    points: tuple[Point, ...]
    at: Point


@dataclass(frozen=True)
class HousePiece:
    """A piece: its cut line, and what is drawn inside it."""

    id: str
    name: str
    outline: tuple[Point, ...]
    lines: tuple[tuple[Point, ...], ...] = ()

    @property
    def figure(self) -> Figure:
        """As it is drawn: its cut line closed, the lines inside thin, its name in the middle."""
        left, top, right, low = least_box(self.outline)
        strokes = [Stroke("cut", polyline([*self.outline, self.outline[0]]), closed=True)]
        strokes += [Stroke("chalk", polyline(line)) for line in self.lines]
        height = min(NAME, max(3.0, (right - left) / (0.65 * max(1, len(self.name)))))
        name = Text(self.name, Point((left + right) / 2, (top + low) / 2), height, middle=True)
        return Figure(self.id, tuple(strokes), (name,))


NAME = 9.0
"""How high a piece's name is written at most, mm."""


@dataclass(frozen=True)
class HousePattern:
    """What is in a file: its pieces, or what is refused of it; then none of it is taken."""

    unit: Unit
    pieces: tuple[HousePiece, ...]
    refused: tuple[Refused, ...] = field(default=())


def pattern_of(drawn: Sequence[Drawn], unit: Unit) -> HousePattern:
    """Outermost closed lines are pieces, what is within one is drawn on it; what cannot be cut is refused.

    Raises CuttingError where there are too many pieces to be put on paper.
    """
    said = [(one, _wrong(one)) for one in drawn]
    refused = [found for _, found in said if found is not None]
    good = [one for one, found in said if found is None]
    closed = _nested([one for one in good if one.closed])
    outer = [one for one in closed if not one.around]
    lines = {id(one): list[tuple[Point, ...]]() for one in outer}
    for one in closed:
        if len(one.around) == 1:
            lines[id(one.around[0])].append(one.drawn.round)
        elif one.around:
            refused.append(Refused("pattern.nested", one.drawn.name, one.drawn.round, one.drawn.points[0]))
    for line in (one for one in good if not one.closed):
        piece = _under(line, outer)
        if piece is not None:
            lines[id(piece)].append(line.points)
        else:
            refused.append(Refused("pattern.open", line.name, line.points, line.points[-1]))
    paper = sum(box(*one.grown.bounds).area for one in outer) / 1e6
    if len(outer) > MOST_PIECES or paper > MOST_AREA:
        raise refuse("pattern.pieces", most=MOST_PIECES, area=MOST_AREA)
    if not outer and not refused:
        refused.append(Refused("pattern.none", "", (Point(0, 0), Point(0, 0)), Point(0, 0)))
    pieces = (
        HousePiece(f"piece-{n}", one.drawn.name or f"Piece {n}", one.drawn.points, tuple(lines[id(one)]))
        for n, one in enumerate(outer, 1)
    )
    return HousePattern(unit, () if refused else tuple(pieces), tuple(refused))


@dataclass(frozen=True)
class _Closed:
    """A closed line, with the closed lines that it is within, the smallest first."""

    drawn: Drawn
    grown: Polygon
    around: list["_Closed"]


def _nested(drawn: Sequence[Drawn]) -> list[_Closed]:
    """Closed lines, the largest first, each with those around it."""
    largest = sorted(((one, Polygon(one.points)) for one in drawn), key=lambda pair: -pair[1].area)
    shapes = [shape for _, shape in largest]
    tree, closed = STRtree(shapes), list[_Closed]()
    for k, (one, shape) in enumerate(largest):
        near = sorted((j for j in map(int, tree.query(shape)) if j < k), reverse=True)
        # A sewing line runs on the cut line where the piece is on the fold.
        around = [closed[j] for j in near if closed[j].grown.covers(shape)]
        closed.append(_Closed(one, shape.buffer(JOINED), around))
    return closed


def _under(line: Drawn, pieces: Sequence[_Closed]) -> _Closed | None:
    """The piece that an open line is drawn on."""
    drawn = LineString(line.points)
    return next((piece for piece in pieces if piece.grown.covers(drawn)), None)


def _wrong(one: Drawn) -> Refused | None:
    """What is wrong with a line by itself."""
    left, top, right, low = least_box(one.points)
    size, at = max(right - left, low - top), one.points[0]
    if len(one.points) > MOST_POINTS:
        return Refused("pattern.points", one.name, one.points[:MOST_POINTS], at)
    if size > LONGEST:
        return Refused("pattern.long", one.name, one.points, at)
    if not one.closed:
        return None
    shape = Polygon(one.points)
    if size >= LEAST and not shape.is_valid:
        return Refused("pattern.crossed", one.name, one.round, _crossing(shape, at))
    return Refused("pattern.tiny", one.name, one.round, at) if size < LEAST or shape.area < LEAST else None


def _crossing(shape: Polygon, otherwise: Point) -> Point:
    """Where an outline meets itself, as the library says it: `Self-intersection[12.5 40]`."""
    said = explain_validity(shape).partition("[")[2].rstrip("]").split()
    return Point(float(said[0]), float(said[1])) if len(said) == 2 else otherwise


def drawn_line(name: str, points: Sequence[Point], closed: bool) -> Drawn | None:
    """A line without points that say nothing; closed too where its ends meet. None where nothing is left of it."""
    kept = [points[0], *(b for a, b in pairwise(points) if hypot(b[0] - a[0], b[1] - a[1]) > 1e-6)]
    meets = len(kept) > 3 and hypot(kept[-1][0] - kept[0][0], kept[-1][1] - kept[0][1]) <= JOINED
    if meets:
        kept.pop()
    if len(kept) < (3 if closed or meets else 2):
        return None
    return Drawn(name, tuple(kept), closed or meets)


def counted(lines: Iterable[Drawn]) -> list[Drawn]:
    """The lines of a file. Raises CuttingError where there are too many, or too many points."""
    found, points = list[Drawn](), 0
    for one in lines:
        found.append(one)
        points += len(one.points)
        if len(found) > MOST_LINES or points > MOST_IN_ALL:
            raise refuse("pattern.many", most=MOST_LINES)
    return found
