"""Lays: every one passes the exact checker; the checker catches a lay that was tampered with."""

from dataclasses import replace
from fractions import Fraction
from math import hypot

import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely.geometry import Polygon, box

from cutting.cloth import Cloth, fold_depth
from cutting.geometry import Point
from cutting.lay import faults, items_for, rivals
from cutting.lay.variants import CELL
from cutting.pieces import Piece
from cutting.yardage import yardage
from tests.jobs import planned
from tests.strategies import asks, bodies, served


@given(bodies(), asks(), st.integers(36, 70), st.sampled_from(["lengthwise-centre", "open"]), st.booleans())
def test_every_lay_is_valid_and_beats_the_habit(body, made, inches, fold, one_way):
    pieces = served(body, made).pieces(on_fold=fold != "open")
    cloth = Cloth(width=inches * Fraction(254, 10), one_way=one_way)
    lays = rivals(items_for(pieces, fold, one_way), cloth, fold)
    if lays is None:
        assert max(piece.width for piece in pieces) > fold_depth(cloth, fold)
        return
    assert faults(lays.lay, pieces, one_way) == []
    shapes = [Polygon(p.outline(next(x for x in pieces if x.id == p.piece).cut)) for p in lays.lay.placements]
    assert max(shape.bounds[2] for shape in shapes) == pytest.approx(lays.lay.length, abs=0.01)
    assert lays.bound - 0.01 <= lays.lay.length <= min(x for x in (lays.habit, lays.one_pass) if x is not None) + 0.01


@pytest.fixture
def laid():
    made = planned(cloth={"width": 60})
    return made.lays.lay, list(made.pieces)


def moved(lay, index, **changes):
    placements = list(lay.placements)
    placements[index] = replace(placements[index], **changes)
    return replace(lay, placements=tuple(placements))


def codes(lay, pieces, one_way=False):
    return {fault.code for fault in faults(lay, pieces, one_way)}


def test_the_checker_catches_what_was_tampered_with(laid):
    lay, pieces = laid
    assert codes(lay, pieces) == set()
    band = next(k for k, p in enumerate(lay.placements) if p.piece.endswith("band"))
    last = max(range(3), key=lambda k: lay.placements[k].x)
    p = lay.placements[last]
    assert "lay.outside" in codes(moved(lay, last, y=p.y + lay.depth), pieces)
    assert "lay.off_fold" in codes(moved(lay, band, y=0.1), pieces)
    assert "lay.count" in codes(replace(lay, placements=lay.placements[1:]), pieces)
    assert "lay.count" in codes(replace(lay, placements=(*lay.placements, p)), pieces)
    assert "lay.turned" in codes(moved(lay, last, turned=True), pieces, one_way=True)
    one = moved(lay, last, layers=(1,))
    assert "lay.count" in codes(one, pieces)


def test_a_tenth_of_a_millimetre_of_overlap_is_seen():
    square = tuple(Point(*p) for p in ((0, 0), (100, 0), (100, 100), (0, 100)))
    pieces = [Piece("t.a", "t", "a", 1, False, square, square), Piece("t.b", "t", "b", 1, False, square, square)]
    lays = rivals(items_for(pieces, "open", False), Cloth(width=Fraction(150)), "open")
    assert lays.lay.length == pytest.approx(200, abs=1e-3)
    late = max(range(2), key=lambda k: lays.lay.placements[k].x)
    near = moved(lays.lay, late, x=lays.lay.placements[late].x - 0.1)
    assert codes(near, pieces) == {"lay.overlap"}


def test_two_triangles_nest_as_one_can_prove():
    """Two right triangles, legs 100 and 200, on cloth 100 wide: turned against each other they fill 200."""
    corner = tuple(Point(*p) for p in ((0, 0), (100, 0), (0, 200)))
    pieces = [Piece("t.a", "t", "a", 2, False, corner, corner)]
    items = items_for([replace(pieces[0], count=1), replace(pieces[0], id="t.b", count=1)], "open", False)
    lays = rivals(items, Cloth(width=Fraction(100)), "open")
    assert lays.lay.length == pytest.approx(200, abs=0.01)
    assert lays.habit == pytest.approx(400)


def test_cloth_to_buy_is_rounded_up_to_what_is_sold():
    cloth = Cloth(width=Fraction(1143), shrink_percent=Fraction(2))
    bought = yardage(1000.0, cloth, "in")
    assert bought.length == pytest.approx(1000 / 0.98)
    assert bought.buy == pytest.approx(3 * 457.2)
    assert yardage(1000.0, cloth, "cm").buy == pytest.approx(1100)


@given(bodies(), asks(), st.booleans(), st.booleans())
def test_the_profile_of_a_piece_is_its_reach_in_each_strip(body, made, turned, mirrored):
    """Against another library: the piece cut into strips 4 mm wide across the cloth."""
    panel = served(body, made).pieces(on_fold=False)[0]
    items = items_for([panel], "lengthwise-centre", False)
    variant = next(v for v in items[0].variants if (v.turned, v.mirrored) == (turned, mirrored))
    whole = Polygon(variant.polygon)
    low, high = variant.profile
    assert len(low) == -(-variant.depth // CELL)
    for k in range(0, len(low), 7):
        strip = whole.intersection(box(-1, k * CELL, variant.width + 1, min((k + 1) * CELL, variant.depth)))
        assert low[k] == pytest.approx(strip.bounds[0], abs=1e-6)
        assert high[k] == pytest.approx(strip.bounds[2], abs=1e-6)


def test_on_open_cloth_each_of_a_pair_is_called_where_it_lies():
    made = planned(cloth={"width": 60, "fold": "open"})
    called = {mark.placing for mark in made.marks}
    assert called == set(range(len(made.lays.lay.placements)))
    for name in ("front", "back"):
        firsts = [m for m in made.marks if m.step.panel == name and m.step.code.endswith("guide")]
        assert [m.step.code for m in firsts] == ["guide", "second_guide"]
        mirrored = [made.lays.lay.placements[m.placing].mirrored for m in firsts]
        assert mirrored == [False, True]
    for mark in made.marks:
        (ax, ay), (bx, by) = mark.on_cloth
        assert hypot(bx - ax, by - ay) == pytest.approx(mark.tape.length.mm, abs=1e-6)
