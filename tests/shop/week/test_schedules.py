"""Schedules made by the solver, shown beside what stands, kept."""

import json
from datetime import date, timedelta

from django.utils import timezone

from shop.bridge import making_schedule
from shop.orders.models import Order
from shop.scheduling.models import Schedule
from shop.scheduling.tasks import make
from tests.shop.week.doing import put_hours


def test_a_schedule_is_made_shown_and_kept_and_the_week_goes_by_it(owner, orders, person, new_id):
    # One sewer, two orders for today: what takes longer is promised first, so that both are late by promises alone.
    for name in ("Hild", "Pelle", "Sanna"):
        put_hours(owner, person[name], [])
    put_hours(owner, person["Ebba"], ["measure", "cut", "fit", "pack"])
    Order._base_manager.filter(pk__in=orders).update(promised_on=date(2026, 12, 18))
    Order._base_manager.filter(pk__in=orders[:3]).update(promised_on=date(2026, 11, 30))
    id = new_id()
    status, asked = owner("PUT", f"/schedules/{id}")
    assert (status, asked["state"]) == (200, "queued")
    assert owner("POST", f"/schedules/{id}/keep")[0] == 409
    make(schedule=id)
    made = owner.get(f"/schedules/{id}")
    assert (made["state"], made["kept"]) == ("done", False)
    assert made["least"] <= made["breaks"] <= made["habit_breaks"] == made["stands_breaks"]
    assert owner.get("/week")["kept_at"] is None
    for _ in range(2):
        status, kept = owner("POST", f"/schedules/{id}/keep")
        assert (status, kept["kept"], kept["moves"]) == (200, True, [])
    week = owner.get("/week")
    assert week["kept_at"] is not None
    assert len(week["broken"]) == made["breaks"]
    stored = Schedule._base_manager.get(pk=id)
    assert "Marit" not in json.dumps(stored.made)
    assert stored.asked == {}
    # As it was kept, so it stays: who does what on which day.
    by = {one["task"]: one for one in _tasks(owner, orders)}
    assert {id: (one["worker"]) for id, one in stored.made["placed"].items()} == {
        id: one["by"] for id, one in by.items()
    }


def _tasks(owner, orders):
    names = {one["name"]: one["person"] for one in owner.get("/hours")["people"]}
    for order in orders:
        for one in owner.get(f"/orders/{order}/tasks")["tasks"]:
            yield {"task": f"{order}.{one['kind']}", "by": names[one["by"]]}


def test_a_child_that_breaks_off_has_failed_and_the_week_stays(owner, orders, new_id, monkeypatch):
    monkeypatch.setattr(making_schedule.sys, "executable", "/bin/false")
    id = new_id()
    owner("PUT", f"/schedules/{id}")
    make(schedule=id)
    assert owner.get(f"/schedules/{id}")["state"] == "failed"
    assert owner("POST", f"/schedules/{id}/keep")[1]["code"] == "schedule"
    assert owner.get("/week")["kept_at"] is None


def test_no_more_than_a_few_schedules_are_made_at_once(owner, orders, new_id):
    ids = [new_id() for _ in range(3)]
    assert [owner("PUT", f"/schedules/{id}")[0] for id in ids] == [200] * 3
    assert owner("PUT", f"/schedules/{ids[0]}")[0] == 200, "the same again"
    assert owner("PUT", f"/schedules/{new_id()}")[1]["code"] == "schedule"
    # Those whose worker was lost are in nobody's way.
    long_ago = timezone.now() - timedelta(minutes=6)
    Schedule._base_manager.filter(pk__in=ids).update(created_at=long_ago)
    assert {owner.get(f"/schedules/{id}")["state"] for id in ids} == {"failed"}
    assert owner("PUT", f"/schedules/{new_id()}")[0] == 200


def test_of_old_schedules_only_the_one_that_is_gone_by_is_kept(owner, orders, new_id):
    ids = [new_id() for _ in range(3)]
    for id in ids:
        owner("PUT", f"/schedules/{id}")
        make(schedule=id)
    for id in ids[:2]:
        assert owner("POST", f"/schedules/{id}/keep")[0] == 200
    Schedule._base_manager.filter(pk__in=ids).update(created_at=timezone.now() - timedelta(days=2))
    new = new_id()
    assert owner("PUT", f"/schedules/{new}")[0] == 200
    assert {str(one) for one in Schedule._base_manager.values_list("pk", flat=True)} == {ids[1], new}
