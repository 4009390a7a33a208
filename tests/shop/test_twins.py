"""Requests at the same moment: twins of a write are one, and what only one may have only one gets."""

import os
import re
import time
from concurrent.futures import ThreadPoolExecutor
from datetime import timedelta
from uuid import uuid4

import pytest
from django.db import connections, transaction
from django.utils import timezone

from demo.load import load
from shop.accounts.models import User
from shop.accounts.writing import add, locked
from shop.clients.models import Client, Reading, Sheet
from shop.orders.actions import put_garment
from shop.orders.models import Order
from shop.plans.models import LayRun, PlanRun
from tests.shop.bodies import bodies_for, rows, shape_of
from tests.shop.conftest import Caller

LIKE = 8 if os.environ.get("PLAVET_DEEP") else 4
"""So many of each write at once."""


@pytest.fixture
def at_once(transactional_db):
    """Calls as the owner from eight threads at once; the answers, by status."""
    load()
    ebba = User.objects.get(username="ebba")

    def call(*calls):
        def one(asked):
            try:
                return Caller(ebba)(*asked)
            finally:
                connections.close_all()

        with ThreadPoolExecutor(8) as threads:
            return list(threads.map(one, calls))

    return call


def test_twins_of_a_write_are_one(at_once):
    """Eight at the same moment: a reading, a correction, a lay by hand, a search."""
    ask = Caller(User.objects.get(username="ebba"))
    order = ask.get(f"/orders/{ask.get('/orders')[0]['id']}")
    sheet, made = order["sheet"]["id"], ask("POST", f"/orders/{order['id']}/plan")[1]
    reading = ("PUT", f"/readings/{uuid4()}", {"sheet": sheet, "key": "inseam", "typed": "30"})
    hand = {"id": str(uuid4()), "placements": made["plan"]["lay"]["placements"]}
    by_hand = ("PUT", f"/plans/{made['id']}/hand", hand)
    search = ("PUT", f"/lay-runs/{uuid4()}", {"plan": made["id"]})
    for twin in (reading, by_hand, search):
        assert {status for status, _ in at_once(*[twin] * 8)} == {200}, twin[1]
    assert LayRun._base_manager.filter(plan_run=made["id"]).count() == 2
    had = Reading._base_manager.filter(sheet=sheet, key="inseam").count()
    assert had == 1
    ask("POST", f"/sheets/{sheet}/close")
    counted = len(ask.get(f"/sheets/{sheet}")["readings"])
    correction = str(uuid4())
    assert {status for status, _ in at_once(*[("PUT", f"/corrections/{correction}", {"sheet": sheet})] * 8)} == {200}
    assert Reading._base_manager.filter(sheet=correction).count() == counted


def test_a_search_asked_for_beside_the_plans_own_only_waits(at_once):
    """One has the plan's row and adds a search of its own; the other has the person's row and waits for the plan's."""
    ebba = User.objects.get(username="ebba")
    made = Caller(ebba)("POST", f"/orders/{Caller(ebba).get('/orders')[0]['id']}/plan")[1]
    with ThreadPoolExecutor(1) as beside:
        with transaction.atomic():
            run = locked(PlanRun, ebba, made["id"])
            other = beside.submit(lambda: at_once(("PUT", f"/lay-runs/{uuid4()}", {"plan": made["id"]})))
            time.sleep(1)  # until it stands before the plan's row
            add(LayRun(id=uuid4(), workshop=ebba.workshop, changed_by=ebba, plan_run=run, kind=LayRun.HAND))
        assert [status for status, _ in other.result()] == [200]


def test_a_length_is_kept_for_one_order_and_a_sheet_is_closed_or_turned(at_once):
    ask = Caller(User.objects.get(username="ebba"))
    shelf = str(uuid4())
    cloth = {
        "form": "length",
        "kind": "wool",
        "colour": "#202020",
        "width": "60",
        "length": "4 yd",
        "name": "Grey wool",
    }
    assert ask("PUT", f"/shelf/{shelf}", cloth)[0] == 200
    orders = [one["id"] for one in ask.get("/orders")][:4]
    answers = at_once(*[("PUT", f"/orders/{one}/shelf", {"shelf": shelf}) for one in orders * 2])
    holders = Order._base_manager.filter(shelf=shelf)
    assert holders.count() == 1
    assert {status for status, _ in answers} == {200, 422}
    client = Client._base_manager.first().id
    for _ in range(3):
        sheet = str(uuid4())
        ask("PUT", f"/sheets/{sheet}", {"client": str(client), "taken_on": "2026-01-02", "unit": "in"})
        ask("PUT", f"/readings/{uuid4()}", {"sheet": sheet, "key": "waist", "typed": "45"})
        at_once(*[("POST", f"/sheets/{sheet}/turn", {"unit": "cm"}), ("POST", f"/sheets/{sheet}/close")] * 4)
        row = Sheet._base_manager.get(pk=sheet)
        last = Reading._base_manager.filter(sheet=sheet).order_by("created_at").last()
        assert row.closed_at is not None
        assert float(last.mm) == pytest.approx(45 * {"in": 25.4, "cm": 10}[row.unit])


def test_two_who_each_take_one_of_two_garments_off_leave_one(at_once):
    """One has taken the first off and is not done yet when the other comes for the second."""
    ebba = User.objects.get(username="ebba")
    two = next(one for one in Caller(ebba).get("/orders") if len(one["styles"]) == 2)["id"]
    first, second = Caller(ebba).get(f"/orders/{two}")["garments"]
    row = {key: first[key] for key in ("id", "version", "order", "name", "style", "method", "choices")}
    with ThreadPoolExecutor(1) as beside:
        with transaction.atomic():
            put_garment(actor=ebba, removed=True, **row)
            other = beside.submit(lambda: at_once(("PUT", f"/garments/{second['id']}", second | {"removed": True})))
            time.sleep(1)  # until it stands before the order's row
        assert [status for status, _ in other.result()] == [422]


LAST_ID = re.compile(r"[0-9a-f]{8}-[0-9a-f-]{27}(?=[^0-9a-f-]*$)")
ONCE = ("POST", "/session/join/*")
"""A link is good for one: the others find it used."""
AGAIN = {("POST", "/session"), ("POST", "/tape/*/readings")}
"""What has no twin: each is a try, or an event of its own."""


def made_by(before, after):
    return {name: later - earlier for (name, _, earlier), (_, _, later) in zip(before, after, strict=True)}


def test_every_write_of_the_api_from_several_threads_is_made_once(at_once):
    """One request alone says what it makes; several of its like at once, under an id of their own, make no more."""
    ask = Caller(User.objects.get(username="ebba"))
    order = ask.get(f"/orders/{ask.get('/orders')[0]['id']}")
    driven = 0
    for (method, path), body in bodies_for(ask, order).items():
        shape = (method, shape_of(path))
        if shape in AGAIN or shape[1] in ("/session/password", "/session/step"):
            continue
        ask = Caller(User.objects.get(username="ebba"))
        started = rows()
        alone, _ = (200, None) if shape == ONCE else ask(method, path, body)
        one = made_by(started, rows())
        makes = shape[1].rpartition("/")[2] == "*" and any(one.values())
        twin = LAST_ID.sub(str(uuid4()), path) if makes else path
        if "id" in body:
            body = body | {"id": str(uuid4())} if any(one.values()) else body
        before = rows()
        answers = at_once(*[(method, twin, body)] * LIKE)
        many = made_by(before, rows())
        statuses = [status for status, _ in answers]
        driven += 1
        assert max(statuses) < 500, (shape, statuses)
        if shape == ONCE:
            assert statuses.count(200) == 1, statuses
        else:
            assert all(many[name] <= max(one[name], 0) for name in many if name not in NOTED), (shape, one, many)
            assert len(set(statuses)) == 1 or min(statuses) >= 400, (shape, alone, statuses)
    assert driven >= 25


NOTED = ("accounts.Session", "clients.Seen")
"""Each caller has a session of their own, and is noted to have seen what is answered."""


def test_two_owners_who_make_the_same_a_rule_at_once_make_one(at_once):
    ask = Caller(User.objects.get(username="ebba"))
    order = ask.get(f"/orders/{ask.get('/orders')[0]['id']}")
    garment = order["garments"][0]["name"]
    for days in range(5):
        day = str(timezone.localdate() - timedelta(days=days))
        body = {"version": 0, "order": order["id"], "garment": garment, "sign": "waist_dips", "cure": "raise_more",
                "pinned": "1/4", "fitted_on": day}  # fmt: skip
        assert ask("PUT", f"/fitting-corrections/{uuid4()}", body)[0] == 200
    rule = {"kind": "lower", "method": "quarter-hip", "choice": "seat_raise"}
    answers = at_once(*[("PUT", f"/house-corrections/{uuid4()}", rule) for _ in range(8)])
    assert sorted(status for status, _ in answers) == [200] + [409] * 7
    assert {answer["code"] for status, answer in answers if status == 409} == {"rule_held"}
