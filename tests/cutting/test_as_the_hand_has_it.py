"""Numbers of practice that the hand comes to, and what each choice does to them: common practice, no source.

Measured on the exported outlines wherever there is one; each would fall if its rule were left out.
"""

from itertools import pairwise

import pytest
from shapely.geometry import LineString, Point, Polygon

from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job
from cutting.plan import plan
from tests.jobs import FIVE, STYLES_BY_METHOD, job, of_body, planned

INCH = 25.4
PLAIN = {"waist": 30, "hip": 40, "thigh": 24, "knee": 16, "outseam": 41, "inseam": 30.5, "body_rise": 10.5}


def made(method, style, measures=None, cloth=None, **choices):
    """The plan and its wire of one garment by a method; measures in inches."""
    raw = job(PLAIN | (measures or {}), cloth=cloth, style=style, **choices)
    raw["garments"][0]["method"] = method
    whole = plan(read_job(raw), by_width=False)
    return whole, plan_to_wire(whole)


def panel(wire, name):
    return next(one for one in wire["panels"] if one["name"] == name)


def inches(wire, key, kind="net_mm"):
    return wire["numbers"][f"trousers.{key}"][kind] / INCH


def edge(wire, name, of):
    """An edge's net points, in the order they are drawn."""
    drawn = []
    for part in panel(wire, name)["segments"]:
        if part["edge"] == of:
            drawn += part["points"] if part["kind"] == "line" else [bezier(part["points"], k / 200) for k in range(201)]
    return drawn


def bezier(points, t):
    """A place on a cubic, by repeated halving."""
    while len(points) > 1:
        points = [[a + (b - a) * t for a, b in zip(p, q, strict=True)] for p, q in pairwise(points)]
    return points[0]


def width_at(wire, name, down, outline="net"):
    """Across a panel's outline at a level, in inches."""
    ring = Polygon(panel(wire, name)[outline])
    return ring.intersection(LineString([(-3000, down), (5000, down)])).length / INCH


def codes(wire):
    return {finding["code"] for finding in wire["findings"]}


# What the waist takes in ------------------------------------------------------------------------------------------


def test_the_borrowed_crotch_keeps_its_budget_of_the_waist_with_one_dart_behind():
    _, wire = made("centre-crease", "straight-trousers", {"waist": 33})
    assert [len(panel(wire, name)["darts"]) for name in ("front", "back")] == [0, 1]
    net = [LineString(edge(wire, name, "waist")).length / INCH for name in ("front", "back")]
    # Cut 9 3/8 and 10 1/8, with 1/2 on each edge.
    assert net == pytest.approx([9.375 - 1, 10.125 - 1], abs=0.01)
    _, asked = made("centre-crease", "straight-trousers", {"waist": 33}, front_darts="one", front_dart_intake="1 in")
    assert len(panel(asked, "front")["darts"]) == 1


def test_front_and_back_have_darts_of_their_own():
    _, wire = made(
        "quarter-hip", "straight-trousers", front_darts="none", back_darts="two", back_dart_intake="3/4 in",
        back_dart_length="4 1/4 in", back_dart_place="3 in",
    )  # fmt: skip
    assert panel(wire, "front")["darts"] == []
    darts = panel(wire, "back")["darts"]
    middles = []
    for dart in darts:
        near, far, tip = (dart[key] for key in ("near", "far", "tip"))
        assert LineString([near, far]).length == pytest.approx(0.75 * INCH, abs=0.01)
        middle = [(a + b) / 2 for a, b in zip(near, far, strict=True)]
        assert LineString([middle, tip]).length == pytest.approx(4.25 * INCH, abs=0.01)
        middles.append(LineString([middle, panel(wire, "back")["points"]["CB"]]).length / INCH)
    assert sorted(middles)[0] == pytest.approx(3, abs=0.005)
    assert len(darts) == 2


def test_the_old_names_set_both_and_the_back_dart_is_an_inch_longer():
    _, wire = made("quarter-hip", "straight-trousers", dart_length="3 in", dart_intake="3/4 in")
    assert [inches(wire, f"{name}.dart_length") for name in ("front", "back")] == pytest.approx([3, 4])
    assert [inches(wire, f"{name}.dart_intake") for name in ("front", "back")] == pytest.approx([0.75, 0.75])
    _, typed = made("quarter-hip", "straight-trousers", dart_length="3 in", back_dart_length="3 in")
    assert inches(typed, "back.dart_length") == pytest.approx(3)


def test_a_dart_typed_off_the_panel_is_refused_and_one_too_long_is_said():
    with pytest.raises(CuttingError, match=r"front_dart_place: dart\.outside"):
        made("quarter-hip", "straight-trousers", front_dart_place="8 in")
    _, wire = made("quarter-hip", "straight-trousers", front_dart_length="7 in")
    assert "dart.shortened" in codes(wire)


@pytest.mark.parametrize("front_waist", ["waist", "hip"])
@pytest.mark.parametrize("waist", [26, 30, 34, 38])
def test_elastic_behind_passes_the_hip_and_what_is_over_goes_to_the_centre(waist, front_waist):
    _, wire = made("quarter-hip", "shorts", {"waist": waist}, waist_finish="half-elastic", front_waist=front_waist)
    front, back = (LineString(edge(wire, name, "waist")).length / INCH for name in ("front", "back"))
    front -= sum(LineString([dart["near"], dart["far"]]).length for dart in panel(wire, "front")["darts"]) / INCH
    assert front == pytest.approx(waist / 4 if front_waist == "waist" else 10)
    assert back == pytest.approx(max(front + 3.5, 20.5 - front), abs=0.01)
    assert 2 * (front + back) >= 41 - 0.01
    top, hip = panel(wire, "back")["points"]["CB"], panel(wire, "back")["points"]["C1"]
    side = panel(wire, "back")["points"]["W"]
    assert (top[0] - hip[0]) / INCH == pytest.approx(max(0, back - 10.5), abs=0.02)
    # The side does not take it: it goes straight up to the hip line, and at the waist it is no further out.
    assert panel(wire, "back")["points"]["H1"][0] == pytest.approx(panel(wire, "back")["points"]["C2"][0], abs=0.1)
    assert side[0] >= panel(wire, "back")["points"]["C2"][0] - 1


def test_third_hip_is_raised_three_behind_and_no_wider_there():
    _, wire = made("third-hip", "loose-trousers", {"hip": 37, "waist": 29, "thigh": 22})
    points = panel(wire, "back")["points"]
    assert (panel(wire, "front")["points"]["CF"][1] - points["CB"][1]) / INCH == pytest.approx(3)
    net = [LineString(edge(wire, name, "waist")).length / INCH for name in ("front", "back")]
    assert net == pytest.approx([11, 11], abs=0.01)
    assert inches(wire, "band.cut_length", "cut_mm") == pytest.approx(45)


# The leg ----------------------------------------------------------------------------------------------------------


def test_a_multiplied_quarter_has_its_back_two_out_at_side_and_fork_and_one_at_the_hem():
    _, wire = made("multiplied-quarter", "wide-gathered")
    front, back = (panel(wire, name) for name in ("front", "back"))
    across = [back["points"]["X"][0] - back["points"]["C2"][0], front["points"]["X"][0]]
    assert (across[0] - across[1]) / INCH == pytest.approx(4, abs=0.01)
    hems = [LineString(edge(wire, name, "hem")).length / INCH for name in ("front", "back")]
    assert hems[1] - hems[0] == pytest.approx(1, abs=0.01)


def test_knee_shorts_narrow_without_a_jump_as_their_length_nears_the_knee():
    hems = []
    for length in (18, 19, 20, 20.5, 20.9, 21, None):
        chosen = {} if length is None else {"length": f"{length} in"}
        _, wire = made("quarter-hip", "knee-shorts", {"knee": 17.5, "waist_to_knee": 21}, **chosen)
        hems.append(sum(LineString(edge(wire, name, "hem")).length for name in ("front", "back")) / INCH)
    assert hems[-1] == hems[-2] == pytest.approx(20.5, abs=0.01)
    steps = [a - b for a, b in pairwise(hems)]
    assert all(-1e-6 <= step <= 2.2 for step in steps)
    assert steps[4] < 0.25


def test_half_thigh_shorts_run_in_a_quarter_on_each_side():
    _, wire = made("half-thigh", "shorts", {"thigh": 26})
    hem = edge(wire, "front", "hem")
    assert LineString(hem).length / INCH == pytest.approx(12.5, abs=0.01)
    assert min(point[0] for point in hem) / INCH == pytest.approx(0.25, abs=0.01)


def test_a_close_hem_is_half_the_ankle_at_the_fold_and_a_quarter_wider_where_it_is_cut():
    _, wire = made("centre-crease", "close-trousers", {"ankle": 12.5})
    fold = edge(wire, "front", "hem")[0][1]
    assert width_at(wire, "front", fold, "cut") == pytest.approx(6.25, abs=0.02)
    cut = panel(wire, "front")["cut"]
    raw = [across for across, down in cut if down > fold + 40]
    assert (max(raw) - min(raw)) / INCH == pytest.approx(6.5, abs=0.07)


@pytest.mark.parametrize(("hip", "outseam", "rise"), [(52, 41, 12.25), (36, 36, 9), (52, 41, None)])
def test_a_third_of_the_hip_is_no_deeper_than_the_rise_and_two(hip, outseam, rise):
    sizes = {"hip": hip, "waist": hip * 0.8, "thigh": hip * 0.59, "outseam": outseam, "body_rise": rise, "inseam": None}
    _, wire = made("third-hip", "loose-trousers", sizes)
    depth, most = inches(wire, "crotch_depth"), (rise or outseam / 4) + 2
    assert depth == pytest.approx(min(hip / 3 - 1, most))
    assert ("depth.capped" in codes(wire)) == (hip / 3 - 1 > most)


# Seams and openings -----------------------------------------------------------------------------------------------


def pocket_starts(wire, name):
    """How far down the side, from the fold or seam of the waist, the pocket's mouth begins, in inches."""
    side = LineString(edge(wire, name, "side")[::-1])
    notch = next(
        notch for piece in wire["pieces"] if piece["panel"] == name
        for notch in piece["notches"] if notch["code"] == "pocket_top"
    )  # fmt: skip
    return side.project(LineString([notch["net"], notch["cut"]]).interpolate(0)) / INCH


@pytest.mark.parametrize(
    ("method", "style", "choices", "start"),
    [
        ("quarter-hip", "straight-trousers", {}, 1),
        ("sixteenth-eighth", "loose-trousers", {}, 2.5),
        ("sixteenth-eighth", "loose-trousers", {"casing": "2 in"}, 2),
        ("sixteenth-eighth", "paper-bag", {}, 4 / 2.54 + 1),
        ("quarter-hip", "straight-trousers", {"pocket_start": "2 1/2 in"}, 2.5),
        ("quarter-hip", "straight-trousers", {"yoke": "3 in", "pocket_start": "2 in"}, 2),
    ],
)
def test_a_pocket_in_the_seam_starts_an_inch_below_the_lowest_stitching(method, style, choices, start):
    _, wire = made(method, style, pockets=["in-seam"], closure="none" if "eighth" in method else "back-zip", **choices)
    strip = LineString(edge(wire, "yoke", "side")).length / INCH if "yoke" in choices else 0
    assert pocket_starts(wire, "front") == pytest.approx(start, abs=0.01)
    assert pocket_starts(wire, "back") + strip == pytest.approx(start, abs=0.03)


@pytest.mark.parametrize(("method", "style"), [pair[::-1] for pair in STYLES_BY_METHOD if pair[1] != "quarter-bust"])
def test_a_zip_behind_has_an_edge_of_one_down_to_an_inch_below_it_and_nowhere_else(method, style):
    if style not in ("straight-trousers", "palazzo", "boxers", "shorts"):
        pytest.skip("one style a kind of leg is enough")
    whole, wire = made(method, style, {"ankle": 9.5}, {"width": "129 in", "fold": "open"}, closure="back-zip")
    name, of = ("leg", "back_crotch") if "leg" in {one["name"] for one in wire["panels"]} else ("back", "crotch")
    path = LineString(edge(wire, name, of)[:: -1 if name == "leg" else 1])
    zip_end = next(
        notch["net"] for piece in wire["pieces"] if piece["panel"] == name
        for notch in piece["notches"] if notch["code"] == "zip_end"
    )  # fmt: skip
    reach = path.project(Point(zip_end)) + INCH
    bought = next(one for one in wire["notions"] if one["code"] == "invisible-zip")
    assert reach - INCH == pytest.approx(bought["length_mm"], abs=0.1)
    given = whole.garments[0].ask.allowances.centre.mm
    net, cut = Polygon(panel(wire, name)["net"]), LineString(panel(wire, name)["cut"])
    on = [Point(x, y) for x, y in panel(wire, name)["cut"]]
    allowed = [(path.project(p), net.distance(p)) for p in on if path.distance(p) < net.distance(p) + 0.01]
    within = [wide for along, wide in allowed if 5 < along < reach - 2 and wide > 1]
    beyond = [wide for along, wide in allowed if reach + 15 < along < path.length - 15]
    assert within == pytest.approx([INCH] * len(within), abs=0.3)
    assert beyond == pytest.approx([given] * len(beyond), abs=0.3)
    assert beyond
    assert cut.distance(path.interpolate(2 * INCH)) == pytest.approx(INCH, abs=0.3)
    front = "leg" if name == "leg" else "front"
    there = LineString(edge(wire, front, "crotch")).interpolate(60)
    assert LineString(panel(wire, front)["cut"]).distance(there) == pytest.approx(given, abs=0.3)
    assert not {"allowance.held", "girth.hip"} & codes(wire)


# Measuring only what is drawn with --------------------------------------------------------------------------------


@pytest.mark.parametrize("style", ["palazzo", "wide-gathered"])
@pytest.mark.parametrize("name", FIVE)
def test_multiplied_quarters_back_is_2_out_at_the_side_from_hip_to_crotch_line_and_nowhere_hollow(name, style):
    """Measured on the outline: 5 cm outside the front's guide at both lines, and convex to 1 1/2 mm down to the hem."""
    made = of_body(name, "multiplied-quarter", style)
    back = made.garments[0].panels["back"]
    side = LineString(back.edges["side"].path.flat(0.01))
    for level in ("H", "C"):
        down = back.points[level].down
        met = side.intersection(LineString([(-500, down), (500, down)]))
        assert met.x == pytest.approx(-50, abs=0.01)
    # Its crotch line is the front's and 4 in, 10 cm: tip 2 and side 2; so the number says, and the thigh's row.
    wire = plan_to_wire(made)
    wide = {one: wire["numbers"][f"trousers.{one}.crotch_width"]["net_mm"] for one in ("front", "back")}
    assert wide["back"] - wide["front"] == pytest.approx(100, abs=0.01)
    row = next(row for row in wire["ledger"] if row["level"] == "thigh")
    assert row["sewn_mm"] == pytest.approx(sum(wide.values()), abs=0.01)
    whole = Polygon(back.net).convex_hull.exterior
    assert max(whole.distance(Point(at)) for at in side.coords if at[1] > back.points["H"].down) < 1.5


def test_boxers_ask_for_hip_and_rise_alone():
    raw = job(style="boxers")
    raw["garments"][0]["method"] = "one-piece-leg"
    raw["measurements"] = {"hip": 38.5, "body_rise": 9}
    wire = plan_to_wire(plan(read_job(raw), by_width=False))
    assert {"elastic.unmeasured", "thigh.unmeasured"} <= codes(wire)
    assert "trousers.elastic.length" not in wire["numbers"]
    assert inches(wire, "front.hip_width") == pytest.approx((38.5 / 2 + 10 / 2.54) / 2)


def test_a_quick_cut_from_waist_and_length_alone_says_what_cannot_be_checked():
    raw = job(style="palazzo")
    raw["garments"][0] |= {"method": "four-layer", "choices": {"crotch_depth": "11 in", "length": "40 in"}}
    raw["measurements"] = {"waist": 30}
    wire = plan_to_wire(plan(read_job(raw), by_width=False))
    assert "hip.unmeasured" in codes(wire)
    assert not {"waist.opening", "hip.room"} & {check["code"] for check in wire["checks"]}


def test_cloth_in_hand_is_opened_where_folded_it_would_be_too_short():
    def plan_on(length):
        return planned(cloth={"length": length, "width": "36 in", "fold": "auto"})

    folded, opened = plan_on(None), planned(cloth={"width": "36 in", "fold": "open"})
    assert folded.laid.sections[0].table.fold != "open"
    assert opened.yardage.length < folded.yardage.length - 20
    between = (opened.yardage.length + folded.yardage.length) / 2 / INCH
    kept = plan_on(round(between, 1))
    assert kept.laid.sections[0].table.fold == "open"
    assert not [one for one in kept.findings if one.code == "cloth.short"]


@pytest.mark.parametrize("name", FIVE)
def test_a_leg_that_falls_straight_does_not_bend_back_under_the_crotch_point(name):
    made_ = of_body(name, "multiplied-quarter", "palazzo").garments[0]
    net = list(made_.panels["front"].edges["inner_leg"].path.flat())
    across = [point.across for point in net]
    assert all(b <= a + 0.5 for a, b in pairwise(across))


@pytest.mark.parametrize("method", ["third-hip", "half-thigh", "twentieth-tenth", "quarter-hip"])
def test_a_short_leg_does_not_run_in_from_its_back_crotch_point(method):
    """Shorts of 5 in of leg: the back's hem goes out with the tip, within 1 1/2 in."""
    _, wire = made(method, "shorts")
    points = panel(wire, "back")["points"]
    assert points["X"][0] - max(point[0] for point in edge(wire, "back", "hem")) < 1.5 * INCH


@pytest.mark.parametrize("method", ["quarter-hip", "multiplied-quarter", "one-piece-leg"])
def test_a_leg_to_the_floor_clears_it_by_half_an_inch_and_needs_no_outseam(method):
    """Waist to floor 43: the hem is 42 1/2 down; without the measure it is asked for by name."""
    style = "loose-trousers" if method == "one-piece-leg" else "palazzo"
    _, wire = made(method, style, {"waist_to_floor": 43, "outseam": None}, length="floor", hem=0)
    assert inches(wire, "length") == pytest.approx(42.5)
    main = "leg" if method == "one-piece-leg" else "front"
    seam = panel(wire, main)["points"]["L"][1] - panel(wire, main)["points"]["O"][1]
    band = 1.5 * INCH if wire["numbers"].get("trousers.band.finished_depth") else 0
    assert seam + band == pytest.approx(42.5 * INCH, abs=0.1) or method == "one-piece-leg"
    with pytest.raises(CuttingError, match=r"waist_to_floor"):
        made(method, style, length="floor")


def test_what_finds_no_room_along_a_fold_across_the_cloth_is_said_with_both_lengths():
    """Front, back, their neck facings and the band are cut on the fold: longer together than cloth of 60 is wide."""
    raw = job(
        PLAIN | {"bust": 36, "shoulder": 15, "nape_to_waist": 16, "upper_arm": 11}, {"fold": "crosswise", "width": 60}
    )
    raw["garments"].append({"id": "top", "style": "straight-top", "choices": {}})
    whole = plan(read_job(raw), by_width=False)
    along = sum(
        piece.count * (max(p.down for p in piece.cut) - min(p.down for p in piece.cut))
        for garment in whole.garments for piece in garment.pieces(on_fold=True) if piece.folds is not None
    )  # fmt: skip
    said = next(one for one in plan_to_wire(whole)["findings"] if one["code"] == "lay.fold_full")
    assert (said["params"]["needed"], said["params"]["room"]) == pytest.approx((along, 60 * INCH), abs=0.5)
    assert along > 60 * INCH
    raw["cloth"]["fold"] = "sections"
    assert "lay.fold_full" not in codes(plan_to_wire(plan(read_job(raw), by_width=False)))
