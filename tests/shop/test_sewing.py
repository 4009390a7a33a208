"""Steps of sewing ticked over the API: nothing before what it needs, unpicked from the top, by whom and when."""

from concurrent.futures import ThreadPoolExecutor

import pytest
from django.db import connection

from shop.accounts.models import User
from shop.sewing.models import Sewn


@pytest.fixture
def made(owner, order):
    """The order's plan."""
    return owner("POST", f"/orders/{order['id']}/plan")[1]


@pytest.fixture
def sew(owner, order, made, new_id):
    """Ticks or unpicks a step by its code."""

    def tick(code, sewn=True, id=None):
        body = {"order": order["id"], "plan": made["id"], "operation": f"trousers.{code}", "sewn": sewn}
        return owner("PUT", f"/sewn/{id or new_id()}", body)

    return tick


def test_steps_are_ticked_in_an_order_that_can_be_sewn(owner, order, made, sew):
    steps = made["plan"]["sewing"]
    assert owner.get(f"/orders/{order['id']}/sewn") == []
    status, said = sew("inner_leg")
    assert (status, said["code"]) == (422, "sewing")
    assert "close the front centre" in said["title"] + said.get("detail", "")
    for one in steps:
        status, done = sew(one["code"])
        assert status == 200, (one["code"], done)
    assert {one["operation"] for one in done} == {one["id"] for one in steps}
    assert {one["by"] for one in done} == {"Ebba"}
    status, said = sew("side", sewn=False)
    assert status == 422, "the inner legs are sewn on it"
    assert "close the inner legs" in said["title"] + said.get("detail", "")
    for one in reversed(steps):
        assert sew(one["code"], sewn=False)[0] == 200
    assert owner.get(f"/orders/{order['id']}/sewn") == []


def test_the_same_tick_again_and_a_step_that_is_done_change_nothing(order, sew, new_id):
    id = new_id()
    assert sew("darts", id=id)[0] == 200
    assert sew("darts", id=id)[0] == 200
    assert sew("darts")[0] == 200
    assert Sewn.of(User.objects.get(username="ebba").workshop).count() == 1
    assert sew("darts", sewn=False)[0] == 200
    assert sew("darts", sewn=False)[0] == 200
    assert sew("sails")[0] == 422


def test_a_sewer_may_and_another_workshop_sees_nothing(owner, order, made, sew, stranger, new_id):
    User.objects.filter(username="ebba").update(role="sewer")
    assert sew("darts")[0] == 200
    assert stranger("GET", f"/orders/{order['id']}/sewn")[0] == 404
    body = {"order": order["id"], "plan": made["id"], "operation": "trousers.darts"}
    assert stranger("PUT", f"/sewn/{new_id()}", body)[0] == 404


def test_as_many_queries_for_many_steps_as_for_few(owner, order, made, sew):
    def asked():
        with connection.execute_wrapper(lambda run, *rest: (counts.append(1), run(*rest))[1]):
            owner.get(f"/orders/{order['id']}/sewn")

    counts = []
    sew("darts")
    asked()
    few = len(counts)
    for one in made["plan"]["sewing"]:
        sew(one["code"])
    counts.clear()
    asked()
    assert len(counts) == few


@pytest.mark.django_db(transaction=True)
def test_two_people_on_one_step_are_one(owner, order, made, sew):
    with ThreadPoolExecutor(2) as pool:
        assert [status for status, _ in pool.map(lambda _: sew("darts"), range(2))] == [200, 200]
    assert Sewn.of(User.objects.get(username="ebba").workshop).count() == 1
