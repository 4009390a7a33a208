"""One drawing, many writers: what is drawn is made here once; a writer in `export` knows nothing of tailoring."""

from cutting.drawing.arranged import around, in_a_row, pattern_pages
from cutting.drawing.document import Block, Cell, Document, Heading, Picture, Said, Size, Table, Tick, Together
from cutting.drawing.of_piece import SEAM_HEIGHT, polyline, seam_widths, strokes_of
from cutting.drawing.paper import PAPERS, Pages, Paper, PaperName, Tile, matching, on_pages, page_map
from cutting.drawing.pen import PENS, path_data, stroke_of
from cutting.drawing.sheet import Figure, PieceRole, Role, Sheet, Stroke, Text

__all__ = [
    "PAPERS", "PENS", "SEAM_HEIGHT", "Block", "Cell", "Document", "Figure", "Heading", "Pages", "Paper", "PaperName",
    "Picture", "PieceRole", "Role", "Said", "Sheet", "Size", "Stroke", "Table", "Text", "Tick", "Tile", "Together",
    "around", "in_a_row", "matching", "on_pages", "page_map", "path_data", "pattern_pages", "polyline", "seam_widths",
    "stroke_of", "strokes_of",
]  # fmt: skip
