"""The calls in the order of the table, where each is on the cloth, and which way it goes there."""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from functools import partial
from typing import Literal

from cutting.calls import FOLD_LINE, GUIDE, TOP, Along, Call, Chalked, Name, Way, calls_of
from cutting.cloth import Folded
from cutting.drafting import Step
from cutting.garments import Garment
from cutting.geometry import Point, distance
from cutting.lay import Laid, Placement
from cutting.lengths import found
from cutting.pieces import Piece, Tape

XY = tuple[float, float]
SLANT = 0.38
"""A tape goes both ways where it has at least this share of its length across as well as along: 22 1/2 degrees."""
AT_FOLD = 1.0
"""A piece this near to the fold, in mm, that is not cut on it: the fold has to be cut open."""


@dataclass(frozen=True)
class Mark:
    """One call at the table: in the draft frame, and on the cloth where there is a lay.

    `placing` is the number of the placement it is chalked on, from 0; `path` what a stroke is drawn through, or
    the line between two points that the tape starts on.
    """

    garment: str
    call: Call
    on_cloth: tuple[XY, XY] | None
    placing: int | None = None
    path: tuple[XY, ...] = ()


@dataclass(frozen=True)
class Place:
    """Where a piece is: the number of the placement on the whole cloth, the section and its fold."""

    number: int
    section: int
    placement: Placement
    table: Folded


def place_marks(
    garments: tuple[Garment, ...], laid: Laid, cut_from: Literal["main", "other"] = "main"
) -> tuple[Mark, ...]:
    """Every call on one cloth in the order of the table: section by section, in each garment by garment; the panels
    that cover the body as they follow from each other, then the small parts along the cloth.

    On open cloth a pair is there twice: the second is traced from the first, turned over, along lines of its own.
    """
    places: dict[str, list[Place]] = {}
    for number, (section, placement) in enumerate(laid.placements()):
        place = Place(number, section, placement, laid.sections[section].table)
        places.setdefault(placement.piece, []).append(place)
    for there in places.values():
        there.sort(key=lambda place: (place.placement.mirrored, place.number))
    marks: list[tuple[tuple[int, int, bool, float], Mark]] = []
    for count, garment in enumerate(garments):
        for piece, chalked, there in _pieces(garment, places, cut_from):
            first = there[0] if there else None
            small = piece.panel not in garment.main
            order = (first.section if first else 0, count, small, first.placement.x if first and small else 0.0)
            marks += [(order, mark) for mark in _marks(garment, piece, chalked, there)]
    return tuple(mark for _, mark in sorted(marks, key=lambda pair: pair[0]))


def _pieces(
    garment: Garment, places: dict[str, list[Place]], cut_from: str
) -> Iterator[tuple[Piece, Chalked, list[Place]]]:
    """Each piece of one cloth as it is drawn there, with all that is chalked of it: on folded cloth what can be laid on
    the fold is a half.
    """
    drawn: dict[bool, dict[str, Piece]] = {}
    taped: dict[bool, list[tuple[Step, Tape]]] = {}
    front: Chalked | None = None

    def pieces(on_fold: bool) -> dict[str, Piece]:
        if on_fold not in drawn:
            drawn[on_fold] = {piece.panel: piece for piece in garment.pieces(on_fold)}
        return drawn[on_fold]

    for name in pieces(False):
        there = places.get(f"{garment.id}.{name}", [])
        folded = bool(there) and there[0].table.fold != "open"
        # A half is chalked beside its middle line; on open cloth that is no fold yet, and the half is traced over.
        piece = pieces(folded or garment.guide_words(name, folded, False) == "whole_")[name]
        guide = _fold_of(piece, there[0]) if folded and piece.folds is not None else GUIDE
        if folded not in taped:
            taped[folded] = garment.tapes(on_fold=folded)
        tapes = [pair for pair in taped[folded] if pair[0].panel == name]
        chalked = _chalked(garment, piece, guide, tapes, front if name == "back" else None)
        front = chalked if name == "front" else front
        if garment.cut_from(name) == cut_from:
            yield piece, chalked, there


def _chalked(
    garment: Garment, piece: Piece, guide: Name, tapes: list[tuple[Step, Tape]], front: Chalked | None
) -> Chalked:
    """The calls of a piece from its two lines on: where they cross, in the draft frame."""
    on_cloth = garment.marking == "on-cloth"
    outline = piece.cut if on_cloth else piece.net
    if piece.panel in garment.main:
        top, corner = garment.anchor(piece.panel)
    else:
        top, corner = "top_line", Point(min(p.across for p in outline), min(p.down for p in outline))
    if piece.folds is not None:
        corner = Point(piece.folds, corner.down)
    traced = front if garment.traced(piece.panel) else None
    level = TOP if top == "top_line" else Name("hip_line", panel="front")
    return calls_of(piece, tapes, guide, level, corner, on_cloth, piece.panel in garment.main, traced)


def _marks(garment: Garment, piece: Piece, chalked: Chalked, places: Sequence[Place]) -> Iterator[Mark]:
    """A piece's calls, with their places on the cloth where it is laid."""
    if not places:
        for call in chalked.calls:
            path = tuple((p.across, p.down) for p in chalked.path(call))
            yield Mark(garment.id, _going(call, chalked, partial(_on_paper, call, chalked)), None, None, path)
        return
    first = places[0]
    yield from _anchors(garment, piece, chalked, first)
    at = first.placement.point
    *before, last = chalked.calls
    for call in (*before, *_slits(piece, first), last):
        ends = at(call.start or call.end), at(call.end)
        path = tuple(at(point) for point in chalked.path(call))
        going = _going(call, chalked, partial(_towards, garment, call.panel, first))
        yield Mark(garment.id, going, ends, first.number, path)
    for place in places[1:]:
        yield from _anchors(garment, piece, chalked, place, twin=True)


def _going(call: Call, chalked: Chalked, said: Callable[[Point], tuple[str, ...]]) -> Call:
    """The call with which way its tape goes, or where its curves are hollow; `said` puts a direction into codes."""
    if call.start is not None:
        return replace(call, towards=said(call.end.minus(call.start)))
    if call.kind != "curve":
        return call
    return replace(call, hollows=tuple(() if side is None else said(side) for side in chalked.hollows(call)))


def _anchors(garment: Garment, piece: Piece, chalked: Chalked, place: Place, twin: bool = False) -> Iterator[Mark]:
    """Where the piece's guide line and level line are on the cloth: from the fold and from the cut end."""
    placement, folded, crosswise = place.placement, place.table.fold != "open", place.table.crosswise
    top = "hip_place" if chalked.top.code == "hip_line" else "top_line"
    corner = chalked.corner
    x, y = placement.point(corner)
    edge = "fold" if folded else "selvedge"
    # Where the fold runs across the cloth, away from it is along the selvedge, and along it from one selvedge.
    ways: tuple[Way, Way] = ("across_cloth", "along_cloth")
    ways = ways[::-1] if crosswise else ways
    lines = [
        ("guide", y, ways[0], edge, (x, 0.0)), (top, x, ways[1], "selvedge" if crosswise else "cut_end", (0.0, y)),
    ]  # fmt: skip
    for code, size, along, datum, start in lines:
        if piece.folds is not None and code == "guide" and folded:
            continue  # the fold itself is its guide
        called = garment.guide_words(piece.panel, folded, twin) + code
        call = Call(
            piece.panel, "place", "line", Name(called), corner, corner, found(size, "lay_place"), Name(datum),
            Along(along),
        )  # fmt: skip
        yield Mark(garment.id, call, (start, (x, y)), place.number)


def _slits(piece: Piece, place: Place) -> Iterator[Call]:
    """The fold, where it is at the edge of a piece that is not cut on it."""
    if place.table.fold == "open" or piece.folds is not None:
        return
    folds = {0.0} if place.table.crosswise else {one.fold for one in place.table.doublings if one.fold is not None}
    across = {point: place.placement.point(point)[1] for point in piece.cut}
    near = [point for point in piece.cut if any(abs(across[point] - fold) <= AT_FOLD for fold in folds)]
    if near:
        middle = near[0].towards(near[-1], 0.5)
        yield Call(piece.panel, "slits", "slit", Name("slit"), middle)


def _towards(garment: Garment, panel: str, place: Place, run: Point) -> tuple[str, ...]:
    """A direction of the draft in the words of the table."""
    kind = "part" if panel not in garment.main else "neck" if garment.kind == "top" else "body"
    outwards = place.placement.point(run)[1] > place.placement.y
    across = _sides(place.table)[outwards]
    foot = "part_foot" if kind == "part" else "body_foot"
    down = foot if run.down > 0 else f"{kind}_top"
    return _both(run, down, across)


def _sides(table: Folded) -> tuple[str, str]:
    """What is at both sides of the table: nearer to where the pieces are measured from, and further."""
    if table.fold == "open":
        return "near_selvedge", "far_selvedge"
    if table.crosswise:
        return "fold", "cut_ends"
    return ("near_fold", "far_fold") if _far_fold(table) is not None else ("fold", "selvedge")


def _far_fold(table: Folded) -> float | None:
    """Where a second fold is at the far side of the table, in mm across."""
    folds = [one.fold for one in table.doublings if one.fold is not None and one.fold > AT_FOLD]
    return max(folds, default=None)


def _fold_of(piece: Piece, place: Place) -> Name:
    """The fold that a piece is laid on, where there is more than one."""
    far = _far_fold(place.table)
    if far is None:
        return FOLD_LINE
    across = place.placement.point(Point(piece.folds or 0.0, 0.0))[1]
    return Name("far_fold" if abs(across - far) < abs(across) else "near_fold")


def _on_paper(call: Call, chalked: Chalked, run: Point) -> tuple[str, ...]:
    """The same where nothing is laid: towards the guide line, or away from it."""
    start = (call.start or call.end).across - chalked.corner.across
    away = run.across * start > 0 if abs(start) > AT_FOLD else run.across > 0
    return _both(run, "part_foot" if run.down > 0 else "part_top", "from_guide" if away else "to_guide")


def _both(run: Point, down: str, across: str) -> tuple[str, ...]:
    size = distance(Point(0, 0), run)
    return (down,) * (abs(run.down) > SLANT * size) + (across,) * (abs(run.across) > SLANT * size)
