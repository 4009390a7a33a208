"""Cloth that is folded anew for each part: every section a lay of its own, one after the other."""

from fractions import Fraction

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon

from cutting.cloth import FOLDS, Cloth
from cutting.dividing import first_laid
from cutting.errors import CuttingError
from cutting.formats import plan_to_wire
from cutting.lay import faults
from cutting.laying import Laying
from cutting.plan import by_hand
from cutting.searching import search
from tests.conftest import many
from tests.jobs import planned
from tests.strategies import asks, bodies, served


@settings(max_examples=many(30))
@given(bodies(), asks(), st.integers(36, 70), st.booleans(), st.sampled_from(("auto", *FOLDS)))
def test_each_part_lies_whole_in_its_own_section(body, made, inches, one_way, back):
    """Every piece once; each section sound on its own fold; nothing takes less than its outlines and more than asked."""
    garment = served(body, made)
    cloth = Cloth(width=inches * Fraction(254, 10), fold="sections", one_way=one_way, sections=(("back", back),))
    laid = first_laid(Laying(cloth, ((garment,),)))
    assert sorted(piece.id for piece in laid.pieces) == sorted(piece.id for piece in garment.pieces(True))
    if back != "auto":
        assert all(one.table.fold == back for one in laid.sections if one.name == "back")
    assert laid.fits == all(section.best is not None for section in laid.sections)
    for section in laid.sections:
        mains = {piece.panel for piece in section.pieces} & {"front", "leg", "back"}
        assert mains <= {"front": {"front", "leg"}, "back": {"back"}, "rest": set()}[section.name]
        if section.best is not None:
            assert faults(section.best.lay, section.pieces, one_way) == []
            table = section.table
            cuts = {piece.id: piece.cut for piece in section.pieces}
            shapes = [Polygon(p.outline(cuts[p.piece])) for p in section.best.lay.placements]
            far = max(shape.bounds[3 if table.crosswise else 2] for shape in shapes)
            assert section.best.lay.length == pytest.approx(far * table.times, abs=0.02)
    if laid.fits:
        assert laid.bound - 0.01 <= laid.length <= (laid.habit or laid.length) + 0.01
        assert laid.length == pytest.approx(sum(section.best.lay.length for section in laid.sections))


def test_a_section_is_folded_as_its_shortest_first_lay_asks():
    """Held against each fold laid by itself; and the fold across the grain is never chosen by itself."""
    cloth = {"width": 60, "fold": "sections", "sections": {"rest": "open"}}
    made = planned(cloth=cloth, style="straight-trousers", pockets=["back-patch"])
    laying = Laying(made.job.cloth, (made.garments,))
    assert [section.name for section in made.laid.sections] == ["front", "back", "rest"]
    for section in made.laid.sections[:2]:
        only = {piece.id for piece in section.pieces}
        tried = {fold: laying.section(made.job.cloth, fold, "", only).best for fold in FOLDS}
        along = [lays.lay.length for fold, lays in tried.items() if lays and fold not in ("crosswise", "folded-twice")]
        assert section.best.lay.length == min(along)


def test_small_parts_lie_beside_the_legs_where_that_costs_nothing():
    """On cloth that holds one leg beside its small parts, two sections are as short as the legs one after the other."""
    made = planned(cloth={"width": 60, "fold": "sections"}, style="straight-trousers", pockets=["back-patch"])
    assert [section.name for section in made.laid.sections] == ["front", "back"]
    legs = [piece.height for piece in made.laid.pieces if piece.panel in ("front", "back")]
    assert made.laid.length == pytest.approx(sum(legs))


def test_the_price_of_sections_and_their_calls_in_their_order():
    cloth = {"width": 60, "fold": "sections", "sections": {"rest": "lengthwise-centre"}}
    made = planned(cloth=cloth, style="straight-trousers", pockets=["back-patch"])
    plain = planned(cloth={"width": 60}, style="straight-trousers", pockets=["back-patch"])
    assert made.laid.one_fold == plain.laid.length
    wire = plan_to_wire(made)
    lay, pieces = wire["lay"], {piece["id"]: piece for piece in wire["pieces"]}
    sections = lay["sections"]
    assert [one["from_mm"] for one in sections[1:]] == [one["to_mm"] for one in sections[:-1]]
    assert sections[-1]["to_mm"] == pytest.approx(lay["length_mm"])
    order = [lay["placements"][mark["placing"]]["section"] for mark in wire["marks"]]
    assert order == sorted(order)
    assert set(order) == {0, 1, 2}
    for mark in wire["marks"]:
        placed = lay["placements"][mark["placing"]]
        (_, (x, y)), size = mark["cloth_mm"], sections[placed["section"]]
        assert mark["panel"] == pieces[placed["piece"]]["panel"]
        assert -90 < x < size["extent_mm"] + 90
        assert -90 < y < size["depth_mm"] + 90


def test_the_search_shortens_each_section_and_says_where_it_stands():
    made = planned(
        cloth={"width": 60, "fold": "sections"}, style="straight-trousers", closure="fly",
        pockets=["back-patch", "in-seam"],
    )  # fmt: skip
    said = list(search(made.laid, 60, 1, processes=1))
    assert [one.tried for one in said] == sorted(one.tried for one in said)
    assert [one.length for one in said] == sorted((one.length for one in said), reverse=True)
    last = said[-1]
    assert last.bound <= last.length <= made.laid.length
    for section, lay, bound in zip(made.laid.sections, last.lays, last.bounds, strict=True):
        assert faults(lay, section.pieces, False) == []
        assert section.best.bound.length <= bound.length <= lay.length


def test_a_piece_moved_by_hand_stays_in_its_section():
    made = planned(cloth={"width": 60, "fold": "sections"}, style="straight-trousers", pockets=["back-patch"])
    placed = list(made.laid.placements())
    assert by_hand(made, placed).laid.length == pytest.approx(made.laid.length)
    number = next(k for k, (section, _) in enumerate(placed) if section == 1)
    for wrong in (0, 2, 3):
        moved = [(wrong if k == number else section, one) for k, (section, one) in enumerate(placed)]
        with pytest.raises(CuttingError, match="by_hand"):
            by_hand(made, moved)
