"""What is to be bought for all orders that wait: of their plans, without what is on the shelf or cut."""

from datetime import timedelta

import pytest
from django.utils import timezone

LATE = str(timezone.localdate() + timedelta(days=300))


def bought(owner, until=LATE):
    return owner.get("/shopping", until=until)


def test_cloth_and_notions_of_every_planned_order_are_added_up(owner, order):
    before = bought(owner)
    assert {one["planned"] for one in before["orders"]} == {False}
    assert (before["cloths"], before["notions"]) == ([], [])
    # Some are not measured yet, some have another cloth.
    made = [owner("POST", f"/orders/{one['id']}/plan?cloth=main") for one in before["orders"]]
    plans = [answer["plan"] for status, answer in made if status == 200]
    lined = {one["id"] for one in before["orders"] if owner.get(f"/orders/{one['id']}")["other_cloth"]}
    linings = [owner("POST", f"/orders/{id}/plan?cloth=other")[1]["plan"] for id in lined]
    now = bought(owner)
    assert sum(one["planned"] for one in now["orders"]) == len(plans) > 1
    cut = sum(plan["yardage"]["length_mm"] for plan in [*plans, *linings] if plan["yardage"])
    assert sum(one["length_mm"] for one in now["cloths"]) == pytest.approx(cut)
    wanted = sum(one["count"] for plan in plans for one in plan["notions"] if one["code"] != "interfacing")
    assert sum(one["count"] for one in now["notions"]) == wanted
    assert len({(one["name"], one["length_mm"]) for one in now["notions"]}) == len(now["notions"])


def test_only_what_is_promised_by_the_day_and_not_cut_or_called_off(owner, order, new_id):
    owner("POST", f"/orders/{order['id']}/plan")
    day = order["promised_on"]
    assert order["id"] in {one["id"] for one in bought(owner, day)["orders"]}
    assert all(one["promised_on"] <= day for one in bought(owner, day)["orders"])
    for state in ("cut", "called_off"):
        step = new_id()
        assert owner("PUT", f"/steps/{step}", {"order": order["id"], "state": state})[0] == 200
        assert order["id"] not in {one["id"] for one in bought(owner)["orders"]}
        assert owner("DELETE", f"/steps/{step}")[0] in (200, 204)
    assert order["id"] in {one["id"] for one in bought(owner)["orders"]}


def test_cloth_that_is_kept_on_the_shelf_is_not_bought(owner, order, new_id):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]
    whole = sum(one["length_mm"] for one in bought(owner)["cloths"])
    on_shelf = {key: order["cloth"][key] for key in ("kind", "colour", "width")} | {"name": "Bolt", "form": "bolt"}
    kept = owner("PUT", f"/shelf/{new_id()}", on_shelf)[1]
    assert owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": kept["id"]})[0] == 200
    owner("POST", f"/orders/{order['id']}/plan")
    assert sum(one["length_mm"] for one in bought(owner)["cloths"]) == pytest.approx(
        whole - made["yardage"]["length_mm"]
    )


def test_as_many_queries_for_many_orders_as_for_few_and_no_other_workshop_s(owner, order, stranger, new_id):
    def asked(until):
        queries, answer = owner.counted(f"/shopping?until={until}")
        return len(answer["orders"]), queries

    few, many = asked(order["promised_on"]), asked(LATE)
    assert few[0] < many[0]
    assert few[1] == many[1]
    assert bought(stranger)["orders"] == []
    assert owner("GET", "/shopping?until=soon")[0] == 422
    assert owner("GET", "/shopping")[0] == 422
