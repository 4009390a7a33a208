"""The files of a plan: what each is for and what it is made by. The shell and the pages make the same ones."""

import json
from abc import ABC, abstractmethod
from base64 import b64encode
from collections.abc import Callable, Iterator
from dataclasses import dataclass, field
from functools import partial
from typing import Any, Literal

from cutting.cached import cached_property
from cutting.drawing import PAPERS, Document, Figure, Pages, PaperName, Sheet, in_a_row, pattern_pages
from cutting.export.hpgl import sheet_to_hpgl
from cutting.export.svg import sheet_to_svg
from cutting.formats.cards import call_card, cut_card, lay_card, measure_card
from cutting.formats.drawn import figures_of
from cutting.formats.drawn_lay import lay_sheet
from cutting.formats.named import Clients
from cutting.formats.plan_shape import PlanOut
from cutting.formats.sewing_card import sewing_card
from cutting.formats.tables import calls_table, cut_list, ledger_table, notions_table, numbers_table
from cutting.readers import HousePiece
from cutting.words import Language

Use = Literal["card", "paper", "machine", "program", "keep"]
"""A card to follow; cut from paper; sent to a machine; given to another program; kept."""
CardPaper = Literal["A4", "Letter"]
PICTURE = (180.0, 120.0)
"""A picture of what is no PDF is at most so wide and high, in mm of its own drawing."""
WIDE = 240
"""The first page of a PDF is shown so many px wide."""
PDF_TYPE, DXF_TYPE, CSV_TYPE = "application/pdf", "image/vnd.dxf", "text/csv; charset=utf-8"
SVG_TYPE, HPGL_TYPE = "image/svg+xml", "application/vnd.hp-hpgl"


class Pieces(ABC):
    """Pieces as they are drawn, and what is written over each page: what most files are made of."""

    words: Language
    head: str
    patterns: dict[PaperName, Pages]

    @property
    @abstractmethod
    def figures(self) -> list[Figure]:
        """Each piece, in its own frame."""

    @cached_property
    def row(self) -> Sheet:
        """The pieces side by side."""
        return in_a_row("pieces", self.figures)

    def pattern(self, paper: PaperName) -> Pages:
        """The pieces on pages of a paper, worked out once."""
        if paper not in self.patterns:
            self.patterns[paper] = pattern_pages(self.figures, PAPERS[paper])
        return self.patterns[paper]


@dataclass(frozen=True)
class Source(Pieces):
    """What a file is made of: the plan in words, what is written over each page, and the job it is the plan of. Cards
    are printed on `paper` with the workshop's `heading`, and with codes where there is an `address` of Mark that takes
    a call's number. Where the outfits of several are on the cloth, `clients` has their names by the outfits' ids.
    """

    plan: PlanOut
    words: Language
    head: str
    job: dict[str, Any] = field(default_factory=dict)
    paper: CardPaper = "A4"
    heading: str = ""
    address: str = ""
    clients: Clients = field(default_factory=dict)
    patterns: dict[PaperName, Pages] = field(default_factory=dict)

    @cached_property
    def figures(self) -> list[Figure]:
        return figures_of(self.plan, self.words, self.clients)

    @cached_property
    def lay(self) -> Sheet:
        """The whole lay; an empty sheet where not everything fits."""
        return lay_sheet(self.plan, self.plan.lay, self.figures) if self.plan.lay else Sheet("lay", 100.0, 100.0, ())


@dataclass(frozen=True)
class FromOutside(Pieces):
    """The pieces of a pattern that another program drew."""

    pieces: tuple[HousePiece, ...]
    words: Language
    head: str
    patterns: dict[PaperName, Pages] = field(default_factory=dict)

    @cached_property
    def figures(self) -> list[Figure]:
        return [piece.figure for piece in self.pieces]


@dataclass(frozen=True)
class Preview:
    """How a file looks: a picture as a data address, empty where it has none; how many pages it has; its bytes."""

    picture: str
    pages: int
    size: int


@dataclass(frozen=True)
class File:
    """A file that can be made: the format it belongs to on the command line, its name, what it is for, its type."""

    format: str
    name: str
    use: Use
    media: str
    make: Callable[[Any], str | bytes]
    sheet: Callable[[Source], Sheet] | None = None

    @property
    def drawn(self) -> bool:
        """Whether there is a picture of it."""
        return self.sheet is not None or self.media == PDF_TYPE

    def made(self, source: Pieces) -> bytes:
        """Its bytes: the same for the same plan."""
        made = self.make(source)
        return made if isinstance(made, bytes) else made.encode()

    def preview(self, source: Source) -> Preview:
        """Of a PDF its first page, of another drawing its outlines, of a table nothing."""
        data = self.made(source)
        if self.media == PDF_TYPE:
            from cutting.export.first_page import first_page  # loaded where it is needed: it takes long

            picture, pages = first_page(data, WIDE)
            return Preview(f"data:image/png;base64,{b64encode(picture).decode()}", pages, len(data))
        if self.sheet is None:
            return Preview("", 0, len(data))
        small = sheet_to_svg(self.sheet(source).small(*PICTURE))
        return Preview(f"data:image/svg+xml;base64,{b64encode(small.encode()).decode()}", 0, len(data))


def as_json(plan: PlanOut) -> str:
    """The plan file."""
    return wire_to_json(plan.model_dump(mode="json"))


def wire_to_json(wire: dict[str, Any], indent: int | None = 1) -> str:
    return json.dumps(wire, indent=indent, ensure_ascii=False, allow_nan=False) + "\n"


def _pattern(paper: PaperName, source: Pieces) -> bytes:
    from cutting.export.pdf import pages_to_pdf  # loaded where it is needed

    return pages_to_pdf(source.pattern(paper), source.head, source.words)


def _card(document: Callable[[Source], Document], source: Source) -> bytes:
    from cutting.export.document import document_to_pdf  # loaded where it is needed

    return document_to_pdf(document(source), PAPERS[source.paper], source.head, source.heading, source.words)


def _dxf(version: Literal["R12", "R2018"], source: Pieces) -> str:
    from cutting.export.dxf import sheet_to_dxf  # loaded where it is needed

    return sheet_to_dxf(source.row, version)


def _of_plan(table: Callable[[PlanOut], str]) -> Callable[[Source], str]:
    return lambda source: table(source.plan)


def _pattern_file(paper: PaperName) -> File:
    name = paper.lower()
    return File(f"pdf-{name}", f"pattern-{name}.pdf", "paper", PDF_TYPE, partial(_pattern, paper))


def _card_file(name: str, document: Callable[[Source], Document]) -> File:
    return File("cards", name, "card", PDF_TYPE, partial(_card, document))


def _row(source: Source) -> Sheet:
    return source.row


def _lay(source: Source) -> Sheet:
    return source.lay


FILES = (
    _card_file("calls.pdf", lambda one: call_card(one.plan, one.figures, one.words, one.clients, one.address)),
    _card_file("lay.pdf", lambda one: lay_card(one.plan, one.figures, one.words, one.clients)),
    _card_file("cut-list.pdf", lambda one: cut_card(one.plan, one.words, one.clients)),
    _card_file("sewing.pdf", lambda one: sewing_card(one.plan, one.words, one.clients)),
    _card_file("measurements.pdf", lambda one: measure_card(one.job, one.plan.unit, one.words, one.clients)),
    *map(_pattern_file, PAPERS),
    File("hpgl", "pieces.hpgl", "machine", HPGL_TYPE, lambda one: sheet_to_hpgl(one.row), _row),
    File("hpgl", "lay.hpgl", "machine", HPGL_TYPE, lambda one: sheet_to_hpgl(one.lay), _lay),
    File("dxf", "pieces.dxf", "machine", DXF_TYPE, partial(_dxf, "R2018"), _row),
    File("dxf-r12", "pieces-r12.dxf", "machine", DXF_TYPE, partial(_dxf, "R12"), _row),
    File("svg", "plan.svg", "program", SVG_TYPE, lambda one: sheet_to_svg(one.row), _row),
    File("svg", "lay.svg", "program", SVG_TYPE, lambda one: sheet_to_svg(one.lay), _lay),
    File("csv", "numbers.csv", "program", CSV_TYPE, _of_plan(numbers_table)),
    File("csv", "calls.csv", "program", CSV_TYPE, _of_plan(calls_table)),
    File("csv", "ledger.csv", "program", CSV_TYPE, _of_plan(ledger_table)),
    File("csv", "cut-list.csv", "program", CSV_TYPE, _of_plan(cut_list)),
    File("csv", "notions.csv", "program", CSV_TYPE, _of_plan(notions_table)),
    File("job", "job.json", "keep", "application/json", lambda one: wire_to_json(one.job)),
    File("json", "plan.json", "keep", "application/json", _of_plan(as_json)),
)
OUTSIDE = (
    *(f"pattern-{paper.lower()}.pdf" for paper in PAPERS),
    "pieces.hpgl",
    "pieces.dxf",
    "pieces-r12.dxf",
    "plan.svg",
)
"""The files that can be made of any pieces."""
PDF = "pdf"
"""On the command line: the pattern on the paper that is asked for."""
FORMATS = tuple(dict.fromkeys([PDF, *(file.format for file in FILES)]))


def files_of(formats: list[str], paper: PaperName = "A4") -> Iterator[File]:
    """The files of these formats, each once."""
    wanted = {f"pdf-{paper.lower()}" if one == PDF else one for one in formats}
    return (file for file in FILES if file.format in wanted)
