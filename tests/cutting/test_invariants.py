"""What is required of every draft, over believable bodies and choices. Girths are sliced from the exported outlines."""

from dataclasses import replace
from fractions import Fraction
from math import acos, degrees, hypot

import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon

from cutting.body import Body
from cutting.checks import check_garment
from cutting.cloth import Cloth
from cutting.errors import CuttingError
from cutting.formats.plan_v1 import to_model
from cutting.geometry import Point, distance
from cutting.job import GarmentAsk, Job
from cutting.methods import METHODS, resolve
from cutting.plan import plan
from tests.conftest import many
from tests.strategies import MADE, OUT_OF_REACH, asks, bodies, drafted, served


def halves(garment):
    """Inner leg and crotch of the front's and the back's half, whichever panel they are drawn on."""
    panels = garment.panels
    if "leg" in panels:
        edges = panels["leg"].edges
        return [(edges[f"{pre}inner_leg"], edges[f"{pre}crotch"]) for pre in ("", "back_")]
    return [tuple(panels[name].edges[edge] for edge in ("inner_leg", "crotch")) for name in ("front", "back")]


def side_of(garment, name):
    """A side seam's length by another library; nothing where there is no such panel."""
    panel = garment.panels.get(name)
    return LineString(panel.edges["side"].path.flat(0.001)).length if panel and "side" in panel.edges else 0.0


@pytest.mark.parametrize(("style", "method"), MADE)
@settings(max_examples=many(8))
@given(body=bodies(waist_to=0.95))
def test_what_is_usual_serves_every_believable_body(style, method, body):
    garment = drafted(body, (method, resolve(method, style, {})))
    assert {check.code for check in check_garment(garment) if not check.ok} <= {
        "thigh.ease",
        "depth.sit",
        "hem.foot",
        "darts.missing",
    }


@given(bodies(), asks())
def test_seams_agree_nothing_crosses_and_tapes_read_true(body, made):
    garment = served(body, made)
    for panel in garment.panels.values():
        assert Polygon(panel.net).is_valid
        assert Polygon(panel.cut).is_valid
        assert Polygon(panel.cut).buffer(0.05).contains(Polygon(panel.net))
    (front_leg, front), (back_leg, back) = halves(garment)
    inner = [LineString(edge.path.flat(0.001)).length for edge in (front_leg, back_leg)]
    assert -0.5 <= inner[0] - inner[1] <= 6
    for parts in ((("front", "front-band"), ("back", "back-band", "yoke")), (("front-band",), ("back-band",))):
        sides = [sum(side_of(garment, name) for name in names) for names in parts]
        assert abs(sides[0] - sides[1]) <= 0.5
    backwards = "leg" in garment.panels
    angles = [crotch_angle(front, front_leg), crotch_angle(back, back_leg, backwards)]
    assert sum(angles) == pytest.approx(180, abs=3)
    for _, tape in garment.tapes():
        assert distance(tape.start, tape.end) == pytest.approx(tape.length.mm, abs=1e-6)


def crotch_angle(crotch, inner_leg, backwards=False):
    """The angle inside the panel at the crotch point, in degrees, from the outline alone."""
    curve, leg = crotch.path.flat(0.0005), inner_leg.path.flat()
    if backwards:
        curve, leg = curve[::-1], leg[::-1]
    a, b = Point(*curve[-2]).minus(curve[-1]), leg[1].minus(leg[0])
    return degrees(acos(a.dot(b) / hypot(*a) / hypot(*b)))


@given(bodies(), asks())
def test_curves_are_smooth_and_the_centre_front_is_square(body, made):
    garment = served(body, made)
    for name in garment.main:
        panel = garment.drafted[name]
        for edge in panel.edges.values():
            parts = edge.path.segments if edge.name != "waist" else ()
            for one, other in zip(parts, parts[1:], strict=False):
                assert one.end == other.start
                assert one.direction(1).dot(other.direction(0)) > 1 - 1e-9
        if name == "front":
            waist, centre = panel.edges["waist"].path.segments[-1], panel.edges["crotch"].path.segments[0]
            lowered = garment.sums.drop.mm or made[1].side_raise.mm or garment.sums.front_darts.centre_in.mm
            assert lowered or waist.direction(1).dot(centre.direction(0)) == pytest.approx(0, abs=1e-9)


@given(bodies(), asks())
def test_girths_sliced_from_the_wire_are_body_and_ease(body, made):
    method, ask = made
    served(body, made)
    job = Job("in", body, (GarmentAsk("t", ask.style, method, ask),), Cloth(width=Fraction(3000), fold="open"))
    wire = to_model(plan(job, by_width=False))
    rows = {row.level: row for row in wire.ledger}
    waist, hip, thigh = (sliced_leg if method in ("one-piece-leg", "four-layer") else sliced)(wire)
    gathered = rows["waist"].gathers_mm
    assert waist == pytest.approx(body.waist.mm + ask.waist_ease.mm + gathered, abs=1)
    if method == "four-layer":
        assert hip >= body.hip.mm + 25
    else:
        wide = (body.hip.mm + ask.hip_ease.mm) * float(ask.fullness) + 2 * ask.back_side_out.mm
        if ask.back_side_out.size:  # the side is straight down from the hip line: what the centre leans in there is off
            at = next(panel for panel in wire.panels if panel.name == "back").points
            (top, up), (foot, down) = at["CB"], at["C1"]
            wide -= 2 * (foot - top) * (down - at["H"][1]) / (down - up)
        assert hip == pytest.approx(wide, abs=1)
    if ask.closure == "none":
        assert waist >= body.hip.mm - 1 or (method, ask.waist_in.mm) == ("multiplied-quarter", 38.1)
    assert thigh == pytest.approx(rows["thigh"].sewn_mm, abs=1)
    for row in wire.ledger:
        assert row.sewn_mm == pytest.approx(row.cut_mm - row.seams_mm - row.darts_mm - row.gathers_mm, abs=1e-3)
        assert row.closes or row.kind == "resulting"


def sliced(wire):
    """Waist flat, hip and thigh of two panels, in mm, measured on the net outlines; fullness leaves the hip as it is."""
    panels = {panel.name: panel for panel in wire.panels}
    waist = hip = thigh = 0.0
    for name in ("front", "back"):
        panel = panels[name]
        outline = LineString(panel.net)
        strips = [f"{name}-band", *(["yoke"] if name == "back" else [])]
        on = next((panels[strip] for strip in strips if strip in panels and cut_off(panels[strip])), panel)
        waist += 2 * sum(along(part) for part in on.segments if part["edge"] == "waist")
        waist -= 2 * sum(distance(Point(*dart.near), Point(*dart.far)) for dart in on.darts)
        hip += 2 * level_to_centre(panel, outline, panel.points["H"][1])
        thigh += panel.points["X"][0] - leftmost(outline, panel.points["C"][1])
    return waist, hip, thigh


def cut_off(panel):
    """True of a strip that was cut off a leg."""
    return any(part["edge"] == "lower" for part in panel.segments)


def along(part):
    """A segment's length in mm, by many short chords."""
    points = part["points"]
    if part["kind"] != "line":
        points = [
            [(1 - t) ** 3 * a + 3 * t * (1 - t) ** 2 * b + 3 * t * t * (1 - t) * c + t**3 * d for a, b, c, d in zip(*points, strict=True)]
            for t in (k / 100 for k in range(101))
        ]  # fmt: skip
    return sum(distance(Point(*a), Point(*b)) for a, b in zip(points, points[1:], strict=False))


def sliced_leg(wire):
    """The same of a leg in one piece."""
    panel = next(panel for panel in wire.panels if panel.name == "leg")
    points = panel.points
    waist = 2 * sum(along(part) for part in panel.segments if part["edge"] == "waist")
    down = points["H"][1]
    edges = [part["points"] for part in panel.segments if part["edge"] in ("crotch", "back_crotch")]
    front, back = edges[0], edges[-1]
    hip = 2 * (across_at(front[0], front[-1], down) - across_at(back[0], back[-1], down))
    tip = points.get("XB", (-points["X"][0], 0))
    return waist, hip, points["X"][0] - tip[0]


def across_at(one, other, down):
    return one[0] + (other[0] - one[0]) * (down - one[1]) / (other[1] - one[1])


def leftmost(outline, down):
    return outline.intersection(LineString([(-5000, down), (5000, down)])).bounds[0]


def level_to_centre(panel, outline, down):
    """From the side to the straight centre line, the line being the crotch seam's own first stretch."""
    top, below = next(part["points"] for part in panel.segments if part["edge"] == "crotch")
    share = (down - top[1]) / (below[1] - top[1])
    return top[0] + share * (below[0] - top[0]) - leftmost(outline, down)


STRAIGHT = {
    "waist": 766, "hip": 766, "thigh": 442, "knee": 295, "outseam": 961, "inseam": 718, "ankle": 179, "body_rise": 244,
}  # fmt: skip


@example(Body({key: Fraction(size) for key, size in STRAIGHT.items()}), "half-thigh")
@given(bodies(), st.sampled_from(sorted(METHODS)))
def test_a_millimetre_more_hip_moves_no_mark_far(body, method):
    style = METHODS[method].styles[-1]
    made = method, resolve(method, style, {})
    other = Body({**body.sizes, "hip": body.sizes["hip"] + 1})
    one, two = served(body, made), served(other, made)
    for name in one.main:
        a, b = one.panels[name].points, two.panels[name].points
        still = {key for key in a.keys() & b.keys() if key[0] not in "PQR"}
        assert max(distance(a[key], b[key]) for key in still) < 5


@given(bodies(waist_to=1.5), asks())
def test_a_body_out_of_reach_is_refused_by_name(body, made):
    try:
        garment = drafted(body, made)
    except CuttingError as refused:
        assert {p.code for p in refused.problems} <= OUT_OF_REACH | {"inner_leg.open"}
        assert all(p.where for p in refused.problems)
    else:
        assert all(Polygon(panel.cut).is_valid for panel in garment.panels.values())


@given(bodies(), asks())
def test_on_cloth_and_on_paper_have_one_cut_outline(body, made):
    method, ask = made
    cuts = [served(body, (method, replace(ask, marking=way))).panels for way in ("on-cloth", "on-paper")]
    for name in cuts[0]:
        assert Polygon(cuts[0][name].cut).hausdorff_distance(Polygon(cuts[1][name].cut)) < 0.1


@given(bodies(), asks())
def test_the_back_is_the_same_laid_out_from_the_front_or_drafted_by_itself(body, made):
    method, ask = made
    ways = [served(body, (method, replace(ask, back_from=way))) for way in ("front", "itself")]
    for name in ways[0].panels:
        one, other = (Polygon(garment.panels[name].cut) for garment in ways)
        assert one.hausdorff_distance(other) < 0.1
    if "back" in ways[0].panels:
        own = [step.from_code for step in ways[1].drafted["back"].steps]
        assert not any(code.startswith("front_") for code in own)
    for _, tape in ways[1].tapes():
        assert distance(tape.start, tape.end) == pytest.approx(tape.length.mm, abs=1e-6)
