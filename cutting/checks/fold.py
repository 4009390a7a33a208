"""Whether the fold is deep enough for the widest piece."""

from cutting.checks.check import Check
from cutting.pieces import Piece


def check_fold(where: str, needed: float, depth: float, pieces: list[Piece]) -> list[Check]:
    """`needed` is the number shown; the widest piece is measured again on its cut outline. All in mm."""
    widest = max(piece.width for piece in pieces)
    return [
        Check("fold.needed", where, widest, needed, 0.5, abs(widest - needed) <= 0.5),
        Check("fold.shallow", where, widest, depth, 0.0, depth >= widest - 0.001, params={"depth": depth}),
    ]
