"""The door: a guesser is slowed and the person is not; sessions listed and ended; a second step; a forgotten password."""

import json
import re
import time
from concurrent.futures import ThreadPoolExecutor
from datetime import timedelta
from io import StringIO
from threading import Lock

import pytest
from django.core.management import CommandError, call_command
from django.db.models import F
from django.http import HttpRequest
from django.test import Client as Http
from django.utils import timezone
from django_otp.oath import totp
from django_otp.plugins.otp_totp.models import TOTPDevice

from shop.accounts import actions, devices
from shop.accounts.devices import WRONG_MOST
from shop.accounts.models import Invitation, KnownDevice, Session, User
from shop.accounts.tasks import forget_ended_sessions
from tests.shop.conftest import Caller

PASSWORD = "a long enough word"
PHONE = "Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605 Version/18.0 Mobile Safari/604"
DESK = "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0"


@pytest.fixture
def ebba(owner):
    found = User.objects.get(username="ebba")
    found.set_password(PASSWORD)
    found.save()
    Session.objects.all().delete()
    return found


def sent(http, method, path, body=None, **more):
    """Status and body of a request as a browser sends it."""
    answer = http.generic(method, f"/api{path}", "" if body is None else json.dumps(body), "application/json", **more)
    return answer.status_code, answer.json() if answer.content else None


def knock(http, password=PASSWORD, name="ebba", **more):
    """The status of a try to log in; `code` is of the second step."""
    return sent(http, "POST", "/session", {"user_name": name, "password": password, **more})


def browser(agent=DESK, address="127.0.0.1"):
    return Http(HTTP_USER_AGENT=agent, REMOTE_ADDR=address)


def test_a_guesser_is_slowed_from_everywhere_and_the_person_at_their_own_browser_is_not(ebba, settings):
    """Many names from one address, one name from many addresses; behind one proxy all have the same address."""
    settings.AXES_ENABLED = True
    mine = browser()
    assert knock(mine)[0] == 200
    assert [knock(browser(), "no", f"name{k}")[0] for k in range(14)][-1] == 429, "forty names from one address"
    assert knock(browser(), name="ebba")[0] == 429, "a browser nobody knows, at that address"
    assert knock(mine)[0] == 200, "mine, at the same address"
    assert [knock(browser(address=f"10.0.0.{k}"), "no")[0] for k in range(14)][-1] == 429, "one name from anywhere"
    assert knock(browser(address="10.0.1.1"))[0] == 429
    assert knock(mine)[0] == 200
    assert knock(mine, name="nobody")[0] == 429, "it is known for me alone"


def test_a_known_browser_is_known_no_longer_after_some_wrong_passwords(ebba, settings):
    settings.AXES_ENABLED = True
    mine = browser()
    knock(mine)
    assert [knock(mine, "no")[0] for _ in range(WRONG_MOST - 1)] == [401] * (WRONG_MOST - 1)
    assert knock(mine)[0] == 200, "the right one starts the count anew"
    answers = [knock(mine, "no")[0] for _ in range(WRONG_MOST + 13)]
    assert answers[:WRONG_MOST] == [401] * WRONG_MOST
    assert answers[-1] == 429
    mine.cookies["plavet_device"] = "made-up:x:y"
    assert knock(mine)[0] == 429


def test_no_more_than_two_passwords_are_checked_at_once(monkeypatch):
    """Each takes 19 MiB: thirty-two at the same moment would take 600."""
    now, most, guard = 0, 0, Lock()

    def slow(**_):
        nonlocal now, most
        with guard:
            now += 1
            most = max(most, now)
        time.sleep(0.01)
        with guard:
            now -= 1

    monkeypatch.setattr(actions, "authenticate", slow)
    monkeypatch.setattr(devices, "count_wrong", lambda *_: None)
    with ThreadPoolExecutor(8) as threads:
        assert list(threads.map(lambda _: actions.log_in(HttpRequest(), "ebba", "no"), range(32))) == [None] * 32
    assert most == 2


def test_sessions_are_listed_and_ended_one_by_one_and_nobody_elses(ebba, stranger):
    desk, phone = browser(), browser(PHONE)
    knock(desk)
    knock(phone)
    rows = sent(desk, "GET", "/session/all")[1]
    assert sorted((row["device"], row["here"]) for row in rows) == [
        ("Firefox on Linux", True),
        ("Safari on iPhone", False),
    ]
    theirs = next(row["id"] for row in rows if not row["here"])
    assert stranger("DELETE", f"/session/all/{theirs}")[0] == 404
    assert sent(phone, "GET", "/session")[0] == 200
    assert sent(desk, "DELETE", f"/session/all/{theirs}")[0] == 204
    assert sent(phone, "GET", "/session")[0] == 401
    assert sent(desk, "GET", "/session")[0] == 200
    assert not [row for row in rows if row["id"] in str(Session.objects.values_list("session_key", flat=True))]


def test_a_session_that_is_used_lasts_and_one_that_is_not_ends_after_a_week(ebba):
    desk = browser()
    knock(desk)
    row = Session.objects.get(person=ebba)
    first = row.expire_date
    assert timedelta(days=6) < first - timezone.now() <= timedelta(days=7)
    store = row.get_session_store_class()(session_key=row.session_key)
    store["used"] -= 700
    store.save()
    Session.objects.update(expire_date=first - timedelta(days=3))
    assert sent(desk, "GET", "/session")[0] == 200
    assert Session.objects.get(person=ebba).expire_date > first - timedelta(minutes=1)
    assert Session.objects.get(person=ebba).began_at == row.began_at
    Session.objects.update(expire_date=F("expire_date") - timedelta(days=8))
    assert sent(desk, "GET", "/session")[0] == 401
    forget_ended_sessions(timestamp=0)
    assert not Session.objects.filter(person=ebba).exists()


def code_of(person, at=0):
    """What an app shows: by the algorithm over the secret in the address, `at` steps from now."""
    device = TOTPDevice.objects.get(user=person)
    return f"{totp(device.bin_key, drift=at):06d}"


def later(person):
    """As if the steps already used were long ago, and no try had been wrong."""
    TOTPDevice.objects.filter(user=person).update(
        last_t=-1, throttling_failure_count=0, throttling_failure_timestamp=None
    )


def test_the_second_step_asks_for_a_code_that_is_good_once(ebba):
    desk = browser()
    knock(desk)
    secret = sent(desk, "POST", "/session/step")[1]
    assert re.fullmatch(r"([A-Z2-7]{4} ){7}[A-Z2-7]{4}", secret["typed"])
    assert secret["address"].startswith("otpauth://totp/Plavet%3Aebba?secret=")
    assert secret["picture"].startswith("data:image/svg+xml")
    assert knock(browser())[0] == 200, "not asked for before it is confirmed"
    status, refused = sent(desk, "PUT", "/session/step", {"code": "000000"})
    assert (status, refused["problems"][0]["where"]) == (422, "code")
    later(ebba)
    written = sent(desk, "PUT", "/session/step", {"code": f" {code_of(ebba)[:3]} {code_of(ebba)[3:]}"})[1]["codes"]
    assert len(set(written)) == 8
    assert sent(desk, "GET", "/session/step")[1] == {"on": True, "left": 8}
    assert sent(desk, "POST", "/session/step")[0] == 422
    later(ebba)
    status, refused = knock(browser())
    assert (status, refused["code"]) == (401, "step")
    assert knock(browser(), "no", code=code_of(ebba))[1]["code"] == "password"
    code = code_of(ebba)
    assert knock(browser(), code=code)[0] == 200
    assert knock(browser(), code=code)[0] == 401, "a code is good once"
    later(ebba)
    assert knock(browser(), code=written[3].upper())[0] == 200
    later(ebba)
    assert knock(browser(), code=written[3])[0] == 401
    assert sent(desk, "GET", "/session/step")[1]["left"] == 7
    tries = [knock(browser(), code="123456")[1]["title"] for _ in range(4)]
    assert "Too many wrong codes" in tries[-1]
    assert sent(desk, "POST", "/session/step/off", {"password": "no"})[0] == 422
    assert sent(desk, "POST", "/session/step/off", {"password": PASSWORD})[0] == 204
    assert knock(browser())[0] == 200


def test_a_forgotten_password_is_chosen_anew_by_a_link_of_the_owners(ebba, stranger, new_id):
    owner = Caller(ebba)
    sewer = User.objects.create(username="s", first_name="Siv", workshop=ebba.workshop, role="sewer")
    sewer.set_password(PASSWORD)
    sewer.save()
    mine = browser()
    knock(mine, name="s")
    link = new_id()
    assert stranger("PUT", f"/password-links/{link}", {"person": str(sewer.id)})[0] == 404
    assert Caller(sewer)("PUT", f"/password-links/{link}", {"person": str(sewer.id)})[0] == 403
    made = [owner("PUT", f"/password-links/{link}", {"person": str(sewer.id)})[1] for _ in range(2)]
    assert made[0] == made[1]
    assert made[0]["for_password"]
    assert link in {one["id"] for one in owner.get("/people")["invitations"]}
    token = Invitation._base_manager.get(pk=link).token
    elsewhere = browser()
    assert sent(elsewhere, "GET", f"/session/join/{token}")[1]["user_name"] == "s"
    assert sent(elsewhere, "POST", f"/session/join/{token}", {"password": "aaaaaaaaaa"})[0] == 422
    assert sent(elsewhere, "POST", f"/session/join/{token}", {"password": "another long word"})[1]["name"] == "Siv"
    assert sent(elsewhere, "GET", f"/session/join/{token}")[0] == 404
    assert sent(elsewhere, "POST", f"/session/join/{token}", {"password": "a third long word"})[0] == 404
    assert sent(mine, "GET", "/session")[0] == 401, "sessions of before are over"
    assert KnownDevice.objects.filter(person=sewer).count() == 1, "and so are the browsers that were known"
    assert knock(browser(), name="s")[0] == 401
    assert knock(browser(), "another long word", "s")[0] == 200
    late = owner("PUT", f"/password-links/{new_id()}", {"person": str(sewer.id)})[1]
    owner("PUT", f"/people/{sewer.id}", {"role": "sewer", "works_here": False})
    assert not Invitation._base_manager.filter(pk=late["id"]).exists(), "who is let go has no link left"
    assert owner("PUT", f"/password-links/{new_id()}", {"person": str(sewer.id)})[0] == 404


def link_of(name, *words):
    """The link that a command answers."""
    said = StringIO()
    call_command(name, *words, "--address", "https://plavet.test/", stdout=said)
    line = said.getvalue().strip()
    assert line.startswith("https://plavet.test/join/")
    return line.rpartition("/")[2]


def test_a_workshop_is_made_and_an_owner_helped_from_the_shell(ebba):
    joined = browser()
    typed = {"user_name": "runa", "password": PASSWORD}
    assert (
        sent(
            joined, "POST", f"/session/join/{link_of('new_workshop', 'Slip and Quay', 'Runa', '--unit', 'cm')}", typed
        )[0]
        == 200
    )
    me = sent(joined, "GET", "/session")[1]
    assert (me["workshop"], me["unit"], me["role"], "people" in me["rights"]) == ("Slip and Quay", "cm", "owner", True)
    assert sent(joined, "GET", "/orders")[1] == []
    with pytest.raises(CommandError, match="Give the workshop a name"):
        link_of("new_workshop", "  ", "Runa")
    with pytest.raises(CommandError, match="No owner has the user name"):
        link_of("owner_link", "nobody")
    token = link_of("owner_link", "runa")
    assert sent(browser(), "POST", f"/session/join/{token}", {"password": "another long word"})[0] == 200
    assert sent(joined, "GET", "/session")[0] == 401


def test_whoever_finds_a_session_open_does_not_guess_the_password_on(ebba):
    desk = browser()
    knock(desk)
    typed = {"old_password": "no", "password": "another long word"}
    asked = [sent(desk, "POST", "/session/password", typed)[0] for _ in range(WRONG_MOST + 1)]
    assert asked == [422] * WRONG_MOST + [401]
    knock(desk)
    elsewhere = browser(PHONE)
    knock(elsewhere)
    assert sent(desk, "POST", "/session/password", typed | {"old_password": PASSWORD})[0] == 204
    assert [row["here"] for row in sent(desk, "GET", "/session/all")[1]] == [True], (
        "the others are over, and not listed"
    )
    assert sent(elsewhere, "GET", "/session")[0] == 401
