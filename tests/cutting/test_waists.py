"""What finishes and closes a waist: bands and how they are joined, channel, fly, loops."""

import pytest
from hypothesis import given
from shapely.geometry import LineString, Polygon
from shapely.geometry import Point as ShapelyPoint
from shapely.ops import unary_union

from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job
from cutting.kinds import kind_of
from cutting.lengths import inch
from cutting.methods import resolve
from cutting.plan import plan
from tests.jobs import FIVE, job, of_body, parts_of, planned, size_of
from tests.strategies import bodies, served

INCH = 25.4


LAPS = {
    "fly": ("front-band", "centre"),
    "side-zip": ("back-band", "side"),
    "back-zip": ("back-band", "centre"),
}


@pytest.mark.parametrize("closure", LAPS)
def test_a_shaped_band_goes_under_itself_where_it_closes_and_meets_the_darts_below(closure):
    """An overlap of 2 and the seam (1/2 at the centre, 1 at the side and on a zip) at one end; a notch for each dart that goes on."""
    made, parts = parts_of(waist_finish="shaped-band", closure=closure, band_overlap=2)
    for name in ("front-band", "back-band"):
        edges, leg = parts[name].panel.edges, made.garments[0].panels[name.removesuffix("-band")]
        zip_edge = (name, closure) == ("back-band", "back-zip")
        for edge, seam in (("centre", 1 if zip_edge else 0.5), ("side", 1)):
            lap = 2 if (name, edge) == LAPS[closure] else 0
            assert edges[edge].allowance.mm / INCH == pytest.approx(seam + lap)
        up = [LineString(edges["lower"].path.flat()).project(ShapelyPoint(n.net)) for n in parts[name].panel.notches
              if (n.edge, n.code) == ("lower", "dart")]  # fmt: skip
        assert len(up) == len(leg.darts) == 1
        along = LineString(leg.edges["waist"].path.back.flat())
        down = [along.project(ShapelyPoint(n.net)) for n in leg.notches if n.code == "dart"]
        assert min(down) == pytest.approx(up[0], abs=0.05)  # from the centre to the dart
    lap = next(one for one in plan_to_wire(made)["findings"] if one["code"] == "band.lap")
    assert "2 in" in lap["words"]


def test_a_fly_is_faced_along_its_own_curve_and_interfaced():
    """As long as the zip's 7 and half a seam at the waist; 2 wide and the centre's seam."""
    made, parts = parts_of(closure="fly")
    facing, front = parts["fly-facing"], made.garments[0].panels["front"]
    assert facing.interfacing
    centre = LineString(facing.panel.edges["centre"].path.flat())
    assert centre.length / INCH == pytest.approx(7, abs=0.01)
    assert LineString(front.edges["crotch"].path.flat()).buffer(0.05).contains(centre)
    assert facing.panel.edges["waist"].path.length / INCH == pytest.approx(2, abs=0.01)
    assert Polygon(front.net).buffer(0.1).contains(Polygon(facing.panel.net))


@pytest.mark.parametrize(
    ("unit", "waist", "loops"),
    [("in", 26, 5), ("in", 36, 6), ("in", 48, 8), ("cm", 83, 6), ("cm", 99, 7), ("cm", 114, 8)],
)
def test_belt_loops_go_by_the_waist(unit, waist, loops):
    """One to each 6 in or 15 cm, five at least; each of them 7.5 cm of a strip 5 cm wide."""
    hip = {"in": 52, "cm": 132}[unit]
    raw = job({"waist": waist, "hip": hip}, style="straight-trousers", closure="fly", belt_loops="by-waist")
    if unit == "cm":
        raw |= {"unit": "cm", "measurements": FIVE["full"] | {"waist": waist, "hip": hip}}
    made = plan(read_job(raw), by_width=False)
    strip = next(part for part in made.garments[0].parts if part.panel.name == "belt-loops")
    assert size_of(strip) == pytest.approx((5 / 2.54, loops * 7.5 / 2.54))
    assert strip.seams[0].count == loops


def test_a_paper_bags_channel_is_marked_on_the_legs_and_its_heading_may_be_within_the_rise():
    """4 cm of channel below the heading; within the rise everything is 2 in nearer to the top that is chalked."""
    deep = {}
    for place in ("above", "inside"):
        made, _ = parts_of(waist_finish="paper-bag", heading_place=place)
        wire = plan_to_wire(made)
        for name in ("front", "back"):
            panel = made.garments[0].panels[name]
            waist, line = (LineString(path.flat()) for path in (panel.edges["waist"].path, panel.lines["channel"]))
            assert waist.distance(line) == pytest.approx(40, abs=0.1)
            assert sorted(n.edge for n in panel.notches if n.code == "channel") == ["crotch", "side"]
        deep[place] = next(m["reads_mm"] for m in wire["marks"] if (m["panel"], m["code"]) == ("front", "crotch_line"))
        assert wire["numbers"]["trousers.crotch_depth"]["net_mm"] == pytest.approx(41 / 4 * INCH)
    assert deep["above"] - deep["inside"] == pytest.approx(2 * INCH)


@given(bodies(waist_to=0.9))
def test_a_shaped_band_and_what_it_was_cut_off_make_the_draft_again(body):
    made = ("half-thigh", resolve("half-thigh", "straight-trousers", {"waist_finish": "shaped-band"}))
    garment = served(body, made)
    for name in ("front", "back"):
        whole, rest, band = garment.drafted[name], garment.panels[name], garment.panels[f"{name}-band"]
        left = Polygon(whole.net).difference(unary_union([Polygon(rest.net)]))
        taken = sum(Polygon([dart.near, dart.tip, dart.far]).intersection(left).area for dart in whole.darts)
        assert Polygon(band.net).area == pytest.approx(left.area - taken, abs=30)
        sewn = [edge.path.length for edge in (band.edges["lower"], rest.edges["waist"])]
        darts = sum(LineString([dart.near, dart.far]).length for dart in rest.darts)
        assert sewn[0] == pytest.approx(sewn[1] - darts, abs=0.5)


def test_stretch_lets_a_pull_on_waist_pass_the_hip():
    choices = {"style": "straight-trousers", "waist_finish": "straight-band", "closure": "none", "waist_ease": 6}
    stiff, gives = (planned(cloth={"width": 60, "stretch_percent": percent}, **choices) for percent in (0, 25))
    opening = [next(c for c in made.checks if c.code == "waist.opening") for made in (stiff, gives)]
    assert [check.ok for check in opening] == [False, True]
    assert opening[1].right == pytest.approx(opening[0].right * 1.25)


@pytest.mark.parametrize(
    ("style", "method", "leg"), [("boxers", "one-piece-leg", "leg"), ("shorts", "quarter-hip", "front")]
)
def test_a_fly_under_elastic_is_open_7_down_the_centre_between_two_folded_strips(style, method, leg):
    raw = job({"body_rise": 11}, style=style, waist_finish="casing", front_opening="buttoned")
    raw["garments"][0]["method"] = method
    made = plan(read_job(raw), by_width=False)
    (garment,) = made.garments
    (strip,) = [part for part in garment.parts if part.panel.name == "fly-strip"]
    assert strip.count == 2
    assert size_of(strip) == pytest.approx((4, 8))
    (end,) = [notch for notch in garment.panels[leg].notches if notch.code == "opening_end"]
    centre = LineString(garment.panels[leg].edges["crotch"].path.flat(0.001))
    assert centre.project(ShapelyPoint(end.net)) / INCH == pytest.approx(7, abs=0.01)
    assert [(one.code, one.count) for one in garment.notions if one.code == "button"] == [("button", 1)]


def test_a_fly_under_elastic_longer_than_the_centre_front_is_refused():
    with pytest.raises(CuttingError, match=r"opening\.too_deep"):
        planned(
            {"body_rise": 11}, style="shorts", waist_finish="casing", front_opening="buttoned", front_opening_deep=10,
            crotch_depth=6, length=15,
        )  # fmt: skip


def test_half_elastic_shorts_need_no_hip_and_hang_from_what_the_waist_is_let_out_to():
    """A flat front of waist/4, the back 3 1/2 wider: waist + 7 all round at the waist and at the hip line."""
    chosen = {
        "waist_finish": "half-elastic",
        "crotch_depth": "seated",
        "hip_ease": 0,
        "length": 15,
        "front_darts": "none",
    }
    made = planned({"waist": 29, "hip": None, "thigh": None, "body_rise": 10}, style="shorts", **chosen)
    panels = made.garments[0].panels
    for name, top in (("front", 29 / 4), ("back", 29 / 4 + 3.5)):
        assert panels[name].edges["waist"].path.length / INCH == pytest.approx(top, abs=0.02)
    hip = next(one for one in made.checks if one.code == "girth.hip")
    assert (hip.left / INCH, hip.right / INCH) == pytest.approx((36, 36), abs=0.04)
    assert "hip.unmeasured" in {one.code for one in made.findings}
    assert [one.code for one in made.checks if not one.ok] == []
    kind = kind_of("shorts")
    for depth, wanted in (("seated", False), ("hip/4", True)):
        ask = kind.resolve(
            "quarter-hip",
            "shorts",
            chosen | {"crotch_depth": depth, "hip_ease": inch(0), "length": inch(15)},
            None,
            False,
        )
        assert ("hip" in kind.needs("quarter-hip", ask, FIVE["small"])) == wanted


def test_the_three_ways_to_clean_up_a_waist():
    def made(way):
        return plan_to_wire(planned(style="straight-trousers", waist_cleanup=way))

    plain, larger, centre = made("back-to-front"), made("back-larger"), made("redraw-centre")
    waist = [wire["numbers"]["trousers.back.waist_width"]["net_mm"] for wire in (plain, larger)]
    assert waist[1] - waist[0] == pytest.approx(0.5 * INCH)
    row = next(row for row in larger["ledger"] if row["level"] == "waist")
    assert (row["gathers_mm"] / INCH, row["sewn_mm"] / INCH) == pytest.approx((1, 31.5))
    back = next(panel for panel in centre["panels"] if panel["name"] == "back")
    assert {edge["name"]: edge["allowance_mm"] for edge in back["edges"]}["crotch"] == pytest.approx(INCH)
    for way in ("back-larger", "redraw-centre", "re-mark-side"):
        assert f"waist.{way}" in {finding["code"] for finding in made(way)["findings"]}


@pytest.mark.parametrize(
    ("closure", "order"),
    [
        ("side-zip", ["front.centre", "side", "back.centre"]), ("fly", ["side", "back.centre", "side"]),
        ("back-zip", ["side", "front.centre", "side"]),
    ],
)  # fmt: skip
def test_a_straight_band_is_notched_where_it_meets_sides_and_centres(closure, order):
    """From the opening round: by the lengths of the legs' own waist seams, darts closed, measured on their outlines."""
    made, parts = parts_of(closure=closure)
    legs = {name: made.garments[0].panels[name].waist_closed for name in ("front", "back")}
    band = parts["band"].panel
    seam = LineString(band.edges["waist"].path.flat())
    found = [(notch.code, seam.project(ShapelyPoint(notch.net.across, notch.net.down))) for notch in band.notches]
    starts = {
        "side-zip": ["front", "front", "back"],
        "fly": ["front", "back", "back"],
        "back-zip": ["back", "front", "front"],
    }
    at = [sum(legs[name] for name in starts[closure][: k + 1]) for k in range(3)]
    assert [code for code, _ in found] == [*(mark.rpartition(".")[2] for mark in order), "overlap"]
    assert [place for _, place in found] == pytest.approx([*at, 2 * sum(legs.values())], abs=0.5)


def test_bands_joined_at_the_sides_are_as_long_as_the_legs_they_are_sewn_to():
    for closure in ("side-zip", "fly"):
        made, parts = parts_of(band_join="sides", closure=closure)
        for name in ("front", "back"):
            part = parts[f"{name}-band"]
            sewn = part.count * (part.panel.edges["waist"].path.length - part.panel.lengths["overlap"].mm)
            assert sewn == pytest.approx(2 * made.garments[0].panels[name].waist_closed, abs=0.5)
        assert {check.code for check in made.checks if not check.ok} <= {"depth.sit"}


@pytest.mark.parametrize(
    ("method", "wider"), [("quarter-hip", {"waist_cleanup": "back-larger"}), ("multiplied-quarter", {"fullness": 2})]
)
def test_a_stiff_band_goes_round_the_waist_however_wide_the_legs_are_there(method, wider):
    """The legs are 1 in wider until they are taken in behind, or gathered; the band and its notches go by the waist."""
    for join, names in (("sides", ("front-band", "back-band")), ("none", ("band",))):
        made = of_body(
            "middle", method, "palazzo", closure="side-zip", waist_finish="straight-band", waist_ease=1,
            band_join=join, **wider,
        )  # fmt: skip
        parts = {part.panel.name: part for part in made.garments[0].parts}
        bands = [parts[name].panel for name in names]
        waist = 800.0 + 10.0
        sewn = [band.edges["waist"].path.length - band.lengths["overlap"].mm for band in bands]
        assert sum(sewn) == pytest.approx(waist, abs=0.01)
        if join == "none":
            seam = LineString(bands[0].edges["waist"].path.flat())
            at = {n.code: seam.project(ShapelyPoint(n.net.across, n.net.down)) for n in bands[0].notches}
            assert at["overlap"] == pytest.approx(waist, abs=0.01)
            assert len(bands[0].notches) == 4
        assert "band.waist" not in {check.code for check in made.checks if not check.ok}


@pytest.mark.parametrize("finish", ["casing", "paper-bag"])
def test_a_waist_that_is_turned_down_over_a_yoke_is_refused(finish):
    with pytest.raises(CuttingError, match=r"yoke: strip\.turned"):
        planned(style="straight-trousers", waist_finish=finish, yoke=2)
