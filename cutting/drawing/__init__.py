"""One drawing, many writers: what is drawn is made here once; a writer in `export` knows nothing of tailoring."""

from cutting.drawing.arranged import in_a_row, pattern_sheet
from cutting.drawing.of_piece import SEAM_HEIGHT, polyline, seam_widths, strokes_of
from cutting.drawing.paper import PAPERS, Paper, PaperName, Tile, matching, page_map, tiles
from cutting.drawing.pen import PENS, path_data, stroke_of
from cutting.drawing.sheet import Figure, PieceRole, Role, Sheet, Stroke, Text

__all__ = [
    "PAPERS", "PENS", "SEAM_HEIGHT", "Figure", "Paper", "PaperName", "PieceRole", "Role", "Sheet", "Stroke", "Text",
    "Tile", "in_a_row", "matching", "page_map", "path_data", "pattern_sheet", "polyline", "seam_widths", "stroke_of",
    "strokes_of", "tiles",
]  # fmt: skip
