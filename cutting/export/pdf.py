"""A drawing as a PDF in true size: on pages that are stuck together, or whole on a roll or a large sheet.

Made with reportlab, `invariant`: the same drawing is the same file, byte for byte.
"""

from collections.abc import Sequence
from io import BytesIO

from reportlab.pdfgen.canvas import Canvas

from cutting.drawing import PAPERS, PENS, Figure, Pages, Paper, Text, Tile, matching, page_map
from cutting.drawing.paper import MARGIN
from cutting.export.ink import ONE_AT_A_TIME, Ink
from cutting.geometry import Point
from cutting.words import Language

BEYOND = 60.0
"""What is written on a figure goes no further beyond its box, mm."""
SQUARES = ((100.0, "100 mm"), (101.6, "4 in"))
"""What is measured before anything is cut, to see that the printer left the size alone: its side in mm."""


def pages_to_pdf(pages: Pages, head: str, words: Language) -> bytes:
    """A drawing on pages of paper. Where it needs more than one, the first page is a map of them, with the squares to
    measure, on A4 where the others are larger; every page says its row and column, and how many there are.
    """
    with ONE_AT_A_TIME:
        return _made(pages, head, words)


def _made(pages: Pages, head: str, words: Language) -> bytes:
    sheet, paper, whole, count = pages.sheet, pages.paper, pages.whole, pages.count
    out = BytesIO()
    pen = _Pen(Canvas(out, invariant=1, pageCompression=1))
    pen.canvas.setTitle(head)
    if not whole:
        page = paper if paper.width < PAPERS["A0"].width else PAPERS["A4"]
        pen.page(page.width, page.height)
        _map(pen, pages, page, head, words)
        pen.end()
    pen.remember((*sheet.figures, *matching(pages)))
    for number, tile in enumerate(pages.tiles, 1 + (not whole)):
        height = sheet.height + 2 * MARGIN + SQUARES[1][0] + 20 if paper.name == "roll" and whole else paper.height
        pen.page(paper.width, height)
        pen.canvas.bookmarkPage(tile.name)
        pen.canvas.addOutlineEntry(tile.name, tile.name)
        _tile(pen, tile, (paper.across, height - 2 * MARGIN))
        pen.write(Text(tile.name, Point(MARGIN, height - 3), 6), strong=True)
        foot = words.page("paper_page", head=head, n=number, of=count)
        pen.write_within(foot, Point(MARGIN + 16, height - 3), 4, paper.across - 16)
        if whole:
            _squares(pen, Point(MARGIN + 10, height - MARGIN - SQUARES[1][0] - 5), words)
        pen.end()
    pen.canvas.save()
    return out.getvalue()


class _Pen(Ink):
    """Figures that are on several pages are in the file once."""

    def __init__(self, canvas: Canvas):
        super().__init__(canvas)
        self.known: list[tuple[str, tuple[float, float, float, float]]] = []

    def remember(self, figures: Sequence[Figure]) -> None:
        for number, figure in enumerate(figures):
            left, top, right, low = (
                value + move for value, move in zip(figure.box, (figure.at.across, figure.at.down) * 2, strict=True)
            )
            box = left - BEYOND, top - BEYOND, right + BEYOND, low + BEYOND
            self.canvas.beginForm(f"figure-{number}", *box)
            self.figures([figure])
            self.canvas.endForm()
            self.known.append((f"figure-{number}", box))

    def known_within(self, left: float, top: float, right: float, low: float) -> None:
        """Draw those that are in a part of the drawing."""
        for name, box in self.known:
            if box[0] < right and box[2] > left and box[1] < low and box[3] > top:
                self.canvas.doForm(name)


def _tile(pen: _Pen, tile: Tile, size: tuple[float, float]) -> None:
    """What of a drawing is on a page, in its frame."""
    canvas = pen.canvas
    canvas.saveState()
    path = canvas.beginPath()
    path.rect(MARGIN, MARGIN, *size)
    canvas.clipPath(path, stroke=0)
    canvas.translate(MARGIN - tile.across, MARGIN - tile.down)
    pen.known_within(tile.across, tile.down, tile.across + size[0], tile.down + size[1])
    canvas.restoreState()
    canvas.setLineWidth(PENS["frame"].width)
    canvas.setDash()
    canvas.rect(MARGIN, MARGIN, *size)


def _map(pen: _Pen, pages: Pages, page: Paper, head: str, words: Language) -> None:
    """On a page: all pages of the paper small, each with its name; how to print; the squares."""
    left, top = MARGIN, MARGIN + 8
    pen.write_within(head, Point(left, top), 7, page.across, strong=True)
    lines = [
        words.page(code, pages=len(pages.tiles))
        for code in ("paper_print", "paper_measure", "paper_stick", "paper_match")
    ]
    for line, text in enumerate(lines):
        pen.write(Text(text, Point(left, top + 10 + 6 * line), 4.2))
    _squares(pen, Point(left, top + 36), words)
    above = top + 36 + SQUARES[1][0] + 8
    small = page_map(pages, page.across, page.height - MARGIN - above)
    pen.canvas.saveState()
    pen.canvas.translate(left, above)
    pen.figures(small.figures)
    pen.canvas.restoreState()


def _squares(pen: _Pen, at: Point, words: Language) -> None:
    """One square within the other, with the sides of both."""
    pen.canvas.setDash()
    pen.canvas.setLineWidth(0.2)
    for side, _ in SQUARES:
        pen.canvas.rect(at.across, at.down, side, side)
    for line, (code, (_, long)) in enumerate(zip(("paper_inner", "paper_outer"), SQUARES, strict=True)):
        pen.write(Text(words.page(code, side=long), at.plus(Point(5, 12 + 8 * line)), 5))
