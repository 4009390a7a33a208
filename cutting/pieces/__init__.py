"""Panels with their cut lines, pieces to cut, seams, and tapes that read from cut edge to cut edge."""

from cutting.pieces.panel import Notch, Panel, finish
from cutting.pieces.piece import Piece, both_halves, drawn_half, far_half, one_side, whole_piece
from cutting.pieces.tape import Tape, read_tape, read_tapes

__all__ = [
    "Notch", "Panel", "Piece", "Tape", "both_halves", "drawn_half", "far_half", "finish", "one_side", "read_tape",
    "read_tapes", "whole_piece",
]  # fmt: skip
