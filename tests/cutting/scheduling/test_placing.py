"""When work is done. How long what is not sewn takes is common practice, no source."""

import random
from itertools import permutations, product

import pytest

from cutting.scheduling import (
    DAY,
    Before,
    Hours,
    ScheduleError,
    Task,
    Work,
    Worker,
    done_on,
    earliest_promise_first,
    hours_of,
    rest_of,
    score,
    tasks_of,
)
from cutting.scheduling.solving import solve
from tests.cutting.scheduling.drawn_up import MANY, WEEK, person, sound, workshop


@pytest.mark.parametrize("seed", range(MANY))
def test_no_promise_is_missed_that_earliest_promise_first_keeps_and_the_same_work_has_the_same_schedule(seed):
    work = workshop(seed)
    habit, solved = earliest_promise_first(work), solve(work, steps=0.1)
    sound(work, habit)
    sound(work, solved.schedule)
    assert solved.score <= solved.habit == score(work, habit)
    assert solved.least <= solved.score.broken
    assert solve(work, steps=0.1) == solved


def by_hand(work, order, who):
    """Tasks one after another in an order, each by whom it says, minute by minute: how many promises are broken."""
    busy, ends = set(), {}
    for id in order:
        task, worker = work.task[id], work.worker[who[id]]
        ready = max((ends[need] for need in task.needs), default=0)
        there = sorted(minute for low, high in worker.hours.spans for minute in range(low, high) if minute >= ready)
        k = 0
        while any((worker.id, minute) in busy for minute in there[k : k + task.minutes]):
            k += 1
        taken = there[k : k + task.minutes]
        busy.update((worker.id, minute) for minute in taken)
        ends[id] = taken[-1] + 1
    last = {task.order: ends[task.id] for task in work.tasks}
    return sum(last[one] > work.due[one] for one in work.due)


@pytest.mark.parametrize("seed", range(MANY // 2))
def test_of_few_tasks_no_order_of_doing_them_keeps_more_promises(seed):
    r = random.Random(seed)  # noqa: S311  # cases, no secrets
    workers = (
        Worker("a", frozenset(("sew", "finish")), Hours(((0, 6), (10, 16), (20, 40)))),
        # Every other time somebody who is hardly ever there: what is given up is done long after all else.
        Worker(
            "b", frozenset(("finish",)), Hours(((2, 12), (14, 18), (24, 44)) if seed % 2 else ((4, 9), (9000, 9060)))
        ),
    )
    tasks, due = [], {}
    for k in range(3):
        tasks += [
            Task(f"{k}.s", f"{k}", "sew", r.randrange(1, 6)),
            Task(f"{k}.f", f"{k}", "finish", r.randrange(1, 6), (f"{k}.s",)),
        ]
        due[f"{k}"] = r.randrange(6, 24)
    work = Work(workers, tuple(tasks), due)
    ids = [task.id for task in tasks]
    best = min(
        by_hand(work, order, dict(zip(ids, who, strict=True)))
        for order in permutations(ids) if all(order.index(f"{k}.s") < order.index(f"{k}.f") for k in range(3))
        for who in product(*(["a"] if id.endswith("s") else ["a", "b"] for id in ids))
    )  # fmt: skip
    solved = solve(work)
    assert solved.least <= best <= solved.score.broken
    assert best == solved.score.broken


def test_hours_go_on_after_a_break_and_end_before_it():
    hours = Hours(((480, 720), (780, 1020)))
    assert [hours.worked(at) for at in (0, 480, 500, 720, 750, 780, 1020, 2000)] == [0, 0, 20, 240, 240, 240, 480, 480]
    assert (hours.begins(240), hours.ends(240)) == (780, 720)
    assert hours.between(700, 800) == ((700, 720), (780, 800))
    # Monday to Friday, Tuesday off, Monday from ten on.
    week = hours_of(WEEK, 0, 9, off={1}, begin=600)
    assert week.spans[:3] == ((600, 720), (780, 1020), (2 * DAY + 480, 2 * DAY + 720))
    assert week.spans[-1] == (8 * DAY + 780, 8 * DAY + 1020)


def test_what_is_to_be_done_of_an_order_is_bundled_and_what_is_done_is_left_out():
    sewn = [("darts", 3), ("side", 8), ("band", 20), ("hem", 12)]
    assert rest_of(sewn, 5, (), True).minutes == {
        "measure": 20,
        "cut": 40,
        "sew": 11,
        "fit": 30,
        "finish": 32,
        "pack": 15,
    }
    tasks = tasks_of("o", rest_of(sewn[2:], 5, ("measure", "cut"), False), not_before={"pack": 2})
    assert [(one.kind, one.minutes, one.needs, one.earliest) for one in tasks] == [
        ("finish", 32, (), 0), ("pack", 15, ("o.finish",), 2880),
    ]  # fmt: skip


def test_a_client_who_comes_on_a_day_has_their_place_and_who_cannot_be_there_is_said():
    ivo = person("ivo")
    sewn = Task("b.sew", "b", "sew", 4000)
    fit = Task("a.fit", "a", "fit", 30, day=2)
    work = Work((ivo,), (sewn, fit), {"a": 9 * DAY, "b": 3 * DAY})
    assert earliest_promise_first(work).placed["a.fit"].start // DAY == 2
    # On Saturdays nobody is there; before the sewing is done nothing is fitted.
    for late in (Task("a.fit", "a", "fit", 30, day=5), Task("a.fit", "a", "fit", 30, ("b.sew",), day=2)):
        made = earliest_promise_first(Work((ivo,), (sewn, late), {"a": 20 * DAY, "b": 3 * DAY}))
        assert made.missed == ("a.fit",)
        assert "a.fit" in made.placed
    nobody = earliest_promise_first(
        Work((person("a", {"cut"}),), (sewn, Task("b.pack", "b", "pack", 5, ("b.sew",))), {"b": DAY})
    )
    assert nobody.left == {"b.sew": "nobody", "b.pack": "before"}
    assert earliest_promise_first(Work((person("a", days=2),), (sewn,), {"b": DAY})).left == {"b.sew": "hours"}


@pytest.mark.parametrize("tasks", [
    (Task("a", "o", "sew", 5, ("b",)), Task("b", "o", "sew", 5, ("a",))), (Task("a", "o", "sew", 5, ("c",)),),
    (Task("a", "o", "sew", 0),), (Task("a", "o", "sew", 5), Task("a", "p", "sew", 5)),
])  # fmt: skip
def test_tasks_that_cannot_be_put_in_an_order_are_refused(tasks):
    with pytest.raises(ScheduleError):
        Work((person("a"),), tasks, {})


def test_what_was_to_be_by_yesterdays_schedule_is_changed_no_more_than_need_be():
    work = workshop(3)
    kept = solve(work).schedule
    was = {one.task: Before(one.worker, done_on(one), one.start) for one in kept.placed.values()}
    again = solve(Work(work.workers, work.tasks, work.due, work.shared, was))
    assert again.score.broken == score(work, kept).broken
    assert (
        again.score.changed
        <= score(Work(work.workers, work.tasks, work.due, work.shared, was), earliest_promise_first(work)).changed
    )
    assert again.score.changed == 0
