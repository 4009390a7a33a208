"""Worked numbers of the trade that the quarter-hip method covers. All are common practice, no source."""

import pytest

from cutting.formats import plan_to_wire, read_job
from cutting.plan import plan
from tests.jobs import job

NET, CUT = "net_mm", "cut_mm"
LEAN = 0.01
"""A cut number holds the lean of a seam that the tape does not meet square: under this many inches here."""
CREASE = {"method": "centre-crease", "style": "close-trousers"}
THIRD = {"method": "third-hip"}
RATIO = {"method": "sixteenth-eighth"}
BOXERS = {"hip": "98 cm", "waist": "80 cm", "body_rise": "22 cm"}
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
    ("crotch depth H/3 at 30, 48 differs from H/4 + 3", {"hip": 48, "waist": 38, "thigh": 27}, {"crotch_depth": "hip/3"}, "crotch_depth", NET, 16),
    ("H/4 + 3 at 48", {"hip": 48, "waist": 38, "thigh": 27}, {"crotch_depth": "hip/4+3"}, "crotch_depth", NET, 15),
    ("H/3 at 30", {"hip": 30, "waist": 24, "thigh": 18, "knee": 12}, {"crotch_depth": "hip/3"}, "crotch_depth", NET, 10),
    ("H/4 + 3 at 30", {"hip": 30, "waist": 24, "thigh": 18, "knee": 12}, {"crotch_depth": "hip/4+3"}, "crotch_depth", NET, 10.5),
    ("very short shorts end 2 1/2 below the crotch line", {"hip": 40}, {"style": "very-short-shorts"}, "length", NET, 12.5),
    ("very short shorts, extension 3", {"hip": 44, "thigh": 26}, {"style": "very-short-shorts", "crotch_extension": 3}, "front.crotch_width", NET, 14),
    ("half thigh with its seams", {"hip": 44, "thigh": 26}, {"method": "half-thigh", "allowances": {"side": 0.5}}, "front.hip_width", CUT, 12),
    ("half thigh, its crotch line", {"hip": 44, "thigh": 26}, {"method": "half-thigh"}, "front.crotch_width", NET, 13),
    ("half thigh, its depth", {"hip": 44, "thigh": 26}, {"method": "half-thigh"}, "crotch_depth", NET, 12),
    ("half thigh, its extension", {"hip": 44, "thigh": 26}, {"method": "half-thigh"}, "front.crotch_extension", NET, 2),
    ("budget of the hip, front share of 21", {"hip": 38, "waist": 31.5}, CREASE, "front.hip_width", CUT, 9.75),
    ("budget of the hip, back 1 1/2 wider", {"hip": 38, "waist": 31.5}, CREASE, "back.hip_width", CUT, 11.25),
    ("borrowed crotch, the front's", {}, CREASE, "front.centre_drop", NET, 1),
    ("borrowed crotch, the back's", {}, CREASE, "back.seat_raise", NET, 1),
    ("knee of 16, front panel", {"knee": 16, "ankle": 12.5}, CREASE, "front.knee_width", CUT, 8),
    ("knee of 16, back panel", {"knee": 16, "ankle": 12.5}, CREASE, "back.knee_width", CUT, 10),
    ("ankle of 12 1/2, where the hem turns", {"ankle": 12.5}, CREASE, "front.hem_width", CUT, 6.25),
    ("loose, a quarter of 37 + 7", {"hip": 37, "waist": 30, "thigh": 24}, THIRD, "front.hip_width", NET, 11),
    ("loose, half of 24 + 6", {"hip": 37, "waist": 30, "thigh": 24}, THIRD, "front.crotch_width", NET, 15),
    ("loose, hip/3 - 1", {"hip": 37, "waist": 30, "thigh": 24}, THIRD, "crotch_depth", NET, 34 / 3),
    ("ratio panel, 1/4 in each", {"hip": 40, "body_rise": 11}, RATIO, "front.hip_width", NET, 10.25),
    ("ratio panel, half behind", {"hip": 40, "body_rise": 11}, RATIO, "back.crotch_extension", NET, 5.125),
    ("ratio panel, quarter in front", {"hip": 40, "body_rise": 11}, RATIO, "front.crotch_extension", NET, 2.5625),
    ("loose ratio, panel", {"hip": "100 cm", "body_rise": 11}, RATIO | {"hip_ease": "8 cm"}, "front.hip_width", NET, 27 / 2.54),
    ("loose ratio, behind", {"hip": "100 cm", "body_rise": 11}, RATIO | {"hip_ease": "8 cm"}, "back.crotch_extension", NET, 13.5 / 2.54),
    ("loose ratio, in front", {"hip": "100 cm", "body_rise": 11}, RATIO | {"hip_ease": "8 cm"}, "front.crotch_extension", NET, 6.75 / 2.54),
    ("multiplied quarter, two fronts of it", {"hip": 41}, {"method": "multiplied-quarter"}, "front.crotch_width", NET, 28.1875),
    ("one-piece leg, half of 59", BOXERS, {"method": "one-piece-leg", "style": "boxers"}, "front.hip_width", NET, 29.5 / 2.54),
    ("one-piece leg, leg to 37", BOXERS, {"method": "one-piece-leg", "style": "boxers"}, "length", NET, 37 / 2.54),
    ("one-piece leg, 34.5 of the crotch line", BOXERS, {"method": "one-piece-leg", "style": "boxers"}, "front.crotch_width", NET, 34.5 / 2.54),
    ("one-piece leg, 39.5 of the crotch line", BOXERS, {"method": "one-piece-leg", "style": "boxers"}, "back.crotch_width", NET, 39.5 / 2.54),
    ("elastic palazzo, its waist", {"waist": 34, "hip": 40, "body_rise": 11}, {"method": "four-layer"}, "front.waist_width", NET, 10.5),
    ("elastic palazzo, its elastic", {"waist": 34, "hip": 40, "body_rise": 11}, {"method": "four-layer"}, "elastic.length", NET, 30),
    ("half-elastic band's strip", {}, {"waist_finish": "half-elastic"}, "front-band.cut_depth", CUT, 4),
    ("men's knee shorts, hip and 2", {"hip": 46, "waist": 40, "thigh": 26}, {"style": "knee-shorts"}, "crotch_depth", NET, 12),
    ("men's knee shorts, knee and 3, front", {"hip": 46, "waist": 40, "thigh": 26, "knee": 17.5}, {"style": "knee-shorts"}, "front.hem_width", NET, 9.25),
    ("men's knee shorts, knee and 3, back", {"hip": 46, "waist": 40, "thigh": 26, "knee": 17.5}, {"style": "knee-shorts"}, "back.hem_width", NET, 11.25),
    ("straight knee with ease 4", {"knee": 16}, {"style": "straight-trousers"}, "back.knee_width", NET, 10.5),
]  # fmt: skip


def worked(measures, style="palazzo", method="quarter-hip", **choices):
    """The plan of a garment with those measures; an ankle that a style asks for is there."""
    asked = job({"ankle": 9.5} | measures, cloth={"width": "129 in"}, style=style, **choices)
    asked["garments"][0]["method"] = method
    return plan_to_wire(plan(read_job(asked), by_width=False))


@pytest.mark.parametrize(
    ("what", "measures", "choices", "number", "which", "inches"), ROWS, ids=[row[0] for row in ROWS]
)
def test_worked_number(what, measures, choices, number, which, inches):
    wire = worked(measures, **choices)
    assert wire["numbers"][f"trousers.{number}"][which] / 25.4 == pytest.approx(
        inches, abs=1e-4 if which == NET else LEAN
    )


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


def panel_of(wire, name):
    return next(panel for panel in wire["panels"] if panel["name"] == name)


def test_the_knee_of_sixteen_sews_to_sixteen_and_the_inner_legs_of_boxers_are_equal():
    row = next(row for row in worked({"knee": 16}, **CREASE)["ledger"] if row["level"] == "knee")
    assert (row["cut_mm"] / 25.4, row["sewn_mm"] / 25.4) == pytest.approx((18, 16), abs=LEAN)
    leg = panel_of(worked(BOXERS, style="boxers", method="one-piece-leg"), "leg")
    lengths = {edge["name"]: edge["length_mm"] for edge in leg["edges"]}
    assert lengths["inner_leg"] == lengths["back_inner_leg"] == pytest.approx(105.47, abs=0.01)


def test_a_patch_of_five_goes_in_to_four_and_a_fifth_and_a_turn_up_of_three_folds_to_half():
    wire = worked({}, style="straight-trousers", pockets=["back-patch"], turn_up=1.5)
    xs = [x for x, _ in panel_of(wire, "patch")["net"]]
    assert (max(xs) - min(xs)) / 25.4 == pytest.approx(4.2126, abs=1e-3)
    hem = next(edge for edge in panel_of(wire, "front")["edges"] if edge["name"] == "hem")
    assert hem["allowance_mm"] / 25.4 == pytest.approx(3)


def test_known_traps_do_not_survive():
    """The waist 2 short, the pull-on waist that does not pass the hip, the hem narrower than its leg."""
    seams = worked({"waist": 32}, allowances={"side": 1, "centre": 0.5})
    waist = next(row for row in seams["ledger"] if row["level"] == "waist")
    assert waist["sewn_mm"] / 25.4 == pytest.approx(32)
    pear = worked({"waist": 26, "hip": 42, "body_rise": 11}, method="four-layer")
    assert pear["numbers"]["trousers.waist.opening"]["net_mm"] >= 42 * 25.4 - 0.01
    assert "waist.widened" in {finding["code"] for finding in pear["findings"]}
    turned = next(check for check in worked({}, **CREASE)["checks"] if check["code"] == "hem.turn")
    assert abs(turned["left"]["mm"] - turned["right"]["mm"]) < 2
