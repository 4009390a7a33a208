"""The week: who does what when, what can be promised, hours and days away, schedules made and kept."""

import json
from datetime import date, datetime, timedelta
from math import ceil

import pytest
from django.db import connection
from django.test.utils import CaptureQueriesContext
from django.utils import timezone

from cutting.kinds import PAIRS
from cutting.kinds import all_styles as of_one_piece
from shop.accounts.models import User
from shop.bridge import making_schedule
from shop.orders.models import Order
from shop.scheduling.models import Schedule
from shop.scheduling.tasks import make
from tests.shop.conftest import Caller

ALL_STYLES = (*of_one_piece(), *PAIRS)
MONDAY = datetime(2026, 11, 30, 7, 0, tzinfo=timezone.get_default_timezone())
FULL = [["08:00", "12:00"], ["13:00", "17:00"]]
WEEK = [*([FULL] * 5), [], []]


@pytest.fixture(autouse=True)
def _monday(monkeypatch):
    """It is early on a Monday, and every order is promised for some days later."""
    real, began = timezone.now, timezone.now()
    monkeypatch.setattr(timezone, "now", lambda: MONDAY + (real() - began))


@pytest.fixture
def orders(owner):
    """The orders of the bench, promised from Wednesday on."""
    ids = [one["id"] for one in owner.get("/orders")]
    for k, id in enumerate(ids):
        Order._base_manager.filter(pk=id).update(promised_on=date(2026, 12, 2) + timedelta(days=k))
    return ids


@pytest.fixture
def person(owner):
    """The id of somebody by their name."""
    return {one["name"]: one["person"] for one in owner.get("/hours")["people"]}


def put_hours(owner, person, skills, week=WEEK):
    now = next(one for one in owner.get("/hours")["people"] if one["person"] == person)
    return owner("PUT", f"/hours/{person}", {"version": now["version"], "skills": skills, "week": week})


def test_every_day_of_everybody_is_what_they_work_less_what_is_free(owner, orders):
    week = owner.get("/week")
    assert [row["name"] for row in week["rows"]] == ["Ebba", "Hild", "Ivo", "Pelle", "Sanna"]
    assert {day["day"] for row in week["rows"] for day in row["days"]} == {
        str(date(2026, 11, 30) + timedelta(days=k)) for k in range(7)
    }
    for row in week["rows"]:
        worked = [day["worked"] for day in row["days"]]
        assert worked == ([270] * 5 + [0, 0] if row["name"] == "Sanna" else [480] * 5 + [0, 0])
        for day in row["days"]:
            assert day["worked"] == day["free"] + sum(one["minutes"] for one in day["tickets"])
    for id in orders:
        of_order = owner.get(f"/orders/{id}/tasks")
        placed = [one for row in week["rows"] for day in row["days"] for one in day["tickets"] if one["order"] == id]
        assert sum(one["minutes"] for one in placed) == sum(one["minutes"] for one in of_order["tasks"]) > 0
        for one in of_order["tasks"]:
            parts = [part.split(" x ") for part in one["summed"].split(" + ") if part]
            numbers = [float(part[0]) * float(part[1] if len(part) > 1 else 1) for part in parts]
            assert ceil(sum(numbers) or one["minutes"]) == one["minutes"]
        assert any(one["summed"] for one in of_order["tasks"])
        ends = [one["end"] for one in of_order["tasks"]]
        assert ends == sorted(ends)
        assert of_order["done_on"] == ends[-1][:10]
    assert week["broken"] == []
    assert week["kept_at"] is None


@pytest.mark.parametrize("style", ALL_STYLES)
def test_every_style_can_be_promised_before_anything_of_it_is_planned(owner, style):
    answer = owner("POST", "/promises", {"styles": [style], "day": "2026-12-11"})[1]
    assert answer["can"]
    # A bodice by itself has no hem: nothing of it is finished after a fitting.
    assert answer["minutes"]["cut"] > 20
    assert answer["minutes"]["sew"] > 15
    assert ("finish" in answer["minutes"]) == (style != "bodice")


def test_what_is_done_of_an_order_is_no_task_any_more(owner, orders, new_id):
    def kinds():
        return [one["kind"] for one in owner.get(f"/orders/{orders[0]}/tasks")["tasks"]]

    assert kinds() == ["cut", "sew", "finish", "pack"]
    owner("PUT", f"/steps/{new_id()}", {"order": orders[0], "state": "cut"})
    assert kinds() == ["sew", "finish", "pack"]
    made = owner("POST", f"/orders/{orders[0]}/plan")[1]
    long = {one["kind"]: one["minutes"] for one in owner.get(f"/orders/{orders[0]}/tasks")["tasks"]}
    first = made["plan"]["sewing"][0]
    tick = {"order": orders[0], "plan": made["id"], "operation": first["id"], "sewn": True}
    assert owner("PUT", f"/sewn/{new_id()}", tick)[0] == 200
    now = {one["kind"]: one["minutes"] for one in owner.get(f"/orders/{orders[0]}/tasks")["tasks"]}
    assert sum(long.values()) - sum(now.values()) == pytest.approx(first["minutes"], abs=1)
    owner("PUT", f"/steps/{new_id()}", {"order": orders[0], "state": "ready"})
    assert kinds() == []


def test_what_is_planned_of_others_or_from_another_cloth_is_no_work_of_an_order(owner, orders, new_id):
    owner("POST", f"/orders/{orders[0]}/plan")
    before = owner.get(f"/orders/{orders[0]}/tasks")["tasks"]
    client = owner("PUT", f"/clients/{new_id()}", {"name": "Somebody"})[1]["id"]
    other = owner("PUT", f"/orders/{new_id()}/same", {"of": orders[0], "client": client})[1]
    taken = owner.get(f"/orders/{orders[0]}")["sheet"]["readings"]
    for one in taken:
        body = {"sheet": other["sheet"]["id"], "key": one["key"], "typed": one["typed"]}
        assert owner("PUT", f"/readings/{new_id()}", body)[0] == 200
    assert owner("POST", f"/orders/{other['id']}/plan")[0] == 200
    status, together = owner("POST", f"/orders/{orders[0]}/plan?cloth=all")
    assert status == 200
    assert len({one["garment"] for one in together["plan"]["sewing"]}) == 2
    now = owner.get(f"/orders/{orders[0]}/tasks")["tasks"]
    assert {one["kind"]: one["minutes"] for one in now} == {one["kind"]: one["minutes"] for one in before}


def test_hours_that_are_said_are_worked_and_others_are_not(owner, orders, person):
    status, team = put_hours(owner, person["Ivo"], ["pack", "sew", "sew"], [[["06:30", "09:00"]], *([[]] * 6)])
    assert status == 200
    ivo = next(one for one in team["people"] if one["name"] == "Ivo")
    assert ivo["skills"] == ["sew", "pack"]
    row = next(one for one in owner.get("/week")["rows"] if one["name"] == "Ivo")
    assert [day["worked"] for day in row["days"]] == [120, 0, 0, 0, 0, 0, 0], "it is seven already"
    assert put_hours(owner, person["Ivo"], ["sew"])[0] == 200
    stale = {"version": ivo["version"], "skills": [], "week": WEEK}
    status, answer = owner("PUT", f"/hours/{person['Ivo']}", stale)
    assert (status, answer["code"]) == (409, "stale")


@pytest.mark.parametrize(("day", "says"), [
    ([["12:00", "08:00"]], "On Monday work from 12:00 to 08:00 ends before it begins. Turn them round."),
    ([["08:00", "12:00"], ["11:00", "13:00"]], "On Monday work from 11:00 begins before the one before it ends. Mend one of them."),
    ([["8", "12:00"]], "On Monday 8 is no time of the day. Write it like 08:30."),
    ([["08:00", "25:00"]], "On Monday 25:00 is no time of the day. Write it like 08:30."),
    ([["08:00", "09:61"]], "On Monday 09:61 is no time of the day. Write it like 08:30."),
    ([["", "09:00"]], "On Monday nothing is no time of the day. Write it like 08:30."),
])  # fmt: skip
def test_hours_that_nobody_can_work_are_refused_in_words(owner, person, day, says):
    status, answer = put_hours(owner, person["Ivo"], ["sew"], [day, *([[]] * 6)])
    assert (status, answer["code"], answer["title"]) == (422, "hours", says)


def test_somebody_who_is_ill_does_nothing_and_what_that_breaks_is_said_with_what_would_keep_it(
    owner, orders, person, new_id
):
    for name in ("Ebba", "Pelle", "Hild"):
        put_hours(owner, person[name], ["measure", "cut", "fit", "pack"])
    put_hours(owner, person["Sanna"], ["pack"])
    assert owner.get("/week")["broken"] == []
    assert not any(one["late"] for one in owner.get("/ends"))
    away = {"person": person["Ivo"], "first": "2026-11-30", "last": "2026-12-04", "reason": "ill"}
    id = new_id()
    # What would move is shown before it is noted.
    status, would = owner("POST", f"/hours/{person['Ivo']}/moves", away)
    assert (status, [one["order"] for one in would["broken"]]) == (200, orders[:5])
    assert {(one["was_by"], one["by"]) for one in would["moves"] if one["name"] in ("sew", "finish")} == {
        ("Ivo", "Ivo")
    }
    assert owner.get("/week")["broken"] == []
    assert owner("POST", f"/hours/{person['Ivo']}/moves", away | {"last": "2026-11-01"})[1]["code"] == "day"
    status, team = owner("PUT", f"/away/{id}", away)
    assert (status, [one["reason"] for one in team["away"]]) == (200, ["ill"])
    week = owner.get("/week")
    ivo = next(one for one in week["rows"] if one["name"] == "Ivo")
    assert [day["away"] for day in ivo["days"]] == [True] * 5 + [False] * 2
    assert not [day for day in ivo["days"] if day["tickets"]]
    assert [one["order"] for one in week["broken"]] == orders[:5]
    ends = {one["order"]: one for one in owner.get("/ends")}
    assert all(ends[id]["late"] and ends[id]["done_on"] >= "2026-12-07" for id in orders[:5])
    assert ends[orders[0]]["minutes"] == sum(one["minutes"] for one in owner.get(f"/orders/{orders[0]}/tasks")["tasks"])
    says = " ".join(week["broken"][0]["says"])
    assert "It waits longest for Ivo, who comes to it on Monday 7 December: sew." in says
    assert "could do this once: sew, finish." in says
    assert "Monday 7 December can be promised." in says
    [version] = [one["version"] for one in team["away"]]
    assert owner("PUT", f"/away/{id}", away | {"version": version, "removed": True})[1]["away"] == []
    assert owner.get("/week")["broken"] == []


@pytest.mark.parametrize(
    ("first", "last"), [("2026-12-04", "2026-12-01"), ("2026-12-04", "2028-12-01"), ("2024-01-01", "2024-01-02")]
)
def test_days_away_that_cannot_be_meant_are_refused(owner, person, new_id, first, last):
    status, answer = owner("PUT", f"/away/{new_id()}", {"person": person["Ivo"], "first": first, "last": last})
    assert (status, answer["code"]) == (422, "day")


def test_a_fitting_is_on_the_day_its_client_comes_and_splits_the_work(owner, orders, new_id):
    day = {"order": orders[0], "kind": "fit", "day": "2026-12-01"}
    first, second = new_id(), new_id()
    assert owner("PUT", f"/client-days/{first}", day)[0] == 200
    status, of_order = owner("PUT", f"/client-days/{second}", day | {"day": "2026-12-02"})
    assert (status, [one["day"] for one in of_order["days"]]) == (200, ["2026-12-02"])
    assert [one["kind"] for one in of_order["tasks"]] == ["cut", "sew", "fit", "finish", "pack"]
    fit = of_order["tasks"][2]
    assert (fit["start"][:10], fit["minutes"]) == ("2026-12-02", 30)
    assert of_order["tasks"][1]["end"] <= fit["start"] <= fit["end"] <= of_order["tasks"][3]["start"]
    # On a Sunday nobody is there.
    put = day | {"day": "2026-12-06", "version": of_order["days"][0]["version"]}
    assert owner("PUT", f"/client-days/{second}", put)[0] == 200
    [broken] = [one for one in owner.get("/week")["broken"] if one["order"] == orders[0]]
    assert broken["says"][0].startswith("The client comes on Sunday 6 December, and what is before that is not done")
    for past in ("2026-11-29", "2028-11-29"):
        assert owner("PUT", f"/client-days/{new_id()}", day | {"day": past})[1]["code"] == "day"
    gone = owner("PUT", f"/client-days/{second}", put | {"version": put["version"] + 1, "removed": True})
    assert [one["kind"] for one in gone[1]["tasks"]] == ["cut", "sew", "finish", "pack"]


def test_a_day_is_promised_or_not_with_why_and_nothing_is_stored(owner, orders, new_id):
    before = owner.get("/week")
    ask = {"styles": ["palazzo"], "day": "2026-12-11"}
    status, yes = owner("POST", "/promises", ask)
    assert (status, yes["can"], list(yes["minutes"])) == (200, True, ["measure", "cut", "sew", "finish", "pack"])
    assert "of work are left over then." in yes["says"][0]
    # The minutes of a palazzo's own steps, as its sewing card has them; measuring, cutting and pressing besides.
    made = owner("POST", f"/orders/{orders[0]}/plan")[1]["plan"]
    assert yes["minutes"]["sew"] + yes["minutes"]["finish"] == pytest.approx(
        sum(one["minutes"] for one in made["sewing"]), abs=12
    )
    fitted = owner("POST", "/promises", ask | {"fitting": "2026-12-09"})[1]
    assert (fitted["can"], fitted["minutes"]["fit"], fitted["done_on"] >= "2026-12-09") == (True, 30, True)
    # Nobody is there on a Sunday: what cannot be fitted on its day is not promised, however early it is done.
    sunday = owner("POST", "/promises", ask | {"fitting": "2026-12-06"})[1]
    assert (sunday["can"], sunday["first"]) == (False, None)
    assert sunday["says"][0].startswith("The client comes on Sunday 6 December")
    assert owner("POST", "/promises", ask | {"fitting": "2026-11-29"})[1]["code"] == "day"
    no = owner("POST", "/promises", ask | {"styles": ["jumpsuit"] * 8, "day": "2026-11-30"})[1]
    assert (no["can"], no["first"] > "2026-11-30") == (False, True)
    assert no["says"][-1].endswith("can be promised.")
    again = owner("POST", "/promises", ask | {"styles": ["jumpsuit"] * 8, "day": no["first"]})[1]
    assert again["can"]
    assert owner.get("/week") == before
    moved = owner("POST", "/promises", {"order": orders[4], "day": "2026-12-09"})[1]
    assert moved["can"]
    # What was done by hand of it is not asked for again.
    owner("PUT", f"/steps/{new_id()}", {"order": orders[4], "state": "cut"})
    assert "cut" not in owner("POST", "/promises", {"order": orders[4], "day": "2026-12-09"})[1]["minutes"]


@pytest.mark.parametrize(("ask", "says"), [
    ({"styles": [], "day": "2026-12-11"}, "Say what it is: choose a garment, or an order."),
    ({"styles": ["cape"], "day": "2026-12-11"}, "There is no style cape. Choose one from the list."),
    ({"styles": ["palazzo"], "day": "2026-11-29"}, "A promise is for today or later, within a year. Choose such a day."),
])  # fmt: skip
def test_what_cannot_be_promised_is_refused_in_words(owner, ask, says):
    status, answer = owner("POST", "/promises", ask)
    assert (status, answer["title"]) == (422, says)


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


def move(owner, order, kinds, person, day, **more):
    return owner("POST", f"/orders/{order}/moves", {"kinds": kinds, "person": person, "day": day} | more)


def on_board(owner):
    """Who does what of which order on which day, by the week's board."""
    return {
        (ticket["order"], kind): (row["name"], day["day"])
        for row in owner.get("/week")["rows"] for day in row["days"] for ticket in day["tickets"]
        for kind in ticket["kinds"]
    }  # fmt: skip


def test_a_ticket_is_moved_as_it_was_shown_and_stays_there(owner, orders, person, new_id):
    # Two who sew: what one has is given to the other, on Thursday.
    for name in ("Hild", "Pelle", "Sanna"):
        put_hours(owner, person[name], [])
    put_hours(owner, person["Ebba"], ["measure", "cut", "sew", "fit", "finish", "pack"])
    put_hours(owner, person["Ivo"], ["sew", "finish"])
    before, week = on_board(owner), owner.get("/week")
    order, by = next((key[0], name) for key, (name, _) in before.items() if key[1] == "sew")
    to = {"Ivo": "Ebba", "Ebba": "Ivo"}[by]
    status, would = move(owner, order, ["sew"], person[to], "2026-12-03")
    assert (status, would["by"], would["on"]) == (200, to, "2026-12-03")
    assert would["moves"][0]["by"] == to or len(would["moves"]) > 1
    # Nothing is stored by asking.
    assert owner.get("/week") == week
    id, body = new_id(), {"order": order, "kinds": ["sew"], "person": person[to], "day": "2026-12-03"}
    assert owner("PUT", f"/ticket-moves/{id}", body | {"stamp": "seen another day"})[1]["code"] == "schedule"
    for _ in range(2):
        status, of_order = owner("PUT", f"/ticket-moves/{id}", body | {"stamp": would["stamp"]})
        assert status == 200
        [sew] = [one for one in of_order["tasks"] if one["kind"] == "sew"]
        assert (sew["by"], sew["end"][:10]) == (to, "2026-12-03")
    assert Schedule._base_manager.count() == 1
    after = on_board(owner)
    assert after[order, "sew"] == (to, "2026-12-03")
    shown = {(one["order"], one["name"]): (one["by"], one["on"]) for one in would["moves"]}
    names = {"sew": "sew", "finish": "finish", "pack": "press and pack", "cut": "mark and cut", "measure": "measure"}
    for key, (by, day) in before.items():
        # The last day of a task is what moves; a task over two days is on the board twice.
        assert (key[0], names[key[1]]) in shown or after[key] == (by, day), key
    assert owner.get("/week")["kept_at"] is not None
    # An hour later, and the next day: it is where it was put.
    assert move(owner, order, ["sew"], person[to], "2026-12-03")[1]["moves"] == []


@pytest.mark.parametrize(("kinds", "to", "day", "says"), [
    (["sew"], "Ivo", "2026-11-29", "Work is put on a day from today on, within 120 days. Choose such a day."),
    (["sew"], "Ivo", "2028-11-29", "Work is put on a day from today on, within 120 days. Choose such a day."),
    (["measure"], "Ivo", "2026-12-03", "That is done already, or is no work of this order. Look at the week again."),
    (["pack"], "Pelle", "2026-12-03", "Pelle does not do this: press and pack. Say under Hours what Pelle does."),
    (["fit"], "Ebba", "2026-12-03", "The client comes for it on a day that was agreed. Change that day with the order first."),
])  # fmt: skip
def test_a_ticket_that_cannot_be_put_there_stays_where_it_is(owner, orders, person, new_id, kinds, to, day, says):
    put_hours(owner, person["Pelle"], ["sew"])
    owner("PUT", f"/client-days/{new_id()}", {"order": orders[0], "kind": "fit", "day": "2026-12-09"})
    before = owner.get("/week")
    status, answer = move(owner, orders[0], kinds, person[to], day)
    assert (status, answer["title"]) == (422, says)
    body = {"order": orders[0], "kinds": kinds, "person": person[to], "day": day, "stamp": ""}
    assert owner("PUT", f"/ticket-moves/{new_id()}", body)[1]["title"] == says
    assert owner.get("/week") == before


def test_two_who_move_tickets_at_once_do_not_undo_one_another(owner, orders, person, new_id):
    """The second is shown again what it would move, since the first has moved something."""
    put_hours(owner, person["Ivo"], ["sew", "finish", "pack", "cut"])
    first = move(owner, orders[0], ["pack"], person["Ivo"], "2026-12-03")[1]
    second = move(owner, orders[0], ["pack"], person["Ivo"], "2026-12-04")[1]
    body = {"order": orders[0], "kinds": ["pack"], "person": person["Ivo"]}
    assert owner("PUT", f"/ticket-moves/{new_id()}", body | {"day": "2026-12-03", "stamp": first["stamp"]})[0] == 200
    status, answer = owner("PUT", f"/ticket-moves/{new_id()}", body | {"day": "2026-12-04", "stamp": second["stamp"]})
    assert (status, answer["code"]) == (409, "schedule")
    assert on_board(owner)[orders[0], "pack"] == ("Ivo", "2026-12-03")


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


def test_a_sewer_sees_the_week_and_changes_nothing(owner, orders, person, new_id):
    ivo = Caller(User.objects.get(pk=person["Ivo"]))
    assert ivo.get("/week") == owner.get("/week")
    assert ivo("POST", "/promises", {"styles": ["palazzo"], "day": "2026-12-11"})[0] == 200
    away = {"person": person["Ivo"], "first": "2026-12-01", "last": "2026-12-01"}
    day = {"order": orders[0], "kind": "fit", "day": "2026-12-01"}
    for path, body in ((f"/away/{new_id()}", away), (f"/client-days/{new_id()}", day), (f"/schedules/{new_id()}", None),
                       (f"/ticket-moves/{new_id()}", day | {"kinds": ["sew"], "person": person["Ivo"], "stamp": ""}),
                       (f"/hours/{person['Ivo']}", {"skills": [], "week": WEEK})):  # fmt: skip
        assert ivo("PUT", path, body)[0] == 403


def test_the_week_asks_as_often_for_many_orders_as_for_few(owner, orders, new_id):
    def queries(path):
        with CaptureQueriesContext(
            connection,
        ) as asked:
            owner.get(path)
        return len(asked)

    few = queries("/week")
    assert queries("/ends") <= few
    for _ in range(6):
        client = owner("PUT", f"/clients/{new_id()}", {"name": "Somebody"})[1]["id"]
        assert owner("PUT", f"/orders/{new_id()}/same", {"of": orders[0], "client": client})[0] == 200
    assert queries("/week") == few < 25


def test_another_workshop_promises_nothing_of_ours_and_moves_nobody(owner, orders, person, stranger, new_id):
    assert stranger("POST", "/promises", {"order": orders[0], "day": "2026-12-11"})[0] == 404
    away = {"person": person["Ivo"], "first": "2026-12-01", "last": "2026-12-01"}
    assert stranger("PUT", f"/away/{new_id()}", away)[0] == 404
    theirs = stranger.get("/hours")["people"][0]["person"]
    assert [move(stranger, orders[0], ["sew"], one, "2026-12-01")[0] for one in (person["Ivo"], theirs)] == [404, 404]
    assert stranger("PUT", f"/hours/{person['Ivo']}", {"skills": [], "week": WEEK})[0] == 404
    assert [row["name"] for row in stranger.get("/week")["rows"]] == ["other"]
