"""One drawing, many writers: what is drawn is made here once; a writer in `export` knows nothing of tailoring."""

from cutting.drawing.of_piece import pieces_sheet, polyline, strokes_of
from cutting.drawing.pen import PENS, path_data
from cutting.drawing.sheet import Figure, Role, Sheet, Stroke, Text

__all__ = ["PENS", "Figure", "Role", "Sheet", "Stroke", "Text", "path_data", "pieces_sheet", "polyline", "strokes_of"]
