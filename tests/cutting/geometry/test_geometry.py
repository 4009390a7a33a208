"""Curves, offsets and crossings, compared with scipy and shapely, and with what can be worked out by hand."""

from itertools import pairwise
from math import cos, hypot, pi, sin, sqrt

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st
from scipy.integrate import quad
from scipy.interpolate import BPoly
from scipy.optimize import brentq
from shapely.geometry import LineString, Polygon
from shapely.geometry import Point as ShapelyPoint

from cutting.geometry import (
    Cubic,
    Line,
    Path,
    Point,
    Polyline,
    area,
    crossings,
    distance,
    hermite,
    is_simple,
    nearest_line,
    off_straight,
    offset_polyline,
    parted,
    zero_between,
)

numbers = st.floats(-500, 500, allow_nan=False)
points = st.builds(Point, numbers, numbers)
gentle = st.builds(Cubic, st.just(Point(0, 0)), st.builds(Point, st.floats(20, 120), st.floats(-80, 80)),
                   st.builds(Point, st.floats(140, 260), st.floats(-80, 80)), st.just(Point(300, 0)))  # fmt: skip


def scipy_curve(c):
    return [BPoly([[p[k]] for p in (c.start, c.one, c.two, c.end)], [0, 1]) for k in (0, 1)]


@given(gentle)
def test_curve_points_and_lengths_are_scipys(c):
    across, down = scipy_curve(c)
    for t in (0.0, 0.2, 0.5, 0.9, 1.0):
        assert c.at(t) == pytest.approx((float(across(t)), float(down(t))), abs=1e-9)
    speed = [curve.derivative() for curve in (across, down)]
    whole = quad(lambda t: hypot(float(speed[0](t)), float(speed[1](t))), 0, 1)[0]
    assert c.length == pytest.approx(whole, abs=0.01)
    part = quad(lambda t: hypot(float(speed[0](t)), float(speed[1](t))), 0, 0.3)[0]
    assert c.length_to(0.3) == pytest.approx(part, abs=0.01)
    assert c.back.length == pytest.approx(c.length, abs=1e-9)


@given(gentle, st.floats(0.01, 0.5))
def test_a_flattened_curve_stays_within_its_tolerance(c, tolerance):
    line = LineString([c.start, *c.flat(tolerance)])
    assert max(line.distance(LineString([c.at(k / 97), c.at(k / 97 + 1e-6)])) for k in range(97)) <= tolerance + 1e-6


@given(gentle, st.floats(0, 1))
def test_a_point_along_a_path_lies_that_far_along_it(c, share):
    path = Path((Line(Point(-40, 0), Point(0, 0)), c))
    size = share * path.length
    point, direction = path.along(size)
    fine = LineString(path.flat(0.0005))
    assert fine.project(LineString([point, point]).centroid) == pytest.approx(size, abs=0.05)
    assert hypot(*direction) == pytest.approx(1)


def test_a_quarter_circle_by_its_usual_cubic():
    k = 4 / 3 * (sqrt(2) - 1)
    arc = Cubic(Point(100, 0), Point(100, 100 * k), Point(100 * k, 100), Point(0, 100))
    assert arc.length == pytest.approx(50 * pi, rel=3e-4)
    assert arc.direction(0) == pytest.approx((0, 1))
    assert arc.direction(1) == pytest.approx((-1, 0))


def test_a_hermite_along_its_chord_is_a_line():
    assert isinstance(hermite(Point(0, 0), Point(1, 0), Point(9, 0), Point(1, 0)), Line)
    bent = hermite(Point(0, 0), Point(0, 1), Point(9, 9), Point(1, 0))
    assert bent.direction(0) == pytest.approx((0, 1))
    assert bent.direction(1) == pytest.approx((1, 0))


@given(gentle, st.floats(1, 30))
def test_an_offset_edge_keeps_its_distance(c, by):
    line = Path((c,)).flat()
    moved = offset_polyline(line, by)
    net = LineString(line)
    far = [net.distance(LineString([p, p]).centroid) for p in moved]
    assert max(far) <= by * 1.02 + 0.05
    assert LineString(moved).is_simple
    assert distance(moved[0], line[0]) == pytest.approx(by, rel=0.02)
    assert distance(moved[-1], line[-1]) == pytest.approx(by, rel=0.02)


def test_a_hollow_tighter_than_its_allowance_is_trimmed():
    """A notch of radius 5 with an allowance of 12 cannot be followed: the offset jumps over it."""
    hollow = [Point(0, 0), Point(50, 0), Point(52, -4), Point(55, -5), Point(58, -4), Point(60, 0), Point(110, 0)]
    line = [Point(p.across, -p.down) for p in hollow]
    assert LineString(offset_polyline(line, 12)).is_simple
    assert LineString(offset_polyline(line, -12)).is_simple


@given(st.lists(st.tuples(st.floats(0, 300), st.floats(0, 300)), min_size=3, max_size=9))
def test_area_and_crossing_itself_are_shapelys(raw):
    outline = [Point(*p) for p in raw]
    shape = Polygon(raw)
    assert is_simple(outline) == shape.is_valid
    if shape.is_valid:
        assert area(outline) == pytest.approx(shape.area, abs=1e-6)


@given(gentle, st.floats(10, 290))
def test_crossings_are_shapelys(c, across):
    line = Path((c,)).flat()
    ours = [hit.at for hit in crossings(line, Point(across, -1000), Point(0, 1))]
    cut = LineString(line).intersection(LineString([(across, -1000), (across, 1000)]))
    theirs = sorted(1000 + part.coords[0][1] for part in getattr(cut, "geoms", [cut]))
    assert ours == pytest.approx(theirs, abs=1e-6)


def test_the_ends_of_a_polyline_go_on_only_when_asked():
    line = [Point(0, 0), Point(10, 10)]
    assert crossings(line, Point(20, 0), Point(0, 1)) == []
    assert crossings(line, Point(20, 0), Point(0, 1), extend=True)[0].at == pytest.approx(20)


@given(st.floats(-9, 9), st.floats(0.1, 5))
def test_a_zero_is_found_however_flat_it_is_there_or_it_is_said_that_there_is_none(root, slope):
    found = zero_between(lambda x: slope * (x - root) ** 3, -10, 10)
    assert found == pytest.approx(root, abs=0.01)
    assert zero_between(lambda x: x * x + slope, -10, 10) is None


@given(st.lists(st.floats(-3, 3), min_size=2, max_size=5), st.floats(-4, 0), st.floats(0.5, 8))
def test_a_zero_is_where_another_library_has_it_and_is_found_in_few_looks(terms, low, wide):
    looks = 0

    def miss(x):
        nonlocal looks
        looks += 1
        return x + sum(term * sin(k * x + term) / (16 * k) for k, term in enumerate(terms, 1))

    high = low + wide
    assume(miss(low) * miss(high) < 0)
    looks = 0
    found = zero_between(miss, low, high)
    assert looks <= 14, "halving alone takes 37"
    assert found == pytest.approx(brentq(miss, low, high), abs=1e-8)


@given(points, points)
def test_vectors(a, b):
    assert distance(a, b) == pytest.approx(hypot(*b.minus(a)))
    assert a.towards(b, 1) == pytest.approx(b, abs=1e-9)
    assert a.left.dot(a) == pytest.approx(0, abs=1e-6)
    assert a.cross(b) == pytest.approx(-b.cross(a), abs=1e-6)


tenths = st.integers(-5000, 5000).map(lambda one: one / 10)


@given(st.lists(st.builds(Point, tenths, tenths), min_size=2, max_size=9), st.floats(-200, 200), st.floats(0, 2 * pi))
def test_a_line_meets_a_polyline_where_another_library_says(corners, aside, angle):
    way = Point(cos(angle), sin(angle))
    start = Point(0, 0).plus(way.left, aside)
    polyline = LineString(corners)
    met = polyline.intersection(LineString([start.plus(way, by) for by in (-2000, 2000)]))
    found = [hit.at for hit in crossings(corners, start, way)]
    assert found == sorted(found)
    assert all(polyline.distance(ShapelyPoint(start.plus(way, at))) < 1e-3 for at in found)
    for one in getattr(met, "geoms", [met]):
        if one.geom_type == "Point":
            at = Point(one.x, one.y).minus(start).dot(way)
            assert min(abs(at - other) for other in found) < 1e-3


@given(st.lists(st.builds(Point, tenths, tenths), min_size=2, max_size=9), points, points)
def test_places_and_what_is_off_a_straight_line_are_another_librarys(corners, one, other):
    assume(distance(one, other) > 0.1 and all(distance(a, b) > 0.1 for a, b in pairwise(corners)))
    straight, line = LineString([one, other]), LineString(corners)
    off = max(straight.distance(ShapelyPoint(point)) for point in corners)
    assert off_straight(corners, one, other) == pytest.approx(off, abs=1e-6)
    near, there = line.distance(ShapelyPoint(one)), Path(tuple(Line(a, b) for a, b in pairwise(corners)))
    assert line.interpolate(there.place_of(one)).distance(ShapelyPoint(one)) == pytest.approx(near, abs=1e-6)
    both, seen = [Polyline([one, other]), Polyline(corners)], [Point(0, 0), one.towards(corners[0], 0.7)]
    far = [sum(each.distance(ShapelyPoint(point)) for point in seen) for each in (straight, line)]
    assert far[nearest_line(both, seen)] == pytest.approx(min(far), abs=1e-6)


def test_a_path_parted_just_beside_a_joint_keeps_no_crumb_that_points_elsewhere():
    """A fifth of a mm beyond a joint, a tenth off the line: no stretch has a corner it did not have."""
    path = Path((Line(Point(0, 0), Point(60, 0)), Line(Point(60, 0), Point(120, 0))))
    one, other = parted(path, [Point(60.2, 0.1)])
    for stretch in (one, other):
        turns = [a.direction(1.0).dot(b.direction(0.0)) for a, b in pairwise(stretch.segments)]
        assert all(turn > 0.99 for turn in turns)
    assert one.end == other.start == Point(60.2, 0.1)
