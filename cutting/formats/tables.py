"""A plan's numbers as tables for other programs: CSV, UTF-8, a line of names first; lengths in mm."""

import csv
from collections.abc import Iterable, Sequence
from io import StringIO

from cutting.formats.plan_shape import PlanOut

Cell = str | int | float | bool | None
BEGINS = ("=", "+", "-", "@", "\t", "\r")
"""A text that begins so would be worked out by a spreadsheet: it gets an apostrophe before it."""


def numbers_table(plan: PlanOut) -> str:
    """Every number of the draft with its sum."""
    head = ("number", "name", "net_mm", "cut_mm", "shown", "formula", "with")
    return _table(
        head,
        (
            (key, one.name, one.net_mm, one.cut_mm, one.shown, one.formula, one.with_)
            for key, one in plan.numbers.items()
        ),
    )


def calls_table(plan: PlanOut) -> str:
    """Every call in the order it is chalked."""
    head = ("call", "garment", "panel", "stage", "code", "say", "from", "along", "shown", "reads_mm", "formula", "with")
    return _table(
        head,
        (
            (m.n, m.garment, m.panel, m.stage, m.code, m.say, m.from_, m.along, m.shown, m.reads_mm, m.formula, m.with_)
            for m in plan.marks
        ),
    )


def ledger_table(plan: PlanOut) -> str:
    """The girths all round."""
    head = (
        "garment", "level", "kind", "body_mm", "ease_mm", "darts_mm", "gathers_mm", "seams_mm", "cut_mm", "sewn_mm",
        "closes",
    )  # fmt: skip
    return _table(head, ([getattr(row, name) for name in head] for row in plan.ledger))


def cut_list(plan: PlanOut) -> str:
    """What is cut: each piece, how often, through how many layers, and how large it is."""
    head = ("piece", "garment", "panel", "count", "pair", "on_fold", "layers", "interfacing", "across_mm", "down_mm")
    rows = []
    for one in plan.pieces:
        across, down = ([point[k] for point in one.cut] for k in (0, 1))
        size = (max(across) - min(across), max(down) - min(down))
        own = (one.garment, one.panel, one.count, one.pair, one.on_fold, one.layers, one.interfacing)
        rows.append((one.id, *own, *size))
    return _table(head, rows)


def notions_table(plan: PlanOut) -> str:
    """What is bought besides cloth."""
    head = ("garment", "name", "count", "length_mm", "width_mm")
    return _table(head, ([getattr(one, name) for name in head] for one in plan.notions))


def _table(head: Sequence[str], rows: Iterable[Sequence[Cell]]) -> str:
    out = StringIO()
    writer = csv.writer(out)
    writer.writerow(head)
    writer.writerows([_cell(cell) for cell in row] for row in rows)
    return out.getvalue()


def _cell(cell: Cell) -> str | int | float:
    if cell is None:
        return ""
    if isinstance(cell, bool):
        return "yes" if cell else "no"
    if isinstance(cell, float):
        return round(cell, 3)
    return f"'{cell}" if isinstance(cell, str) and cell.startswith(BEGINS) else cell
