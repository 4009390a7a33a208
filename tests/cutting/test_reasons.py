"""The reason of a call fits this garment: its measure is in the sum, its parts are pieces, its unit is the job's."""

import json
import re
from pathlib import Path

import pytest

from cutting.formats import plan_to_wire, read_job
from cutting.plan import plan
from tests.conftest import some
from tests.jobs import FIVE, STYLES_BY_METHOD, UPPER, job

WORKS = sorted((Path(__file__).parents[2] / "demo/jobs").rglob("*.json"))
SHARE = re.compile(r"\b(?:half|quarter|sixth|sixteenth|twentieth|share) of the (\w+)")
MEASURES = {"hip": "hip", "waist": "waist", "bust": "bust", "neck": "neck", "shoulder": "shoulders", "arm": "upper arm"}
"""What a reason calls a measure, and the sum."""
OTHER_UNIT = {"in": re.compile(r"\bcm\b"), "cm": re.compile(r"\binch(es)?\b|\d in\b")}


def check_reasons(made):
    wire = plan_to_wire(made)
    panels = {(panel["garment"], panel["name"]): panel for panel in wire["panels"]}
    for said in wire["marks"]:
        reason, where = said["reason"], (said["panel"], said["name"], said["reason"])
        assert not OTHER_UNIT[wire["unit"]].search(reason), where
        shares = [MEASURES[word] for word in SHARE.findall(reason) if word in MEASURES]
        by_measures = said["formula"] and any(name in said["formula"] for name in MEASURES.values())
        if shares and by_measures:
            assert any(name in said["formula"] for name in shares), (*where, said["formula"])
        if re.search(r"\bband\b", reason):
            assert any("band" in name for _, name in panels), where
        if re.search(r"\bdart\b", reason):
            assert panels[said["garment"], said["panel"]]["darts"], where
        if "zip" in reason.split(". ")[0]:
            assert any("zip" in notion["code"] for notion in wire["notions"]), where
        if "front" in reason and said["panel"] == "back":
            assert (said["garment"], "front") in panels, where


@pytest.mark.parametrize("path", WORKS, ids=lambda path: path.stem)
def test_the_reasons_of_the_works_fit_them(path):
    check_reasons(plan(read_job(json.loads(path.read_text())), by_width=False))


@pytest.mark.parametrize(("style", "method"), some(STYLES_BY_METHOD, 3))
@pytest.mark.parametrize("unit", ["in", "cm"])
def test_the_reasons_fit_every_style_by_every_method(style, method, unit):
    raw = job(cloth={"width": "129 in"}) | {"measurements": FIVE["middle"] | UPPER["middle"]}
    raw = raw | {"unit": "cm"} if unit == "cm" else raw | {"measurements": in_inches(raw["measurements"])}
    raw["garments"] = [{"id": "g", "style": style, "method": method}]
    check_reasons(plan(read_job(raw), by_width=False))


def in_inches(sizes):
    return {key: f"{float(size) / 2.54:.2f}" for key, size in sizes.items()}
