"""The files of a plan: what each is for and what it is made by. The shell and the pages make the same ones."""

import json
from collections.abc import Callable, Iterator
from dataclasses import dataclass, field
from functools import partial
from typing import Any, Literal

from cutting.drawing import PAPERS, PaperName, Sheet, in_a_row, page_map, pattern_sheet, tiles
from cutting.export.hpgl import sheet_to_hpgl
from cutting.export.svg import sheet_to_svg
from cutting.formats.drawn import figures_of
from cutting.formats.plan_shape import PlanOut
from cutting.formats.tables import calls_table, cut_list, ledger_table, notions_table, numbers_table
from cutting.words import Language

Use = Literal["paper", "machine", "program", "keep"]
"""Cut from paper; sent to a machine; given to another program; kept."""
PICTURE = (180.0, 120.0)
"""A picture of a file is at most so wide and high, in mm of its own drawing."""


@dataclass(frozen=True)
class Drawn:
    """What a file is made of: the plan in words, what is written over each page, and the job it is the plan of."""

    plan: PlanOut
    words: Language
    head: str
    job: dict[str, Any] = field(default_factory=dict)


@dataclass(frozen=True)
class File:
    """A file that can be made: the format it belongs to on the command line, its name, what it is for, its type."""

    format: str
    name: str
    use: Use
    media: str
    make: Callable[[Drawn], str | bytes]
    look: Callable[[Drawn], tuple[Sheet, int]] | None = None

    def picture(self, drawn: Drawn) -> tuple[str, int]:
        """How it looks, small, as SVG, and how many pages it has; nothing of a table."""
        if self.look is None:
            return "", 0
        sheet, pages = self.look(drawn)
        return sheet_to_svg(sheet), pages

    def made(self, drawn: Drawn) -> bytes:
        """Its bytes: the same for the same plan."""
        made = self.make(drawn)
        return made if isinstance(made, bytes) else made.encode()


def as_json(plan: PlanOut) -> str:
    """The plan file."""
    return wire_to_json(plan.model_dump(mode="json"))


def wire_to_json(wire: dict[str, Any], indent: int | None = 1) -> str:
    return json.dumps(wire, indent=indent, ensure_ascii=False, allow_nan=False) + "\n"


def _row(drawn: Drawn) -> Sheet:
    return in_a_row("pieces", figures_of(drawn.plan, drawn.words))


def _pattern(paper: PaperName, drawn: Drawn) -> bytes:
    from cutting.export.pdf import sheet_to_pdf  # it takes long to load, and few ask for it

    sheet = pattern_sheet(figures_of(drawn.plan, drawn.words), PAPERS[paper])
    return sheet_to_pdf(sheet, PAPERS[paper], drawn.head, drawn.words)


def _pages(paper: PaperName, drawn: Drawn) -> tuple[Sheet, int]:
    sheet = pattern_sheet(figures_of(drawn.plan, drawn.words), PAPERS[paper])
    shown = tiles(sheet, PAPERS[paper])
    return page_map(sheet, shown, PAPERS[paper], *PICTURE), len(shown) + (len(shown) > 1)


def _pieces(drawn: Drawn) -> tuple[Sheet, int]:
    return _row(drawn).small(*PICTURE), 0


def _dxf(version: Literal["R12", "R2018"], drawn: Drawn) -> str:
    from cutting.export.dxf import sheet_to_dxf  # so does this

    return sheet_to_dxf(_row(drawn), version)


def _of_plan(table: Callable[[PlanOut], str]) -> Callable[[Drawn], str]:
    return lambda drawn: table(drawn.plan)


def _pattern_file(paper: PaperName) -> File:
    name = paper.lower()
    pages = partial(_pages, paper)
    return File(f"pdf-{name}", f"pattern-{name}.pdf", "paper", "application/pdf", partial(_pattern, paper), pages)


CSV = "text/csv; charset=utf-8"
FILES = (
    *map(_pattern_file, PAPERS),
    File("hpgl", "pieces.hpgl", "machine", "application/vnd.hp-hpgl", lambda one: sheet_to_hpgl(_row(one)), _pieces),
    File("dxf", "pieces.dxf", "machine", "image/vnd.dxf", partial(_dxf, "R2018"), _pieces),
    File("dxf-r12", "pieces-r12.dxf", "machine", "image/vnd.dxf", partial(_dxf, "R12"), _pieces),
    File("svg", "plan.svg", "program", "image/svg+xml", lambda one: sheet_to_svg(_row(one)), _pieces),
    File("csv", "numbers.csv", "program", CSV, _of_plan(numbers_table)),
    File("csv", "calls.csv", "program", CSV, _of_plan(calls_table)),
    File("csv", "ledger.csv", "program", CSV, _of_plan(ledger_table)),
    File("csv", "cut-list.csv", "program", CSV, _of_plan(cut_list)),
    File("csv", "notions.csv", "program", CSV, _of_plan(notions_table)),
    File("job", "job.json", "keep", "application/json", lambda one: wire_to_json(one.job)),
    File("json", "plan.json", "keep", "application/json", _of_plan(as_json)),
)
PDF = "pdf"
"""On the command line: the pattern on the paper that is asked for."""
FORMATS = tuple(dict.fromkeys([PDF, *(file.format for file in FILES)]))


def files_of(formats: list[str], paper: PaperName = "A4") -> Iterator[File]:
    """The files of these formats, each once."""
    wanted = {f"pdf-{paper.lower()}" if one == PDF else one for one in formats}
    return (file for file in FILES if file.format in wanted)
