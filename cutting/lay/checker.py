"""The independent exact check every lay passes before anyone sees it. It shares no code with the fitting."""

from collections import Counter
from collections.abc import Callable, Sequence
from itertools import combinations

from shapely import Polygon, polygons

from cutting.codes import FaultCode
from cutting.finding import Finding
from cutting.geometry import Point, as_rows
from cutting.lay.placement import Lay, Placement
from cutting.pieces import Piece
from cutting.where import Where

OVERLAP = 0.01
"""Square mm two touching outlines may share through rounding: a hundredth of a mm along a cm."""
NEAR = 0.01
Fault = Callable[..., None]


def faults(lay: Lay, pieces: Sequence[Piece], one_way: bool) -> list[Finding]:
    """What is wrong with a lay: overlaps, outside its layers, off the fold, turned on one-way cloth, which and how many
    sides, count, length.
    """
    by_id = {piece.id: piece for piece in pieces}
    found: list[Finding] = []

    def fault(code: FaultCode, piece: str, **params: object) -> None:
        found.append(Finding(code, "stop", Where("lay", (piece,)), dict(params)))

    if one_way and lay.table.times > 1:
        fault("lay.turned", "")
    shapes: list[tuple[str, Polygon, set[int]]] = []
    yields: Counter[str] = Counter()
    others: Counter[str] = Counter()
    for placement in lay.placements:
        piece = by_id.get(placement.piece)
        if piece is None:
            fault("lay.unknown_piece", placement.piece)
            continue
        shape = polygons(as_rows(placement.outline(piece.cut)))
        _place(lay, piece, placement, shape, fault)
        if one_way and placement.turned:
            fault("lay.turned", piece.id)
        yields[piece.id] += placement.copies
        if piece.folds is None or not lay.table.doublings:
            face = {layer.number: layer.face_down for layer in lay.table.layers}
            mirrored = [placement.mirrored != face.get(number, False) for number in placement.layers]
            others[piece.id] += sum(mirrored)
            if not piece.pair and mirrored == [not piece.over]:
                fault("lay.mirrored", piece.id)
        shapes.append((piece.id, shape, set(placement.layers)))
    for (one, first, layers), (other, second, through) in combinations(shapes, 2):
        if layers & through and first.intersection(second).area > OVERLAP:
            fault("lay.overlap", f"{one}, {other}")
    for piece in pieces:
        if yields[piece.id] != piece.count:
            fault("lay.count", piece.id, placed=yields[piece.id], wanted=piece.count)
        elif piece.pair and (piece.folds is None or not lay.table.doublings) and others[piece.id] * 2 != piece.count:
            fault("lay.pair", piece.id)
    return found


def _place(lay: Lay, piece: Piece, placement: Placement, shape: Polygon, fault: Fault) -> None:
    """Whether a piece is within its layers, and one that asks for the fold on it."""
    table = lay.table
    low_x, low_y, high_x, high_y = shape.bounds
    if table.crosswise:
        low_x, low_y, high_x, high_y = low_y, low_x, high_y, high_x
    through = [layer for layer in table.layers if layer.number in placement.layers]
    if len(through) != len(placement.layers) or len(set(placement.layers)) != len(placement.layers):
        fault("lay.layers", piece.id)
        return
    outside = any(low_y < layer.start - NEAR or high_y > layer.end + NEAR for layer in through)
    if outside or low_x < -NEAR or high_x > lay.reach + NEAR:
        fault("lay.outside", piece.id)
    on_fold = piece.folds is not None and len(table.doublings) > 0
    if placement.copies != len(through) // (2 if on_fold else 1):
        fault("lay.count", piece.id)
    joined = [d for d in table.doublings if set(d.layers) == set(placement.layers)]
    if len(through) > 1 and not joined:
        fault("lay.layers", piece.id)
    if on_fold:
        _, at = placement.point(Point(piece.folds or 0.0, 0))
        middle = (low_x + high_x) / 2 if table.crosswise else (low_y + high_y) / 2
        met = [d for d in joined if d.fold is not None and abs(at - d.fold) <= NEAR]
        inwards = (middle > at) == (at < NEAR)
        if not met or not inwards:
            fault("lay.off_fold", piece.id)
