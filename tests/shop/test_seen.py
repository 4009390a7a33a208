"""Nobody sees or takes along a client's contacts or measures without its being noted, for the owner to read."""

import re
from datetime import timedelta

import pytest
from django.test import Client as Http
from django.utils import timezone
from procrastinate.contrib.django import app

from shop.accounts.models import User
from shop.api.api import api
from shop.clients.models import Seen
from shop.clients.seen import KEPT_FOR, forget_old
from tests.shop.conftest import Caller

OF_A_BODY = re.compile(
    r"/(orders/.+(?<!/chalk)(?<!/sewn)(?<!/alterations)(?<!/tasks)(?<!/code)(?<!/money)(?<!/quote)(?<!/ticket)|sheets/.+|clients/.+|drafts/.+\?sheet=.+)$"
)
"""What is chalked says nothing of a body, and is asked every few seconds."""
PHONE, TYPED, MM = "0777 123 457", "41 5/16", "1049.3375"


@pytest.fixture
def known(owner, order, new_id):
    """The order, its client with a number and a reading like nobody else's."""
    client = order["client"]
    owner("PUT", f"/clients/{client['id']}", {"version": client["version"], "name": client["name"], "phone": PHONE})
    owner("PUT", f"/readings/{new_id()}", {"sheet": order["sheet"]["id"], "key": "hip", "typed": TYPED})
    Seen._base_manager.all().delete()
    return owner("GET", f"/orders/{order['id']}")[1]


@pytest.fixture
def cutter(owner):
    workshop = User.objects.get(username="ebba").workshop
    return User.objects.create(username="c", first_name="Cai", workshop=workshop, role="cutter")


def test_what_shows_a_clients_own_values_is_noted_on_every_path(known, cutter):
    """Every address of the schema that is read is called by a cutter and by an owner; each answer is searched."""
    owner = User.objects.create(username="o2", workshop=cutter.workshop, role="owner")
    ids = {"orders": known["id"], "sheets": known["sheet"]["id"], "clients": known["client"]["id"]}
    showed = set()
    for who in (cutter, owner):
        call = Caller(who)
        plan = call("POST", f"/orders/{known['id']}/plan")[1]["id"]
        for path, ways in api.get_openapi_schema(path_prefix="/")["paths"].items():
            if "get" not in ways or path == "/session/join/{token}":
                continue
            kind = path.split("/")[1]
            there = path.replace("{id}", ids.get(kind, plan)).replace("{method}", "quarter-hip")
            if "{method}" in path:
                there += f"?sheet={ids['sheets']}"
            for query in ("", "?kind=csv", "?kind=vcard") if path.endswith("/export") else ("",):
                Seen._base_manager.all().delete()
                answer = call.http.get(f"/api{there}{query}")
                text = answer.content.decode(errors="replace")
                rows = {(row.client_id and str(row.client_id), row.what) for row in Seen.of(who.workshop)}
                if any(value in text for value in (PHONE, TYPED, MM)):
                    showed.add(path + query)
                    assert rows, path + query
                    assert {client for client, _ in rows} <= {None, ids["clients"]}, path + query
                # Also what is made of measures without showing them as they were typed.
                assert rows or answer.status_code != 200 or not OF_A_BODY.match(there), path
                assert all(row.changed_by == who for row in Seen.of(who.workshop))
        Seen._base_manager.all().delete()
        call("POST", f"/orders/{known['id']}/plan")
        assert [row.what for row in Seen.of(who.workshop)] == ["measures"]
    assert showed >= {
        "/clients", "/clients/{id}", "/clients/{id}/export?kind=csv", "/clients/{id}/export?kind=vcard", "/book",
        "/clients/{id}/export", "/clients/{id}/sheets", "/sheets/{id}", "/sheets/{id}/readings", "/orders/{id}",
        "/orders/{id}/group",
    }  # fmt: skip


def test_an_owner_reads_who_saw_what_and_nobody_else(owner, known, cutter, stranger):
    call = Caller(cutter)
    for _ in range(3):
        call("GET", f"/sheets/{known['sheet']['id']}")
    call.raw("GET", "/book")
    lately = owner.get("/seen")
    assert [(row["who"], row["what"], row["client_name"], row["times"]) for row in lately[:2]] == [
        ("Cai", "book", "", 1), ("Cai", "measures", known["client"]["name"], 3),
    ]  # fmt: skip
    of_one = owner.get("/seen", client=known["client"]["id"])
    assert {row["client"] for row in of_one} == {known["client"]["id"]}
    assert call("GET", "/seen")[0] == 403
    assert stranger("GET", "/seen")[1] == []
    assert stranger("GET", f"/seen?client={known['client']['id']}")[1] == []
    assert Http().get("/api/seen").status_code == 401


def test_what_was_seen_goes_with_the_client_comes_along_when_merged_and_is_not_kept_for_ever(
    owner, known, cutter, new_id
):
    call, other = Caller(cutter), new_id()
    owner("PUT", f"/clients/{other}", {"name": "Ada"})
    call("GET", f"/clients/{other}")
    call("GET", f"/clients/{known['client']['id']}")
    call("GET", f"/sheets/{known['sheet']['id']}")
    owner("POST", f"/clients/{other}/merge", {"other": known["client"]["id"]})
    mine = [row for row in owner.get("/seen", client=other) if row["who"] == "Cai"]
    assert sorted((row["what"], row["times"]) for row in mine) == [("contacts", 1), ("measures", 1)]
    owner("DELETE", f"/clients/{other}")
    assert not Seen._base_manager.filter(client=other).exists()
    Caller(cutter).raw("GET", "/book")
    old = timezone.localdate() - KEPT_FOR - timedelta(days=1)
    Seen._base_manager.filter(changed_by=cutter, what="book").update(day=old)
    assert forget_old() == 1


def test_what_is_too_old_is_forgotten_every_night():
    """The queue has both by its own clock."""
    nightly = {periodic.task.name for periodic in app.periodic_registry.periodic_tasks.values()}
    assert nightly >= {"forget_old_seen", "forget_ended_sessions"}
