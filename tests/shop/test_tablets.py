"""A tablet at a table: people pick themselves by a short code, hold less there, and a guesser waits; the second step that
a workshop asks of its owners.
"""

import json
from datetime import timedelta
from uuid import uuid4

import pytest
from django.db.models import F
from django.test import Client as Http
from django.utils import timezone
from django_otp.oath import totp
from django_otp.plugins.otp_totp.models import TOTPDevice

from shop.accounts.models import Session, Tablet, User
from tests.shop.conftest import Caller

PASSWORD = "a long enough word"
CODE = "2580"


def sent(http, method, path, body=None):
    answer = http.generic(method, f"/api{path}", "" if body is None else json.dumps(body), "application/json")
    return answer.status_code, answer.json() if answer.content else None


@pytest.fixture
def ebba(owner):
    found = User.objects.get(username="ebba")
    found.set_password(PASSWORD)
    found.save()
    return found


@pytest.fixture
def tablet(ebba, owner):
    """A browser that an owner made a tablet and left; the owner has a short code."""
    http = Http()
    assert sent(http, "POST", "/session", {"user_name": "ebba", "password": PASSWORD})[0] == 200
    assert sent(http, "PUT", "/session/code", {"password": PASSWORD, "code": CODE}) == (200, {"on": True})
    assert sent(http, "PUT", f"/tablets/{uuid4()}", {"name": "Cutting table"})[0] == 200
    assert sent(http, "DELETE", "/session")[0] == 204
    return http


def test_one_picks_oneself_by_a_short_code_and_holds_less_there(tablet, ebba, owner):
    there = sent(tablet, "GET", "/session/tablet")[1]
    assert there == {
        "workshop": ebba.workshop.name, "name": "Cutting table",
        "people": [{"id": str(ebba.id), "name": ebba.first_name}],
    }  # fmt: skip
    assert sent(tablet, "GET", "/orders")[0] == 401
    status, me = sent(tablet, "POST", "/session/tablet", {"person": str(ebba.id), "code": " 25 80 "})
    assert (status, me["name"], me["at_tablet"]) == (200, ebba.first_name, True)
    assert {"cut", "money", "sew"} <= set(me["rights"])
    assert not {"people", "workshop", "remove"} & set(me["rights"])
    assert sent(tablet, "GET", "/orders")[0] == 200
    status, said = sent(tablet, "GET", "/workshop")
    assert status == 403
    assert said["title"].startswith("This needs your password.")
    assert sent(tablet, "PUT", f"/tablets/{uuid4()}", {"name": "Mine"})[0] == 403
    assert sent(tablet, "POST", "/session/step")[0] == 422, "no second step is begun without the password"
    # What is not used for a while has ended, long before a week.
    row = Session.objects.filter(person=ebba).latest("used_at")
    assert row.expire_date - timezone.now() < timedelta(minutes=30)
    # The password makes it a session as any other.
    assert sent(tablet, "POST", "/session", {"user_name": "ebba", "password": PASSWORD})[1]["at_tablet"] is False
    assert sent(tablet, "GET", "/workshop")[0] == 200
    assert Session.objects.filter(person=ebba).latest("used_at").expire_date - timezone.now() > timedelta(days=6)


def test_on_any_other_browser_a_code_lets_nobody_in(tablet, ebba, stranger):
    elsewhere = Http()
    assert sent(elsewhere, "GET", "/session/tablet") == (200, None)
    assert sent(elsewhere, "POST", "/session/tablet", {"person": str(ebba.id), "code": CODE})[0] == 404
    forged = Http()
    forged.cookies["plavet_tablet"] = f"{Tablet._base_manager.get().pk}:x:y"
    assert sent(forged, "POST", "/session/tablet", {"person": str(ebba.id), "code": CODE})[0] == 404
    # Neither is one of another workshop's people there, nor may that workshop take the tablet away.
    theirs = User.objects.get(username="other")
    assert sent(tablet, "POST", "/session/tablet", {"person": str(theirs.id), "code": CODE})[0] == 404
    assert stranger("DELETE", f"/tablets/{Tablet._base_manager.get().pk}")[0] == 404
    assert stranger.get("/tablets") == []


def test_a_wrong_code_makes_the_next_wait_and_the_right_one_starts_anew(tablet, ebba):
    def tried(code):
        return sent(tablet, "POST", "/session/tablet", {"person": str(ebba.id), "code": code})

    assert [tried("0001")[0] for _ in range(4)] == [401] * 4
    assert tried(CODE)[0] == 200
    assert [tried("0001")[0] for _ in range(5)] == [401] * 5
    status, said = tried(CODE)
    assert (status, said["code"]) == (429, "throttled")
    assert said["title"].startswith("Too many wrong codes. Wait a minute")
    User.objects.update(code_wrong_at=F("code_wrong_at") - timedelta(minutes=1))
    assert tried("0001")[0] == 401
    assert tried(CODE)[1]["title"].startswith("Too many wrong codes. Wait 2 minutes")
    User.objects.update(code_wrong_at=F("code_wrong_at") - timedelta(minutes=2))
    assert tried(CODE)[0] == 200


def test_a_tablet_that_is_taken_away_is_one_no_more_and_who_is_in_on_it_is_out(tablet, ebba):
    owner = Caller(ebba)
    pick = {"person": str(ebba.id), "code": CODE}
    assert sent(tablet, "POST", "/session/tablet", pick)[0] == 200
    assert sent(tablet, "GET", "/orders")[0] == 200
    [row] = owner.get("/tablets")
    assert (row["name"], row["here"]) == ("Cutting table", False)
    assert owner("DELETE", f"/tablets/{row['id']}")[0] == 204
    assert sent(tablet, "GET", "/orders")[0] == 401
    assert sent(tablet, "GET", "/session/tablet") == (200, None)
    assert sent(tablet, "POST", "/session/tablet", pick)[0] == 404
    assert owner.get("/tablets") == []


@pytest.mark.parametrize(
    ("code", "says"), [("12", "four to eight digits"), ("123456789", "four to eight"), ("25a0", "four to eight digits"),
                       ("٢٥٨٠", "four to eight digits"), ("0000", "first that anybody"), ("3456", "first that anybody")],
)  # fmt: skip
def test_a_code_that_anybody_would_try_is_refused_and_needs_the_password(ebba, code, says):
    http = Http()
    sent(http, "POST", "/session", {"user_name": "ebba", "password": PASSWORD})
    status, said = sent(http, "PUT", "/session/code", {"password": PASSWORD, "code": code})
    assert status == 422
    assert says in said["problems"][0]["what"]
    assert sent(http, "PUT", "/session/code", {"password": "another one", "code": CODE})[0] == 422
    assert sent(http, "GET", "/session/code")[1] == {"on": False}
    # No code is kept as it is typed.
    sent(http, "PUT", "/session/code", {"password": PASSWORD, "code": CODE})
    assert CODE not in User.objects.get(username="ebba").short_code
    assert sent(http, "PUT", "/session/code", {"password": PASSWORD, "code": ""})[1] == {"on": False}


def test_an_owner_who_is_asked_for_a_second_step_reaches_nothing_before_it_is_on(team):
    owner, cutter = team["owner"], team["cutter"]
    ebba = User.objects.get(username="ebba")
    assert owner.get("/session")["step_asked"] is False
    assert owner("PATCH", "/workshop", {"owners_step": True})[1]["owners_step"] is True
    assert owner.get("/session")["step_asked"] is True
    for path in ("/orders", "/workshop", "/clients", "/installation"):
        status, said = owner("GET", path)
        assert (status, said["code"]) == (403, "step_asked")
    assert cutter("GET", "/orders")[0] == 200
    assert cutter.get("/session")["step_asked"] is False
    assert owner("POST", "/session/step")[0] == 200
    shown = f"{totp(TOTPDevice.objects.get(user=ebba).bin_key):06d}"
    assert owner("PUT", "/session/step", {"code": shown})[0] == 200
    assert owner.get("/session")["step_asked"] is False
    assert owner("GET", "/orders")[0] == 200
    # Another owner is asked too; turned off, nobody is.
    second = Caller(User.objects.create(username="second", workshop=ebba.workshop, role="owner"))
    assert second("GET", "/orders")[0] == 403
    assert owner("PATCH", "/workshop", {"owners_step": False})[0] == 200
    assert second("GET", "/orders")[0] == 200
