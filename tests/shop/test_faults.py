"""What breaks from outside: the database is begun anew in the middle of a save, the clock is set back. Nothing that was
answered as kept is lost, nothing is kept by half, and it is said in words.
"""

import http.client
import json
import threading
import time
from datetime import timedelta
from pathlib import Path
from types import SimpleNamespace
from uuid import uuid4

import psycopg
import pytest
from django.db import connection, connections, transaction
from django.db.models import F
from django.test.utils import CaptureQueriesContext

from demo.load import load
from shop.accounts.models import User
from shop.accounts.moments import Clock
from shop.accounts.on_disk import soon_on_disk
from shop.clients.models import Client, Reading, Sheet
from shop.keeping.doctor import look
from shop.orders.models import Order
from tests.servers import database, served
from tests.shop.conftest import Caller

JOB = (Path(__file__).parents[2] / "demo/jobs/choir-palazzo.json").read_text()
GONE = "The database does not answer just now. Nothing that you typed is lost; try again in a moment."


def cut_off(pids):
    """The lines of these server processes of PostgreSQL end, as when it is begun anew."""
    with psycopg.connect(database(), autocommit=True) as line:
        for pid in pids:
            line.execute("select pg_terminate_backend(%s)", (pid,))


def test_a_save_that_is_cut_in_the_middle_keeps_nothing_and_may_be_sent_again(transactional_db, monkeypatch):
    load()
    ebba = User.objects.get(username="ebba")
    call = Caller(ebba)
    body = {"text": JOB, "promised_on": "2026-12-24"}
    there = [kind._base_manager.count() for kind in (Client, Sheet, Reading, Order)]
    save, broken = Order.save, []

    def cut(row, *words, **more):
        if not broken:
            broken.append(row)
            assert connection.in_atomic_block
            cut_off([connection.connection.info.backend_pid])
        return save(row, *words, **more)

    monkeypatch.setattr(Order, "save", cut)
    order = uuid4()
    status, said = call("PUT", f"/orders/{order}/from-job", body)
    assert broken
    assert (status, said["code"], said["title"]) == (503, "database", GONE)
    assert [kind._base_manager.count() for kind in (Client, Sheet, Reading, Order)] == there
    status, made = call("PUT", f"/orders/{order}/from-job", body)
    assert (status, made["id"]) == (200, str(order))
    assert Order._base_manager.count() == there[-1] + 1


def test_while_the_database_is_begun_anew_every_reading_comes_once_as_it_was_answered(transactional_db):
    """Four people type readings at a server of two processes; again and again all its lines to the database end."""
    load()
    sheet = Sheet._base_manager.filter(closed_at=None).first()
    ebba = User.objects.get(username="ebba")
    cookie = Caller(ebba).http.cookies["sessionid"].value
    token = "c" * 32
    sent, answers = {}, []
    ends = time.monotonic() + 120

    def put(port, id, typed):
        line = http.client.HTTPConnection("127.0.0.1", port, timeout=60)
        body = json.dumps({"sheet": str(sheet.id), "key": "height", "typed": typed})
        line.request("PUT", f"/api/readings/{id}", body, {
            "Cookie": f"sessionid={cookie}; csrftoken={token}", "X-CSRFToken": token, "Content-Type": "application/json",
        })  # fmt: skip
        answer = line.getresponse()
        body = answer.read()
        return answer.status, json.loads(body)["title"] if answer.status != 200 else ""

    def types(port, first):
        for number in range(first, first + 12):
            id, typed = uuid4(), f"{150 + number} cm"
            sent[id] = typed
            while time.monotonic() < ends:
                answers.append(put(port, id, typed))
                if answers[-1][0] == 200:
                    break
        connections.close_all()

    with served(2, DATABASE_URL=database()) as (port, _):
        people = [threading.Thread(target=types, args=(port, 20 * k)) for k in range(4)]
        for one in people:
            one.start()
        with psycopg.connect(database(), autocommit=True) as line:
            while any(one.is_alive() for one in people):
                own = [connection.connection.info.backend_pid, line.info.backend_pid]
                line.execute(
                    "select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database()"
                    " and usename = current_user and pid <> all(%s)", (own,)
                )  # fmt: skip
                time.sleep(0.3)
    statuses = [status for status, _ in answers]
    assert set(statuses) == {200, 503}, "some were cut, all were told"
    assert {said for status, said in answers if status == 503} == {GONE}
    assert statuses.count(200) == len(sent) == 48
    kept = dict(Reading._base_manager.filter(id__in=sent).values_list("id", "typed"))
    assert kept == sent


def waits_for_the_disk():
    with connection.cursor() as cursor:
        cursor.execute("show synchronous_commit")
        return cursor.fetchone()[0] == "on"


def test_what_a_hand_wrote_waits_for_the_disk_what_is_made_again_or_counted_does_not(transactional_db):
    load()
    call = Caller(User.objects.get(username="ebba"))
    order = Order._base_manager.order_by("promised_on").first()
    hurried = "set local synchronous_commit to off"

    def asked(method, path, body=None):
        with CaptureQueriesContext(connection) as queries:
            status, said = call(method, path, body or {})
        assert status == 200
        return [one["sql"] for one in queries.captured_queries if not one["sql"].startswith("SELECT")], said

    reading = {"sheet": str(order.sheet_id), "key": "hip", "typed": "43"}
    for method, path, body in (
        ("PUT", f"/readings/{uuid4()}", reading),
        ("PUT", f"/clients/{uuid4()}", {"name": "Ane"}),
    ):
        written, _ = asked(method, path, body)
        assert hurried not in written
    for method, path in (("GET", f"/orders/{order.id}"), ("POST", f"/orders/{order.id}/plan")):
        written, _ = asked(method, path)
        kinds = {sql.split('"')[1] for sql in written if sql.startswith(("INSERT", "UPDATE", "DELETE"))}
        assert kinds <= {"clients_seen", "plans_planrun", "plans_layrun", "plans_plot"}, kinds
        assert written.count(hurried) == written.count("BEGIN") > 0
    assert waits_for_the_disk(), "only as long as it writes"
    with soon_on_disk():
        assert not waits_for_the_disk()
    with transaction.atomic(), soon_on_disk():
        assert waits_for_the_disk(), "within somebody else's writing it is as theirs is"


def test_with_a_clock_that_was_set_back_the_last_reading_is_still_the_last(owner, order, new_id, monkeypatch):
    now = SimpleNamespace(time=time.time, monotonic=time.monotonic)
    monkeypatch.setattr("shop.accounts.moments.time", now)
    monkeypatch.setattr("shop.accounts.moments.CLOCK", Clock())
    sheet = order["sheet"]["id"]

    def reads():
        whole = owner("GET", f"/orders/{order['id']}")[1]["sheet"]
        return [one["typed"] for one in whole["readings"] if one["key"] == "inseam"][-1]

    for hours, typed in ((0, "30"), (1, "30 1/2"), (26, "31"), (0, "31 1/2")):
        now.time = lambda back=3600 * hours: time.time() - back
        assert owner("PUT", f"/readings/{new_id()}", {"sheet": sheet, "key": "inseam", "typed": typed})[0] == 200
        assert reads() == typed
    states = ["sewing", "fitting", "finishing"]
    for hours, state in zip((0, 2, 50), states, strict=True):
        now.time = lambda back=3600 * hours: time.time() - back
        assert owner("PUT", f"/steps/{new_id()}", {"order": order["id"], "state": state})[0] == 200
        assert owner("GET", f"/orders/{order['id']}")[1]["state"] == state


def test_the_doctor_says_that_the_clock_is_behind_what_was_written_last(owner, order, new_id):
    sheet = order["sheet"]["id"]
    owner("PUT", f"/readings/{new_id()}", {"sheet": sheet, "key": "hip", "typed": "41"})
    [clock] = [one for one in look(None) if one.what == "clock"]
    assert clock.right
    Reading._base_manager.filter(sheet=sheet).update(created_at=F("created_at") + timedelta(hours=3))
    [clock] = [one for one in look(None) if one.what == "clock"]
    assert not clock.right
    assert "s behind what was written last" in clock.says


@pytest.mark.parametrize("back", [0.0, 5.0, 3600.0, 90_000.0])
def test_the_moments_of_a_process_never_go_back_and_go_on_as_time_does(back, monkeypatch):
    ticks = iter(range(1000))
    now = SimpleNamespace(monotonic=lambda: next(ticks) / 10, time=lambda: 1e9)
    monkeypatch.setattr("shop.accounts.moments.time", now)
    clock = Clock()
    now.time = lambda: 1e9 + 100
    before = clock.now()
    now.time = lambda: 1e9 + 100 - back
    after = [clock.now() for _ in range(5)]
    assert all(one < other for one, other in zip([before, *after], after, strict=False))
    assert (after[-1] - before).total_seconds() == pytest.approx(0.5, abs=0.11)
