"""Pockets: their bags, how far they go, patches and what is sewn to them."""

import pytest
from hypothesis import given
from shapely.geometry import LineString, Polygon
from shapely.geometry import Point as ShapelyPoint

from cutting.errors import CuttingError
from cutting.formats import plan_to_wire
from cutting.methods import resolve
from cutting.words.en.formula import formula
from tests.jobs import parts_of, planned, size_of
from tests.strategies import bodies, served

INCH = 25.4


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


@pytest.mark.parametrize(
    ("choices", "what", "said"),
    [
        ({"pockets": ["in-seam"]}, "cut_depth", "as far as the dart"),
        ({"pockets": ["in-seam"], "front_darts": "none"}, "cut_depth", "7 in"),
        ({"pockets": ["front-curved"]}, "cut_depth", "as far as the dart"),
        ({"pockets": ["front-curved"], "front_darts": "none"}, "cut_depth", "as far as the centre"),
        (
            {"pockets": ["in-seam"], "crotch_depth": "hip/4+3", "hip_line": "two-above"},
            "cut_length",
            "as far as the hip line",
        ),
        ({"pockets": ["in-seam"]}, "cut_length", "6 1/2 in + 1 1/2 in under the opening"),
    ],
)
def test_a_bags_size_is_named_by_the_limit_that_it_meets(choices, what, said):
    _, parts = parts_of(bag_wide="dart", bag_deep="hip-line", **choices)
    bag = parts["pocket-bag" if "in-seam" in choices["pockets"] else "front-pocket-bag"].panel
    assert said in formula(bag.lengths[what], "in")


def test_a_bag_of_another_cloth_has_a_facing_at_its_mouth_and_the_mouth_a_stay():
    """Cut 2 1/2 wide, 1 longer than the opening at each end; the tape 1/2 wide and 1 longer than it."""
    made, parts = parts_of(pockets=["in-seam"], closure="back-zip", other_cloth=["bags"])
    assert parts["bag-facing"].count == 4
    assert size_of(parts["bag-facing"]) == pytest.approx((2.5, 6.5 + 2))
    tape = next(n for n in plan_to_wire(made)["notions"] if n["code"] == "pocket-stay")
    assert (tape["count"], tape["length_mm"], tape["width_mm"]) == pytest.approx((2, 7.5 * INCH, 0.5 * INCH))


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
