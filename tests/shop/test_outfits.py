"""Outfits: several garments in an order, a jumpsuit of two halves, what cannot be taken off, what is shown of each part."""

import pytest
from procrastinate.contrib.django import app
from procrastinate.contrib.django.models import ProcrastinateJob

from demo import people
from setup.workers import QUEUES
from shop.cloths.models import Cloth
from shop.plans.models import PlanRun
from shop.plans.tasks import make_group_plan, make_group_widths
from tests.shop.test_design import rules

TWO, SUIT = (
    next(shown["title"] for shown in people.ORDERS if word in shown["title"]) for word in ("two-piece", "jumpsuit")
)


def opened(owner, title):
    ticket = next(one for one in owner.get("/orders") if one["title"] == title)
    return owner.get(f"/orders/{ticket['id']}")


def planned(owner, order):
    status, shown = owner("POST", f"/orders/{order['id']}/plan")
    assert status == 200, shown
    return shown["plan"]


def put(owner, order, garment, **changes):
    body = {"version": 0, "order": order["id"], "name": "top", "style": "straight-top", "method": "", "choices": {}}
    return owner("PUT", f"/garments/{garment}", body | changes)


def test_a_two_piece_is_planned_on_one_cloth(owner):
    order = opened(owner, TWO)
    plan = planned(owner, order)
    assert [one["name"] for one in order["garments"]] == ["trousers", "top"]
    assert [one["method"] for one in order["garments"]] == ["quarter-hip", "quarter-bust"]
    laid = {placing["piece"] for placing in plan["lay"]["placements"]}
    assert {"trousers.front", "trousers.back", "top.front", "top.back", "top.sleeve"} <= laid
    assert {row["garment"] for row in plan["ledger"]} == {"trousers", "top"}
    assert all(check["ok"] or check["code"] == "depth.sit" for check in plan["checks"])


def test_a_jumpsuit_holds_together_and_its_numbers_are_its_halves(owner):
    plan = planned(owner, opened(owner, SUIT))
    assert {"jumpsuit.top.front.width", "jumpsuit.lower.front.hip_width"} <= set(plan["numbers"])
    codes = {check["code"] for check in plan["checks"]}
    assert {"join.waist", "join.dart", "join.zip", "torso.sit", "cap.armhole"} <= codes
    assert all(check["ok"] or check["code"] == "depth.sit" for check in plan["checks"])


def test_a_top_is_added_in_one_write_and_taken_off_in_another(owner, order, new_id):
    top = new_id()
    # This client was measured for trousers alone: what a top needs is asked for by name.
    assert put(owner, order, top)[0] == 200
    status, shown = owner("POST", f"/orders/{order['id']}/plan")
    assert status == 422
    assert {one["where"] for one in shown["problems"]} >= {"measurements.bust", "measurements.shoulder"}
    status, kept = put(owner, order, top, version=1, method="quarter-bust", removed=True)
    assert (status, kept["removed"]) == (200, True)
    assert owner.get(f"/orders/{order['id']}")["garments"] == order["garments"]
    assert planned(owner, order)["lay"]


def test_the_last_garment_stays_and_no_name_stands_twice(owner, order, new_id):
    row = order["garments"][0]
    status, shown = owner(
        "PUT", f"/garments/{row['id']}", {key: row[key] for key in row if key != "id"} | {"removed": True}
    )
    assert (status, shown["title"]) == (422, "An order needs a garment. Add another before you take this one off.")
    assert owner.get(f"/orders/{order['id']}")["garments"] == [row]
    status, shown = put(owner, order, new_id(), name=row["name"])
    assert status == 422
    assert "called trousers already" in shown["title"]


def test_an_outfit_is_changed_whole_or_not_at_all(owner, order, new_id):
    """As two are joined: what comes, then what goes, in one write that is the same when it is sent again."""
    had, path = order["garments"][0], f"/orders/{order['id']}/outfit"
    suit = {
        "id": new_id(), "version": 0, "name": "suit", "style": "jumpsuit", "method": "",
        "choices": {"top": {"style": "bodice"}, "lower": {"style": "palazzo"}},
    }  # fmt: skip
    bad = suit | {"name": had["name"]}
    status, shown = owner("PUT", path, {"garments": [bad, had | {"removed": True, "version": had["version"] + 1}]})
    assert (status, owner.get(f"/orders/{order['id']}")["garments"]) == (422, [had]), shown
    status, shown = owner("PUT", path, {"garments": [suit, had | {"removed": True, "version": had["version"] + 1}]})
    assert (status, owner.get(f"/orders/{order['id']}")["garments"]) == (409, [had]), (
        "the second is stale: no suit either"
    )
    assert {owner("PUT", path, {"garments": [suit, had | {"removed": True}]})[0] for _ in range(2)} == {200}
    (left,) = owner.get(f"/orders/{order['id']}")["garments"]
    assert (left["id"], left["style"]) == (suit["id"], "jumpsuit")


def test_a_garment_stays_with_its_order(owner, order):
    other = opened(owner, TWO)
    row = other["garments"][0]
    status, shown = owner("PUT", f"/garments/{row['id']}", row | {"order": order["id"]})
    assert (status, shown["title"].split(".")[0]) == (422, "This garment is of another order")
    assert opened(owner, TWO)["garments"] == other["garments"]


@pytest.mark.parametrize(
    ("choices", "where"),
    [
        ({}, "garments.suit.top"),
        ({"top": {"style": "bodice"}, "lower": {"style": "sarong"}}, "garments.suit.lower.style"),
        (
            {"top": {"style": "bodice", "choices": {"sleeve": "puffed"}}, "lower": {"style": "palazzo"}},
            "garments.suit.top.choices.sleeve",
        ),
    ],
)
def test_a_jumpsuit_that_cannot_be_is_refused_at_its_half(owner, order, new_id, choices, where):
    status, shown = put(owner, order, new_id(), name="suit", style="jumpsuit", choices=choices)
    assert status == 422
    assert where in {one["where"] for one in shown["problems"]}


def test_each_part_is_asked_its_own_choices_and_what_they_change(owner):
    two, suit = opened(owner, TWO), opened(owner, SUIT)
    top = owner.get(f"/orders/{two['id']}/design", garment="top")
    assert [one["value"] for one in top["methods"]] == ["quarter-bust"]
    assert rules(top, "sleeve")["short"]["says"].startswith("sleeve length -")
    assert "front neck depth +" in rules(top, "neck_shape")["v"]["says"]
    trousers = owner.get(f"/orders/{two['id']}/design")
    assert "quarter-hip" in {one["value"] for one in trousers["methods"]}
    lower = owner.get(f"/orders/{suit['id']}/design", garment="jumpsuit", half="lower")
    joins = rules(lower, "waist_join")
    assert {rule: one["dead"] for rule, one in joins.items()} == {"darts": "", "gathers": "", "tucks": ""}
    assert set(rules(lower, "closure")) == {"back-zip", "none"}
    asked = {row["key"] for group in trousers["groups"] for row in group["rows"]}
    assert "waist_join" not in asked
    assert {"waist_finish", "belt_loops"} <= asked
    assert not {"waist_finish", "belt_loops", "band"} & {row["key"] for g in lower["groups"] for row in g["rows"]}


def test_what_a_choice_is_said_to_change_in_a_top_is_what_it_changes(owner):
    order = opened(owner, TWO)
    row = order["garments"][1]
    before = planned(owner, order)["numbers"]["top.sleeve.length"]["net_mm"]
    said = rules(owner.get(f"/orders/{order['id']}/design", garment="top"), "sleeve")["long"]["says"]
    body = {key: row[key] for key in row if key != "id"} | {"choices": {"sleeve": "long"}}
    assert owner("PUT", f"/garments/{row['id']}", body)[0] == 200
    by = (planned(owner, order)["numbers"]["top.sleeve.length"]["net_mm"] - before) / 25.4
    assert by == pytest.approx(23 / 4)
    assert "sleeve length + 5 3/4 in" in said


def test_the_same_outfit_for_a_choir_is_one_table_and_one_shopping_list(owner, new_id):
    order = opened(owner, TWO)
    planned(owner, order)
    copies = []
    for name in ("Ylva Roth", "Sivert Lund"):
        client, copy = new_id(), new_id()
        assert owner("PUT", f"/clients/{client}", {"version": 0, "name": name})[0] == 200
        asked = {"of": order["id"], "client": client}
        first, again = (owner("PUT", f"/orders/{copy}/same", asked) for _ in range(2))
        assert (first[0], first[1]) == (200, again[1]), "sent twice it is made once"
        assert [one["choices"] for one in first[1]["garments"]] == [one["choices"] for one in order["garments"]]
        copies.append(first[1])
    table = owner.get(f"/orders/{copies[0]['id']}/group")
    assert [one["name"] for one in table["members"]] == ["Runa Eik", "Sivert Lund", "Ylva Roth"]
    assert [one["planned"] for one in table["members"]] == [True, False, False]

    for key, reading in {one["key"]: one for one in order["sheet"]["readings"]}.items():
        body = {"sheet": copies[0]["sheet"]["id"], "key": key, "typed": reading["typed"]}
        assert owner("PUT", f"/readings/{new_id()}", body)[0] == 200
    lengths = [planned(owner, one)["yardage"]["length_mm"] for one in (order, copies[0])]
    table = owner.get(f"/orders/{order['id']}/group")
    (cloth,) = table["cloths"]
    assert (cloth["orders"], cloth["kind"]) == (2, "viscose")
    assert cloth["length_mm"] == pytest.approx(sum(lengths))
    assert cloth["buy_mm"] / 457.2 == pytest.approx(-(-sum(lengths) // 457.2)), "rounded up once, to half yards"
    for one in (order, owner.get(f"/orders/{copies[0]['id']}")):
        priced = one["cloth"] | {"unit_of_sale": "six-yards", "price": "4.50"}
        assert owner("PUT", f"/cloths/{priced.pop('id')}", priced)[0] == 200
        planned(owner, one)
    (cloth,) = owner.get(f"/orders/{order['id']}/group")["cloths"]
    lots = -(-sum(lengths) // (6 * 914.4))
    assert cloth["buy_mm"] == pytest.approx(lots * 6 * 914.4)
    assert cloth["cost"] == f"{lots * 6 * 4.5:.2f}"
    elastic = next(one for one in table["notions"] if one["name"].startswith("elastic"))
    assert elastic["count"] == 2


def test_a_change_is_given_to_everybody_of_the_group_and_to_nobody_else(owner, order, new_id):
    suit, client, copy = opened(owner, SUIT), new_id(), new_id()
    assert owner("PUT", f"/clients/{client}", {"version": 0, "name": "Ylva Roth"})[0] == 200
    made = owner("PUT", f"/orders/{copy}/same", {"of": suit["id"], "client": client})[1]
    row = made["garments"][0]
    body = {key: row[key] for key in row if key != "id"} | {"removed": True}
    assert put(owner, made, new_id(), name="top")[0] == 200
    assert owner("PUT", f"/garments/{row['id']}", body)[0] == 200
    assert owner("POST", f"/orders/{copy}/spread") == (200, {"orders": 1})
    assert [one["style"] for one in opened(owner, SUIT)["garments"]] == ["straight-top"]
    assert owner.get(f"/orders/{order['id']}")["garments"] == order["garments"]


def test_nobody_joins_a_group_of_another_workshop(owner, stranger, order, new_id):
    mine, theirs = new_id(), new_id()
    assert stranger("PUT", f"/clients/{theirs}", {"version": 0, "name": "Elsewhere"})[0] == 200
    assert stranger("PUT", f"/orders/{mine}/same", {"of": order["id"], "client": theirs})[0] == 404
    assert owner("PUT", f"/orders/{mine}/same", {"of": order["id"], "client": theirs})[0] == 404


def test_a_lining_has_a_cloth_of_its_own_as_soon_as_something_is_cut_from_it(owner):
    order = opened(owner, TWO)
    assert order["other_cloth"] is None
    assert owner("POST", f"/orders/{order['id']}/plan?cloth=other")[0] == 422
    row = order["garments"][1]
    body = {key: row[key] for key in row if key != "id"}
    body["choices"] = body["choices"] | {"other_cloth": ["facings"]}
    assert owner("PUT", f"/garments/{row['id']}", body)[0] == 200
    order = opened(owner, TWO)
    lining = order["other_cloth"]
    assert (lining["kind"], lining["id"]) == ("lining", opened(owner, TWO)["other_cloth"]["id"])
    main = planned(owner, order)
    status, shown = owner("POST", f"/orders/{order['id']}/plan?cloth=other")
    assert status == 200
    pieces = [{placing["piece"] for placing in plan["lay"]["placements"]} for plan in (main, shown["plan"])]
    assert pieces[1] == {"top.front-neck-facing", "top.back-neck-facing"}
    assert not pieces[0] & pieces[1]
    table = owner.get(f"/orders/{order['id']}/group")
    assert [(one["lined"], one["planned"]) for one in table["members"]] == [(True, True)]
    assert {one["kind"]: one["length_mm"] for one in table["cloths"]} == {
        "viscose": main["yardage"]["length_mm"],
        "lining": shown["plan"]["yardage"]["length_mm"],
    }
    body = {key: lining[key] for key in lining if key != "id"} | {"width": "20"}
    assert owner("PUT", f"/cloths/{lining['id']}", body)[0] == 200
    again = owner("POST", f"/orders/{order['id']}/plan?cloth=other")[1]["plan"]
    assert again["lay"]["sections"][0]["depth_mm"] in (254, 508)
    assert planned(owner, order) == main, "the main cloth's plan is the stored one"
    both = {order["cloth"]["id"], lining["id"]}
    assert Cloth._base_manager.filter(pk__in=both).count() == 2
    assert owner("DELETE", f"/clients/{order['client']['id']}")[0] == 200
    assert not Cloth._base_manager.filter(pk__in=both).exists()


def joined(owner, new_id, order, name, measured=True):
    """The same outfit for one more client, with the sizes of the first."""
    client, copy = new_id(), new_id()
    assert owner("PUT", f"/clients/{client}", {"version": 0, "name": name})[0] == 200
    made = owner("PUT", f"/orders/{copy}/same", {"of": order["id"], "client": client})[1]
    for key, reading in {one["key"]: one for one in order["sheet"]["readings"] if measured}.items():
        body = {"sheet": made["sheet"]["id"], "key": key, "typed": reading["typed"]}
        assert owner("PUT", f"/readings/{new_id()}", body)[0] == 200
    return client, owner.get(f"/orders/{copy}")


def all_on_one(owner, order):
    status, shown = owner("POST", f"/orders/{order['id']}/plan?cloth=all")
    assert status == 200, shown
    return shown


def test_all_that_are_planned_lie_on_one_cloth(owner, new_id):
    """Who is not planned, or has another cloth, is left out; the calls say whose piece it is."""
    order = opened(owner, TWO)
    assert order["group"] == 1
    assert all_on_one(owner, order)["clients"] == {"": "Runa Eik"}
    assert all_on_one(owner, order)["plan"]["lay"] == planned(owner, order)["lay"]
    (_, ylva), _, (_, odd) = (
        joined(owner, new_id, order, name, measured) for name, measured in
        (("Ylva Roth", True), ("Sivert Lund", False), ("Odd Berg", True))
    )  # fmt: skip
    assert owner.get(f"/orders/{order['id']}")["group"] == 4
    cloth = odd["cloth"] | {"width": "58 in"}
    assert owner("PUT", f"/cloths/{cloth.pop('id')}", cloth)[0] == 200
    for one in (ylva, odd):
        planned(owner, one)
    shown = all_on_one(owner, order)
    names = shown["clients"]
    assert sorted(names.values()) == ["Runa Eik", "Ylva Roth"]
    (second,) = (key for key, name in names.items() if name == "Ylva Roth")
    laid = [placing["piece"] for placing in shown["plan"]["lay"]["placements"]]
    alone = [placing["piece"] for placing in planned(owner, order)["lay"]["placements"]]
    assert sorted(laid) == sorted([*alone, *(f"{second}.{piece}" for piece in alone)])
    assert {mark["garment"] for mark in shown["plan"]["marks"]} >= {"trousers", f"{second}.trousers"}
    assert shown["plan"]["lay"]["length_mm"] < 2 * planned(owner, order)["lay"]["length_mm"] + 1
    assert all_on_one(owner, order)["id"] == shown["id"]
    group = owner.get(f"/orders/{order['id']}/group")
    assert (group["together"]["orders"], group["searching"]) == (2, 0)
    assert group["together"]["length_mm"] == pytest.approx(shown["plan"]["yardage"]["length_mm"], abs=0.01)
    assert group["together"]["length_mm"] < sum(one["length_mm"] for one in group["members"] if one["length_mm"])
    assert owner("POST", f"/plans/{shown['id']}/search")[0] == 200
    assert owner.get(f"/orders/{order['id']}/group")["searching"] == 1
    assert owner.get(f"/orders/{ylva['id']}/group")["together"] is None, "laid with other pieces first"


def test_who_is_erased_leaves_no_plan_of_several(owner, new_id):
    order = opened(owner, TWO)
    client, copy = joined(owner, new_id, order, "Ylva Roth")
    planned(owner, copy)
    run = all_on_one(owner, order)["id"]
    assert PlanRun._base_manager.filter(pk=run).exists()
    assert owner("DELETE", f"/clients/{client}")[0] == 200
    assert not PlanRun._base_manager.filter(pk=run).exists()
    assert PlanRun._base_manager.filter(order=order["id"]).exists()
    assert not PlanRun._base_manager.filter(job__has_key="others").exists()


def test_nobody_of_another_workshop_is_laid_along(owner, stranger, order):
    assert stranger("POST", f"/orders/{order['id']}/plan?cloth=all")[0] == 404


def test_many_outfits_on_one_cloth_are_planned_on_the_queue(owner, new_id, monkeypatch):
    """Who asks is asked to come again; it waits on the queue once, and then it is the same plan as one made at once."""
    order = opened(owner, TWO)
    for name in ("Nora Vik", "Per Vik"):
        _, copy = joined(owner, new_id, order, name)
        planned(owner, copy)
    at_once = all_on_one(owner, order)
    assert len(at_once["clients"]) == 3
    at_once_widths = owner.get(f"/plans/{at_once['id']}/widths")
    PlanRun._base_manager.filter(pk=at_once["id"]).delete()
    for where in ("together", "making"):
        monkeypatch.setattr(f"shop.plans.{where}.AT_ONCE", 2)
    for _ in range(2):
        answer = owner.http.post(f"/api/orders/{order['id']}/plan?cloth=all")
        assert (answer.status_code, answer.json()["code"], answer["Retry-After"]) == (409, "being_made", "2")
        assert answer.json()["title"].startswith("3 outfits on one cloth take a while")
    waiting = ProcrastinateJob.objects.filter(task_name="make_together")
    assert waiting.count() == 1
    make_group_plan(**waiting.get().args)
    made = all_on_one(owner, order)
    assert {key: made["plan"][key] for key in ("pieces", "marks", "lay")} == {
        key: at_once["plan"][key] for key in ("pieces", "marks", "lay")
    }
    assert owner("GET", f"/plans/{made['id']}/widths")[1]["code"] == "being_made"
    widths = ProcrastinateJob.objects.get(task_name="make_widths")
    assert widths.queue_name == "plan"
    make_group_widths(**widths.args)
    assert owner.get(f"/plans/{made['id']}/widths") == at_once_widths


def test_every_queue_has_a_worker():
    served = [queue for queues in QUEUES.values() for queue in queues]
    assert sorted({task.queue for task in app.tasks.values()} - {"builtin"}) == sorted(served)
