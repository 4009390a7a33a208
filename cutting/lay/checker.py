"""The independent exact check every lay passes before anyone sees it. It shares no code with the fitting."""

from collections import Counter
from collections.abc import Sequence
from itertools import combinations

from shapely.geometry import Polygon

from cutting.finding import Finding
from cutting.lay.placement import Lay
from cutting.pieces import Piece

OVERLAP = 0.01
"""Square mm two touching outlines may share through rounding: a hundredth of a mm along a cm."""
NEAR = 0.01


def faults(lay: Lay, pieces: Sequence[Piece], one_way: bool) -> list[Finding]:
    """What is wrong with a lay: overlaps, outside the cloth, off the fold, turned on one-way cloth, count, length."""
    by_id = {piece.id: piece for piece in pieces}
    found: list[Finding] = []

    def fault(code: str, where: str, **params: object) -> None:
        found.append(Finding(code, "stop", where, dict(params)))

    shapes: list[tuple[str, Polygon, set[int]]] = []
    folded = lay.fold == "lengthwise-centre"
    yields: Counter[str] = Counter()
    rights: Counter[str] = Counter()
    for placement in lay.placements:
        piece = by_id.get(placement.piece)
        if piece is None:
            fault("lay.unknown_piece", placement.piece)
            continue
        shape = Polygon(placement.outline(piece.cut))
        low_x, low_y, high_x, high_y = shape.bounds
        if low_x < -NEAR or low_y < -NEAR or high_y > lay.depth + NEAR or high_x > lay.length + NEAR:
            fault("lay.outside", piece.id)
        if piece.folds is not None and folded and (abs(low_y) > NEAR or set(placement.layers) != {1, 2}):
            fault("lay.off_fold", piece.id)
        if one_way and placement.turned:
            fault("lay.turned", piece.id)
        if not folded and placement.mirrored and not piece.pair:
            fault("lay.mirrored", piece.id)
        yields[piece.id] += placement.copies
        rights[piece.id] += placement.mirrored
        if placement.copies != (1 if piece.folds is not None or not folded else len(placement.layers)):
            fault("lay.count", piece.id)
        shapes.append((piece.id, shape, set(placement.layers)))
    for (one, first, layers), (other, second, others) in combinations(shapes, 2):
        if layers & others and first.intersection(second).area > OVERLAP:
            fault("lay.overlap", f"{one}, {other}")
    for piece in pieces:
        if yields[piece.id] != piece.count:
            fault("lay.count", piece.id, placed=yields[piece.id], wanted=piece.count)
        elif piece.pair and not folded and rights[piece.id] * 2 != piece.count:
            fault("lay.pair", piece.id)
    return found
