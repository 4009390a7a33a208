"""What every draft owes, over believable bodies and choices. Girths are sliced from the exported outlines."""

from dataclasses import replace
from fractions import Fraction
from math import acos, degrees, hypot

import pytest
from hypothesis import given
from shapely.geometry import LineString, Polygon

from cutting.body import Body
from cutting.cloth import Cloth
from cutting.errors import CuttingError
from cutting.formats.plan_v1 import to_model
from cutting.garments import draft_lower
from cutting.geometry import Point, distance
from cutting.job import GarmentAsk, Job
from cutting.methods import Ask
from cutting.plan import plan
from tests.strategies import asks, bodies


def drafted(body, ask):
    return draft_lower("t", ask.style, "quarter-hip", body, ask)


@given(bodies(), asks())
def test_seams_agree_nothing_crosses_and_tapes_read_true(body, ask):
    garment = drafted(body, ask)
    front, back = garment.panels["front"], garment.panels["back"]
    for panel in garment.panels.values():
        assert Polygon(panel.net).is_valid
        assert Polygon(panel.cut).is_valid
        assert Polygon(panel.cut).buffer(0.05).contains(Polygon(panel.net))
    sides, legs = (
        [LineString(panel.edges[name].path.flat(0.001)).length for panel in (front, back)]
        for name in ("side", "inner_leg")
    )
    assert abs(sides[0] - sides[1]) <= 0.5
    assert -0.5 <= legs[0] - legs[1] <= 6
    angles = [crotch_angle(panel) for panel in (front, back)]
    assert sum(angles) == pytest.approx(180, abs=3)
    for _, tape in garment.tapes():
        assert distance(tape.start, tape.end) == pytest.approx(tape.length.mm, abs=1e-6)


def crotch_angle(panel):
    """The angle inside the panel at the crotch point, in degrees, from the outline alone."""
    curve, leg = panel.edges["crotch"].path.flat(0.0005), panel.edges["inner_leg"].path.flat()
    a, b = Point(*curve[-2]).minus(curve[-1]), leg[1].minus(leg[0])
    return degrees(acos(a.dot(b) / hypot(*a) / hypot(*b)))


@given(bodies(), asks())
def test_girths_sliced_from_the_wire_are_body_and_ease(body, ask):
    job = Job("in", body, (GarmentAsk("t", ask.style, "quarter-hip", ask),), Cloth(width=Fraction(1524), fold="open"))
    wire = to_model(plan(job, by_width=False))
    panels = {panel.name: panel for panel in wire.panels}
    waist = hip = thigh = 0.0
    for name in ("front", "back"):
        panel = panels[name]
        outline = LineString(panel.net)
        top = panel.points["CF" if name == "front" else "CB"]
        waist += 2 * distance(Point(*top), Point(*panel.points["W"]))
        waist -= 2 * sum(distance(Point(*dart.near), Point(*dart.far)) for dart in panel.darts)
        hip += 2 * level_to_centre(panel, outline, top, panel.points["H"][1])
        thigh += panel.points["X"][0] - leftmost(outline, panel.points["C"][1])
    assert waist == pytest.approx(body.waist.mm + ask.waist_ease.mm, abs=1)
    assert hip == pytest.approx(body.hip.mm + ask.hip_ease.mm, abs=1)
    row = next(row for row in wire.ledger if row.level == "thigh")
    assert thigh == pytest.approx(row.sewn_mm, abs=1)
    for row in wire.ledger:
        assert row.sewn_mm == pytest.approx(row.cut_mm - row.seams_mm - row.darts_mm - row.gathers_mm, abs=1e-3)
        assert row.closes or row.kind == "resulting"


def leftmost(outline, down):
    return outline.intersection(LineString([(-5000, down), (5000, down)])).bounds[0]


def level_to_centre(panel, outline, top, down):
    """From the side to the straight centre line, the line being the outline's own first stretch below the waist."""
    ring = [Point(*p) for p in panel.net]
    k = min(range(len(ring)), key=lambda i: distance(ring[i], Point(*top)))
    below = ring[k + 1]
    share = (down - top[1]) / (below.down - top[1])
    return top[0] + share * (below.across - top[0]) - leftmost(outline, down)


@given(bodies())
def test_a_millimetre_more_hip_moves_no_mark_far(body):
    ask = Ask()
    other = Body({**body.sizes, "hip": body.sizes["hip"] + 1})
    one, two = drafted(body, ask), drafted(other, ask)
    for name in ("front", "back"):
        a, b = one.panels[name].points, two.panels[name].points
        still = {key for key in a.keys() & b.keys() if key[0] not in "PQR"}
        assert max(distance(a[key], b[key]) for key in still) < 5


@given(bodies(waist_to=1.5), asks())
def test_a_body_out_of_reach_is_refused_by_name(body, ask):
    try:
        garment = drafted(body, ask)
    except CuttingError as refused:
        assert {p.code for p in refused.problems} <= {"waist.too_large", "side.open", "inner_leg.open"}
        assert all(p.where for p in refused.problems)
        assert body.waist.mm > body.hip.mm
    else:
        assert all(Polygon(panel.cut).is_valid for panel in garment.panels.values())


@given(bodies(), asks())
def test_on_cloth_and_on_paper_have_one_cut_outline(body, ask):
    cuts = [drafted(body, replace(ask, marking=way)).panels for way in ("on-cloth", "on-paper")]
    for name in ("front", "back", "band"):
        assert Polygon(cuts[0][name].cut).hausdorff_distance(Polygon(cuts[1][name].cut)) < 0.1
