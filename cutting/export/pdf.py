"""A drawing as a PDF in true size: on pages that are stuck together, or whole on a roll or a large sheet.

Made with reportlab, `invariant`: the same drawing is the same file, byte for byte.
"""

from collections.abc import Sequence
from io import BytesIO
from pathlib import Path as File

from reportlab.lib.units import mm
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.pdfgen.canvas import Canvas

from cutting.drawing import PAPERS, PENS, Figure, Paper, Sheet, Stroke, Text, Tile, matching, page_map, tiles
from cutting.drawing.paper import MARGIN
from cutting.geometry import ORIGIN, Cubic, Point
from cutting.words import Language

FONT, STRONG = "Plavet", "PlavetStrong"
FONTS = File(__file__).parent / "fonts"
BEYOND = 60.0
"""What is written on a figure goes no further beyond its box, mm."""
SQUARES = ((100.0, "100 mm"), (101.6, "4 in"))
"""What is measured before anything is cut, to see that the printer left the size alone: its side in mm."""


def sheet_to_pdf(sheet: Sheet, paper: Paper, head: str, words: Language) -> bytes:
    """A drawing on pages of paper. Where it needs more than one, the first page is a map of them, with the squares to
    measure, on A4 where the others are larger; every page says its row and column, and how many there are.
    """
    shown = tiles(sheet, paper)
    whole = len(shown) == 1
    count = len(shown) + (not whole)
    out = BytesIO()
    pen = _Pen(Canvas(out, invariant=1, pageCompression=1))
    pen.canvas.setTitle(head)
    if not whole:
        page = paper if paper.width < PAPERS["A0"].width else PAPERS["A4"]
        pen.page(page.width, page.height)
        _map(pen, sheet, shown, paper, page, head, words)
        pen.end()
    pen.remember((*sheet.figures, *matching(shown, paper)))
    for number, tile in enumerate(shown, 1 + (not whole)):
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


class _Pen:
    """Draws in mm from the upper left corner of a page, down and to the right, as sheets are."""

    def __init__(self, canvas: Canvas):
        self.canvas = canvas
        self.known: list[tuple[str, tuple[float, float, float, float]]] = []
        for name, file in ((FONT, "regular.ttf"), (STRONG, "strong.ttf")):
            if name not in pdfmetrics.getRegisteredFontNames():
                pdfmetrics.registerFont(TTFont(name, str(FONTS / file)))

    def page(self, width: float, height: float) -> None:
        self.canvas.setPageSize((width * mm, height * mm))
        self.canvas.transform(mm, 0, 0, -mm, 0, height * mm)
        self.canvas.setLineJoin(1)

    def end(self) -> None:
        self.canvas.showPage()

    def stroke(self, stroke: Stroke, at: Point) -> None:
        pen, path = PENS[stroke.role], self.canvas.beginPath()
        self.canvas.setLineWidth(pen.width)
        self.canvas.setDash(*([list(pen.dash)] if pen.dash else []))
        path.moveTo(*stroke.path.start.plus(at))
        for segment in stroke.path.segments:
            end = segment.end.plus(at)
            if isinstance(segment, Cubic):
                path.curveTo(*segment.one.plus(at), *segment.two.plus(at), *end)
            else:
                path.lineTo(*end)
        if stroke.closed:
            path.close()
        self.canvas.drawPath(path)

    def write(self, text: Text, at: Point = ORIGIN, strong: bool = False) -> None:
        """A line of text, its capitals about as high as it says."""
        self.canvas.saveState()
        self.canvas.translate(*text.at.plus(at))
        self.canvas.rotate(text.angle)
        self.canvas.scale(1, -1)
        self.canvas.setFont(STRONG if strong else FONT, text.height)
        (self.canvas.drawCentredString if text.middle else self.canvas.drawString)(0, 0, text.text)
        self.canvas.restoreState()

    def write_within(self, text: str, at: Point, height: float, width: float, strong: bool = False) -> None:
        """A line of text that is no wider: smaller where it has to be."""
        wide = pdfmetrics.stringWidth(text, STRONG if strong else FONT, height)
        self.write(Text(text, at, height * min(1.0, width / wide) if wide else height), strong=strong)

    def remember(self, figures: Sequence[Figure]) -> None:
        """Figures that are on several pages are in the file once."""
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

    def figures(self, figures: Sequence[Figure]) -> None:
        for figure in figures:
            for stroke in figure.strokes:
                self.stroke(stroke, figure.at)
            for text in figure.texts:
                self.write(text, figure.at, strong=True)


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


def _map(pen: _Pen, sheet: Sheet, shown: Sequence[Tile], paper: Paper, page: Paper, head: str, words: Language) -> None:
    """On a page: all pages of the paper small, each with its name; how to print; the squares."""
    left, top = MARGIN, MARGIN + 8
    pen.write_within(head, Point(left, top), 7, page.across, strong=True)
    lines = [
        words.page(code, pages=len(shown)) for code in ("paper_print", "paper_measure", "paper_stick", "paper_match")
    ]
    for line, text in enumerate(lines):
        pen.write(Text(text, Point(left, top + 10 + 6 * line), 4.2))
    _squares(pen, Point(left, top + 36), words)
    above = top + 36 + SQUARES[1][0] + 8
    small = page_map(sheet, list(shown), paper, page.across, page.height - MARGIN - above)
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
