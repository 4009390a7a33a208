"""No list asks the database more often because it is longer; no row is kept for ever."""

import json
from uuid import uuid4

import pytest
from django.db import connection
from django.test.utils import CaptureQueriesContext

from demo.people import ORDERS
from shop.accounts.models import User
from shop.bridge.drafting import make_plan
from shop.clients.models import Client, Sheet
from shop.orders.actions import put_order
from shop.orders.group import put_same
from shop.orders.models import Order
from shop.plans import making
from shop.plans.making import KEPT, plan_order
from shop.plans.models import LayRun, PlanRun


@pytest.fixture
def ebba(owner):
    return User.objects.get(username="ebba")


def choir(ebba, first, count):
    """The order's outfit for so many more invented clients, each with the first's measures."""
    source = Order.of(ebba.workshop).select_related("sheet").get(pk=first["id"])
    for k in range(count):
        client = Client(id=uuid4(), workshop=ebba.workshop, name=f"Singer {k}", changed_by=ebba)
        client.save(force_insert=True)
        made = put_same(actor=ebba, id=uuid4(), of=source.id, client=client.id)
        Order.of(ebba.workshop).filter(pk=made.pk).update(sheet=source.sheet)


@pytest.mark.parametrize(("more", "again"), [(2, 9)])
def test_bench_group_order_and_book_ask_as_often_for_many_as_for_few(owner, ebba, order, more, again):
    paths = [
        "/orders", f"/orders/{order['id']}/group", f"/orders/{order['id']}",
        "/clients", f"/clients/{order['client']['id']}/sheets", "/shelf",
        "/house-rules", "/bodies", "/money", "/reminders",
    ]  # fmt: skip
    choir(ebba, order, more)
    for one in Order.of(ebba.workshop).filter(group=Order.of(ebba.workshop).get(pk=order["id"]).group):
        plan_order(actor=ebba, order=one)
    few = {path: owner.counted(path) for path in paths}
    choir(ebba, order, again)
    many = {path: owner.counted(path) for path in paths}
    assert len(many["/orders"][1]) == len(few["/orders"][1]) + again
    assert len(many[f"/orders/{order['id']}/group"][1]["members"]) == more + again + 1
    assert {path: count for path, (count, _) in many.items()} == {path: count for path, (count, _) in few.items()}
    assert max(count for count, _ in many.values()) <= 16


def test_all_on_one_cloth_asks_as_often_for_many_as_for_few(owner, ebba, order, monkeypatch):
    monkeypatch.setattr("shop.plans.together.AT_ONCE", 9)
    path = f"/orders/{order['id']}/plan?cloth=all"

    def planned(count):
        choir(ebba, order, count)
        group = Order.of(ebba.workshop).get(pk=order["id"]).group
        for one in Order.of(ebba.workshop).filter(group=group):
            plan_order(actor=ebba, order=one)
        return owner.counted(path, "POST")[0]

    assert planned(1) == planned(4) <= 26


def test_the_bench_comes_in_pages(owner, ebba, order):
    row = Order.of(ebba.workshop).get(pk=order["id"])
    own = {"client": row.client_id, "sheet": row.sheet_id, "cloth": row.cloth_id, "promised_on": row.promised_on}
    for k in range(45):
        put_order(actor=ebba, id=f"00000000-0000-4000-8000-{k:012d}", version=0, title=f"Order {k:02d}", **own)
    pages = [owner.get("/orders", page=page) for page in (1, 2, 3)]
    assert [len(page) for page in pages] == [40, 45 + len(ORDERS) - 40, 0]
    assert len({one["id"] for page in pages for one in page}) == 45 + len(ORDERS)
    assert owner("GET", "/orders?page=0")[0] == 422


def test_a_plan_that_is_made_asks_little_is_stored_to_the_digit_and_read_as_it_was_answered(
    owner, ebba, order, new_id, monkeypatch
):
    monkeypatch.setattr(making, "LOOKED_FOR", 2**999)
    path = f"/orders/{order['id']}/plan"
    owner("PUT", f"/readings/{new_id()}", {"sheet": order["sheet"]["id"], "key": "hip", "typed": "41 3/8"})
    with CaptureQueriesContext(connection) as asked:
        made = owner("POST", path)[1]
    assert len(asked) <= 14
    stored = PlanRun.of(ebba.workshop).get(pk=made["id"])
    assert stored.plan == json.loads(json.dumps(make_plan(stored.job)))
    with connection.cursor() as cursor:
        cursor.execute("select pg_column_compression(plan) from plans_planrun where id = %s", [stored.id])
        assert cursor.fetchone() == ("lz4",)
    assert owner("POST", path)[1] == made


def test_plans_that_nobody_worked_at_do_not_pile_up(owner, ebba, order, new_id, monkeypatch):
    monkeypatch.setattr(making, "LOOKED_FOR", 1)
    path = f"/orders/{order['id']}/plan"
    searched = owner("POST", path)[1]["id"]
    LayRun(
        id=new_id(), workshop=ebba.workshop, plan_run_id=searched, kind=LayRun.HAND, state=LayRun.DONE
    ).save(force_insert=True)  # fmt: skip
    for k in range(KEPT + 3):
        reading = {"sheet": order["sheet"]["id"], "key": "hip", "typed": f"{41 + k / 8}"}
        owner("PUT", f"/readings/{new_id()}", reading)
        newest = owner("POST", path)[1]["id"]
    left = {str(key) for key in PlanRun.of(ebba.workshop).filter(order_id=order["id"]).values_list("id", flat=True)}
    assert len(left) == KEPT + 1
    assert {searched, newest} <= left
    assert Sheet.of(ebba.workshop).filter(pk=order["sheet"]["id"]).exists()
