"""Sheets as files: read line by line, the good lines kept on request, the wrong ones said with their cure."""

import csv
import io
import json
from dataclasses import dataclass
from typing import Any
from uuid import UUID, uuid5

from django.db import transaction

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import own
from shop.bridge.measuring import TAKEN_BY, read_reading
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit
from shop.clients.models import Sheet
from shop.clients.sheets import add_reading

MOST_LINES, MOST_LETTERS = 500, 200_000


@dataclass
class Line:
    """One line of a file: what it says, and what is wrong with it where something is."""

    number: int
    point: str
    typed: str
    way: str = "tape"
    what: str = ""
    mend: str = ""


def read_lines(text: str) -> list[Line]:
    """The lines of a CSV with the columns point and typed, or of a JSON file; nothing is checked against a body yet."""
    if len(text) > MOST_LETTERS:
        return [Line(1, "", "", what="The file is too long for one sheet", mend="Check that this is the right file.")]
    body = "\n".join(text.lstrip("\ufeff").strip().splitlines())
    try:
        lines = _json_lines(body) if body.startswith(("{", "[")) else _csv_lines(body) if body else []
    except csv.Error:
        return [Line(1, "", "", what="This is not a table", mend="Save it anew as CSV, with commas between the cells.")]
    if not lines:
        mend = "Write point,typed in the first line, then a point a line."
        return [Line(1, "", "", what="The file holds no lines", mend=mend)]
    return lines[:MOST_LINES]


def _csv_lines(text: str) -> list[Line]:
    first = text.partition("\n")[0]
    mark = max(",;\t", key=first.count)
    table = csv.DictReader(io.StringIO(text), delimiter=mark)
    columns = {(name or "").strip().casefold(): name for name in table.fieldnames or ()}
    if not {"point", "typed"} <= columns.keys():
        return [
            Line(1, "", "", what="The first line does not name the columns", mend="Begin with: point,typed")
        ]  # fmt: skip
    lines = []
    for row in table:
        cells = {key: str(row.get(name) or "").strip() for key, name in columns.items()}
        if not any(cells.values()):
            continue
        line = Line(table.line_num, cells["point"], cells["typed"].removeprefix("'"), cells.get("way") or "tape")
        if row.get(None):  # csv puts surplus cells under None
            line.what, line.mend = "There are more cells than columns", 'Put a value with a comma between " and ".'
        lines.append(line)
    return lines


def _json_lines(text: str) -> list[Line]:
    try:
        raw = json.loads(text)
    except (json.JSONDecodeError, RecursionError) as error:
        where = f", line {error.lineno}" if isinstance(error, json.JSONDecodeError) else ""
        return [Line(1, "", "", what=f"This is not a JSON file{where}", mend="Export it anew, or use CSV.")]
    rows: Any = raw
    if isinstance(raw, dict) and raw.get("format") == "plavet-client":
        sheets = raw.get("sheets")
        rows = sheets[0].get("readings") if isinstance(sheets, list) and sheets and isinstance(sheets[0], dict) else []
    elif isinstance(raw, dict):
        rows = raw.get("readings")
    if not isinstance(rows, list):
        mend = 'Give {"readings": [{"point": "hip", "typed": "41"}]}.'
        return [Line(1, "", "", what="There are no readings in this file", mend=mend)]
    lines = []
    for number, row in enumerate(rows, 1):
        if isinstance(row, dict) and isinstance(row.get("point"), str):
            line = Line(number, row["point"], str(row.get("typed", "")), str(row.get("way") or "tape"))
        else:
            line = Line(number, "", "", what="This is not a reading", mend='Write {"point": "hip", "typed": "41"}.')
        lines.append(line)
    return lines


def import_sheet(*, actor: User, id: UUID, text: str, keep: bool) -> tuple[list[Line], int]:
    """Check every line of a file against the sheet; with `keep` the good ones become readings.

    The same file twice is one.
    """
    allow(actor, "measure")
    sheet = own(Sheet, actor, id)
    lines = read_lines(text)
    kept = 0
    with transaction.atomic():
        for line in lines:
            if line.what:
                continue
            if not line.typed:
                line.what, line.mend = "There is no value", "Write what the tape reads, or leave the line out."
                continue
            try:
                read_reading(line.point, line.typed[:40], as_unit(sheet.unit))
            except CoreRefusal as refused:
                line.what, line.mend = refused.problems[0]["what"], refused.problems[0]["mend"]
                continue
            if keep:
                name = f"{line.number} {line.point} {line.typed}"
                add_reading(
                    actor=actor, id=uuid5(sheet.id, name), sheet=sheet.id, key=line.point, typed=line.typed[:40],
                    way=line.way if line.way in TAKEN_BY else "tape",
                )  # fmt: skip
                kept += 1
    return lines, kept
