"""Several clients' outfits on one cloth: spread by spread, every client's pieces together, the calls the same."""

from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from cutting.cloth import Cloth
from cutting.dividing import SPREAD
from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job
from cutting.job import GarmentAsk, Job, Outfit
from cutting.lay import faults
from cutting.lengths import inch
from cutting.plan import by_hand, plan
from tests.conftest import many
from tests.jobs import FIVE, job
from tests.strategies import asks, bodies, served


def several(count, **changes):
    """A job file for the five invented bodies over and over, each half a cm larger than the last."""
    raw = job(cloth={"width": 60}, style="straight-trousers", pockets=["back-patch"])
    sizes = [
        {key: value + k / 2 for key, value in list(FIVE.values())[k % 5].items()} for k in range(count)
    ]  # fmt: skip
    others = [{"id": f"c{k}", "measurements": one, "garments": raw["garments"]} for k, one in enumerate(sizes[1:], 1)]
    return (
        raw
        | {"unit": "cm", "measurements": sizes[0], "others": others, "cloth": raw["cloth"] | {"width": "60 in"}}
        | changes
    )


@settings(max_examples=many(10))
@given(st.lists(bodies(), min_size=2, max_size=4), asks(), st.sampled_from(["auto", "open", "lengthwise-centre"]))
def test_every_piece_of_everybody_lies_once_and_is_called_as_alone(people, made, fold):
    method, ask = made
    for body in people:
        served(body, made)
    asked = (GarmentAsk("t", "straight-trousers", method, ask),)
    alone = [Job("cm", body, asked, Cloth(width=inch(70).size, fold=fold)) for body in people]
    others = tuple(Outfit(f"c{k}", body, asked) for k, body in enumerate(people[1:], 1))
    whole = plan(replace(alone[0], others=others), by_width=False)
    assert {piece.id for piece in whole.laid.pieces if piece.garment == "t"} == {
        piece.id for piece in plan(alone[0], by_width=False).laid.pieces
    }
    for section in whole.laid.sections:
        if section.best is not None:
            assert faults(section.best.lay, section.pieces, False) == []
    for k, one in enumerate(alone):
        name = f"c{k}.t" if k else "t"
        own = [mark.call for mark in whole.marks if mark.garment == name and mark.call.stage != "place"]
        single = plan(one, by_width=False)
        if fold == "auto" and single.laid.fold != whole.laid.fold:
            continue  # together they fit another fold; what is cut on it is called by its half there
        calls = [mark.call for mark in single.marks if mark.call.stage != "place"]
        lengths = [
            sorted((c.panel, c.name, c.length.mm if c.length else 0.0) for c in of if c.kind != "slit")
            for of in (own, calls)
        ]
        assert lengths[0] == lengths[1]


def test_a_crew_is_cut_spread_by_spread_and_nobody_is_torn_apart():
    made = plan(read_job(several(12)), by_width=False)
    sections = made.laid.sections
    assert [one.name for one in sections] == [f"spread-{k}" for k in range(1, len(sections) + 1)]
    assert len(sections) > 1
    owners = [{piece.garment for piece in one.pieces} for one in sections]
    assert sum(map(len, owners)) == 12 == len(set().union(*owners))
    assert all(len(one.pieces) <= SPREAD for one in sections)
    lay = plan_to_wire(made)["lay"]
    assert [one["cut"] for one in lay["sections"]][:2] == ["Spread 1", "Spread 2"]
    order = [lay["placements"][mark["placing"]]["section"] for mark in plan_to_wire(made)["marks"]]
    assert order == sorted(order)
    assert by_hand(made, list(made.laid.placements())).laid.length == pytest.approx(made.laid.length)


def test_a_spread_is_never_longer_than_its_outfits_one_after_the_other():
    made = plan(read_job(several(5)), by_width=False)
    raw = several(5)
    each = [one["measurements"] for one in (raw, *raw["others"])]
    alone = [plan(read_job(raw | {"others": [], "measurements": one}), by_width=False).laid for one in each]
    assert made.laid.length <= sum(one.length for one in alone) + 0.01
    assert made.laid.bound >= max(one.bound for one in alone)


@pytest.mark.parametrize(
    ("change", "where"),
    [
        (lambda raw: raw["others"][1].update(id="c1"), "others.c1"),
        (lambda raw: raw["others"][0].update(id="Marit Sol"), "others.Marit Sol"),
        (lambda raw: raw["others"][0]["measurements"].pop("hip"), "others.c1.measurements.hip"),
        (lambda raw: raw["others"][0]["measurements"].update(hip="a lot"), "others.c1.measurements.hip"),
        (lambda raw: raw["others"][0].update(garments=[]), "others.c1.garments"),
        (lambda raw: raw.update(others=raw["others"] * 20), "others"),
    ],
)
def test_what_is_wrong_with_another_outfit_is_said_with_its_place(change, where):
    raw = several(4)
    change(raw)
    with pytest.raises(CuttingError) as refused:
        plan(read_job(raw), by_width=False)
    assert where in {str(problem.where) for problem in refused.value.problems}
