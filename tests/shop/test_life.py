"""The life of an order: most of it follows from what was done, each state can be given and taken back."""

from datetime import date, timedelta
from itertools import combinations
from uuid import uuid4

import pytest
from django.utils import timezone

from shop.clients.models import Sheet
from shop.orders.life import ORDER, state_of
from shop.orders.models import Moved


def step(owner, order, state, id=None):
    return owner("PUT", f"/steps/{id or uuid4()}", {"order": order["id"], "state": state})


def ticket(owner, order, **query):
    return next((one for one in owner.get("/orders", **query) if one["id"] == order["id"]), None)


def test_the_furthest_counts_of_what_was_done_and_what_was_said():
    assert state_of(None, False, None) == "asked"
    assert state_of(None, True, None) == "measured"
    assert state_of("agreed", True, None) == "measured"
    assert state_of("sewing", True, "cut") == "sewing"
    for early, late in combinations(ORDER, 2):
        done = late if late in ("chalked", "cut") else None
        if done:
            assert state_of(early, False, done) == late


def test_chalking_and_cutting_move_an_order_on(owner, order):
    assert order["state"] == ticket(owner, order)["state"] == "measured"
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    tick = {"order": order["id"], "plan": made["id"], "stamp": made["stamp"], "call": 1}
    chalk = owner("PUT", f"/ticks/{uuid4()}", tick)[1]
    assert ticket(owner, order)["state"] == "chalked"
    owner("POST", f"/chalks/{chalk['id']}/cut")
    assert owner.get(f"/orders/{order['id']}")["state"] == ticket(owner, order)["state"] == "cut"


def test_a_state_is_given_by_hand_with_who_and_when_and_undone_until_the_next(owner, order):
    first, second = str(uuid4()), str(uuid4())
    for _ in range(2):
        status, whole = step(owner, order, "sewing", first)
        assert (status, whole["state"]) == (200, "sewing")
    assert [(one["state"], one["by"]) for one in whole["steps"]] == [("sewing", "Ebba")]
    step(owner, order, "ready", second)
    status, refused = owner("DELETE", f"/steps/{first}")
    assert status == 422
    assert "Take that back first" in refused["title"]
    assert owner("DELETE", f"/steps/{second}")[1]["state"] == "sewing"
    assert owner("DELETE", f"/steps/{second}")[1]["state"] == "sewing"
    assert owner("DELETE", f"/steps/{first}")[1]["state"] == "measured"
    assert step(owner, order, "lost")[0] == 422


@pytest.mark.parametrize("state", ["handed_over", "called_off"])
def test_what_is_gone_leaves_the_bench_and_is_found_by_search(owner, order, state):
    step(owner, order, state)
    assert ticket(owner, order) is None
    assert ticket(owner, order, find=order["title"][2:9].upper())["state"] == state
    assert ticket(owner, order, find=order["client"]["name"][:4]) is not None
    assert owner.get("/orders", find="no such order") == []


def test_the_same_again_has_the_design_and_the_cloth_but_none_in_hand(owner, order, new_id):
    cloth = order["cloth"] | {"length": "4 yd"}
    owner("PUT", f"/cloths/{cloth['id']}", cloth)
    day, id = str(timezone.localdate() + timedelta(days=30)), new_id()
    for _ in range(2):
        status, again = owner("PUT", f"/orders/{id}/again", {"of": order["id"], "promised_on": day})
        assert status == 200, again
    assert again["promised_on"] == day
    assert again["client"]["id"] == order["client"]["id"]
    assert again["group"] == 1
    assert again["cloth"]["id"] != order["cloth"]["id"]
    assert (again["cloth"]["width"], again["cloth"]["length"]) == (order["cloth"]["width"], "")
    had, has = ([(one["style"], one["method"], one["choices"]) for one in o["garments"]] for o in (order, again))
    assert had == has
    assert len(again["sheet"]["readings"]) == len(order["sheet"]["readings"])
    assert (again["state"], again["passed"]) == ("measured", [])


def test_of_readings_more_than_a_year_old_the_same_again_is_asked_about(owner, order, new_id):
    sheets = Sheet._base_manager.filter(client=order["client"]["id"])
    body = {"of": order["id"], "promised_on": str(timezone.localdate() + timedelta(days=30))}
    sheets.update(taken_on=timezone.localdate() - timedelta(days=365))
    assert owner("PUT", f"/orders/{new_id()}/again", body)[0] == 200
    sheets.update(taken_on=date(2025, 3, 9))
    id = new_id()
    status, asked = owner("PUT", f"/orders/{id}/again", body)
    assert (status, asked["code"]) == (409, "old_readings")
    assert asked["title"].startswith(f"{order['client']['name']} was measured last on 9 March 2025, more than a year")
    assert owner("GET", f"/orders/{id}")[0] == 404
    assert owner("PUT", f"/orders/{id}/again", body | {"old": True})[1]["sheet"]["taken_on"] == "2025-03-09"


def test_a_station_is_passed_once_somebody_went_on(owner, order):
    before = order["passed"]
    for _ in range(2):
        assert owner("POST", f"/orders/{order['id']}/passed", {"station": "check"}) == (200, [*before, "check"])
    assert ticket(owner, order)["passed"] == [*before, "check"]


def test_a_day_that_is_moved_keeps_the_old_one_and_why(owner, order):
    """The last move is on the ticket; the same write again moves nothing."""
    ids = {key: order[key]["id"] for key in ("client", "sheet", "cloth")}
    first, days = order["promised_on"], [str(timezone.localdate() + timedelta(days=n)) for n in (30, 40)]
    assert ticket(owner, order)["moved_from"] is None
    for day, reason in zip(days, ("the zip came late", " the hall is booked later "), strict=True):
        now = owner.get(f"/orders/{order['id']}")
        body = ids | {"version": now["version"], "title": now["title"], "promised_on": day, "reason": reason}
        for _ in range(2):
            assert owner("PUT", f"/orders/{order['id']}", body)[0] == 200
    shown = ticket(owner, order)
    assert (shown["promised_on"], shown["moved_from"]) == (days[1], days[0])
    assert shown["moved_because"] == "the hall is booked later"
    moved = list(Moved._base_manager.order_by("created_at").values_list("was", "reason"))
    assert [(str(was), reason) for was, reason in moved] == [
        (first, "the zip came late"), (days[0], "the hall is booked later"),
    ]  # fmt: skip
    # Another title at the same day is no move.
    now = owner.get(f"/orders/{order['id']}")
    body = ids | {"version": now["version"], "title": "Anew", "promised_on": days[1]}
    assert owner("PUT", f"/orders/{order['id']}", body)[0] == 200
    assert Moved._base_manager.count() == 2
