"""Promised and kept, usual and timed, bought and used: by months of the workshop's own days."""

from datetime import date, datetime, timedelta
from zoneinfo import ZoneInfo

import pytest
from django.db import connection
from django.test.utils import CaptureQueriesContext
from django.utils import timezone

from shop.accounts.models import User
from shop.orders.models import Order, Step
from shop.sewing.models import Sewn
from shop.sewing.months import months


@pytest.fixture
def ebba(owner):
    return User.objects.get(username="ebba")


@pytest.fixture
def at(ebba):
    """Moves the row of that id to a moment."""

    def put(model, id, moment):
        model.of(ebba.workshop).filter(pk=id).update(created_at=moment)

    return put


def test_handed_over_orders_are_in_time_by_the_workshop_s_own_day(owner, order, ebba, at, new_id):
    id, zone = new_id(), ZoneInfo("Pacific/Auckland")
    assert months(ebba) == []
    owner("PUT", f"/steps/{id}", {"order": order["id"], "state": "handed_over"})
    promised = timezone.localdate().replace(day=1) - timedelta(days=1)
    Order.of(ebba.workshop).filter(pk=order["id"]).update(promised_on=promised)
    # Half past ten in the evening of the promised day, and half past one in the morning after it.
    for hour, day, in_time in ((22, promised, 1), (1, promised + timedelta(days=1), 0)):
        at(Step, id, datetime(day.year, day.month, day.day, hour, 30, tzinfo=zone))
        with timezone.override(zone):
            [found] = months(ebba)
        assert (found.first, found.handed_over, found.in_time) == (day.replace(day=1), 1, in_time)
    owner("DELETE", f"/steps/{id}")
    assert months(ebba) == []


def test_timed_steps_are_compared_with_the_usual_and_long_past_months_are_left_out(owner, order, ebba, at, new_id):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    ended = timezone.now()
    for minutes in (2, 5):
        id = new_id()
        body = {
            "order": order["id"], "plan": made["id"], "operation": "trousers.darts",
            "began": (ended - timedelta(minutes=minutes)).isoformat(), "ended": ended.isoformat(),
        }  # fmt: skip
        assert owner("PUT", f"/sewn/{id}", body)[0] == 200
        unpick = {"order": order["id"], "plan": made["id"], "operation": "trousers.darts", "sewn": False}
        owner("PUT", f"/sewn/{new_id()}", unpick)
    [found] = owner.get("/work")["months"]
    # Usually 3 minutes each.
    assert (found["usual"], found["taken"]) == (6, pytest.approx(7, abs=0.01))
    at(Sewn, id, timezone.now() - timedelta(days=500))
    [found] = owner.get("/work")["months"]
    assert (found["usual"], found["taken"]) == (3, pytest.approx(2, abs=0.01))


def test_cloth_that_was_cut_is_compared_with_what_was_bought_for_it(owner, order, new_id, ebba):
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    tick = {"order": order["id"], "plan": made["id"], "stamp": made["stamp"], "call": 1}
    chalk = owner("PUT", f"/ticks/{new_id()}", tick)[1]["id"]
    assert owner.get("/work")["months"] == []
    assert owner("POST", f"/chalks/{chalk}/cut")[0] == 200
    [found] = owner.get("/work")["months"]
    assert found["used_mm"] == pytest.approx(made["plan"]["lay"]["length_mm"])
    assert found["bought_mm"] == pytest.approx(made["plan"]["yardage"]["buy_mm"])
    assert date.fromisoformat(found["first"]) == timezone.localdate().replace(day=1)
    months(ebba)
    with CaptureQueriesContext(connection) as queries:
        months(ebba)
    assert len(queries) == 3
