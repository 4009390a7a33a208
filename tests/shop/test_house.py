"""What a workshop settles: its unit, its days, its allowances; what a person settles."""

import json
from datetime import UTC, datetime
from uuid import UUID

import pytest
from django.utils import timezone

from shop.accounts.models import User, Workshop
from shop.accounts.rights import ROLES
from shop.cloths.models import Cloth
from shop.orders.models import HouseRule
from shop.orders.unit import write_out
from tests.shop.conftest import Caller


def settled(owner, **changes):
    status, shown = owner("PATCH", "/workshop", changes)
    assert status == 200, shown
    return shown


def test_only_an_owner_settles_and_only_what_is_given_changes(owner):
    here = User.objects.get(username="ebba").workshop
    for role in ROLES[1:]:
        other = Caller(User.objects.create(username=f"a-{role}", workshop=here, role=role))
        assert other("GET", "/workshop")[0] == other("PATCH", "/workshop", {"paper": "Letter"})[0] == 403
        assert other("PUT", "/workshop/unit", {"unit": "cm"})[0] == 403
        assert other("PATCH", "/session/own", {"single_keys": False})[1]["single_keys"] is False
    before = owner.get("/workshop")
    shown = settled(owner, heading="  Quay 3,\n old  harbour ", paper="Letter", name=None)
    assert shown == before | {"heading": "Quay 3, old harbour", "paper": "Letter"}
    assert owner.get("/session")["heading"] == "Quay 3, old harbour"


@pytest.mark.parametrize(
    ("changes", "says"),
    [
        ({"name": " "}, "Type a name"),
        ({"time_zone": "Europe/Nowhere"}, "no time zone Europe/Nowhere"),
        ({"paper": "A3"}, "'A4' or 'Letter'"),
        ({"allowances": {"lower": {"side": "9"}}}, "9 in"),
        ({"allowances": {"lower": {"elbow": "1"}}}, "elbow"),
        ({"allowances": {"lower": {"side": "wide"}}}, "wide"),
        ({"allowances": {"shoe": {"side": "1"}}}, "shoe"),
    ],
)
def test_what_cannot_be_settled_says_so_and_changes_nothing(owner, changes, says):
    before = owner.get("/workshop")
    status, shown = owner("PATCH", "/workshop", changes)
    assert 400 <= status < 500
    assert says in str(shown), shown
    assert owner.get("/workshop") == before


def test_a_new_garment_starts_from_the_workshops_allowances(owner, order, new_id):
    settled(owner, allowances={"lower": {"side": "1 1/4"}, "top": {"neck": "3/8"}})
    body = {"version": 0, "order": order["id"], "name": "second", "style": "palazzo", "method": "", "choices": {}}
    made = owner("PUT", f"/garments/{new_id()}", body)[1]
    assert made["choices"]["allowances"] == {"side": "1 1/4"}
    chosen = owner("PUT", f"/garments/{new_id()}", body | {"name": "third", "choices": {"hem": "2"}})[1]
    assert chosen["choices"] == {"hem": "2"}, "what is sent is what is kept"
    halves = {"top": {"style": "bodice", "choices": {}}, "lower": {"style": "palazzo", "choices": {"hem": "2"}}}
    suit = body | {"name": "suit", "style": "jumpsuit", "choices": halves}
    made = owner("PUT", f"/garments/{new_id()}", suit)[1]["choices"]
    assert made["top"]["choices"] == {"allowances": {"neck": "3/8"}}, "each half by its own kind"
    assert made["lower"]["choices"] == {"hem": "2"}


def test_the_same_for_another_is_the_same_though_the_workshop_settled_something_since(owner, order, new_id):
    settled(owner, allowances={"top": {"neck": "3/8"}})
    halves = {"top": {"style": "bodice", "choices": {}}, "lower": {"style": "palazzo", "choices": {}}}
    suit = {"version": 0, "order": order["id"], "name": "suit", "style": "jumpsuit", "method": "", "choices": halves}
    made = owner("PUT", f"/garments/{new_id()}", suit)[1]
    settled(owner, allowances={"top": {"neck": "1/4"}, "lower": {"side": "1"}})
    again = owner("PUT", f"/orders/{new_id()}/again", {"of": order["id"], "promised_on": order["promised_on"]})[1]
    copied = next(one for one in again["garments"] if one["name"] == "suit")
    assert copied["choices"] == made["choices"]


def test_the_unit_turns_and_every_length_keeps_its_size(owner, stranger, order, new_id):
    cloth = order["cloth"] | {"width": "45", "length": "4 yd", "trim": "1/2", "price": "9.144"}
    owner("PUT", f"/cloths/{cloth.pop('id')}", cloth)
    garment = order["garments"][0]
    chosen = {"hem": "2", "crotch_depth": "hip/4+1", "allowances": {"side": "1 1/4"}}
    put = {key: garment[key] for key in ("version", "order", "name", "style", "method")} | {"choices": chosen}
    assert owner("PUT", f"/garments/{garment['id']}", put)[0] == 200
    owner("PUT", f"/house-rules/{new_id()}", {"name": "Ours", "method": "quarter-hip", "choices": {"hem": "3"}})
    settled(owner, allowances={"lower": {"side": "1"}})
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    tick = {"order": order["id"], "plan": made["id"], "stamp": made["stamp"], "call": 1}
    assert owner("PUT", f"/ticks/{new_id()}", tick)[0] == 200
    before = owner.get(f"/orders/{order['id']}")
    theirs = Workshop.objects.get(name="Elsewhere")
    Cloth(id=UUID(new_id()), workshop=theirs, kind="wool", colour="#202020", width="150", fold="auto").save()
    assert owner("PUT", "/workshop/unit", {"unit": "cm"})[1]["turning_to"] == "cm"
    status, shown = owner("PUT", f"/cloths/{before['cloth']['id']}", {k: v for k, v in before["cloth"].items() if k != "id"} | {"width": "50"})  # fmt: skip
    assert (status, shown["code"]) == (409, "turning")
    here = User.objects.get(username="ebba").workshop
    write_out(here.id)
    write_out(here.id)  # the queue may bring it twice
    after = owner.get(f"/orders/{order['id']}")
    now = {key: after["cloth"][key] for key in ("width", "length", "trim", "price")}
    assert now == {"width": "45 in", "length": "4 yd", "trim": "1/2 in", "price": "10.00"}
    assert after["garments"][0]["choices"] == {
        "hem": "2 in",
        "crotch_depth": "hip/4+1",
        "allowances": {"side": "1 1/4 in"},
    }
    assert after["cloth"]["version"] == before["cloth"]["version"] + 1
    assert after["sheet"]["readings"] == before["sheet"]["readings"], "a sheet has a unit of its own"
    assert HouseRule.of(here).get(name="Ours").choices == {"hem": "3 in"}
    assert owner.get("/workshop")["allowances"] == {"lower": {"side": "1 in"}}
    assert Cloth.of(theirs).get(kind="wool").width == "150"
    me = owner.get("/session")
    assert (me["unit"], me["turning_to"]) == ("cm", "")
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]
    assert plan["unit"] == "cm"
    hem = next(edge for panel in plan["panels"] for edge in panel["edges"] if edge["name"] == "hem")
    assert hem["allowance_mm"] == pytest.approx(50.8)
    chalked = owner("POST", f"/orders/{order['id']}/plan?chalked=true")[1]
    assert chalked["newer"] == ["unit: in before, cm now"], "the chalk stays, and nothing else is said to be otherwise"
    for one in owner.get("/orders"):
        status, shown = owner("POST", f"/orders/{one['id']}/plan")
        missing = {problem["code"] for problem in (shown or {}).get("problems", [])}
        assert status == 200 or missing <= {"measure.missing", "measure.either"}, missing


def test_a_page_of_before_the_turn_writes_no_length(owner, order):
    """It says in which unit it reads what is typed; 50 of it would be another length now."""
    write = {key: value for key, value in order["cloth"].items() if key != "id"} | {"width": "50"}

    def put(unit):
        return owner.http.put(
            f"/api/cloths/{order['cloth']['id']}", json.dumps(write), "application/json", headers={"Plavet-Unit": unit}
        )  # fmt: skip

    refused = put("cm")
    assert (refused.status_code, refused.json()["code"]) == (409, "turned")
    assert "inches now" in refused.json()["title"]
    assert owner.get(f"/orders/{order['id']}")["cloth"]["width"] == order["cloth"]["width"]
    assert owner.http.get("/api/session", headers={"Plavet-Unit": "cm"}).status_code == 200
    assert put("in").status_code == 200
    assert owner.get(f"/orders/{order['id']}")["cloth"]["width"] == "50"


def test_a_workshops_day_begins_at_its_own_midnight(owner, order, new_id, monkeypatch):
    late = datetime(2026, 11, 23, 11, 30, tzinfo=UTC)
    monkeypatch.setattr(timezone, "now", lambda: late)
    days = []
    for zone in ("Pacific/Kiritimati", "", "Pacific/Honolulu"):
        settled(owner, time_zone=zone)
        made = owner("PUT", f"/corrections/{new_id()}", {"sheet": order["sheet"]["id"]})[1]
        days.append(made["taken_on"])
    assert days == ["2026-11-24", "2026-11-23", "2026-11-23"]
