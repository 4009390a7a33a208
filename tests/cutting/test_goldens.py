"""Drafts as they were found right: points, numbers, edges, areas, ledger, mark order; within 0.05 mm.

Remake with PLAVET_REMAKE_GOLDENS=1 after a change that was meant, and read the difference.
"""

import json
import os
from pathlib import Path

import pytest

from cutting.formats import read_job
from cutting.formats.plan_v1 import to_model
from cutting.geometry import area
from cutting.methods import METHODS
from cutting.methods.upper import TOPS
from cutting.plan import plan
from tests.jobs import FIVE, UPPER, of_body, planned, top_job

FOLDER = Path(__file__).parents[1] / "goldens"
CASES = {
    "palazzo": {"style": "palazzo"},
    "palazzo-hem-22-inside": {"style": "palazzo", "hem_width": 22, "band": "inside"},
    "straight": {"style": "straight-trousers"},
    "straight-full-seat-on-paper": {"style": "straight-trousers", "seat": "full", "seat_height": "drop-and-raise", "marking": "on-paper"},
}  # fmt: skip


def summary(made):
    wire = to_model(made)
    return {
        "points": {f"{p.name}.{key}": list(point) for p in wire.panels for key, point in sorted(p.points.items())},
        "numbers": {key: [number.net_mm, number.cut_mm] for key, number in wire.numbers.items()},
        "edges": {f"{p.name}.{edge.name}": edge.length_mm for p in wire.panels for edge in p.edges},
        "areas": {piece.id: [area(piece.net) ** 0.5, area(piece.cut) ** 0.5] for piece in made.laid.pieces},
        "ledger": {
            row.level: [row.ease_mm, row.darts_mm, row.seams_mm, row.cut_mm, row.sewn_mm] for row in wire.ledger
        },
        "marks": [f"{mark.panel} {mark.code}" for mark in wire.marks],
    }


def kept(name, found):
    """What was found right under that name; written anew where that is asked for."""
    path = FOLDER / f"{name}.json"
    if os.environ.get("PLAVET_REMAKE_GOLDENS"):
        rows = ",\n".join(f"{json.dumps(key)}: {json.dumps(part)}" for key, part in found.items())
        path.write_text(f"{{\n{rows}\n}}\n")
    return json.loads(path.read_text())


@pytest.mark.parametrize("method", METHODS)
def test_every_method_draws_five_bodies_as_it_was_found_right(method):
    style = "palazzo" if "palazzo" in METHODS[method].styles else METHODS[method].styles[-1]
    style = "straight-trousers" if "straight-trousers" in METHODS[method].styles else style
    found = {name: drawing(of_body(name, method, style)) for name in FIVE}
    wanted = kept(f"method-{method}", json.loads(json.dumps(found)))
    for name, points in wanted.items():
        assert found[name].keys() == points.keys()
        for key, value in points.items():
            assert found[name][key] == pytest.approx(value, abs=0.05), f"{name} {key}"


def drawing(made):
    """Every named point, and the root of every piece's area."""
    (garment,) = made.garments
    points = {
        f"{panel.name}.{key}": (round(p.across, 2), round(p.down, 2))
        for panel in garment.panels.values()
        for key, p in panel.points.items()
    }
    return points | {
        piece.panel: [round(area(piece.net) ** 0.5, 2), round(area(piece.cut) ** 0.5, 2)] for piece in made.laid.pieces
    }


@pytest.mark.parametrize("name", CASES)
def test_draft_is_as_it_was_found_right(name):
    found = json.loads(json.dumps(summary(planned(cloth={"width": 60}, **CASES[name]))))
    wanted = kept(name, found)
    assert found["marks"] == wanted["marks"]
    for part in ("points", "numbers", "edges", "areas", "ledger"):
        assert found[part].keys() == wanted[part].keys()
        for key, value in wanted[part].items():
            assert found[part][key] == pytest.approx(value, abs=0.05), f"{part} {key}"


def test_the_guide_alone_is_enough_for_an_eleventh_method(monkeypatch):
    """The block of docs/drafting.md, as it stands, drafts five bodies that pass every check."""
    guide = (Path(__file__).parents[2] / "docs/drafting.md").read_text()
    block = guide.split("```python\n")[1].split("```")[0]
    named: dict[str, object] = {}
    exec(block, named)  # noqa: S102  # it is our own page
    eleventh = named["EIGHTEENTH"]
    monkeypatch.setitem(METHODS, eleventh.name, eleventh)
    for name in FIVE:
        made = of_body(name, eleventh.name, "straight-trousers")
        assert {check.code for check in made.checks if not check.ok} <= {"thigh.ease", "depth.sit", "extension.range"}
        assert made.garments[0].numbers["front.crotch_extension"].net.mm == pytest.approx(2.25 * 25.4, abs=2.5)


@pytest.mark.parametrize("style", TOPS)
def test_every_top_draws_five_bodies_as_it_was_found_right(style):
    found = {name: drawing(plan(read_job(top_job(name, style, sleeve="long")), by_width=False)) for name in UPPER}
    wanted = kept(f"top-{style}", json.loads(json.dumps(found)))
    for name, points in wanted.items():
        assert found[name].keys() == points.keys()
        for key, value in points.items():
            assert found[name][key] == pytest.approx(value, abs=0.05), f"{name} {key}"


def test_a_jumpsuit_draws_five_bodies_as_it_was_found_right():
    found = {}
    for name in UPPER:
        raw = top_job(name, "jumpsuit")
        lower = {"style": "straight-trousers", "choices": {"pockets": ["in-seam"]}}
        raw["garments"][0] |= {"top": {"style": "bodice", "choices": {"sleeve": "short"}}, "lower": lower}
        made = plan(read_job(raw), by_width=False)
        found[name] = {
            f"{garment.id}.{panel.name}.{key}": (round(p.across, 2), round(p.down, 2))
            for garment in made.garments
            for panel in garment.panels.values()
            for key, p in panel.points.items()
        }
    wanted = kept("jumpsuit", json.loads(json.dumps(found)))
    for name, points in wanted.items():
        assert found[name].keys() == points.keys()
        for key, value in points.items():
            assert found[name][key] == pytest.approx(value, abs=0.05), f"{name} {key}"
