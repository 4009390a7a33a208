"""The search for a shorter lay: deterministic, never longer, valid at every step; its bound proved; against others."""

from dataclasses import replace
from fractions import Fraction
from itertools import islice, permutations, product

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.ndimage import distance_transform_edt
from shapely.affinity import scale, translate
from shapely.geometry import Polygon

from cutting.cloth import FOLDS, Cloth, folded
from cutting.errors import CuttingError
from cutting.geometry import Point
from cutting.lay import BestLay, Laid, Lay, Section, faults, first_lay, items_for, plain_bound
from cutting.lay.habit import habit
from cutting.lay.search import improve
from cutting.lay.search.bounds import proved
from cutting.lay.search.depths import FINE, SIGNS, pair_depths
from cutting.lay.search.model import Model
from cutting.lay.search.parts import GROW, convex_parts, filled
from cutting.pieces import Piece
from cutting.plan import with_lays
from cutting.searching import search as race
from tests.conftest import many
from tests.jobs import planned
from tests.strategies import asks, bodies, served


def piece(name, corners, count=1, pair=False, folds=None):
    outline = tuple(Point(*p) for p in corners)
    return Piece(f"t.{name}", "t", name, count, pair, outline, outline, folds=folds)


def block(name, across, down, count=1, pair=False, folds=None):
    return piece(name, ((0, 0), (across, 0), (across, down), (0, down)), count, pair, folds)


def opened(width):
    return folded(Cloth(width=Fraction(width)), "open")


def search(pieces, table, seed=1, one_way=False, tries=25):
    """The first lay, the proved bound, and all steps of so many tries."""
    items = items_for(pieces, table, one_way)
    first = first_lay(items, table, one_way)
    least = proved(Model.of(items, table)).reach
    return first, least * table.times, list(islice(improve(items, first.lay, least, seed), tries))


def shortest(first, steps):
    return min([first.lay.length, *(step.lay.length for step in steps if step.lay)])


@settings(max_examples=many(10))
@given(bodies(), asks(), st.integers(45, 70), st.sampled_from(list(FOLDS)), st.booleans(), st.integers(1, 9))
def test_better_lays_of_believable_garments_are_valid_shorter_and_never_under_the_bound(
    body, made, inches, fold, one_way, seed
):
    garment = served(body, made)
    pieces = garment.pieces(on_fold=fold != "open")
    table = folded(Cloth(width=inches * Fraction(254, 10)), fold, max(piece.width for piece in pieces))
    if (one_way and table.times > 1) or first_lay(items_for(pieces, table, one_way), table, one_way) is None:
        return
    first, least, steps = search(pieces, table, seed, one_way, tries=6)
    lengths = [first.lay.length, *(step.lay.length for step in steps if step.lay)]
    assert lengths == sorted(lengths, reverse=True)
    assert min(lengths) >= max(least, first.bound.reach) - 0.05
    assert all(faults(step.lay, pieces, one_way) == [] for step in steps if step.lay)


def test_the_same_seed_gives_the_same_search():
    pieces = [block(f"p{k}", 30 + 7 * k, 200 - 11 * k) for k in range(7)]
    runs = [
        [(s.tried, s.lay and s.lay.placements) for s in search(pieces, opened(150), seed=seed)[2]] for seed in (4, 4, 5)
    ]
    assert runs[0] == runs[1]
    assert runs[0] != runs[2]


def test_rectangles_with_a_known_best_find_it():
    """A sheet 400 x 600 cut up by a child's rule into eleven rectangles goes together again without waste."""
    sheet = [(160, 250), (240, 120), (240, 130), (100, 200), (300, 90), (140, 110), (160, 110), (250, 150), (150, 80),
             (150, 70)]  # fmt: skip
    assert sum(a * b for a, b in sheet) == 400 * 600
    pieces = [block(f"p{k}", *size) for k, size in enumerate(sheet)]
    first, least, steps = search(pieces, opened(400), tries=250)
    assert least == pytest.approx(600)
    assert shortest(first, steps) <= 600 * 1.02


@pytest.mark.parametrize("seed", range(4))
def test_no_order_and_no_place_of_a_few_blocks_is_shorter_than_what_is_found(seed):
    """Against every order and every side of four blocks, dropped one after the other: an exhaustive bottom-left."""
    chance = np.random.default_rng(seed)
    sizes = [tuple(int(v) * 10 for v in chance.integers(6, 22, 2)) for _ in range(4)]
    best = min(dropped(order, 300) for order in permutations(sizes))
    pieces = [block(f"p{k}", *size) for k, size in enumerate(sizes)]
    first, least, steps = search(pieces, opened(300), tries=60)
    assert least - 0.05 <= shortest(first, steps) <= best + 0.05


def dropped(order, width):
    """The length when each block goes where its far end comes out nearest, at any whole cm across."""
    taken = np.zeros(width // 10)
    for across, down in order:
        cells = across // 10
        reach = [taken[k : k + cells].max() for k in range(len(taken) - cells + 1)]
        k = int(np.argmin(reach))
        taken[k : k + cells] = reach[k] + down
    return taken.max()


def test_two_triangles_nest_and_it_is_proved_that_none_is_shorter():
    """Two right triangles, legs 300 and 400, on 310: turned against each other they take 400 and the least gap."""
    corners = ((0, 0), (300, 0), (0, 400))
    first, least, steps = search([piece("a", corners), piece("b", corners)], opened(310))
    assert shortest(first, steps) == pytest.approx(400, abs=0.5)
    assert least <= shortest(first, steps)


def test_blocks_that_cannot_pass_are_proved_to_lie_behind_one_another():
    """Three of 60 to 90 x 200 on 100: whatever one does, 600, less the hair the proof leaves off."""
    pieces = [block("a", 60, 200), block("b", 70, 200), block("c", 90, 200)]
    first, least, _ = search(pieces, opened(100))
    assert 590 <= least <= 600.01
    assert first.lay.length == pytest.approx(600, abs=0.01)
    # On 130 the two narrower ones are side by side: nothing blocks them, and the bound says so.
    assert search(pieces, opened(130))[1] <= 400.01


def test_a_proof_says_its_steps():
    """The same three: half of one end, from middle to middle, half of the other; or the surface where that says more."""
    pieces = [block("a", 60, 200), block("b", 70, 200), block("c", 90, 200)]
    bound = proved(Model.of(items_for(pieces, opened(100), one_way=False), opened(100)))
    assert [step.kind for step in bound.steps] == ["half", "apart", "apart", "half"]
    assert [step.mm for step in bound.steps] == pytest.approx([100, 200, 200, 100], abs=3)
    (first, *between, last) = bound.steps
    assert [first.piece, *(step.other for step in between)] == [*(step.piece for step in between), last.piece]
    assert {first.piece, *(step.other for step in between)} == {"t.a", "t.b", "t.c"}
    (step,) = plain_bound(items_for(pieces, opened(240), one_way=False), opened(240)).steps
    assert (step.kind, step.piece, step.mm) == ("whole", "t.a", 200)
    (step,) = plain_bound(items_for(pieces, opened(100), one_way=False), opened(100)).steps
    assert (step.kind, step.mm) == ("surface", pytest.approx(440))
    assert bound.within(500).reach == pytest.approx(500)


@settings(max_examples=many(20))
@given(bodies(), asks(), st.sampled_from(SIGNS))
def test_depths_of_two_pieces_against_other_libraries(body, made, signs):
    """Overlap or none at every eleventh offset by shapely; how deep by scipy's distance transform."""
    one, *_, other = served(body, made).pieces(on_fold=False) * 2
    first, second = (filled(np.array([(p.down, p.across) for p in each.cut])) for each in (one, other))
    turned = scale(Polygon(second), *signs, origin=(0, 0))
    a, b = Polygon(first).bounds, turned.bounds
    cell = 16.0
    start = a[0] - b[2] - 1, a[1] - b[3] - 1
    size = int((a[3] - b[1] + 1 - start[1]) / cell) + 2, int((a[2] - b[0] + 1 - start[0]) / cell) + 2
    depths = pair_depths(convex_parts(first), convex_parts(second), signs, cell, start, size)
    for k in range(0, depths.size, 11):
        row, column = divmod(k, size[1])
        moved = translate(turned, start[0] + column * cell, start[1] + row * cell)
        assert (depths[row, column] > 0) == (Polygon(first).intersection(moved).area > 1e-6)
    far = distance_transform_edt(np.pad(depths > 0, 1))[1:-1, 1:-1]
    assert np.array_equal(depths, np.where(depths > 0, np.clip((far - 0.5) * FINE, 1, 255).astype(np.uint8), 0))


def test_sieves_hold_every_depth_once_from_both_ends():
    """Laid into one another again, the four sieves are the raster; what they are padded with is free."""
    model = Model.of(planned(style="straight-trousers", cloth={"fold": "open"}).laid.sections[0].items, opened(1100))
    flat, begins = model.depths
    straight, turned = model.sieved(flat)
    for a, b, turn in np.argwhere(begins >= 0):
        columns, rows = model.cells[a] + model.cells[b] - 1
        raster = flat[begins[a, b, turn] :][: rows * columns].reshape(rows, columns)
        half = (rows + 1) // 2, (columns + 1) // 2
        again = np.full((2 * half[0], 2 * half[1]), 255, dtype=np.uint8)
        for k, (row, column) in enumerate(product((0, 1), repeat=2)):
            begin = model.halves[a, b, turn] + k * half[0] * half[1]
            sieve = straight[begin:][: half[0] * half[1]]
            again[row::2, column::2] = sieve.reshape(half)
            assert np.array_equal(turned[begin:][: len(sieve)], sieve[::-1])
        assert np.array_equal(again[:rows, :columns], raster)
        assert again[rows:].sum() == 0 == again[:, columns:].sum()
    assert len(straight) == model.halves.max() + 4 * half[0] * half[1]


@settings(max_examples=many(20))
@given(bodies(), asks())
def test_an_outline_as_the_search_has_it_holds_the_piece_and_is_its_parts(body, made):
    for each in served(body, made).pieces(on_fold=False):
        raw = np.array([(p.down, p.across) for p in each.cut])
        grown = filled(raw)
        whole, parts = Polygon(grown), [Polygon(part) for part in convex_parts(grown)]
        assert Polygon(raw).difference(whole.buffer(1e-6)).area < 1e-3
        assert whole.hausdorff_distance(Polygon(raw)) <= GROW + 1e-6
        assert sum(part.area for part in parts) == pytest.approx(whole.area, rel=1e-6)
        assert all(part.convex_hull.area == pytest.approx(part.area, rel=1e-6) for part in parts)


def test_the_habit_lays_blocks_in_the_order_they_are_drafted():
    """On 100: 70 x 200, then 60 x 150 (no room beside: a new block), then 30 x 50 (beside the second)."""
    pieces = [block("front", 70, 200), block("back", 60, 150), block("band", 30, 50)]
    lay = habit(items_for(pieces, opened(100), False), opened(100))
    assert lay.length == pytest.approx(350)
    assert [(round(p.x), round(p.y)) for p in lay.placements] == [(0, 0), (200, 0), (200, 60)]
    assert habit(items_for(pieces, opened(69), False), opened(69)) is None


CLOTH = Cloth(width=Fraction(1000))
LEG = block("leg", 200, 400, 2, True)
FOUR = block("leg", 200, 400, 4, True)
BAND = block("band", 60, 300, folds=0.0)
WIDE = block("leg", 600, 400, 2, True)
HOW = [
    # fold, piece: what is placed, as copies, layers of its first way, number of ways
    ("open", LEG, [(1, (1,), 2), (1, (1,), 2)]),
    ("lengthwise-centre", LEG, [(2, (1, 2), 4)]),
    ("lengthwise-centre", BAND, [(1, (1, 2), 2)]),
    ("lengthwise-partial", WIDE, [(1, (2,), 4), (1, (2,), 4)]),
    ("selvedges-to-middle", LEG, [(2, (1, 3), 8)]),
    ("selvedges-to-middle", BAND, [(1, (1, 3), 4)]),
    ("crosswise", LEG, [(2, (1, 2), 4)]),
    ("folded-twice", FOUR, [(4, (1, 2, 3, 4), 4)]),
    ("folded-twice", LEG, [(2, (1, 2), 8)]),
    ("folded-twice", BAND, [(1, (2, 3), 4)]),
]


@pytest.mark.parametrize(("fold", "made", "placed"), HOW)
def test_what_a_fold_allows(fold, made, placed):
    items = items_for([made], folded(CLOTH, fold, 200), False)
    assert [(item.copies, item.variants[0].layers, len(item.variants)) for item in items] == placed


def test_a_fold_by_hand():
    """Two legs 200 x 400 and a band on the fold 60 x 300, on cloth 1000 wide, as each fold must lay them at best."""
    expected = {
        "open": 400,  # both legs side by side; the whole band beside them
        "lengthwise-centre": 400,  # one leg through both layers, the band on the fold beside it
        "lengthwise-partial": 700,  # folded just 200 deep: the band on the fold behind the leg
        "selvedges-to-middle": 400,
        "crosswise": 2 * 200,  # the legs' length across the cloth; the band beside them at the fold
        "folded-twice": 2 * 400,
    }
    for fold, length in expected.items():
        band = BAND if fold != "open" else block("band", 120, 300)
        first, _, steps = search([LEG, band], folded(CLOTH, fold, 200), tries=10)
        assert shortest(first, steps) == pytest.approx(length, abs=0.01), fold


def test_bound_and_use_by_hand():
    table = opened(100)
    items = items_for([block("a", 50, 100), block("b", 50, 60)], table, False)
    assert plain_bound(items, table).length == pytest.approx(100)
    assert plain_bound(items, opened(40)).length == pytest.approx(200)
    laid = Laid((Section("all", table, tuple(items), False, BestLay(Lay(table, (), 100), 0, None, None)),), None)
    assert laid.utilisation == pytest.approx(0.8)


def test_one_way_cloth_is_never_turned():
    pieces = [block("a", 90, 200), block("b", 60, 120), block("c", 50, 70)]
    first, _, steps = search(pieces, opened(150), one_way=True)
    lays = [first.lay, *(s.lay for s in steps if s.lay)]
    assert not any(placement.turned for lay in lays for placement in lay.placements)


def test_a_plan_on_a_better_lay_moves_its_marks_with_it():
    made = planned(cloth={"width": 60}, style="straight-trousers", pockets=["back-patch"], closure="fly")
    section = made.laid.sections[0]
    better = [s.lay for s in islice(improve(section.items, section.best.lay, 0, 1), 12) if s.lay]
    moved = with_lays(made, [better[-1]])
    assert moved.laid.length < made.laid.length
    assert moved.yardage.length < made.yardage.length
    assert [m.call.length.mm for m in moved.marks if m.call.length and m.call.stage != "place"] == pytest.approx(
        [m.call.length.mm for m in made.marks if m.call.length and m.call.stage != "place"]
    )
    assert moved.yardage.buy == pytest.approx(-(-moved.yardage.length // 457.2) * 457.2)


def test_several_processes_agree_on_one_lay_and_stop_when_nobody_wants_them():
    made = planned(cloth={"width": 60}, style="straight-trousers", pockets=["back-patch"], closure="fly")
    said = []
    for step in race(made.laid, 60, 1, wanted=lambda: not any(one.news for one in said)):
        said.append(step)
    assert said[-1].gone < 60
    lengths = [step.length for step in said]
    assert lengths == sorted(lengths, reverse=True)
    assert lengths[-1] < made.laid.length
    assert said[-1].bound >= made.laid.bound
    assert faults(said[-1].lays[0], made.laid.pieces, False) == []


def test_what_is_proved_to_be_shortest_ends_the_search():
    made = planned(cloth={"width": 45})
    said = list(race(made.laid, 60, 1))
    last = said[-1]
    assert last.done
    found = with_lays(made, last.lays, last.bounds).laid
    assert found.bound <= found.length <= found.bound + 2.6


BROKEN = {
    "no corner": (),
    "two corners": ((0, 0), (100, 0)),
    "no surface": ((0, 0), (100, 0), (200, 0)),
    "a bow tie": ((0, 0), (100, 100), (100, 0), (0, 100)),
    "a corner nowhere": ((0, 0), (100, 0), (float("nan"), 100)),
}


@pytest.mark.parametrize("corners", BROKEN.values(), ids=BROKEN)
def test_a_piece_that_is_none_is_refused_by_its_name(corners):
    ring = tuple(Point(*corner) for corner in corners)
    broken = replace(block("b", 90, 200), cut=ring, net=ring)
    with pytest.raises(CuttingError) as refused:
        items_for([block("a", 90, 200), broken], opened(150), False)
    assert [(problem.code, str(problem.where)) for problem in refused.value.problems] == [("lay.broken", "lay.t.b")]


def test_five_hundred_pieces_get_a_lay():
    """Ten kinds, fifty of each: never longer than the habit, checked exactly."""
    kinds = [block(f"k{k}", 40 + 13 * k, 70 + 17 * k) for k in range(10)]
    pieces = [replace(one, id=f"{one.id}-{n}") for one in kinds for n in range(50)]
    items = items_for(pieces, opened(1500), False)
    first = first_lay(items, opened(1500), False)
    assert len(first.lay.placements) == 500
    assert first.bound.length <= first.lay.length <= first.habit
    assert faults(first.lay, pieces, False) == []


def test_a_search_goes_on_from_what_another_one_found():
    """Told of a shorter lay it says nothing that is not shorter still."""
    section = planned(
        cloth={"width": 60}, style="straight-trousers", pockets=["back-patch"], closure="fly"
    ).laid.sections[0]
    items, start = section.items, section.best.lay
    alone = [step.lay for step in islice(improve(items, start, 0, 1), 25) if step.lay]
    assert alone[-1].reach < start.reach
    said = [step.lay for step in islice(improve(items, start, 0, 2, elsewhere=lambda: alone[-1]), 25) if step.lay]
    assert all(lay.reach < alone[-1].reach for lay in said[1:])
    assert [faults(lay, section.pieces, False) for lay in said] == [[]] * len(said)
