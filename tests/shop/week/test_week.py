"""The week: who does what when, hours and days away, days on which clients come."""

from datetime import date, timedelta
from math import ceil

import pytest
from django.utils import timezone

from shop.accounts.models import User
from shop.bridge.standing import _answer
from tests.shop.conftest import Caller
from tests.shop.week.doing import WEEK, move, put_hours


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
        return owner.counted(path)[0]

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


def test_whatever_a_schedule_hangs_on_makes_another_at_once(owner, orders, person, new_id, monkeypatch):
    """What is kept of a question that was asked before is never the answer to another."""

    def promised(day):
        row = owner.get(f"/orders/{orders[-1]}")
        body = {key: row[key] for key in ("version", "title")} | {"promised_on": day, "reason": "asked for it"}
        ids = {key: row[key]["id"] for key in ("client", "sheet", "cloth")}
        return owner("PUT", f"/orders/{orders[-1]}", body | ids)

    def later():
        moved = timezone.now() + timedelta(minutes=41)
        monkeypatch.setattr(timezone, "now", lambda: moved)
        return 200, None

    days = {"first": "2026-12-01", "last": "2026-12-02"}
    changes = [
        lambda: put_hours(owner, person["Ivo"], ["sew", "finish"], [[["06:30", "09:00"]], *([[]] * 6)]),
        lambda: owner("PUT", f"/away/{new_id()}", {"person": person["Ebba"], **days}),
        lambda: promised("2026-11-30"),
        lambda: owner("PUT", f"/client-days/{new_id()}", {"order": orders[1], "kind": "fit", "day": "2026-12-03"}),
        lambda: owner("PUT", f"/steps/{new_id()}", {"order": orders[2], "state": "ready"}),
        lambda: owner("PATCH", "/workshop", {"tables": 1}),
        later,
    ]
    before, others = owner.get("/week"), 0
    for k, change in enumerate(changes):
        assert change()[0] == 200, k
        now = owner.get("/week")
        others += now != before
        assert owner.get("/week") == now
        _answer.cache_clear()
        assert owner.get("/week") == now, k
        before = now
    assert others >= len(changes) - 1, "tables may be enough"
