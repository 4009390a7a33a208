"""Sewn edges run smooth over the seams at their ends: angles measured on the outlines, the seam closed."""

from dataclasses import replace
from fractions import Fraction
from math import atan2, cos, degrees, dist, radians, sin

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon

from cutting.body import Body
from cutting.drafting import Edge
from cutting.garments.turns import said_of_turns
from cutting.geometry import Cubic, Line, Path, Point, parted, squared, unit
from cutting.lengths import mm
from cutting.methods import resolve
from tests.conftest import many
from tests.cutting.test_tops import served as top_served
from tests.strategies import MADE, asks, bodies, drafted, served, top_asks, wearers

WITHIN = 6
"""METHODS, rule 18: both angles add up to a straight line within so many degrees."""


SIZES = {
    key: Fraction(size)
    for key, size in {"waist": 800, "hip": 1040, "thigh": 620, "knee": 400, "outseam": 1040, "inseam": 770}.items()
}


def inner_angle(panel, one, other):
    """The angle inside a panel where two neighbouring edges meet, in degrees, seen from 1/4 mm away on each."""
    names = list(panel.edges)
    first, second = (one, other) if names[names.index(one) - len(names) + 1] == other else (other, one)
    before, after = (panel.edges[name].path.flat(0.0001) for name in (first, second))
    corner = after[0]
    a, b = (next(p for p in points if dist(p, corner) >= 0.25) for points in (before[::-1], after))
    arriving, leaving = (atan2(p.down - corner.down, p.across - corner.across) for p in (a, b))
    return degrees(arriving - leaving) % 360


def crossings_of(garment):
    """Every crossing of a sewn edge over a seam, and the sum of the angles there."""
    panels = garment.panels
    if "leg" in panels:
        leg = panels["leg"]
        yield "waist over CF", 2 * inner_angle(leg, "waist", "crotch")
        yield "waist over CB", 2 * inner_angle(leg, "waist", "back_crotch")
        yield "hem", inner_angle(leg, "hem", "inner_leg") + inner_angle(leg, "hem", "back_inner_leg")
        return
    for edge in ("side", "inner_leg"):
        yield f"hem over {edge}", sum(inner_angle(panels[name], "hem", edge) for name in ("front", "back"))
    front = panels.get("front-band", panels["front"])
    front = front if "lower" in front.edges else panels["front"]
    shaped = [panels[name] for name in ("back-band", "yoke") if "lower" in getattr(panels.get(name), "edges", ())]
    tops = front, [*shaped, panels["back"]][0]
    yield "waist over side", sum(inner_angle(panel, "waist", "side") for panel in tops)
    for panel in tops:
        centre = "centre" if "centre" in panel.edges else "crotch"
        yield f"waist over the centre of {panel.name}", 2 * inner_angle(panel, "waist", centre)


@pytest.mark.parametrize("made", MADE, ids=" ".join)
@settings(max_examples=many(4))
@given(body=bodies(), data=st.data())
def test_waist_and_hem_run_smooth_over_every_seam(made, body, data):
    garment = served(body, data.draw(asks(made)))
    for name, both in crossings_of(garment):
        assert abs(both - 180) <= WITHIN, name


@settings(max_examples=many(40))
@given(wearers(), top_asks())
def test_a_tops_edges_run_smooth_over_every_seam(body, ask):
    top = top_served(body, ask)
    if top is None:
        return
    front, back = (top.panels[name] for name in ("front", "back"))
    low = "waist" if "waist" in front.edges else "hem"
    for edge, seam in ((low, "side"), ("armhole", "side"), ("armhole", "shoulder"), ("neck", "shoulder")):
        both = inner_angle(front, edge, seam) + inner_angle(back, edge, seam)
        assert abs(both - 180) <= WITHIN, (edge, seam)
    for panel in (front, back):
        assert abs(2 * inner_angle(panel, low, "centre") - 180) <= WITHIN


def test_an_edge_is_square_to_both_its_neighbours_and_straight_between():
    """A waist run from a side that leans in 1 in 4 to a centre that leans out 1 in 10."""
    up, down = unit(Point(1, -4)), unit(Point(1, 10))
    path = squared(up, Point(0, 0), Point(300, 0), down)
    assert path.segments[0].direction(0).dot(up) == pytest.approx(0, abs=1e-12)
    assert path.segments[-1].direction(1).dot(down) == pytest.approx(0, abs=1e-12)
    level = [part for part in path.segments if isinstance(part, Line)]
    assert [(part.start.across, part.end.across) for part in level] == [(65, 235)]
    assert path.length == pytest.approx(300, abs=1.5)


@given(st.lists(st.floats(0.05, 0.95), min_size=1, max_size=4, unique=True))
def test_a_path_in_stretches_is_the_path(shares):
    """Its stretches begin and end at the points it is parted at, and together they are as long."""
    path = Path((Cubic(Point(0, 0), Point(40, 0), Point(60, 9), Point(100, 9)), Line(Point(100, 9), Point(180, 9))))
    points = [path.along(share * path.length)[0] for share in sorted(shares)]
    stretches = [part for part in parted(path, points) if part is not None]
    assert sum(part.length for part in stretches) == pytest.approx(path.length, abs=0.01)
    assert [part.end for part in stretches[:-1]] == [part.start for part in stretches[1:]]
    assert (stretches[0].start, stretches[-1].end) == (path.start, path.end)


def test_a_turn_on_a_curved_edge_is_said_with_what_it_is_short_or_full_by():
    """An edge that bends by 10 degrees at each end, turned 50 mm deep: moved by so much it is an arc that much nearer.

    Hollow it is 2 x 50 x (10 + 10) x pi / 180 = 34.9 mm short, round as much longer; 4 degrees make 14.0, 3 make 10.5.
    """
    front = drafted(Body(SIZES), ("quarter-hip", resolve("quarter-hip", "straight-trousers", {}))).panels["front"]
    for slope, by in ((10, 34.907), (4, 13.963), (-4, 13.963), (3, None), (-3, None)):
        hem = Edge("hem", bent(slope), mm(50), turned=1)
        said = said_of_turns({"front": replace(front, edges=front.edges | {"hem": hem})})
        assert [finding.code for finding in said] == [] if by is None else ["turn.short" if slope > 0 else "turn.full"]
        assert [finding.params["by"].mm for finding in said] == ([] if by is None else [pytest.approx(by, abs=0.05)])


def bent(slope):
    """A level hem run leftwards whose ends are turned down (a hollow) or up by so many degrees over 65 mm."""
    lean = radians(slope)
    first, last = Point(-cos(lean), -sin(lean)), Point(-cos(lean), sin(lean))
    return squared(first.left, Point(300, 900), Point(0, 900), Point(-last.left.across, -last.left.down))


@settings(max_examples=many(40))
@given(wearers(), top_asks())
def test_the_sides_allowance_is_whole_up_to_the_arm(body, ask):
    """From an inch below the underarm on, the cloth goes on beyond the side seam by its allowance."""
    top = top_served(body, ask)
    if top is None:
        return
    for panel in (top.panels[name] for name in ("front", "back")):
        side, cut = panel.edges["side"], Polygon(panel.cut)
        net = LineString(side.path.flat())
        start, end = net.interpolate(30), net.interpolate(net.length - 30)
        strip = LineString([start, end]).buffer(0.5 - side.allowance.mm, single_sided=True)
        assert strip.area > 100
        assert strip.difference(cut).area < 40, panel.name
