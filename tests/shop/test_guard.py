"""What is one client's, one person's, one workshop's stays so; twins of a write are one; no one holds everybody's queue."""

import csv
import json
import unicodedata

from django.core.cache import cache
from django.test import Client as Http

from shop.accounts.models import Invitation, User, Workshop
from shop.clients.models import Client
from shop.orders.models import Order
from shop.plans.models import LayRun
from tests.shop.conftest import Caller


def order_body(order, **other):
    plain = {key: order[key] for key in ("version", "title", "promised_on")}
    return plain | {key: order[key]["id"] for key in ("client", "sheet", "cloth")} | other


def test_a_sheet_and_an_order_stay_with_their_client(owner, order, new_id):
    """Else erasing the one would fail on, or leave, the measures of the other."""
    other = owner("PUT", f"/clients/{new_id()}", {"name": "Somebody Else"})[1]["id"]
    sheet = {key: order["sheet"][key] for key in ("version", "taken_on", "unit", "waist")}
    status, refused = owner("PUT", f"/sheets/{order['sheet']['id']}", sheet | {"client": other})
    assert (status, refused["code"]) == (422, "other_client")
    theirs = owner("PUT", f"/sheets/{new_id()}", sheet | {"version": 0, "client": other})[1]["id"]
    for wrong in ({"sheet": theirs}, {"client": other}, {"client": other, "sheet": theirs}):
        status, refused = owner("PUT", f"/orders/{order['id']}", order_body(order, **wrong))
        assert (status, refused["code"]) == (422, "other_client"), wrong
    assert owner("PUT", f"/orders/{new_id()}", order_body(order, version=0, sheet=theirs))[0] == 422
    assert owner("DELETE", f"/clients/{other}")[0] == 200
    assert owner("DELETE", f"/clients/{order['client']['id']}")[0] == 200
    assert not Order._base_manager.filter(pk=order["id"]).exists()


def test_two_entries_brought_together_keep_both_numbers_where_a_sewer_does_not_read_them(owner, order, new_id):
    ids = [new_id(), new_id()]
    for one, phone in zip(ids, ("0555 014 220", "0555 014 999"), strict=True):
        owner(
            "PUT",
            f"/clients/{one}",
            {"name": "Ada", "phone": phone, "email": f"{phone[-3:]}@example.org", "note": phone[-3:]},
        )
    kept = owner("POST", f"/clients/{ids[0]}/merge", {"other": ids[1]})[1]
    assert kept["phone"] == "0555 014 220, 0555 014 999"
    assert kept["email"] == "220@example.org, 999@example.org"
    assert kept["note"] == "220\n999"
    assert [one["id"] for one in owner.get("/clients", find="014999")] == [ids[0]]
    sewer = Caller(User.objects.create(username="s", workshop=User.objects.get(username="ebba").workshop, role="sewer"))
    shown = sewer.get(f"/clients/{ids[0]}")
    assert (shown["phone"], shown["email"], shown["note"]) == ("", "", "220\n999")
    long = owner("PUT", f"/clients/{ids[1]}", {"name": "Ada", "phone": "0" * 110})[1]
    status, refused = owner("POST", f"/clients/{ids[0]}/merge", {"other": long["id"]})
    assert (status, refused["code"]) == (422, "merge")


def test_who_is_let_go_stays_outside(owner, new_id):
    """Neither by a link made before, nor by the session of before when they come back."""
    ebba = User.objects.get(username="ebba")
    partner = User.objects.create(username="partner", workshop=ebba.workshop, role="owner")
    partner.set_password("a long enough word")
    partner.save()
    http = Http()
    typed = {"user_name": "partner", "password": "a long enough word"}
    assert http.post("/api/session", typed, content_type="application/json").status_code == 200
    link = new_id()
    assert (
        http.put(
            f"/api/invitations/{link}", {"name": "Me", "role": "owner"}, content_type="application/json"
        ).status_code
        == 200
    )
    token = Invitation._base_manager.get(pk=link).token
    assert owner("PUT", f"/people/{partner.id}", {"role": "owner", "works_here": False})[0] == 200
    assert http.get("/api/session").status_code == 401
    assert Http().get(f"/api/session/join/{token}").status_code == 404
    joins = {"user_name": "again", "password": "a long enough word"}
    assert Http().post(f"/api/session/join/{token}", joins, content_type="application/json").status_code == 404
    assert owner("PUT", f"/people/{partner.id}", {"role": "owner", "works_here": True})[0] == 200
    assert http.get("/api/session").status_code == 401
    assert http.post("/api/session", typed, content_type="application/json").status_code == 200


def test_a_new_password_ends_every_other_session_and_one_may_leave_everywhere(owner, db):
    ebba = User.objects.get(username="ebba")
    typed = {"user_name": "ebba", "password": "three-tables"}
    here, there = Http(), Http()
    for http in (here, there):
        assert http.post("/api/session", typed, content_type="application/json").status_code == 200
    for old, new, where in (
        ("wrong", "a quite long word", "old_password"), ("three-tables", "short", "password"),
        ("three-tables", " " * 12, "password"), ("three-tables", "password123", "password"),
        ("three-tables", "aaaaaaaaaaaa", "password"),
    ):  # fmt: skip
        refused = here.post(
            "/api/session/password", {"old_password": old, "password": new}, content_type="application/json"
        )
        assert (refused.status_code, refused.json()["problems"][0]["where"]) == (422, where)
    fresh = {"old_password": "three-tables", "password": " a quite long word "}
    assert here.post("/api/session/password", fresh, content_type="application/json").status_code == 204
    assert (here.get("/api/session").status_code, there.get("/api/session").status_code) == (200, 401)
    again = {"user_name": "ebba", "password": " a quite long word "}
    assert there.post("/api/session", again, content_type="application/json").status_code == 200
    assert here.post("/api/session/everywhere").status_code == 204
    assert (here.get("/api/session").status_code, there.get("/api/session").status_code) == (401, 401)
    ebba.refresh_from_db()
    assert ebba.era == 1


def test_a_user_name_is_of_plain_letters_and_one_of_a_kind(owner, new_id):
    link = new_id()
    owner("PUT", f"/invitations/{link}", {"name": "Nils", "role": "sewer"})
    token = Invitation._base_manager.get(pk=link).token
    for name in ("", "a b", "\u0435bba", "EBBA", "-x", "x/y"):
        body = {"user_name": name, "password": "a quite long word"}
        refused = Http().post(f"/api/session/join/{token}", body, content_type="application/json")
        assert (refused.status_code, refused.json()["problems"][0]["where"]) == (422, "user_name"), name


def test_no_cell_of_a_file_is_a_formula_and_no_name_a_second_card(owner, order, new_id):
    client, sheet = new_id(), new_id()
    for mark in ("\r", "\n", "\t"):
        assert owner("PUT", f"/clients/{client}", {"name": f"Ada{mark}FN:Eve"})[0] in (200, 409)
    assert owner("PUT", f"/clients/{new_id()}", {"name": "Ada\u2028FN:Eve"})[0] == 400
    assert owner("PUT", f"/clients/{new_id()}", {"name": "Ada\x85FN:Eve"})[0] == 400
    assert [
        line for line in owner.raw("GET", f"/clients/{client}/export?kind=vcard").splitlines() if line.startswith("FN")
    ] == ["FN:Ada FN:Eve"]
    owner("PUT", f"/sheets/{sheet}", {"client": client, "taken_on": "2026-01-02", "unit": "in"})
    for note in ("=1+1", "\uff1d1+1", "  =1+1", "+1", "@x"):
        owner(
            "PUT",
            f"/readings/{new_id()}",
            {"sheet": sheet, "key": "hip", "typed": "40", "note": note},
        )
    odd = {"sheet": sheet, "key": "hip", "typed": "40", "way": "=1+1"}
    assert owner("PUT", f"/readings/{new_id()}", odd)[0] == 422
    table = list(csv.reader(owner.raw("GET", f"/clients/{client}/export?kind=csv").splitlines()))
    cells = [cell for row in table for cell in row]
    assert "'=1+1" in cells
    assert not [one for one in cells if unicodedata.normalize("NFKC", one).lstrip()[:1] in tuple("=+-@")]


def test_one_person_has_three_searches_at_once_and_stands_behind_who_has_none(owner, order, new_id):
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]["id"]
    for _ in range(3):
        assert owner("PUT", f"/lay-runs/{new_id()}", {"plan": plan, "seconds": 600})[0] == 200
    status, refused = owner("PUT", f"/lay-runs/{new_id()}", {"plan": plan})
    assert (status, refused["code"]) == (429, "busy")
    ebba = User.objects.get(username="ebba")
    other = Caller(User.objects.create(username="other", workshop=ebba.workshop, role="cutter"))
    assert other("PUT", f"/lay-runs/{new_id()}", {"plan": plan})[0] == 200
    LayRun._base_manager.filter(changed_by=ebba).update(state=LayRun.DONE)
    assert owner("PUT", f"/lay-runs/{new_id()}", {"plan": plan})[0] == 200


def test_an_id_of_another_workshop_is_not_there_for_any_write(owner, order, stranger, new_id):
    """It is neither taken nor told: for a search, a lay by hand, a cut, an overruling, a reading."""
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]
    run, reading, ruling = new_id(), new_id(), new_id()
    sheet = order["sheet"]["id"]
    owner("PUT", f"/lay-runs/{run}", {"plan": plan["id"]})
    owner("PUT", f"/readings/{reading}", {"sheet": sheet, "key": "hip", "typed": "41"})
    owner("PUT", f"/overrulings/{ruling}", {"sheet": sheet, "key": "hip"})
    client, theirs = new_id(), new_id()
    stranger("PUT", f"/clients/{client}", {"name": "Theirs"})
    stranger("PUT", f"/sheets/{theirs}", {"client": client, "taken_on": "2026-01-02", "unit": "cm"})
    stranger("PUT", f"/readings/{new_id()}", {"sheet": theirs, "key": "hip", "typed": "100"})
    for method, path, body in (
        ("PUT", f"/readings/{reading}", {"sheet": theirs, "key": "hip", "typed": "101"}),
        ("PUT", f"/overrulings/{ruling}", {"sheet": theirs, "key": "hip"}),
        ("PUT", f"/lay-runs/{run}", {"plan": plan["id"]}),
        ("PUT", f"/plans/{plan['id']}/hand", {"id": run, "placements": []}),
        ("PUT", f"/corrections/{sheet}", {"sheet": theirs}),
        ("PUT", f"/sheets/{sheet}", {"client": client, "taken_on": "2026-01-02", "unit": "cm"}),
    ):
        assert stranger(method, path, body)[0] == 404, path


def test_an_order_without_a_garment_is_said_in_words(owner, order, new_id):
    bare = new_id()
    assert owner("PUT", f"/orders/{bare}", order_body(order, version=0))[0] == 200
    for method, path in (("GET", "design"), ("POST", "plan"), ("GET", "group")):
        status, answer = owner(method, f"/orders/{bare}/{path}")
        assert status in (200, 422), path
        assert status == 200 or answer["title"]
    assert "no garment yet" in owner("GET", f"/orders/{bare}/design")[1]["title"]


def test_an_order_comes_with_its_garments_or_not_at_all(owner, order, new_id):
    fresh, first = new_id(), {"id": new_id(), "name": "trousers", "style": "palazzo"}
    wrong = {"id": new_id(), "name": "top", "style": "no such style"}
    status, refused = owner("PUT", f"/orders/{fresh}", order_body(order, version=0, garments=[first, wrong]))
    assert status == 422, refused
    assert not Order._base_manager.filter(pk=fresh).exists()
    good = order_body(order, version=0, garments=[first, wrong | {"style": "straight-top"}])
    made = [owner("PUT", f"/orders/{fresh}", good) for _ in range(2)]
    assert made[0] == made[1]
    assert [one["style"] for one in made[0][1]["garments"]] == ["palazzo", "straight-top"]
    assert made[0][1]["garments"][0]["choices"] == {"crotch_depth": "rise"}


def test_no_more_is_kept_than_there_is_room_for_and_it_is_said_when_to_come_again(owner, order, new_id, monkeypatch):
    mine = Client.of(User.objects.get(username="ebba").workshop)
    monkeypatch.setattr(Client, "MOST", mine.count() + 1)
    assert owner("PUT", f"/clients/{new_id()}", {"name": "Ada"})[0] == 200
    status, refused = owner("PUT", f"/clients/{new_id()}", {"name": "Bo"})
    assert (status, refused["code"]) == (422, "full")
    known = order["client"]
    assert refused["title"].startswith(f"There are {mine.count()} clients already")
    assert owner("PUT", f"/clients/{known['id']}", {"version": known["version"], "name": "Marit"})[0] == 200
    monkeypatch.setattr("shop.clients.sheets.MOST_READINGS", len(order["sheet"]["readings"]) + 1)
    one = {"sheet": order["sheet"]["id"], "key": "hip", "typed": "41"}
    assert [owner("PUT", f"/readings/{new_id()}", one)[0] for _ in range(2)] == [200, 422]
    monkeypatch.setattr("shop.plans.searches.MOST_OF_AN_ORDER", 4)
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]
    monkeypatch.setattr("shop.plans.pace.MOST_A_MINUTE", 0)
    refusals = [
        owner.http.get(f"/api/orders/{order['id']}/design"),
        owner.http.get("/api/drafts/quarter-hip"),
        owner.http.get(f"/api/plans/{plan['id']}/widths"),
    ]
    assert [answer.status_code for answer in refusals] == [429] * 3
    assert all(0 < int(answer["Retry-After"]) <= 60 for answer in refusals)
    # A plan that is there already costs nothing.
    assert owner("POST", f"/orders/{order['id']}/plan")[0] == 200
    searched = [owner("PUT", f"/lay-runs/{new_id()}", {"plan": plan["id"], "seconds": 60}) for _ in range(4)]
    assert [status for status, _ in searched] == [200, 200, 200, 429]
    assert "wait about 60 s" in searched[-1][1]["title"]
    body = json.dumps({"plan": plan["id"]})
    answer = owner.http.put(f"/api/lay-runs/{new_id()}", body, content_type="application/json")
    assert (answer.status_code, answer["Retry-After"]) == (429, "60")
    hand = {"placements": plan["plan"]["lay"]["placements"]}
    laid = [owner("PUT", f"/plans/{plan['id']}/hand", hand | {"id": new_id()}) for _ in range(2)]
    assert [status for status, _ in laid] == [200, 422]


def test_one_person_takes_a_workshop_no_more_than_its_share(owner, order, new_id, monkeypatch):
    """What a person may, all of a workshop may not at once; another workshop is not held up by it."""
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]
    ebba = User.objects.get(username="ebba")
    others = [Caller(User.objects.create(username=f"c{k}", workshop=ebba.workshop, role="cutter")) for k in range(2)]
    monkeypatch.setattr("shop.plans.searches.MOST_OF_ALL", 4)
    asked = [one("PUT", f"/lay-runs/{new_id()}", {"plan": plan["id"]}) for one in (owner, *others) for _ in range(2)]
    assert [status for status, _ in asked] == [200] * 4 + [429] * 2
    assert asked[-1][1]["title"].startswith("4 searches of your workshop wait")
    cache.clear()
    monkeypatch.setattr("shop.plans.pace.MOST_OF_ALL", 2)
    monkeypatch.setattr("shop.plans.pace.time", lambda: 6e8)
    drafts = [one("GET", "/drafts/quarter-hip") for one in (owner, *others)]
    assert [status for status, _ in drafts] == [200, 200, 429]
    assert "More than 2 drafts of this workshop" in drafts[-1][1]["title"]
    elsewhere = User.objects.create(username="away", workshop=Workshop.objects.create(name="Elsewhere", unit="in"))
    assert Caller(elsewhere)("GET", "/drafts/quarter-hip")[0] == 200
    cache.clear()
