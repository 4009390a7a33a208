"""Every small part: how many, how large, where it is sewn; what is cut off a leg and what stays of it."""

from itertools import pairwise
from math import atan2, degrees, hypot

import pytest
from hypothesis import event, given
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon

from cutting.checks import check_garment
from cutting.formats import plan_to_wire
from cutting.lengths import inch
from cutting.methods import resolve
from tests.jobs import of_body, parts_of, planned, size_of
from tests.strategies import bodies, drafted, served

INCH = 25.4


@pytest.mark.parametrize(
    ("choices", "counts"),
    [
        ({}, {"band": 1}),
        ({"band_join": "centre-back"}, {"band": 2}),
        ({"band_join": "sides"}, {"front-band": 1, "back-band": 1}),
        (
            {"band_join": "sides", "closure": "fly", "belt_loops": "none"},
            {"front-band": 2, "back-band": 1, "fly-facing": 1, "fly-guard": 1},
        ),
        ({"closure": "fly"}, {"band": 1, "fly-facing": 1, "fly-guard": 1, "belt-loops": 1}),
        ({"closure": "fly", "belt_loops": "none"}, {"band": 1, "fly-facing": 1, "fly-guard": 1}),
        ({"waist_finish": "shaped-band"}, {"front-band": 4, "back-band": 4}),
        ({"waist_finish": "half-elastic"}, {"front-band": 1, "back-band": 1}),
        ({"waist_finish": "elastic-band"}, {"band": 1}),
        ({"waist_finish": "elastic-band", "band_join": "sides"}, {"front-band": 1, "back-band": 1}),
        ({"waist_finish": "elastic-band", "band_join": "centre-back"}, {"band": 2}),
        ({"waist_finish": "casing"}, {}),
        ({"waist_finish": "paper-bag"}, {"channel": 1, "tie": 2}),
        ({"yoke": 2}, {"band": 1, "yoke": 2}),
        ({"pockets": ["in-seam"], "closure": "back-zip"}, {"band": 1, "pocket-bag": 4}),
        ({"pockets": ["in-seam"]}, {"band": 1, "pocket-bag": 2}),
        ({"pockets": ["in-seam"], "bag_cut": "fold"}, {"band": 1, "pocket-bag": 1}),
        (
            {"pockets": ["front-curved"], "bag_cut": "fold"},
            {"band": 1, "pocket-facing": 2, "pocket-backing": 2, "front-pocket-bag": 2},
        ),
        ({"pockets": ["front-curved"]}, {"band": 1, "pocket-facing": 2, "pocket-backing": 2, "front-pocket-bag": 4}),
        ({"pockets": ["mock"]}, {"band": 1, "pocket-facing": 2, "pocket-backing": 2}),
        ({"pockets": ["patch-curved"]}, {"band": 1, "curved-patch": 2, "mouth-piping": 2}),
        ({"pockets": ["patch-curved"], "piping": "none"}, {"band": 1, "curved-patch": 2}),
        ({"turn_up": 1.5, "turn_up_strip": "strip"}, {"band": 1, "turn-up": 2}),
        ({"pockets": ["back-patch"]}, {"band": 1, "patch": 2}),
        ({"pockets": ["outside-patch"]}, {"band": 1, "outside-patch": 2, "piping": 2}),
    ],
)
def test_each_choice_brings_all_its_parts_and_the_lay_places_every_one(choices, counts):
    made, parts = parts_of(**choices)
    assert {name: part.count for name, part in parts.items()} == counts
    placed: dict[str, int] = {}
    for placement in made.laid.lays[0].placements:
        name = placement.piece.rpartition(".")[2]
        placed[name] = placed.get(name, 0) + placement.copies
    assert placed == counts | {"front": 2, "back": 2}
    for piece in plan_to_wire(made)["pieces"]:
        assert bool(piece["sewn_to"]) == (piece["panel"] in counts)


def test_strips_are_as_large_as_practice_has_them():
    """Common practice, no source: band 2 x 1 1/2 and seams, loops 5 by 30 cm, tie 20 cm, channel 6 cm, piping 1 1/4."""
    _, parts = parts_of(closure="fly")
    assert size_of(parts["band"]) == pytest.approx((4, 31.5 + 1.5 + 1))
    assert size_of(parts["belt-loops"]) == pytest.approx((5 / 2.54, 30 / 2.54))
    assert size_of(parts["fly-guard"]) == pytest.approx((4, 8))
    _, parts = parts_of(waist_finish="paper-bag")
    assert size_of(parts["channel"])[0] == pytest.approx(6 / 2.54)
    assert size_of(parts["tie"])[0] == pytest.approx(20 / 2.54)
    _, parts = parts_of(pockets=["outside-patch"])
    piping = Polygon(parts["piping"].panel.cut)
    assert piping.area / INCH**2 == pytest.approx(1.25 * (6 + 2 * 7 + 1))
    ring = LineString(piping.exterior.coords[:2])
    (ax, ay), (bx, by) = ring.coords
    assert abs(ax - bx) == pytest.approx(abs(ay - by)), "cut at half a right angle to the grain"


def test_what_is_bought_besides():
    made, _ = parts_of(closure="fly")
    bought = {notion["name"]: notion for notion in plan_to_wire(made)["notions"]}
    assert bought["fly zip"]["length_mm"] == pytest.approx(7 * INCH)
    stiff = bought["interfacing for the band"]
    assert (stiff["length_mm"], stiff["width_mm"]) == pytest.approx((33 * INCH, 3 * INCH))
    made, _ = parts_of(waist_finish="casing")
    elastic = next(n for n in plan_to_wire(made)["notions"] if n["name"].startswith("elastic"))
    assert elastic["length_mm"] == pytest.approx((31.5 - 4 + 1) * INCH)


@given(bodies(waist_to=0.9), st.sampled_from([inch(2), inch(2.5)]))
def test_a_yoke_takes_the_whole_dart_into_its_seam(body, deep):
    made = ("quarter-hip", resolve("quarter-hip", "straight-trousers", {"yoke": deep}))
    garment = served(body, made)
    back, whole, yoke = garment.panels["back"], garment.drafted["back"], garment.panels["yoke"]
    assert back.darts == ()
    taken = sum(LineString([dart.near, dart.far]).length for dart in whole.darts)
    waist = [LineString(panel.edges["waist"].path.flat()).length for panel in (whole, yoke)]
    assert waist[0] - waist[1] == pytest.approx(taken, abs=0.01)
    wedges = sum(Polygon([dart.near, dart.tip, dart.far]).area for dart in whole.darts)
    cut_off = Polygon(whole.net).area - Polygon(back.net).area
    if not whole.darts:
        assert cut_off == pytest.approx(Polygon(yoke.net).area, rel=1e-4)
    else:
        assert cut_off - wedges - 25 <= Polygon(yoke.net).area <= cut_off + 25
    bend = corner(yoke.edges["lower"].path.flat())
    said = "strip.bends" in {finding.code for finding in garment.findings}
    event("the yoke bends sharply" if said else "it does not")
    assert said == (bend > 40) or abs(bend - 40) < 1


def corner(line):
    """The sharpest turn of a line, in degrees."""
    ways = [degrees(atan2(b.down - a.down, b.across - a.across)) for a, b in pairwise(line)]
    return max((abs((b - a + 180) % 360 - 180) for a, b in pairwise(ways)), default=0.0)


def test_a_yoke_that_takes_a_wide_dart_into_little_depth_is_said_to_pucker():
    """What is said to be deep enough bends by no more than 40 degrees."""
    wide = {"hip": 54, "waist": 36, "thigh": 32, "body_rise": 11}
    shallow = planned(wide, style="straight-trousers", yoke=2)
    said = next(one for one in shallow.garments[0].findings if one.code == "strip.bends")
    assert corner(shallow.garments[0].panels["yoke"].edges["lower"].path.flat()) > 40
    deep = f"{said.params['wanted'].mm:.3f} mm"
    deeper = planned(wide, style="straight-trousers", yoke=deep).garments[0]
    assert corner(deeper.panels["yoke"].edges["lower"].path.flat()) < 41
    assert "strip.bends" not in {one.code for one in deeper.findings}


def test_the_quick_cut_is_square_to_its_slant_and_its_length_is_swung():
    made = of_body("middle", "four-layer", "palazzo")
    leg = made.garments[0].panels["leg"]
    p, x, low = leg.points["W"], leg.points["X"], leg.points["L1"]
    assert -p.down == pytest.approx(65)  # 2 1/2 in on a metric tape
    assert p.across**2 + p.down**2 == pytest.approx(max(80 / 4 + 5, 104 / 4) ** 2 * 100)
    slant, inner = (p.across, p.down), (low.across - x.across, low.down - x.down)
    assert slant[0] * inner[0] + slant[1] * inner[1] == pytest.approx(0, abs=1e-6)
    outline = Polygon(leg.net)
    assert outline.area == pytest.approx(
        2 * outline.intersection(Polygon([(0, -500), (3000, -500), (3000, 3000), (0, 3000)])).area
    )
    hem = LineString(leg.edges["hem"].path.flat(0.01))
    middle = (p.across / 2, p.down / 2)
    assert hem.distance(LineString([middle, middle])) == pytest.approx(1040, abs=12)


@given(bodies())
def test_the_quick_cut_passes_every_hip_though_it_measures_none(body):
    garment = served(body, ("four-layer", resolve("four-layer", "wide-gathered", {})))
    room = next(check for check in check_garment(garment) if check.code == "hip.room")
    assert room.ok
    assert garment.waist_sewn >= body.hip.mm - 0.5


@pytest.mark.parametrize(
    ("cloth", "level", "ease"),
    [({}, "hip", 1), ({"stretch_percent": 20}, "hip", 0), ({"stretch_percent": 5}, "hip", 1), ({"thickness": "thick"}, "hip", 1.5)],
)  # fmt: skip
def test_ease_answers_to_the_cloth(cloth, level, ease):
    wire = plan_to_wire(planned(style="straight-trousers", cloth={"width": 60} | cloth))
    row = next(row for row in wire["ledger"] if row["level"] == level)
    assert row["ease_mm"] / INCH == pytest.approx(ease)
    assert row["closes"]


def test_pleated_cloth_is_not_darted_and_thick_cloth_has_wider_seams():
    wire = plan_to_wire(planned(cloth={"pleated": True}))
    assert all(panel["darts"] == [] for panel in wire["panels"])
    thick = plan_to_wire(planned(cloth={"thickness": "thick"}))
    front = next(panel for panel in thick["panels"] if panel["name"] == "front")
    assert {edge["name"]: edge["allowance_mm"] / INCH for edge in front["edges"]}["inner_leg"] == pytest.approx(0.625)
    assert {"cloth.pleated", "cloth.thick"} <= {f["code"] for f in wire["findings"] + thick["findings"]}


def beyond(cut, end, inner, outside):
    """How far the cloth reaches past an end of a hem, along the hem there, so many mm outside its fold."""
    size = hypot(end[0] - inner[0], end[1] - inner[1])
    x, y = (end[0] - inner[0]) / size, (end[1] - inner[1]) / size
    at = [(end[0] - outside * y + k * x, end[1] + outside * x + k * y) for k in (-150, 400)]
    inside = cut.intersection(LineString(at))
    parts = list(getattr(inside, "geoms", [inside]))
    return max(hypot(a - at[0][0], b - at[0][1]) for part in parts for a, b in part.coords)


@given(bodies(waist_to=1.0))
def test_a_turn_up_lies_flat_on_its_leg_whichever_way_the_leg_runs(body):
    for style in ("close-trousers", "boot-cut"):
        garment = drafted(body, ("quarter-hip", resolve("quarter-hip", style, {"turn_up": inch(1.5)})))
        front = garment.panels["front"]
        hem, cut = front.edges["hem"].path.flat(), Polygon(front.cut)

        def around(outside, hem=hem, cut=cut):
            """From one cut side to the other, so many mm outside the fold."""
            moved = LineString(hem).offset_curve(-outside).length
            ends = ((hem[-1], hem[-2], -outside), (hem[0], hem[1], outside))
            return moved + sum(beyond(cut, end, inner, out) for end, inner, out in ends)

        assert around(37) == pytest.approx(around(-37), abs=2)
        assert around(75) == pytest.approx(around(0), abs=2)


def test_a_strip_for_the_turn_up_is_as_long_as_the_hem_and_the_leg_keeps_a_seam():
    made, parts = parts_of(turn_up=1.5, turn_up_strip="strip")
    legs = [made.garments[0].panels[name] for name in ("front", "back")]
    hem = sum(LineString(leg.edges["hem"].path.flat()).length for leg in legs)
    assert size_of(parts["turn-up"]) == pytest.approx((4, hem / INCH + 1))
    assert {leg.edges["hem"].allowance.mm for leg in legs} == {12.7}


def test_a_hem_from_the_guide_line_leaves_the_side_straight_and_a_side_in_at_the_knee_bends_it():
    straight = planned(style="straight-trousers", hem_from="guide").garments[0]
    crease = planned(style="straight-trousers").garments[0]
    side = straight.panels["front"].edges["side"].path
    assert {round(p.across, 6) for p in side.flat() if p.down > straight.panels["front"].points["H"].down} == {0.0}
    hems = [LineString(one.panels["front"].edges["hem"].path.flat()).length for one in (straight, crease)]
    assert hems[0] == pytest.approx(hems[1])
    bent = planned(style="palazzo", side_in_knee="1 1/2 in", side_in_hem="2 in").garments[0].panels
    for name, at in (("K2", 1.5), ("N1", 2)):
        assert bent["front"].points[name].across == pytest.approx(at * INCH)
    assert bent["back"].points["K2"].across == pytest.approx((1.5 - 0.5) * INCH, abs=0.1)
