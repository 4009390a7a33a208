"""The cloth shelf: what is on it, what is kept for an order, and what an order takes over from it."""

import pytest

from cutting.cloth import FOLDS
from cutting.lengths import read

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
    status, given = owner("PUT", f"/shelf/{new_id()}", LENGTH | changes)
    assert status == 422
    assert [problem["where"].rpartition(".")[2] for problem in given["problems"]] == [where]


def test_an_order_takes_over_what_is_kept_for_it_and_its_plan_knows(owner, order, new_id):
    row = kept(owner, new_id)
    sections = {"back": "open"}
    owner("PUT", f"/cloths/{order['cloth']['id']}", order["cloth"] | {"sections": sections})
    given = owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": row["id"]})[1]
    assert given["cloth"]["sections"] == sections
    assert given["shelf"] == row["id"]
    for key in ("kind", "colour", "width", "length", "one_way", "shrink_percent", "price"):
        assert given["cloth"][key] == LENGTH[key]
    assert given["cloth"]["fold"] == order["cloth"]["fold"]
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
    status, given = owner("PUT", f"/orders/{second}/shelf", {"shelf": length["id"]})
    assert status == 422
    assert "is kept for" in given["title"]
    for order in (first, second):
        assert owner("PUT", f"/orders/{order}/shelf", {"shelf": bolt["id"]})[0] == 200
    shown = next(one for one in owner("GET", "/shelf")[1] if one["id"] == bolt["id"])
    assert len(shown["kept_for"]) == 2


def test_what_is_cut_is_taken_off_the_shelf_once_and_put_back(owner, order, new_id):
    """100 in less what the lay takes; said twice it is one cut; a length is free for others then."""
    row, other = kept(owner, new_id, length="140 in"), owner("GET", "/orders")[1][1]["id"]
    owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": row["id"]})
    answer = owner("POST", f"/orders/{order['id']}/plan")[1]
    needs, cut = answer["plan"]["yardage"]["length_mm"], new_id()

    def on_shelf():
        return next((one for one in owner("GET", "/shelf")[1] if one["id"] == row["id"]), None)

    for _ in range(2):
        status, given = owner("PUT", f"/plans/{answer['id']}/cut", {"id": cut})
        assert status == 200, given
    assert (given["cut"]["id"], given["cut"]["length_mm"]) == (cut, pytest.approx(needs))
    left = float(read(on_shelf()["length"], "in"))
    assert left == pytest.approx(140 * 25.4 - needs, abs=25.4 / 32 + 0.01)
    assert on_shelf()["kept_for"] == []
    assert "cut already" in owner("PUT", f"/plans/{answer['id']}/cut", {"id": new_id()})[1]["title"]
    assert "cut from" in owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": None})[1]["title"]
    assert owner("PUT", f"/orders/{other}/shelf", {"shelf": row["id"]})[0] == 200

    undone = owner("POST", f"/cuts/{cut}/undo")[1]
    assert undone["cut"] is None
    assert on_shelf()["length"] == "140 in"
    assert owner("PUT", f"/plans/{answer['id']}/cut", {"id": new_id()})[0] == 200, "it can be cut after all"


@pytest.mark.parametrize(
    ("form", "length", "says"), [("length", "40", "is 40 in long"), ("bolt", "", None), ("length", "exactly", None)]
)
def test_a_cloth_that_is_too_short_unknown_or_used_up(owner, order, new_id, form, length, says):
    """Refused with both lengths; a bolt of unknown length stays so; what is used up leaves the shelf, and comes back."""
    row = kept(owner, new_id, form=form, length="" if form == "bolt" else "140 in")
    owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": row["id"]})
    answer = owner("POST", f"/orders/{order['id']}/plan")[1]
    needs = answer["plan"]["yardage"]["length_mm"]
    now = next(one for one in owner("GET", "/shelf")[1] if one["id"] == row["id"])
    measured = {"exactly": f"{needs / 10 + 2:.2f} cm"}.get(length, length)
    assert (
        owner("PUT", f"/shelf/{row['id']}", LENGTH | {"form": form, "version": now["version"], "length": measured})[0]
        == 200
    )
    cut = new_id()
    status, given = owner("PUT", f"/plans/{answer['id']}/cut", {"id": cut})
    if says:
        assert status == 422
        assert says in given["title"]
        return
    assert status == 200, given
    there = {one["id"]: one for one in owner("GET", "/shelf")[1]}
    assert (row["id"] in there) == (form == "bolt")
    owner("POST", f"/cuts/{cut}/undo")
    assert next(one for one in owner("GET", "/shelf")[1] if one["id"] == row["id"])["length"] == measured


def test_a_cloth_measured_again_is_not_put_back_over_it(owner, order, new_id, stranger):
    row = kept(owner, new_id, form="bolt", length="20 m")
    owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": row["id"]})
    plan, cut = owner("POST", f"/orders/{order['id']}/plan")[1]["id"], new_id()
    assert stranger("PUT", f"/plans/{plan}/cut", {"id": cut})[0] == 404
    version = owner("PUT", f"/plans/{plan}/cut", {"id": cut}) and owner("GET", "/shelf")[1][0]["version"]
    again = LENGTH | {"form": "bolt", "version": version, "length": "15 m"}
    assert owner("PUT", f"/shelf/{row['id']}", again)[0] == 200
    assert "measured again" in owner("POST", f"/cuts/{cut}/undo")[1]["title"]
    assert stranger("POST", f"/cuts/{cut}/undo")[0] == 404


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
