"""The cloth shelf: what lies on it, what is kept for an order, and what an order takes over from it."""

import pytest

from cutting.cloth import FOLDS

LENGTH = {
    "name": "A length of twill", "form": "length", "kind": "twill", "colour": "#204060", "width": "58 in", "length": "100 in",
    "one_way": True, "shrink_percent": "3", "price": "5,50",
}  # fmt: skip


def kept(owner, new_id, **changes):
    status, row = owner("PUT", f"/shelf/{new_id()}", LENGTH | changes)
    assert status == 200, row
    return row


def test_a_cloth_is_put_on_the_shelf_changed_and_taken_off(owner, new_id):
    row = kept(owner, new_id)
    assert row["id"] in {one["id"] for one in owner("GET", "/shelf")[1]}
    changed = owner("PUT", f"/shelf/{row['id']}", LENGTH | {"version": row["version"], "length": "90 in"})[1]
    assert (changed["length"], changed["version"]) == ("90 in", 2)
    stale = owner("PUT", f"/shelf/{row['id']}", LENGTH | {"version": 1, "length": "80 in"})
    assert stale[0] == 409
    owner("PUT", f"/shelf/{row['id']}", LENGTH | {"version": 2, "length": "90 in", "removed": True})
    assert row["id"] not in {one["id"] for one in owner("GET", "/shelf")[1]}


@pytest.mark.parametrize(
    ("changes", "where"),
    [
        ({"width": "4"}, "width"),
        ({"price": "dear"}, "price"),
        ({"length": "soon"}, "length"),
        ({"repeat": "120"}, "repeat"),
    ],
)
def test_what_cannot_be_a_cloth_is_refused_at_its_field(owner, new_id, changes, where):
    status, told = owner("PUT", f"/shelf/{new_id()}", LENGTH | changes)
    assert status == 422
    assert [problem["where"].rpartition(".")[2] for problem in told["problems"]] == [where]


def test_an_order_takes_over_what_is_kept_for_it_and_its_plan_knows(owner, order, new_id):
    row = kept(owner, new_id)
    told = owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": row["id"]})[1]
    assert told["shelf"] == row["id"]
    for key in ("kind", "colour", "width", "length", "one_way", "shrink_percent", "price"):
        assert told["cloth"][key] == LENGTH[key]
    assert told["cloth"]["fold"] == order["cloth"]["fold"]
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]
    assert not any(placement["turned"] for placement in plan["lay"]["placements"])
    assert plan["yardage"]["cost"] is not None
    shown = next(one for one in owner("GET", "/shelf")[1] if one["id"] == row["id"])
    assert [one["title"] for one in shown["kept_for"]] == [order["title"]]
    assert owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": None})[1]["shelf"] is None


def test_a_length_is_kept_for_one_order_a_bolt_for_many(owner, new_id):
    first, second = (one["id"] for one in owner("GET", "/orders")[1][:2])
    length, bolt = kept(owner, new_id), kept(owner, new_id, form="bolt", length="")
    assert owner("PUT", f"/orders/{first}/shelf", {"shelf": length["id"]})[0] == 200
    status, told = owner("PUT", f"/orders/{second}/shelf", {"shelf": length["id"]})
    assert status == 422
    assert "is kept for" in told["title"]
    for order in (first, second):
        assert owner("PUT", f"/orders/{order}/shelf", {"shelf": bolt["id"]})[0] == 200
    shown = next(one for one in owner("GET", "/shelf")[1] if one["id"] == bolt["id"])
    assert len(shown["kept_for"]) == 2


@pytest.mark.parametrize("fold", FOLDS)
def test_every_fold_makes_a_plan_or_says_why_not(owner, order, fold):
    cloth = order["cloth"] | {"fold": fold, "width": "60 in"}
    assert owner("PUT", f"/cloths/{cloth['id']}", cloth)[0] == 200
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]
    assert plan["fold"] == fold
    section = plan["lay"]["sections"][0]
    assert section["fold"] == fold
    assert section["say"]
    assert {mark["placing"] is not None for mark in plan["marks"]} == {True}
