"""Tables read back, and that the same plan is the same file, also where several are asked for at once."""

import csv
import json
import re
from concurrent.futures import ThreadPoolExecutor
from io import StringIO

import pytest

from cutting.files import FILES
from cutting.formats import read_job
from cutting.formats.plan_v1 import to_model
from cutting.plan import plan
from tests.jobs import MARIT, file_of


def test_tables_hold_what_the_plan_does_and_no_cell_is_worked_out():
    raw = json.loads(json.dumps(MARIT))
    whole = plan(read_job(raw), by_width=False)
    wire = to_model(whole)
    for file in FILES:
        if file.format != "csv":
            continue
        rows = list(csv.reader(StringIO(file_of(whole, file.name).decode())))
        assert len({len(row) for row in rows}) == 1
        for row in rows[1:]:
            for cell in row:
                assert not cell.startswith(("=", "+", "@")), cell
                assert not cell.startswith("-") or re.fullmatch(r"-[0-9.]+(e-?\d+)?", cell), cell
    calls = list(csv.DictReader(StringIO(file_of(whole, "calls.csv").decode())))
    assert [one["say"] for one in calls] == [mark.say for mark in wire.marks]
    numbers = {one["number"]: one for one in csv.DictReader(StringIO(file_of(whole, "numbers.csv").decode()))}
    assert numbers.keys() == wire.numbers.keys()
    for key, one in wire.numbers.items():
        assert float(numbers[key]["cut_mm"]) == pytest.approx(one.cut_mm, abs=1e-3)
        assert numbers[key]["formula"].lstrip("'") == one.formula
    ledger = list(csv.DictReader(StringIO(file_of(whole, "ledger.csv").decode())))
    assert [(one["level"], float(one["sewn_mm"]), one["closes"]) for one in ledger] == [
        (one.level, pytest.approx(one.sewn_mm, abs=1e-3), "yes" if one.closes else "no") for one in wire.ledger
    ]
    notions = list(csv.DictReader(StringIO(file_of(whole, "notions.csv").decode())))
    assert [(one["name"], int(one["count"])) for one in notions] == [(one.name, one.count) for one in wire.notions]
    cut = list(csv.DictReader(StringIO(file_of(whole, "cut-list.csv").decode())))
    assert {one["piece"]: int(one["count"]) for one in cut} == {piece.id: piece.count for piece in whole.laid.pieces}


def test_files_asked_for_at_once_are_as_those_asked_for_alone(palazzo, jumpsuit):
    """By eight threads, as the server has them: letters of one file are not those of another."""
    wanted = [(made, name) for made in (palazzo, jumpsuit) for name in ("lay.pdf", "cut-list.pdf", "pattern-a3.pdf")]
    alone = [file_of(*one) for one in wanted]
    with ThreadPoolExecutor(8) as pool:
        assert list(pool.map(lambda one: file_of(*one), wanted * 2)) == alone * 2


def test_the_same_plan_is_the_same_file(palazzo):
    for file in FILES:
        assert file_of(palazzo, file.name) == file_of(palazzo, file.name), file.name
