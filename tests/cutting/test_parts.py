"""Every small part: how many, how large, where it is sewn; what is cut off a leg and what stays of it."""

from math import hypot

import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon
from shapely.geometry import Point as ShapelyPoint
from shapely.ops import unary_union

from cutting.checks import check_garment
from cutting.errors import CuttingError
from cutting.formats import plan_to_wire
from cutting.lengths import inch
from cutting.methods import resolve
from tests.jobs import of_body, planned
from tests.strategies import bodies, drafted, served

INCH = 25.4


def parts_of(**choices):
    """The small parts of the demo's body in straight trousers, by name: how many of each."""
    made = planned(style=choices.pop("style", "straight-trousers"), cloth={"width": 60}, **choices)
    return made, {part.panel.name: part for part in made.garments[0].parts}


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


def size(part):
    """Across and down, cut, in inches."""
    left, top, right, bottom = Polygon(part.panel.cut).bounds
    return (right - left) / INCH, (bottom - top) / INCH


def test_strips_are_as_large_as_practice_has_them():
    """Common practice, no source: band 2 x 1 1/2 and seams, loops 5 by 30 cm, tie 20 cm, channel 6 cm, piping 1 1/4."""
    _, parts = parts_of(closure="fly")
    assert size(parts["band"]) == pytest.approx((4, 31.5 + 1.5 + 1))
    assert size(parts["belt-loops"]) == pytest.approx((5 / 2.54, 30 / 2.54))
    assert size(parts["fly-guard"]) == pytest.approx((4, 8))
    _, parts = parts_of(waist_finish="paper-bag")
    assert size(parts["channel"])[0] == pytest.approx(6 / 2.54)
    assert size(parts["tie"])[0] == pytest.approx(20 / 2.54)
    _, parts = parts_of(pockets=["outside-patch"])
    piping = Polygon(parts["piping"].panel.cut)
    assert piping.area / INCH**2 == pytest.approx(1.25 * (6 + 2 * 7 + 1))
    ring = LineString(piping.exterior.coords[:2])
    (ax, ay), (bx, by) = ring.coords
    assert abs(ax - bx) == pytest.approx(abs(ay - by)), "cut at half a right angle to the grain"


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


@pytest.mark.parametrize(("waist", "loops"), [(26, 5), (36, 6), (48, 8)])
def test_belt_loops_go_by_the_waist(waist, loops):
    """One to each 6 in, five at least; each of them 7.5 cm of a strip 5 cm wide."""
    made = planned({"waist": waist, "hip": 52}, style="straight-trousers", closure="fly", belt_loops="by-waist")
    strip = next(part for part in made.garments[0].parts if part.panel.name == "belt-loops")
    assert size(strip) == pytest.approx((5 / 2.54, loops * 7.5 / 2.54))
    assert strip.seams[0].count == loops


@pytest.mark.parametrize("pocket", ["in-seam", "front-curved"])
def test_a_bag_ends_where_it_is_asked_to_and_on_the_fold_is_one_piece(pocket):
    for cut in ("halves", "fold"):
        choices = {
            "pockets": [pocket],
            "bag_cut": cut,
            "bag_deep": "hip-line",
            "bag_wide": "dart",
            "hip_line": "two-above",
        }
        made, parts = parts_of(crotch_depth="hip/4+3", **choices)
        front = made.garments[0].panels["front"]
        bag = parts["pocket-bag" if pocket == "in-seam" else "front-pocket-bag"]
        left, top, right, bottom = Polygon(bag.panel.net).bounds
        waist = front.edges["waist"].path
        to_dart = LineString(waist.flat()).project(ShapelyPoint(front.darts[0].far))
        start = INCH if pocket == "in-seam" else 0
        assert bottom - top == pytest.approx(front.points["H"].down - start, abs=1)
        edges = bag.panel.edges
        wide = LineString(edges["waist"].path.flat()).length if "waist" in edges else right - left
        assert to_dart - 7 <= wide <= to_dart + 0.1
        if cut == "fold":
            piece, whole = bag.piece(on_fold=True), bag.piece(on_fold=False)
            assert min(p.across for p in piece.cut) == pytest.approx(0, abs=1e-6)
            assert Polygon(whole.cut).area == pytest.approx(2 * Polygon(piece.cut).area, rel=1e-6)


def test_a_bag_of_another_cloth_has_a_facing_at_its_mouth_and_the_mouth_a_stay():
    """Cut 2 1/2 wide, 1 longer than the opening at each end; the tape 1/2 wide and 1 longer than it."""
    made, parts = parts_of(pockets=["in-seam"], closure="back-zip", other_cloth=["bags"])
    assert parts["bag-facing"].count == 4
    assert size(parts["bag-facing"]) == pytest.approx((2.5, 6.5 + 2))
    tape = next(n for n in plan_to_wire(made)["notions"] if n["code"] == "pocket-stay")
    assert (tape["count"], tape["length_mm"], tape["width_mm"]) == pytest.approx((2, 7.5 * INCH, 0.5 * INCH))


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


def test_what_is_bought_besides():
    made, _ = parts_of(closure="fly")
    bought = {notion["name"]: notion for notion in plan_to_wire(made)["notions"]}
    assert bought["fly zip"]["length_mm"] == pytest.approx(7 * INCH)
    stiff = bought["interfacing for the band"]
    assert (stiff["length_mm"], stiff["width_mm"]) == pytest.approx((33 * INCH, 3 * INCH))
    made, _ = parts_of(waist_finish="casing")
    elastic = next(n for n in plan_to_wire(made)["notions"] if n["name"].startswith("elastic"))
    assert elastic["length_mm"] == pytest.approx((31.5 - 4) * INCH)


POCKETED = {"pockets": ("front-curved", "in-seam"), "closure": "fly"}


@given(bodies(waist_to=0.9))
def test_a_pocket_never_passes_the_dart_and_its_bag_stays_in_the_leg(body):
    garment = served(body, ("quarter-hip", resolve("quarter-hip", "straight-trousers", POCKETED)))
    front = garment.panels["front"]
    mouth = LineString(front.lines["pocket"].flat())
    for dart in front.darts:
        assert not mouth.intersects(LineString([dart.near, dart.tip, dart.far]))
    assert Polygon(front.net).buffer(0.5).contains(mouth)
    bag = garment.part("pocket-bag").panel
    _, top, _, bottom = Polygon(bag.net).bounds
    knee = front.points["K"].down
    assert bottom - top <= 12 * INCH + 1
    assert bottom - top < knee


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


def test_stretch_lets_a_pull_on_waist_pass_the_hip():
    choices = {"style": "straight-trousers", "waist_finish": "straight-band", "closure": "none", "waist_ease": 6}
    stiff, gives = (planned(cloth={"width": 60, "stretch_percent": percent}, **choices) for percent in (0, 25))
    opening = [next(c for c in made.checks if c.code == "waist.opening") for made in (stiff, gives)]
    assert [check.ok for check in opening] == [False, True]
    assert opening[1].right == pytest.approx(opening[0].right * 1.25)


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


def calls_on_cloth(made):
    """Every call with the outline of the piece it is chalked on, where that is on the cloth."""
    pieces = {piece.id: piece for piece in made.laid.pieces}
    for mark in made.marks:
        placed = made.laid.lays[0].placements[mark.placing]
        yield mark, Polygon([placed.point(point) for point in pieces[placed.piece].cut])


ENDS = ("strip_centre", "strip_side", "centre_top", "side_top", "side_foot", "bend_top", "bend_foot", "bag_depth")


@pytest.mark.parametrize("back_from", ["front", "itself"])
@pytest.mark.parametrize("style", ["straight-trousers", "palazzo", "shorts"])
@pytest.mark.parametrize(
    "top", [{"waist_finish": "shaped-band"}, {"yoke": 3}, {"waist_finish": "shaped-band", "yoke": 2}]
)
def test_nothing_is_called_off_the_piece_it_is_chalked_on(top, style, back_from):
    """What was cut off a leg is called on its own piece; on the leg, only what is left of it."""
    choices = top | {"back_from": back_from, "pockets": ["in-seam"], "closure": "back-zip"}
    made = planned(style=style, cloth={"width": 60}, **choices)
    corners = set()
    for mark, outline in calls_on_cloth(made):
        end = ShapelyPoint(mark.on_cloth[1])
        assert outline.distance(end) < 45, f"{mark.step.panel} {mark.step.code}"
        assert min(x for x, _ in mark.on_cloth) > -0.5, f"{mark.step.code} is beyond the cut end"
        if mark.step.code in ENDS:
            reach = 13.0 if mark.step.code == "bag_depth" else 0.3  # the bag is drawn net, its seam is outside
            assert outline.exterior.distance(end) < reach, f"{mark.step.panel} {mark.step.code}"
            corners.add((mark.step.panel, mark.step.code))
    strips = {"front-band", "back-band"} if "waist_finish" in top else set()
    strips |= {"yoke"} if "yoke" in top else set()
    for strip in strips:
        assert {code for panel, code in corners if panel == strip} >= {"centre_top", "side_top"}
    for leg in ("front", "back") if "waist_finish" in top else ("back",):
        assert (leg, "strip_centre") in corners


def test_a_strip_is_called_by_its_corners_from_a_line_through_its_centres_foot():
    """Every corner of the front strip once, in words that say which, each from the guide line or the top line."""
    made = planned(style="straight-trousers", waist_finish="shaped-band", cloth={"width": 60})
    marks = [m for m in plan_to_wire(made)["marks"] if m["panel"] == "front-band" and m["stage"] != "place"]
    called = [mark["name"].removeprefix("Front band, ") for mark in marks]
    corners = {"centre's foot", "centre's top", "upper bend", "lower bend", "side's top", "side's foot"}
    corners |= {"upper curve at the side", "lower curve at the side"}
    assert {name.removesuffix(", level") for name in called} == corners
    assert len(set(called)) == len(called)
    ends = [mark["local_mm"][1] for mark in marks if not mark["name"].endswith("level")]
    strip = Polygon([(p.across, p.down) for p in made.garments[0].part("front-band").panel.cut]).exterior
    assert all(strip.distance(ShapelyPoint(end)) < 1 for end in ends)
    for mark in marks:
        down = mark["local_mm"][0][0] == mark["local_mm"][1][0]
        said = ("its top line", "along the grain") if down else ("its guide line", "level, out")
        assert (mark["from"], mark["along"]) == said
        assert mark["reason"].endswith(".")


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


@pytest.mark.parametrize("style", ["straight-trousers", "shorts"])
def test_a_curved_patch_is_the_fronts_own_corner_less_its_mouth(style):
    """Common practice, no source: 8 by 11 1/2, flush with waist and side, the mouth 3 1/2 by 5."""
    made = planned(
        {"waist": 34}, style=style, pockets=["patch-curved"], patch_deep="7 in" if style == "shorts" else "11 1/2 in"
    )
    front, patch = (made.garments[0].panels[name] for name in ("front", "curved-patch"))
    edges = {name: LineString(edge.path.flat(0.01)) for name, edge in patch.edges.items()}
    waist, side = (LineString(front.edges[name].path.flat(0.01)) for name in ("waist", "side"))
    assert edges["waist"].length == pytest.approx((8 - 3.5) * INCH, abs=0.1)
    for name, whole in (("waist", waist), ("side", side)):
        assert edges[name].hausdorff_distance(whole.intersection(edges[name].buffer(0.3))) < 0.5
    assert edges["side"].length == pytest.approx((7 - 5 if style == "shorts" else 11.5 - 5) * INCH, abs=0.2)
    assert Polygon(front.net).buffer(0.2).contains(Polygon(patch.net))
    assert front.lines["curved-patch"].length == pytest.approx(edges["inner"].length + edges["foot"].length, abs=0.1)


def test_a_strip_for_the_turn_up_is_as_long_as_the_hem_and_the_leg_keeps_a_seam():
    made, parts = parts_of(turn_up=1.5, turn_up_strip="strip")
    legs = [made.garments[0].panels[name] for name in ("front", "back")]
    hem = sum(LineString(leg.edges["hem"].path.flat()).length for leg in legs)
    assert size(parts["turn-up"]) == pytest.approx((4, hem / INCH + 1))
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


def test_a_patch_behind_stands_so_far_from_the_centre_with_a_round_foot():
    made, parts = parts_of(
        pockets=["back-patch"], patch_wide=5, patch_deep=5.5, patch_foot="round", patch_from_centre=1.5
    )
    back, patch = made.garments[0].panels["back"], parts["patch"].panel
    line = LineString(back.lines["patch"].flat())
    centre = LineString([back.points["CB"], back.points["C1"]])
    near = min(centre.distance(ShapelyPoint(x, y)) for x, y in line.coords)
    assert near == pytest.approx(1.5 * INCH, abs=6)
    box = Polygon(patch.net).minimum_rotated_rectangle
    assert Polygon(patch.net).area < box.area - 100
    assert Polygon(patch.cut).bounds[3] - Polygon(patch.cut).bounds[1] == pytest.approx(5.5 * INCH, abs=0.1)


def test_two_pockets_in_one_place_are_refused_by_name():
    with pytest.raises(CuttingError, match=r"choices\.pockets: pockets\.twice"):
        planned(style="straight-trousers", pockets=["mock", "front-curved"])


@pytest.mark.parametrize("finish", ["casing", "paper-bag"])
def test_a_waist_that_is_turned_down_over_a_yoke_is_refused(finish):
    with pytest.raises(CuttingError, match=r"yoke: strip\.turned"):
        planned(style="straight-trousers", waist_finish=finish, yoke=2)


@pytest.mark.parametrize("style", ["very-short-shorts", "shorts", "straight-trousers"])
def test_a_curved_pocket_is_caught_flat_and_clear_of_the_dart_and_an_outside_patch_is_on_the_thigh(style):
    made, parts = planned({"waist": 29}, style=style, pockets=["front-curved", "outside-patch"], closure="fly"), {}
    garment = made.garments[0]
    parts = {part.panel.name: part.panel for part in garment.parts}
    front, bag = garment.panels["front"], parts["front-pocket-bag"]
    net = Polygon(front.net)
    for name in ("waist", "side"):
        whole = LineString(front.edges[name].path.flat(0.01))
        assert max(whole.distance(ShapelyPoint(p.across, p.down)) for p in bag.edges[name].path.flat()) < 0.05
    assert net.buffer(0.5).contains(Polygon(bag.net))
    darts = [Polygon([dart.near, dart.tip, dart.far]) for dart in front.darts]
    facing = Polygon(parts["pocket-facing"].net)
    assert darts
    assert all(not facing.intersects(dart) for dart in darts)
    patch = LineString(front.lines["outside-patch"].flat())
    hem = front.edges["hem"].path.start.down
    assert patch.bounds[3] < hem - 5
    assert net.buffer(0.5).contains(patch)
    side = LineString(front.edges["side"].path.flat(0.01))
    assert side.distance(patch) < 1.5 * INCH
