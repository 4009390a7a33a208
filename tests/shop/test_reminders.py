"""Reminders: due when they are, to whom has agreed, by day, once, whatever the gateway does."""

from datetime import UTC, datetime, timedelta
from types import SimpleNamespace
from uuid import uuid4
from zoneinfo import ZoneInfo

import pytest
from django.utils import timezone

from demo import post
from shop.accounts.models import User, Workshop
from shop.clients.models import Client
from shop.money.actions import agree, pay, put_prices
from shop.money.queries import cost_of, money_of
from shop.orders.models import Order, Step
from shop.reminders import gateway as line
from shop.reminders.models import Reminder
from shop.reminders.queries import by_day, due
from shop.reminders.sending import send
from shop.reminders.tasks import remind
from tests.shop.conftest import Caller

NOON = datetime(2026, 11, 30, 12, 0, tzinfo=UTC)


@pytest.fixture
def clock(monkeypatch):
    """The time, which a test turns on; it goes on by itself a little."""
    now = SimpleNamespace(at=NOON)
    real, began = timezone.now, timezone.now()
    monkeypatch.setattr(timezone, "now", lambda: now.at + (real() - began))
    return now


@pytest.fixture
def queue(monkeypatch):
    """What is put on the queue for later, as (moment, reminder)."""
    asked = []

    def later(schedule_at=None):
        return SimpleNamespace(defer=lambda reminder: asked.append((schedule_at, reminder)))

    monkeypatch.setattr(send, "configure", later)
    monkeypatch.setattr(send, "defer", lambda reminder: asked.append((timezone.now(), reminder)))
    return asked


@pytest.fixture
def device(settings):
    """A gateway that listens."""
    gateway, server = post.start(0)
    settings.PLAVET_POST = f"127.0.0.1:{server.server_address[1]}"
    yield gateway
    server.shutdown()
    server.server_close()


@pytest.fixture
def ready(clock, queue, device, owner, order, new_id):
    """The first order is ready, and its client has agreed to be reminded."""
    client = order["client"]
    body = {"version": client["version"], "name": client["name"], "phone": "0555 014 220", "takes_reminders": True}
    assert owner("PUT", f"/clients/{client['id']}", body)[0] == 200
    assert owner("PUT", f"/steps/{new_id()}", {"order": order["id"], "state": "ready"})[0] == 200
    return order["id"]


def work(clock, queue, most=50):
    """The worker, until nothing waits: each thing at its moment."""
    done = []
    while queue and len(done) < most:
        queue.sort(key=lambda one: one[0])
        at, id = queue.pop(0)
        clock.at = max(clock.at, at)
        done.append(clock.at)
        send(reminder=id)
    return done


def put(owner, order, id, kind="ready"):
    return owner("PUT", f"/reminders/{id}", {"order": order, "kind": kind})


def test_what_is_due_is_tomorrows_fitting_what_is_ready_and_what_is_not_paid(ready, owner, new_id, clock):
    ebba = User.objects.get(username="ebba")
    second, third, fourth = [one["id"] for one in owner.get("/orders") if one["id"] != ready][:3]
    owner("PUT", f"/client-days/{new_id()}", {"order": second, "kind": "fit", "day": "2026-12-01"})
    owner("PUT", f"/client-days/{new_id()}", {"order": third, "kind": "fit", "day": "2026-12-02"})
    put_prices(
        actor=ebba, version=0, currency="EUR", rate="30", notions={}, step="", tax="", tax_percent="", tax_within=True
    )
    paid = Order._base_manager.select_related("client", "sheet", "cloth", "other_cloth").get(pk=fourth)
    total = cost_of(ebba, paid, None).total
    agree(actor=ebba, id=uuid4(), order=fourth, total=f"{total:.2f}")
    pay(actor=ebba, id=uuid4(), order=fourth, kind="deposit", way="cash", amount="10", paid="0.00")
    owner("PUT", f"/steps/{new_id()}", {"order": fourth, "state": "handed_over"})
    found = owner.get("/reminders")["due"]
    assert {(one["kind"], one["order"]) for one in found} == {("ready", ready), ("fitting", second)}
    # A week after it was handed over.
    steps = Step._base_manager.filter(order=fourth)
    steps.update(created_at=NOON - timedelta(days=9))
    steps.filter(state="handed_over").update(created_at=NOON - timedelta(days=8))
    found = {one["kind"]: one for one in owner.get("/reminders")["due"]}
    assert found["balance"]["order"] == fourth
    assert found["balance"]["text"].endswith(f": \u20ac{money_of(ebba, paid).left:.2f}.")
    assert "tomorrow, Tuesday 1 December" in found["fitting"]["text"]
    assert found["ready"]["why"] == ""
    assert found["fitting"]["why"].startswith("not agreed to be written to")
    assert put(owner, second, new_id(), "fitting")[1]["code"] == "reminder"
    Client._base_manager.filter(pk=found["fitting"]["client"]).update(takes_reminders=True, phone="", email="")
    assert {one["kind"]: one["why"] for one in owner.get("/reminders")["due"]}["fitting"].startswith("no phone number")


def test_pressed_three_times_and_by_two_people_it_is_sent_once(ready, owner, clock, queue, device, new_id):
    id = new_id()
    for _ in range(3):
        assert put(owner, ready, id)[0] == 200
    assert put(owner, ready, new_id())[1]["code"] == "reminder"
    work(clock, queue)
    send(reminder=id)
    assert device.sent == {id: 1}
    assert device.delivered[id]["to"] == "0555 014 220"
    [one] = owner.get("/reminders")["outbox"]
    assert (one["state"], one["tries"]) == ("sent", 1)
    assert owner("POST", f"/reminders/{id}/again")[1]["code"] == "reminder"


def test_while_the_gateway_is_down_the_pauses_grow_and_nothing_is_lost(ready, owner, clock, queue, device, new_id):
    id = new_id()
    put(owner, ready, id)
    device.down = True
    times = work(clock, queue)
    waits = [later - earlier for earlier, later in zip(times, times[1:], strict=False)]
    minutes = [round(wait / timedelta(minutes=1)) for wait in waits]
    # From noon to 17:21; twelve hours later it is night, and eight in the morning is waited for.
    assert minutes == [1, 5, 15, 60, 240, 879]
    assert owner.get("/reminders")["outbox"][0]["state"] == "given_up"
    device.down = False
    assert owner("POST", f"/reminders/{id}/again")[0] == 200
    work(clock, queue)
    assert list(device.delivered) == [id]


def test_a_gateway_that_breaks_off_or_is_slow_delivers_it_once(ready, owner, clock, queue, device, new_id, monkeypatch):
    id = new_id()
    put(owner, ready, id)
    device.twice = True
    assert len(work(clock, queue)) == 2
    assert (device.sent, list(device.delivered)) == ({id: 2}, [id])
    assert owner.get("/reminders")["outbox"][0]["state"] == "sent"
    Reminder._base_manager.update(state=Reminder.WAITING, tries=0)
    device.slow = 20.0
    queue.append((clock.at, id))
    with monkeypatch.context() as hurried:
        hurried.setattr(line, "ANSWERS_IN", 0.3)
        work(clock, queue, most=1)
    device.slow = 0.0
    assert owner.get("/reminders")["outbox"][0]["state"] == "waiting"
    work(clock, queue)
    assert owner.get("/reminders")["outbox"][0]["state"] == "sent"
    assert list(device.delivered) == [id]


def test_a_number_that_is_refused_is_mended_on_the_card_and_sent_again(ready, owner, clock, queue, device, new_id):
    id = new_id()
    device.refuses = "0555"
    put(owner, ready, id)
    assert len(work(clock, queue)) == 1
    assert owner.get("/reminders")["outbox"][0]["state"] == "refused"
    client = owner.get(f"/orders/{ready}")["client"]
    owner("PUT", f"/clients/{client['id']}", {key: client[key] for key in client if key != "id"} | {"phone": "0777 1"})
    owner("POST", f"/reminders/{id}/again")
    work(clock, queue)
    assert device.delivered[id]["to"] == "0777 1"


def test_who_does_not_agree_any_more_is_not_written_to(ready, owner, clock, queue, device, new_id):
    id = new_id()
    put(owner, ready, id)
    Client._base_manager.update(takes_reminders=False)
    work(clock, queue)
    assert device.sent == {}
    assert owner.get("/reminders")["outbox"][0]["state"] == "held_back"
    assert "has not agreed" in owner("POST", f"/reminders/{id}/again")[1]["title"]


@pytest.mark.parametrize(
    ("at", "zone", "expected"),
    [
        ((2026, 11, 30, 12, 0), "UTC", (2026, 11, 30, 12, 0)),
        ((2026, 11, 30, 20, 0), "UTC", (2026, 12, 1, 8, 0)),
        ((2026, 12, 31, 23, 59), "UTC", (2027, 1, 1, 8, 0)),
        ((2028, 2, 28, 21, 0), "UTC", (2028, 2, 29, 8, 0)),
        ((2026, 11, 30, 7, 59), "UTC", (2026, 11, 30, 8, 0)),
        # The clocks go forward in that night: eight in Lisbon is seven in UTC.
        ((2027, 3, 27, 22, 0), "Europe/Lisbon", (2027, 3, 28, 7, 0)),
        ((2026, 11, 30, 12, 0), "Asia/Tokyo", (2026, 11, 30, 23, 0)),
    ],
)  # fmt: skip
def test_nobody_is_written_to_at_night_by_the_workshops_own_clock(at, zone, expected):
    with timezone.override(ZoneInfo(zone)):
        assert by_day(datetime(*at, tzinfo=UTC)).astimezone(UTC) == datetime(*expected, tzinfo=UTC)


def test_what_comes_to_its_turn_at_night_waits_for_the_morning(ready, owner, clock, queue, device, new_id):
    id = new_id()
    put(owner, ready, id)
    clock.at = NOON.replace(hour=22)
    send(reminder=id)
    assert device.sent == {}
    assert queue[-1][0] == datetime(2026, 12, 1, 8, 0, tzinfo=UTC)
    work(clock, queue)
    assert device.sent == {id: 1}


def test_a_workshop_that_reminds_by_itself_does_so_once_and_no_other_does(ready, owner, stranger, clock, queue, device):
    remind(timestamp=0)
    assert queue == []
    assert owner("PATCH", "/workshop", {"reminds": True})[0] == 200
    assert Workshop.objects.filter(reminds=True).count() == 1
    for _ in range(2):
        remind(timestamp=0)
    assert len(queue) == 1
    # What lost its place on the queue gets another.
    queue.clear()
    Reminder._base_manager.update(next_at=NOON - timedelta(hours=1))
    remind(timestamp=0)
    work(clock, queue)
    assert sum(device.sent.values()) == 1
    assert stranger.get("/reminders")["outbox"] == []


def test_a_sewer_sees_no_reminder_and_erasing_a_client_takes_them_along(ready, owner, queue, new_id):
    put(owner, ready, new_id())
    sewer = Caller(
        User.objects.create(username="s", workshop=Workshop.objects.get(people__username="ebba"), role="sewer")
    )
    assert sewer("GET", "/reminders")[0] == 403
    owner("DELETE", f"/clients/{owner.get(f'/orders/{ready}')['client']['id']}")
    assert Reminder._base_manager.count() == 0
    assert due(User.objects.get(username="ebba")) == []
