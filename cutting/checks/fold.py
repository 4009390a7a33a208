"""Whether the fold is deep enough for the widest piece."""

from cutting.checks.check import Check
from cutting.cloth import Folded
from cutting.pieces import Piece
from cutting.where import Where


def worst_fit(pieces: list[Piece], table: Folded) -> tuple[Piece, float, float]:
    """The piece that lacks most, or has least to spare: how deep it is, and how deep its layers are, in mm.

    On the fold a piece is compared with the layers that the fold joins, else against the deepest. Where the fold runs
    across the cloth, a piece's length is across the table.
    """

    def held(piece: Piece) -> tuple[Piece, float, float]:
        deep = piece.height if table.crosswise else piece.width
        return piece, deep, table.double_depth if piece.folds is not None else table.deepest

    return max(map(held, pieces), key=lambda one: one[1] - one[2])


def check_fold(where: Where, needed: float, tables: list[tuple[list[Piece], Folded]]) -> list[Check]:
    """`needed` is the number shown, in mm; the widest piece is measured again on its cut outline. Each section's pieces
    are compared with its own fold; what is shown is that with least to spare.
    """
    widest = max(piece.width for pieces, _ in tables for piece in pieces)
    _, deep, room = max((worst_fit(pieces, table) for pieces, table in tables), key=lambda one: one[1] - one[2])
    return [
        Check("fold.needed", where, widest, needed, 0.5, abs(widest - needed) <= 0.5),
        Check("fold.shallow", where, deep, room, 0.0, room >= deep - 0.001, params={"depth": room}),
    ]
