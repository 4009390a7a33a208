"""A document as a PDF on A4 or Letter, black on white: its blocks one after the other, each page with its number.

Made with reportlab, `invariant`: the same document is the same file, byte for byte.
"""

from collections.abc import Sequence
from functools import partial
from io import BytesIO
from typing import Any

import segno
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas
from reportlab.platypus import BaseDocTemplate, Flowable, Frame, KeepTogether, PageTemplate
from reportlab.platypus import Table as Grid

from cutting.drawing import Block, Cell, Document, Heading, Paper, Picture, Said, Size, Table, Tick, Together
from cutting.export import letters
from cutting.export.ink import ONE_AT_A_TIME, Ink
from cutting.export.letters import FONT
from cutting.export.lines import Lines
from cutting.geometry import Point
from cutting.words import Language

MARGIN, HEAD, BETWEEN = 12.0, 10.0, 6.0
"""Of a page, the room of what is over each, between two columns; mm."""
SIZES: dict[Size, float] = {"large": 5.4, "plain": 3.7, "small": 3.0}
TITLE, HEADING = 7.0, 4.4
"""How high letters are, mm."""
ABOVE, BELOW, THIN_LINE, GREY = 0.7 * mm, 1.1 * mm, 0.15 * mm, "#777777"
"""In a row of a table above what is in it and below, and the line under it; pt."""
THIN = 0.5
"""A drawing that is small has pens so many times as thick."""
BOX, CODE, MASK = 3.6, 22.0, 2
"""The side of a box to tick, and of a code, mm; how a code's squares are mixed."""


def document_to_pdf(document: Document, paper: Paper, head: str, heading: str, words: Language) -> bytes:
    """`head` is over each page, at its right what is the workshop's own `heading`; at its foot "page n of m"."""
    with ONE_AT_A_TIME:
        return _made(document, paper, head, heading, words)


def _made(document: Document, paper: Paper, head: str, heading: str, words: Language) -> bytes:
    out = BytesIO()
    pages = BaseDocTemplate(
        out, pagesize=(paper.width * mm, paper.height * mm), invariant=1, title=f"{document.title}: {head}"
    )
    width = (paper.width - 2 * MARGIN - (document.columns - 1) * BETWEEN) / document.columns
    frames = [
        Frame(
            (MARGIN + k * (width + BETWEEN)) * mm, MARGIN * mm, width * mm, (paper.height - 2 * MARGIN - HEAD) * mm,
            leftPadding=0, rightPadding=0, topPadding=0, bottomPadding=0,
        )
        for k in range(document.columns)
    ]  # fmt: skip
    over = partial(_over, paper, head, heading)
    pages.addPageTemplates([PageTemplate("page", frames, onPage=over)])
    flow = [Lines(document.title, TITLE, strong=True), *_flow(document.blocks, width)]
    pages.build(flow, canvasmaker=partial(_Numbered, paper, words))
    return out.getvalue()


class _Numbered(Canvas):
    """Writes "page n of m" when it knows how many there are."""

    def __init__(self, paper: Paper, words: Language, *args: Any, **kwargs: Any):
        super().__init__(*args, **kwargs)
        self.paper, self.words = paper, words
        self.kept = list[dict[str, Any]]()

    def showPage(self) -> None:
        self.kept.append(dict(self.__dict__))
        self._startPage()

    def save(self) -> None:
        pages, kept = len(self.kept), self.kept
        for number, state in enumerate(kept, 1):
            self.__dict__.update(state)
            foot, size = self.words.page("card_page", n=number, of=pages), 3.4 * mm
            left = (self.paper.width - MARGIN) * mm - letters.width(foot, FONT) * size
            letters.write(self, foot, FONT, size, left, (MARGIN - 5) * mm)
            super().showPage()
        super().save()


def _over(paper: Paper, head: str, heading: str, canvas: Canvas, _: BaseDocTemplate) -> None:
    canvas.saveState()
    canvas.translate(0, paper.height * mm)
    canvas.scale(mm, -mm)
    ink, wide = Ink(canvas), paper.width - 2 * MARGIN
    ink.write_within(head, Point(MARGIN, MARGIN + 2), 4.2, wide if not heading else 0.66 * wide, strong=True)
    if heading:
        ink.write_within(heading, Point(MARGIN + 0.7 * wide, MARGIN + 2), 3.6, 0.3 * wide)
    canvas.setLineWidth(0.2)
    canvas.line(MARGIN, MARGIN + 4.5, paper.width - MARGIN, MARGIN + 4.5)
    canvas.restoreState()


def _flow(blocks: Sequence[Block], width: float) -> list[Flowable]:
    found = list[Flowable]()
    for block in blocks:
        if isinstance(block, Said):
            found.append(_said(block))
        elif isinstance(block, Heading):
            found.append(Lines(block.text, HEADING, strong=True, keep=True, above=3.0, below=1.0))
        elif isinstance(block, Picture):
            found.append(_Drawing(block, width))
        elif isinstance(block, Together):
            found.append(KeepTogether(_flow(block.blocks, width)))
        elif block.rows:
            found += _grid(block, width)
    return found


def _said(said: Said, right: bool = False) -> Lines:
    return Lines(said.text, SIZES[said.size], said.strong, right)


def _grid(table: Table, width: float) -> list[Flowable]:
    """A table; one without a head as its rows, since that takes a third of the time."""
    rest = width - sum(table.widths)
    widths = [(size or rest) * mm for size in table.widths]
    rows = [[_cell(cell, k in table.right) for k, cell in enumerate(row)] for row in table.rows]
    if not table.head:
        return [_Row(row, widths) for row in rows]
    head = [[_said(Said(text, "small"), k in table.right)] for k, text in enumerate(table.head)]
    style = [
        ("VALIGN", (0, 0), (-1, -1), "TOP"), ("LINEBELOW", (0, 0), (-1, -1), THIN_LINE, GREY),
        ("TOPPADDING", (0, 0), (-1, -1), ABOVE), ("BOTTOMPADDING", (0, 0), (-1, -1), BELOW),
        ("LEFTPADDING", (0, 0), (-1, -1), 0), ("RIGHTPADDING", (0, 0), (-1, -1), ABOVE),
    ]  # fmt: skip
    return [Grid([head, *rows], colWidths=widths, repeatRows=1, style=style)]


def _cell(cell: Cell, right: bool) -> "list[Lines | _Box]":
    return [_Box(cell.text)] if isinstance(cell, Tick) else [_said(one, right) for one in cell]


class _Row(Flowable):
    """A row of cells with a line below it."""

    def __init__(self, cells: "list[list[Lines | _Box]]", widths: Sequence[float]):
        super().__init__()
        self.cells, self.widths = cells, widths

    def wrap(self, width: float, height: float) -> tuple[float, float]:
        self.sizes = [
            [one.wrap(wide - ABOVE, height)[1] for one in cell]
            for cell, wide in zip(self.cells, self.widths, strict=True)
        ]
        self.high = max(map(sum, self.sizes)) + ABOVE + BELOW
        return width, self.high

    def draw(self) -> None:
        left = 0.0
        for cell, sizes, wide in zip(self.cells, self.sizes, self.widths, strict=True):
            top = self.high - ABOVE
            for one, size in zip(cell, sizes, strict=True):
                top -= size
                one.put(self.canv, left, top)
            left += wide
        self.canv.setLineWidth(THIN_LINE)
        self.canv.setStrokeColor(GREY)
        self.canv.line(0, 0, left, 0)
        self.canv.setStrokeColor("black")


class _Drawing(Flowable):
    """A picture in its size, its code at the right of the column."""

    def __init__(self, picture: Picture, column: float):
        super().__init__()
        self.picture, self.column = picture, column
        self.high = max(picture.sheet.height, CODE if picture.code else 0.0)

    def wrap(self, width: float, height: float) -> tuple[float, float]:
        return width, self.high * mm

    def draw(self) -> None:
        self.canv.saveState()
        self.canv.translate(0, self.high * mm)
        self.canv.scale(mm, -mm)
        Ink(self.canv, THIN).figures(self.picture.sheet.figures)
        if self.picture.code:
            # With a mask of our own: to try all eight takes longer than all else on the page.
            rows = segno.make(self.picture.code, error="m", mask=MASK).matrix
            side = CODE / (len(rows) + 4)
            for down, row in enumerate(rows, 2):
                for across, dark in enumerate(row, 2):
                    if dark:
                        left = self.column - CODE + across * side
                        self.canv.rect(left, down * side, side * 1.02, side * 1.02, stroke=0, fill=1)
        self.canv.restoreState()


class _Box(Flowable):
    """A box to tick with its text."""

    def __init__(self, text: str):
        super().__init__()
        self.text = text

    def wrap(self, width: float, height: float) -> tuple[float, float]:
        return width, 1.3 * BOX * mm

    def draw(self) -> None:
        self.put(self.canv, 0.0, 0.0)

    def put(self, canvas: Canvas, left: float, low: float) -> None:
        """Draw it with its lower left corner there."""
        side = BOX * mm
        canvas.setLineWidth(0.25 * mm)
        canvas.rect(left + 0.2 * mm, low + 0.1 * side, side, side)
        letters.write(canvas, self.text, FONT, 3.4 * mm, left + side + 1.2 * mm, low + 0.3 * side)
