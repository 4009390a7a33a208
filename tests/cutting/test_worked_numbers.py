"""Worked numbers of the trade that the quarter-hip method covers. All are common practice, no source."""

import pytest

from cutting.formats import plan_to_wire, read_job
from cutting.plan import plan
from tests.jobs import job

NET, CUT = "net_mm", "cut_mm"
ROWS = [
    # what, measures, choices, number, which, inches expected
    ("crotch depth, quarter of 44", {"hip": 44}, {}, "crotch_depth", NET, 11),
    ("crotch depth H/4 + 1 at 44", {"hip": 44}, {"crotch_depth": "hip/4+1"}, "crotch_depth", NET, 12),
    ("crotch depth H/3 at 36", {"hip": 36, "waist": 28, "thigh": 21}, {"crotch_depth": "hip/3"}, "crotch_depth", NET, 12),
    ("H/4 + 3 at 36 is the same", {"hip": 36, "waist": 28, "thigh": 21}, {"crotch_depth": "hip/4+3"}, "crotch_depth", NET, 12),
    ("outseam less inseam", {"outseam": 41, "inseam": 30}, {"crotch_depth": "outseam-inseam"}, "crotch_depth", NET, 11),
    ("seated and 1 in", {"body_rise": 11}, {"crotch_depth": "seated", "crotch_ease": 1}, "crotch_depth", NET, 12),
    ("hip line by sixteenth above", {"hip": 40}, {"hip_line": "hip/16-above"}, "hip_depth", NET, 7.5),
    ("front extension by sixteenth", {"hip": 40}, {}, "front.crotch_extension", NET, 2.5),
    ("panel with a single seam of 1", {"hip": 40}, {"allowances": {"side": 1, "centre": 0}}, "front.hip_width", CUT, 11),
    ("crotch line at 40 and 2 1/2", {"hip": 40}, {}, "front.crotch_width", NET, 12.5),
    ("by size at 44", {"hip": 44}, {"crotch_extension": "by-size"}, "front.crotch_extension", NET, 2.8),
    ("extension from the thigh", {"hip": 44, "thigh": 26}, {"crotch_extension": "thigh/2"}, "front.crotch_extension", NET, 2),
    ("thigh with ease 2, palazzo line", {"hip": 36, "waist": 28, "thigh": 24}, {}, "front.thigh_width", NET, 11.25),
    ("waist with dart and seam", {"waist": 32}, {"allowances": {"side": 0.5, "centre": 0.5}}, "front.waist_width", NET, 9),
    ("band strip for 1 1/2 finished", {}, {"band_depth": 1.5}, "band.cut_depth", CUT, 4),
    ("band with overlap and ends", {"waist": 31.5}, {"band_overlap": 2}, "band.cut_length", CUT, 34.5),
    ("length with its hem", {"outseam": 38.5}, {"band_depth": 1.5, "hem": 2}, "length", CUT, 39.5),
    ("quick fold rule", {"hip": 40}, {}, "fold.quick_rule", NET, 14),
    ("back tip of a usual seat", {}, {}, "back.crotch_tip", NET, 2),
    ("back tip of a full seat", {}, {"seat": "full"}, "back.crotch_tip", NET, 3),
    ("what the front drops the back gains", {}, {"seat_height": "drop-and-raise"}, "front.centre_drop", NET, 1.5),
    ("chosen hem, back 1 wider", {}, {"hem_width": 22}, "front.hem_width", NET, 10.5),
    ("straight knee with ease 4", {"knee": 16}, {"style": "straight-trousers"}, "back.knee_width", NET, 10.5),
]  # fmt: skip


@pytest.mark.parametrize(
    ("what", "measures", "choices", "number", "which", "inches"), ROWS, ids=[row[0] for row in ROWS]
)
def test_worked_number(what, measures, choices, number, which, inches):
    style = choices.pop("style", "palazzo") if "style" in choices else "palazzo"
    wire = plan_to_wire(plan(read_job(job(measures, style=style, **choices)), by_width=False))
    assert wire["numbers"][f"trousers.{number}"][which] / 25.4 == pytest.approx(inches, abs=1e-4)


def test_the_formula_stands_beside_its_number():
    wire = plan_to_wire(plan(read_job(job()), by_width=False))
    hip = wire["numbers"]["trousers.front.hip_width"]
    assert hip["formula"] == "hip / 4"
    assert hip["cut_formula"] == "hip / 4 + 1 in side seam + 1/2 in centre seam"
    assert (hip["with"], hip["shown"]) == ("41 / 4 + 1 + 1/2", "11 3/4 in")
    assert hip["net_mm"] == pytest.approx(260.35)
    assert hip["cut_mm"] == pytest.approx(298.45)


def test_the_quick_fold_rule_is_said_to_be_too_shallow():
    wire = plan_to_wire(plan(read_job(job()), by_width=False))
    numbers = wire["numbers"]
    assert numbers["trousers.fold.needed"]["net_mm"] > numbers["trousers.fold.quick_rule"]["net_mm"]
    assert "fold.quick_shallow" in {finding["code"] for finding in wire["findings"]}
