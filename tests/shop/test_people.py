"""Roles: who may see and change what; the way in by invitation; a workshop is never left without an owner."""

import re

import pytest
from django.test import Client as Http
from django.utils import timezone

from demo.people import TEAM
from shop.accounts.models import Invitation, Message, User
from shop.accounts.rights import RIGHTS, ROLES
from shop.api.api import api
from shop.clients.models import HouseCorrection
from tests.shop.bodies import DOT, order_that_is_ready

HELD = {
    "owner": set(RIGHTS),
    "cutter": {
        "contacts",
        "clients",
        "measure",
        "orders",
        "lays",
        "steps",
        "chalk",
        "cut",
        "sew",
        "fit",
        "money",
        "practise",
    },
    "apprentice": {"measure", "lays", "steps", "chalk", "sew", "practise"},
    "sewer": {"steps", "sew", "practise"},
}


@pytest.mark.parametrize("role", ROLES)
def test_each_role_holds_its_rights_and_is_told_so(team, role):
    me = team[role].get("/session")
    assert (me["role"], set(me["rights"])) == (role, HELD[role])


def test_every_write_asks_for_its_right(team, order, new_id):
    """Each write as each role: 403 exactly where the right is not held, and then nothing has changed."""
    client, sheet, garment, cloth = order["client"], order["sheet"], order["garments"][0], order["cloth"]
    made = team["owner"]("POST", f"/orders/{order['id']}/plan")[1]
    plan, placements = made["id"], made["plan"]["lay"]["placements"]
    tick = {"order": order["id"], "plan": plan, "stamp": made["stamp"], "call": 1}
    chalk = team["owner"]("PUT", f"/ticks/{new_id()}", tick)[1]["id"]
    tape = {"chalk": chalk, "garment": "trousers", "panel": "front", "tape": 0}
    other = next(one["id"] for one in team["owner"].get("/orders") if one["id"] != order["id"] and one["measured"] > 8)
    theirs = team["owner"]("POST", f"/orders/{other}/plan")[1]
    ready = order_that_is_ready(team["owner"])
    begun = {"order": other, "plan": theirs["id"], "stamp": theirs["stamp"], "call": 1}
    to_cut = team["owner"]("PUT", f"/ticks/{new_id()}", begun)[1]["id"]
    keys = {"measure": "inseam", "typed": "30"}
    plain = {key: order[key] for key in ("version", "title", "promised_on")}
    rule = HouseCorrection(
        workshop=User.objects.get(username="ebba").workshop, kind="lower", method="quarter-hip", choice="seat_raise",
        by="9.525", found=5, fittings=7,
    )  # fmt: skip
    rule.save()
    day = str(timezone.localdate())
    writes = [
        ("clients", "PUT", f"/clients/{new_id()}", {"name": "New"}),
        ("clients", "POST", "/book", {"text": ""}),
        ("measure", "PUT", f"/readings/{new_id()}", {"sheet": sheet["id"], "key": keys["measure"], "typed": keys["typed"]}),
        ("measure", "PUT", f"/overrulings/{new_id()}", {"sheet": sheet["id"], "key": "hip"}),
        ("measure", "POST", f"/sheets/{sheet['id']}/turn", {"unit": "in"}),
        ("measure", "POST", f"/sheets/{sheet['id']}/file", {"text": "point,typed"}),
        ("orders", "PUT", f"/orders/{order['id']}", plain | {"client": client["id"], "sheet": sheet["id"], "cloth": cloth["id"]}),
        ("orders", "PUT", f"/garments/{garment['id']}", {key: garment[key] for key in garment if key != "id"}),
        ("orders", "PUT", f"/orders/{order['id']}/outfit", {"garments": [garment]}),
        ("orders", "PUT", f"/cloths/{cloth['id']}", {key: cloth[key] for key in cloth if key != "id"}),
        ("orders", "PUT", f"/house-rules/{new_id()}", {"name": "Ours", "method": "quarter-hip", "choices": {}}),
        ("lays", "PUT", f"/lay-runs/{new_id()}", {"plan": plan}),
        ("lays", "PUT", f"/plans/{plan}/hand", {"id": new_id(), "placements": placements}),
        ("orders", "PUT", f"/shelf/{new_id()}", {"name": "Ours", "form": "bolt", "kind": "wool", "colour": "#202020", "width": "60"}),
        ("orders", "PUT", f"/orders/{order['id']}/shelf", {"shelf": None}),
        ("orders", "PUT", f"/orders/{new_id()}/again", {"of": order["id"], "promised_on": order["promised_on"]}),
        ("steps", "PUT", f"/steps/{new_id()}", {"order": order["id"], "state": "sewing"}),
        ("steps", "POST", f"/orders/{order['id']}/passed", {"station": "design"}),
        ("fit", "PUT", f"/photos/{new_id()}", {"order": order["id"], "taken_on": "2026-11-01", "picture": DOT}),
        ("fit", "PUT", f"/fitting-corrections/{new_id()}", {"order": order["id"], "sign": "seat_tight", "cure": "tip_more", "pinned": "1/8", "fitted_on": "2026-11-01"}),
        ("lays", "POST", f"/plans/{plan}/search", None),
        ("chalk", "PUT", f"/ticks/{new_id()}", tick | {"call": 2}),
        ("chalk", "PUT", f"/tape-readings/{new_id()}", tape),
        ("chalk", "POST", f"/chalks/{chalk}/rub-out", None),
        ("cut", "POST", f"/chalks/{to_cut}/cut", None),
        ("contacts", "GET", "/book", None),
        ("contacts", "GET", f"/clients/{client['id']}/export?kind=vcard", None),
        ("remove", "GET", f"/clients/{client['id']}/export", None),
        ("remove", "POST", f"/clients/{client['id']}/merge", {"other": client["id"]}),
        ("people", "GET", "/people", None),
        ("people", "GET", "/work", None),
        ("workshop", "POST", "/archive", None),
        ("workshop", "DELETE", f"/house-corrections/{rule.id}", None),
        ("people", "PUT", f"/invitations/{new_id()}", {"name": "Ivo", "role": "sewer"}),
        ("people", "PUT", f"/password-links/{new_id()}", {"person": str(User.objects.get(username="a-sewer").id)}),
        ("workshop", "PUT", f"/hours/{User.objects.get(username='a-cutter').id}", {"skills": ["cut"], "week": [[]] * 7}),
        ("workshop", "POST", f"/hours/{User.objects.get(username='ebba').id}/feed", None),
        ("orders", "PUT", f"/away/{new_id()}", {"person": str(User.objects.get(username="a-sewer").id), "first": day, "last": day}),
        ("orders", "PUT", f"/client-days/{new_id()}", {"order": order["id"], "kind": "fit", "day": day}),
        ("orders", "PUT", f"/schedules/{new_id()}", None),
        ("orders", "POST", f"/orders/{other}/moves", {"kinds": ["pack"], "person": str(User.objects.get(username="ebba").id), "day": day}),
        ("money", "GET", "/prices", None),
        ("money", "GET", f"/orders/{order['id']}/money", None),
        ("money", "PUT", f"/payments/{new_id()}", {"order": order["id"], "amount": "5", "paid": "0.00"}),
        ("money", "POST", "/quick-prices", {"styles": ["palazzo"], "look": "middle", "width": "58 in"}),
        ("workshop", "PUT", "/prices", {"rate": "30"}),
        ("contacts", "GET", "/reminders", None),
        ("contacts", "PUT", f"/reminders/{new_id()}", {"order": ready, "kind": "ready"}),
        ("workshop", "GET", "/workshop", None),
        ("workshop", "GET", "/installation", None),
        ("workshop", "PATCH", "/workshop", {"paper": "Letter"}),
        ("workshop", "PUT", "/workshop/unit", {"unit": "in"}),
        ("people", "GET", "/tablets", None),
        ("people", "PUT", f"/tablets/{new_id()}", {"name": "Table"}),
        ("people", "PUT", f"/people/{User.objects.get(username='a-cutter').id}", {"role": "cutter"}),
    ]  # fmt: skip
    for right, method, path, body in writes:
        for role in reversed(ROLES):
            answer = team[role].http.generic(method, f"/api{path}", as_json(body), content_type="application/json")
            allowed = right in HELD[role]
            assert (answer.status_code == 200) == allowed, (role, method, path, answer.content)
            if not allowed:
                assert answer.status_code == 403
                assert re.match(r"This is for an owner", answer.json()["title"])
    assert team["sewer"]("DELETE", f"/clients/{client['id']}")[0] == 403


def as_json(body):
    import json

    return "" if body is None else json.dumps(body)


def test_no_write_is_forgotten_in_the_table_of_rights(team, order):
    """Every path that writes refuses a sewer, but for the plan, the session and what only reads."""
    free = {"/orders/{id}/plan", "/flat", "/plans/{id}/number", "/drafts/{method}/number"}
    # How far an order is and what is sewn everybody may say, and everybody may practise.
    free |= {"/steps/{id}", "/orders/{id}/passed", "/drill-answers/{id}", "/call-answers/{id}", "/sewn/{id}"}
    # Trying a cure keeps nothing.
    free |= {"/orders/{id}/cures"}
    # Asking what could be promised neither.
    free |= {"/promises", "/hours/{id}/moves"}
    described = api.get_openapi_schema(path_prefix="/")
    for path, methods in described["paths"].items():
        for method, about in methods.items():
            if method == "get" or path.startswith(("/session", "/tape/")) or path in free:
                continue
            answer = team["sewer"].http.generic(
                method.upper(),
                f"/api{path.replace('{id}', order['id'])}",
                as_json(body_for(about, described)),
                content_type="application/json",
            )
            assert answer.status_code == 403, (method, path, answer.status_code, answer.content)


def body_for(about, described):
    """A body with every field a path asks for."""
    schema = about.get("requestBody", {}).get("content", {}).get("application/json", {}).get("schema", {})
    if "$ref" in schema:
        schema = described["components"]["schemas"][schema["$ref"].rpartition("/")[2]]
    some = {"string": "x", "integer": 1, "boolean": False, "object": {}, "number": 1, "array": []}
    body = {}
    for name, one in schema.get("properties", {}).items():
        if name not in schema.get("required", []):
            continue
        known = {
            "uuid": "00000000-0000-4000-8000-000000000000", "date": "2026-01-01",
        }.get(one.get("format", ""), some.get(one.get("type", ""), "x"))  # fmt: skip
        known = None if "anyOf" in one else known
        body[name] = one["enum"][0] if "enum" in one else "#000000" if "pattern" in one else one.get("default", known)
    return body


def test_a_sewer_sees_no_phone_numbers(team, order):
    assert order["client"]["phone"] == "0555 014 220"
    for role in ("sewer", "apprentice"):
        who = team[role]
        everything = [
            who.get("/clients"),
            who.get(f"/orders/{order['id']}"),
            who.get(f"/clients/{order['client']['id']}"),
        ]
        assert "014 220" not in str(everything)
        assert who.get("/clients", find="014220") == []
        assert [one["name"] for one in who.get("/clients", find="marit")] == ["Marit Sol"]


def test_an_apprentice_measures_and_it_is_said_who_did(team, order, new_id):
    body = {"sheet": order["sheet"]["id"], "key": "inseam", "typed": "30"}
    assert team["apprentice"]("PUT", f"/readings/{new_id()}", body)[1]["taken_by"] == "a-apprentice"


def invite(owner, new_id, **more):
    made = owner("PUT", f"/invitations/{new_id()}", {"name": "Ivo", "role": "sewer", "to": "ivo@quay.test"} | more)[1]
    return made, made["link"].rpartition("/")[2]


def test_an_invitation_is_sent_followed_once_and_then_gone(owner, new_id):
    made, token = invite(owner, new_id)
    message = Message._base_manager.get()
    assert made["link"] in message.text
    guest = Http()
    assert guest.get(f"/api/session/join/{token}").json() == {
        "workshop": "Harbour Lane Workshop",
        "name": "Ivo",
        "role": "sewer",
        "user_name": "",
        "first": False,
        "unit": "in",
    }
    body = as_json({"user_name": "ivo", "password": "boat-house-lamp"})
    joined = guest.post(f"/api/session/join/{token}", body, content_type="application/json")
    assert joined.status_code == 200
    assert joined.json()["role"] == "sewer"
    assert guest.get("/api/orders").status_code == 200
    again = Http().post(f"/api/session/join/{token}", body.replace("ivo", "ivo2"), content_type="application/json")
    assert again.status_code == 404
    team = owner.get("/people")
    assert team["invitations"] == []
    assert {one["user_name"] for one in team["people"]} == {"ebba", "ivo"} | {
        f"{one['name'].lower()}-of-ebba" for one in TEAM
    }


@pytest.mark.parametrize(
    ("body", "where"),
    [
        ({"user_name": "ebba", "password": "boat-house-lamp"}, "user_name"),
        ({"user_name": "a b", "password": "boat-house-lamp"}, "user_name"),
        ({"user_name": "", "password": "boat-house-lamp"}, "user_name"),
        ({"user_name": "ivo", "password": "short"}, "password"),
        ({"user_name": "ivo", "password": "password123"}, "password"),
        ({"user_name": "ivoholmstrand", "password": "ivoholmstrand"}, "password"),
    ],
)
def test_a_wrong_joining_is_refused_at_its_field_and_the_link_stays_good(owner, new_id, body, where):
    _, token = invite(owner, new_id)
    answer = Http().post(f"/api/session/join/{token}", as_json(body), content_type="application/json")
    assert answer.status_code == 422
    assert answer.json()["problems"][0]["where"] == where
    assert answer.json()["problems"][0]["mend"]
    assert Http().get(f"/api/session/join/{token}").status_code == 200


def test_an_old_a_withdrawn_and_an_invented_link_lead_nowhere(owner, new_id):
    made, token = invite(owner, new_id)
    Invitation._base_manager.update(expires_at="2026-01-01T00:00Z")
    assert Http().get(f"/api/session/join/{token}").status_code == 404
    made, token = invite(owner, new_id)
    assert owner("DELETE", f"/invitations/{made['id']}")[0] == 204
    assert Http().get(f"/api/session/join/{token}").status_code == 404
    assert Http().get("/api/session/join/x").status_code == 404


def test_the_last_owner_stays_and_one_who_is_let_go_is_out(owner, team):
    ebba = User.objects.get(username="ebba")
    for body in ({"role": "cutter"}, {"role": "owner", "works_here": False}):
        status, said = owner("PUT", f"/people/{ebba.id}", body)
        assert status == 422
        assert "no owner" in said["title"]
    cutter = User.objects.get(username="a-cutter")
    assert owner("PUT", f"/people/{cutter.id}", {"role": "cutter", "works_here": False})[0] == 200
    assert team["cutter"]("GET", "/orders")[0] == 401
