"""The calls of a piece: everything that is chalked of it, from its two first lines to its name."""

from cutting.calls.board import UNREAD
from cutting.calls.call import FOLD_LINE, GUIDE, TOP, Along, Call, Kind, Name, Way
from cutting.calls.curve import curves
from cutting.calls.piece import Chalked, calls_of

__all__ = [
    "FOLD_LINE", "GUIDE", "TOP", "UNREAD", "Along", "Call", "Chalked", "Kind", "Name", "Way", "calls_of", "curves",
]  # fmt: skip
