"""The API: repeated, stale and wrong requests; plans that stay; a search that ends."""

import json
import subprocess
import sys
from datetime import timedelta
from pathlib import Path

import pytest
from axes.models import AccessAttempt
from django.db.models import F
from django.test import Client as Http
from django.utils import timezone

from shop.accounts.models import UnscopedReadError, User
from shop.bridge.lay import search_lay
from shop.bridge.words import said_plan
from shop.clients.models import Client, Reading
from shop.plans.models import LayRun, PlanRun
from shop.plans.tasks import improve_lay


def test_a_reading_twice_is_one_and_all_stay_visible(owner, order, new_id):
    one = {"sheet": order["sheet"]["id"], "key": "hip", "typed": "41 1/4"}
    key = new_id()
    before = Reading._base_manager.count()
    answers = [owner("PUT", f"/readings/{key}", one) for _ in range(2)]
    assert answers[0] == answers[1]
    assert answers[0][1]["mm"] == 1047.75
    assert Reading._base_manager.count() == before + 1
    owner("PUT", f"/readings/{new_id()}", one | {"typed": ""})
    left = owner("GET", f"/sheets/{one['sheet']}")[1]["readings"]
    assert "hip" not in {reading["key"] for reading in left}


@pytest.mark.parametrize(
    ("typed", "says"), [("forty", "38 1/2"), ("104", "did you mean cm?"), ("-3", "minus"), ("9" * 39, "38 1/2")]
)
def test_a_wrong_reading_is_refused_with_its_cure_and_nothing_is_stored(owner, order, new_id, typed, says):
    before = Reading._base_manager.count()
    body = {"sheet": order["sheet"]["id"], "key": "hip", "typed": typed}
    status, given = owner("PUT", f"/readings/{new_id()}", body)
    assert status == 422
    assert given["problems"][0]["where"] == "measurements.hip"
    assert says in given["problems"][0]["mend"]
    assert Reading._base_manager.count() == before


def test_a_closed_sheet_takes_no_reading(owner, order, new_id):
    sheet = order["sheet"]["id"]
    assert owner("POST", f"/sheets/{sheet}/close")[1]["closed"]
    status, given = owner("PUT", f"/readings/{new_id()}", {"sheet": sheet, "key": "hip", "typed": "40"})
    assert status == 409
    assert "new sheet" in given["title"]


def test_a_stale_edit_shows_both_values(owner, order):
    garment = order["garments"][0]
    path = f"/garments/{garment['id']}"
    body = {key: garment[key] for key in ("order", "name", "style", "method")}
    first = owner("PUT", path, body | {"version": 1, "choices": {"hem": "1"}})
    assert first[0] == 200
    assert first[1]["version"] == 2
    assert owner("PUT", path, body | {"version": 1, "choices": {"hem": "1"}})[1] == first[1]
    status, given = owner("PUT", path, body | {"version": 1, "choices": {"hem": "3"}})
    assert status == 409
    assert given["theirs"]["choices"] == {"hem": "1"}
    assert given["theirs"]["version"] == 2


def test_a_choice_that_cannot_be_is_refused_at_its_field(owner, order):
    garment = order["garments"][0]
    body = {key: garment[key] for key in ("order", "name", "style", "method", "version")}
    status, given = owner("PUT", f"/garments/{garment['id']}", body | {"choices": {"hem": "ninety", "seat": "flat"}})
    assert status == 422
    assert [p["where"] for p in given["problems"]] == ["garments.trousers.choices.hem"]


def test_a_plan_is_made_once_and_stays(owner, order, new_id):
    path = f"/orders/{order['id']}/plan"
    first, again = owner("POST", path)[1], owner("POST", path)[1]
    assert first == again
    assert first["plan"]["lay"]["length_mm"] <= first["plan"]["lay"]["habit_mm"]
    owner("PUT", f"/readings/{new_id()}", {"sheet": order["sheet"]["id"], "key": "hip", "typed": "42"})
    assert owner("POST", path)[1]["id"] != first["id"]
    stored = PlanRun._base_manager.get(pk=first["id"])
    assert said_plan(stored.plan, "in").numbers["trousers.front.hip_width"].net_mm == pytest.approx(260.35)
    assert order["client"]["name"] not in str(stored.job)


def test_a_plan_is_said_in_either_unit_without_being_made_again(owner, order):
    path = f"/orders/{order['id']}/plan"
    inches, metric = owner("POST", path)[1], owner("POST", f"{path}?unit=cm")[1]
    assert inches["id"] == metric["id"]
    assert (inches["plan"]["unit"], metric["plan"]["unit"]) == ("in", "cm")
    for one, other in zip(inches["plan"]["marks"], metric["plan"]["marks"], strict=True):
        untaped = one["kind"] in ("meet", "join", "curve", "slit", "write") or one["reads_mm"] < 0.8
        assert one["shown"].endswith(" in") or untaped
        assert other["shown"].endswith(" cm") or not one["shown"]
        assert one["reads_mm"] == other["reads_mm"]
    assert owner("POST", f"{path}?unit=ell")[0] == 422


def test_a_plan_of_an_older_core_still_opens(owner, order):
    """Stored in words by core 0.7, as it is in a database that was upgraded."""
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    old = json.loads((Path(__file__).parents[1] / "data/plan-0.7.json").read_text())
    PlanRun._base_manager.filter(pk=made["id"]).update(plan=old)
    opened = owner("POST", f"/orders/{order['id']}/plan?unit=cm")[1]["plan"]
    assert opened["core"] == "0.7.0"
    assert [mark["say"] for mark in opened["marks"]] == [mark["say"] for mark in old["marks"]]
    # One that cannot be said any more is made anew while its page is open.
    PlanRun._base_manager.filter(pk=made["id"]).update(plan={"version": 1, "marks": [{"code": "guide"}]})
    again = owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]
    assert [mark["say"] for mark in again["marks"]] == [mark["say"] for mark in made["plan"]["marks"]]


def test_an_unfinished_sheet_says_everything_that_is_missing(owner):
    last = owner("GET", "/orders")[1][2]
    status, given = owner("POST", f"/orders/{last['id']}/plan")
    assert status == 422
    assert {p["where"] for p in given["problems"]} == {"measurements.outseam"}


@pytest.mark.django_db(transaction=True)
def test_a_search_shortens_the_lay_and_the_page_takes_the_better(owner, order, new_id):
    path = f"/orders/{order['id']}/plan"
    made = owner("POST", path)[1]
    key = new_id()
    started = [owner("PUT", f"/lay-runs/{key}", {"plan": made["id"]})[1] for _ in range(2)]
    assert started[0] == started[1]
    improve_lay(lay_run=key)
    done = owner("GET", f"/lay-runs/{key}")[1]
    assert done["state"] == "done"
    assert done["tried"] > 0
    assert done["proved"] == (done["lay"]["length_mm"] <= done["bound_mm"] + 2.6)
    assert done["seq"] > 1
    better = owner("POST", path)[1]
    assert better["id"] == made["id"]
    assert better["plan"]["lay"]["length_mm"] == done["lay"]["length_mm"] < made["plan"]["lay"]["length_mm"]
    stored = said_plan(PlanRun._base_manager.get(pk=made["id"]).plan, "in")
    assert json.loads(stored.model_dump_json(by_alias=True)) == made["plan"]
    moved = next(mark for mark in better["plan"]["marks"] if mark["code"] == "crotch_point")
    (ax, ay), (bx, by) = moved["cloth_mm"]
    assert ((ax - bx) ** 2 + (ay - by) ** 2) ** 0.5 == pytest.approx(moved["reads_mm"], abs=1e-3)


@pytest.mark.django_db(transaction=True)
def test_a_search_can_be_stopped(owner, order, new_id):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    key = new_id()
    owner("PUT", f"/lay-runs/{key}", {"plan": made["id"]})
    assert owner("POST", f"/lay-runs/{key}/stop")[0] == 200
    improve_lay(lay_run=key)
    assert LayRun._base_manager.get(pk=key).state == "stopped"


def test_a_search_whose_worker_died_is_said_to_have_broken_off(owner, order, new_id):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    key = new_id()
    owner("PUT", f"/lay-runs/{key}", {"plan": made["id"]})
    LayRun._base_manager.filter(pk=key).update(state="running", changed_at=timezone.now() - timedelta(minutes=4))
    assert owner("GET", f"/lay-runs/{key}")[1]["state"] == "failed"
    assert owner("POST", f"/orders/{order['id']}/plan")[1] == made | {"searched": "done"}


def test_a_search_that_waits_in_the_queue_has_not_failed(owner, order, new_id):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    key = new_id()
    owner("PUT", f"/lay-runs/{key}", {"plan": made["id"]})
    LayRun._base_manager.filter(pk=key).update(changed_at=timezone.now() - timedelta(minutes=20))
    assert owner("GET", f"/lay-runs/{key}")[1]["state"] == "queued"


@pytest.mark.django_db(transaction=True)
def test_a_child_that_breaks_off_is_not_called_done_and_its_lay_stays(owner, order, new_id, monkeypatch):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    whole = list(search_lay(PlanRun._base_manager.get(pk=made["id"]).job, 5, 1))
    cut_short = [line for line in whole if line and "plan" not in line]
    monkeypatch.setattr("shop.plans.tasks.search_lay", lambda *_, **__: (line for line in cut_short))
    key = new_id()
    owner("PUT", f"/lay-runs/{key}", {"plan": made["id"]})
    improve_lay(lay_run=key)
    run = owner("GET", f"/lay-runs/{key}")[1]
    assert run["state"] == "failed"
    assert run["lay"]["length_mm"] < made["plan"]["lay"]["length_mm"]
    assert owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]["lay"] == run["lay"]


@pytest.mark.django_db(transaction=True)
def test_savings_of_cloth_are_tried_on_the_queue(owner, order, new_id):
    cloth = order["cloth"] | {"length": "50 in", "width": "60 in"}
    owner("PUT", f"/cloths/{cloth['id']}", cloth)
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    assert "cloth.short" in {finding["code"] for finding in made["plan"]["findings"]}
    key = new_id()
    owner("PUT", f"/lay-runs/{key}", {"plan": made["id"], "kind": "savings", "seconds": 1})
    improve_lay(lay_run=key)
    run = owner("GET", f"/lay-runs/{key}")[1]
    assert run["state"] == "done"
    now, *found = run["found"]
    assert (now["code"], now["enough"], now["saves_mm"]) == ("now", False, 0)
    assert found
    assert all(saving["says"] and saving["needs_mm"] < now["needs_mm"] for saving in found)
    assert owner("POST", f"/orders/{order['id']}/plan")[1] == made


def test_a_search_child_ends_when_its_worker_is_gone(order, owner):
    """What a killed worker leaves behind: an input that is closed."""
    job = PlanRun._base_manager.get(pk=owner("POST", f"/orders/{order['id']}/plan")[1]["id"]).job
    asked = json.dumps({"job": job, "seconds": 600, "seed": 1}) + "\n"
    done = subprocess.run(
        [sys.executable, "-m", "cutting.search_child"],
        input=asked,
        text=True,
        capture_output=True,
        timeout=60,
        check=True,
    )
    last = json.loads(done.stdout.splitlines()[-1])
    assert last["gone_ms"] < 30_000
    assert last["plan"]["lay"]["bound_mm"] >= last["bound_mm"] - 0.01


def test_too_many_wrong_passwords_lock_the_door_in_words(db, settings):
    settings.AXES_ENABLED = True
    door = Http()
    body = json.dumps({"user_name": "ebba", "password": "no"})
    answers = [door.post("/api/session", body, content_type="application/json") for _ in range(13)]
    assert answers[0].status_code == 401
    assert answers[-1].status_code == 429
    assert answers[-1].json()["title"] == "Too many wrong passwords. Wait a minute, then try again."
    assert answers[-1]["Retry-After"] == "60"


def test_each_wrong_password_after_the_pause_makes_the_next_twice_as_long(db, settings):
    """Common practice, no source: a minute after twelve, then twice as long each time, for a name up to an hour."""
    settings.AXES_ENABLED = True

    def tried(address):
        body = json.dumps({"user_name": "ebba", "password": "no"})
        return Http(REMOTE_ADDR=address).post("/api/session", body, content_type="application/json")

    for k in range(11):
        assert tried(f"10.1.0.{k}").status_code == 401
    waits = []
    for k in range(9):
        waits.append(int(tried(f"10.2.0.{k}")["Retry-After"]) // 60)
        AccessAttempt.objects.update(attempt_time=F("attempt_time") - timedelta(minutes=waits[-1]))
    assert waits == [1, 2, 4, 8, 16, 32, 60, 60, 60]
    # A whole day later it begins anew.
    AccessAttempt.objects.update(attempt_time=F("attempt_time") - timedelta(days=1))
    assert tried("10.3.0.1").status_code == 401


def test_who_tries_again_while_locked_out_waits_no_longer_for_it(db, settings):
    """A pause after the last try that counted the right password is let in."""
    settings.AXES_ENABLED = True
    ebba = User.objects.get(username="ebba")
    ebba.set_password("a long enough word")
    ebba.save()

    def tried(password):
        body = json.dumps({"user_name": "ebba", "password": password})
        return Http().post("/api/session", body, content_type="application/json").status_code

    def minutes_go_by(count):
        AccessAttempt.objects.update(attempt_time=F("attempt_time") - timedelta(minutes=count))

    assert [tried("no") for _ in range(13)][-1] == 429
    minutes_go_by(0.5)
    assert tried("no") == tried("a long enough word") == 429
    minutes_go_by(0.5)
    assert tried("a long enough word") == 200


def test_reading_rows_of_nobody_raises():
    with pytest.raises(UnscopedReadError):
        Client.objects.all()


def test_the_page_carries_its_content_policy(db):
    answer = Http().get("/")
    policy = answer["Content-Security-Policy"]
    assert "unsafe-inline" not in policy
    assert "object-src 'none'" in policy
    assert answer["X-Request-Id"]


def test_the_rest_around_pins_is_shown_to_who_asked_and_is_not_yet_the_lay(owner, order, new_id):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    placements = made["plan"]["lay"]["placements"]
    far = max(range(len(placements)), key=lambda k: placements[k]["x_mm"])
    apart = [one | ({"x_mm": one["x_mm"] + 400} if k == far else {}) for k, one in enumerate(placements)]
    body = {"plan": made["id"], "kind": "rest", "seconds": 1}
    for hand, said in (
        ({"placements": apart, "pins": [len(apart)]}, "A pin is in no piece"),
        ({"placements": apart[1:], "pins": []}, "missing"),
    ):
        status, refused = owner("PUT", f"/lay-runs/{new_id()}", body | {"hand": hand})
        assert status == 422
        assert said in refused["problems"][0]["what"]
    key, pin = new_id(), (far + 1) % len(apart)
    assert owner("PUT", f"/lay-runs/{key}", body | {"hand": {"placements": apart, "pins": [pin]}})[0] == 200
    LayRun._base_manager.filter(pk=key).update(state=LayRun.DONE, plan=made["plan"] | {"unit": "cm"}, lay=None)
    assert owner("POST", f"/orders/{order['id']}/plan")[1] == made


def test_a_lay_moved_by_hand_is_checked_kept_and_used_until_somebody_searches_again(owner, order, new_id):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    placements = made["plan"]["lay"]["placements"]
    far = max(range(len(placements)), key=lambda k: placements[k]["x_mm"])
    apart = [one | ({"x_mm": one["x_mm"] + 100} if k == far else {}) for k, one in enumerate(placements)]
    key = new_id()
    for _ in range(2):
        status, given = owner("PUT", f"/plans/{made['id']}/hand", {"id": key, "placements": apart})
        assert status == 200
    assert given["plan"]["lay"]["length_mm"] == pytest.approx(made["plan"]["lay"]["length_mm"] + 100, abs=0.01)
    assert owner("POST", f"/orders/{order['id']}/plan")[1]["plan"] == given["plan"]
    near = [one | ({"x_mm": one["x_mm"] - 5} if k == far else {}) for k, one in enumerate(placements)]
    status, refused = owner("PUT", f"/plans/{made['id']}/hand", {"id": new_id(), "placements": near})
    assert status == 422
    assert "overlap" in refused["problems"][0]["what"]
    status, refused = owner("PUT", f"/plans/{made['id']}/hand", {"id": new_id(), "placements": placements[1:]})
    assert status == 422
    assert "missing" in refused["problems"][0]["what"]
