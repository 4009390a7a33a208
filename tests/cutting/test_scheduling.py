"""When work is done and what can be promised. How long what is not sewn takes is common practice, no source."""

import os
import random
from collections import Counter
from dataclasses import replace
from itertools import permutations, product

import pytest

from cutting.scheduling import (
    DAY,
    Before,
    Board,
    Hours,
    Schedule,
    ScheduleError,
    Task,
    Work,
    Worker,
    as_before,
    could_promise,
    cures_of,
    done_on,
    earliest_promise_first,
    hours_of,
    outcomes,
    rest_of,
    score,
    tasks_of,
)
from cutting.scheduling import by_hand as move_by_hand
from cutting.scheduling.solving import solve

MANY = 200 if os.environ.get("PLAVET_DEEP") else 24
FULL = ((480, 720), (780, 1020))
WEEK = (FULL,) * 5 + ((), ())
ALL = frozenset(("measure", "cut", "sew", "fit", "finish", "pack"))


def person(id, skills=ALL, week=WEEK, days=40, off=(), begin=0):
    return Worker(id, frozenset(skills), hours_of(week, 0, days, off, begin))


def workshop(seed, orders=8):
    """Some orders and people by chance, as a workshop could have them."""
    r = random.Random(seed)  # noqa: S311  # cases, no secrets
    skills = [ALL, {"measure", "cut", "fit"}, {"sew", "finish"}, {"sew", "finish", "pack"}]
    workers = []
    for k, can in enumerate(skills[: r.randrange(2, 5)]):
        week = tuple(
            () if day > 4 or (k and r.random() < 0.2) else r.choice([FULL, FULL, ((480, 780),)]) for day in range(7)
        )
        workers.append(person(f"p{k}", can, week, off={r.randrange(20) for _ in range(3)}))
    tasks, due = [], {}
    for k in range(orders):
        sewn = [("side", r.randrange(20, 200)), ("hem", r.randrange(10, 90))]
        rest = rest_of(sewn, r.randrange(2, 12), r.choice([(), ("measure",), ("measure", "cut")]), r.random() < 0.5)
        days = {"fit": r.randrange(2, 12)} if "fit" in rest.minutes and r.random() < 0.5 else {}
        tasks += tasks_of(f"o{k}", rest, days)
        due[f"o{k}"] = DAY * (1 + max(days.get("fit", 0) + 2, r.randrange(1, 9)))
    return Work(tuple(workers), tuple(tasks), due, {"table": 1, "machine": r.randrange(1, 4)})


def sound(work, schedule):
    """Every task done once, minute by minute, by somebody who can and is there, after what it needs, with what it uses."""
    assert set(schedule.placed) | set(schedule.left) == set(work.task)
    at_work, in_use = Counter(), Counter()
    for id, one in schedule.placed.items():
        task, who = work.task[id], work.worker[one.worker]
        minutes = [minute for low, high in one.spans for minute in range(low, high)]
        assert len(minutes) == task.minutes
        assert task.kind in who.skills
        assert task.by in ("", who.id)
        assert (minutes[0], minutes[-1] + 1) == (one.start, one.end)
        assert minutes[0] >= task.earliest
        there = {minute for low, high in who.hours.spans for minute in range(low, high)}
        assert there.issuperset(minutes)
        # What is begun is gone on with: no minute is worked between for anything else.
        assert len([minute for minute in there if one.start <= minute < one.end]) == task.minutes
        assert all(schedule.placed[need].end <= one.start for need in task.needs)
        if task.day is not None and id not in schedule.missed:
            assert {minute // DAY for minute in minutes} == {task.day}
        at_work.update((who.id, minute) for minute in minutes)
        in_use.update((thing, minute) for thing in task.uses for minute in minutes)
    assert max(at_work.values(), default=1) == 1
    assert all(count <= work.shared.get(thing, 1) for (thing, _), count in in_use.items())


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


def test_a_promise_is_answered_by_what_is_free_then_by_what_can_wait_then_by_what_would_help():
    ivo = person("ivo", week=(((480, 720),),) * 7)
    long = Work((ivo,), (Task("a.sew", "a", "sew", 240), Task("b.sew", "b", "sew", 240)), {"a": 3 * DAY, "b": 9 * DAY})
    stands = earliest_promise_first(long)
    new = (Task("n.sew", "n", "sew", 120),)
    free = could_promise(long, stands, new, 3 * DAY)
    # Two mornings are taken, of the third two hours are left.
    assert (free.can, free.end, free.left_over, free.moves) == (True, 2 * DAY + 600, 120, ())
    waits = could_promise(long, stands, new, 2 * DAY)
    assert (waits.can, waits.end) == (True, 600)
    assert [(one.task, one.was_day, one.day) for one in waits.moves] == [("a.sew", 0, 1), ("b.sew", 1, 2)]
    tight = Work((ivo,), long.tasks, {"a": DAY, "b": 2 * DAY})
    no = could_promise(tight, earliest_promise_first(tight), new, DAY)
    assert (no.can, no.end, no.waits.kind, no.waits.worker) == (False, 2 * DAY + 600, "sew", "ivo")
    # Two hours more on the first day; or the third day, the first on which it is done with nothing moved.
    assert [(one.code, one.worker, one.minutes, one.day) for one in no.cures] == [
        ("hours", "ivo", 120, 0), ("day", "", 0, 2),
    ]  # fmt: skip
    helped = Work((ivo, person("tuva", {"pack"}, (((480, 720),),) * 7)), tight.tasks, tight.due)
    cures = could_promise(helped, earliest_promise_first(helped), new, DAY).cures
    assert ("hand", "tuva", ("sew",)) in [(one.code, one.worker, one.kinds) for one in cures]


def test_a_fitting_that_cannot_be_on_its_day_is_no_promise_however_early_the_rest_is_done():
    ivo = person("ivo")
    stands = earliest_promise_first(Work((ivo,), (), {}))
    for day, can in ((4, True), (5, False)):  # a Friday, a Saturday
        tasks = (Task("n.fit", "n", "fit", 30, day=day), Task("n.pack", "n", "pack", 15, ("n.fit",)))
        answer = could_promise(Work((ivo,), (), {}), stands, tasks, 20 * DAY)
        assert (answer.can, answer.schedule.missed) == (can, () if can else ("n.fit",))
        assert not [one for one in answer.cures if one.code == "day"], "another day promised would not help"


def test_an_answer_breaks_no_other_promise_and_stores_nothing():
    for seed in range(MANY // 2):
        work = workshop(seed)
        stands = earliest_promise_first(work)
        before = {id for id, one in outcomes(work, stands).items() if one.late > 0}
        tasks = tasks_of("new", rest_of([("side", 90), ("hem", 40)], 6, (), True))
        answer = could_promise(work, stands, tasks, 6 * DAY)
        more = Work(work.workers, (*work.tasks, *tasks), {**work.due, "new": 6 * DAY}, work.shared)
        if answer.can:
            sound(more, answer.schedule)
            late = {id for id, one in outcomes(more, answer.schedule).items() if one.late > 0}
            assert late <= before
        elif answer.end is not None:
            last = next(one for one in answer.cures if one.code == "day")
            assert could_promise(work, stands, tasks, (last.day + 1) * DAY).can
        assert stands == earliest_promise_first(work)


def otherwise(work, tasks, who, able, minutes=0, day=0):
    """The work where somebody can do more, or works longer on a day; its schedule of the others made by hand for it."""
    hours = who.hours
    if minutes:
        end = max(end for start, end in hours.spans if start // DAY == day)
        hours = Hours(tuple(sorted([*hours.spans, (end, end + minutes)])))
    other = Worker(who.id, frozenset(able), hours)
    by = {one.id: one for one in tasks}
    return Work(
        tuple(other if one.id == who.id else one for one in work.workers),
        tuple(by.get(one.id, one) for one in work.tasks), work.due, work.shared,
    )  # fmt: skip


def kept_by(work, stands, tasks):
    """Whether an order is kept where its tasks are placed last, all drawn up anew."""
    placed = {
        id: replace(one, first=(first := work.worker[one.worker].hours.worked(one.start)), last=first + one.last - one.first)
        for id, one in stands.placed.items()
    }  # fmt: skip
    board = Board.of(work, Schedule(placed, stands.left, stands.missed))
    for one in tasks:
        board.put(one)
    there = board.schedule()
    return outcomes(work, there)[tasks[0].order].late <= 0 and not {one.id for one in tasks} & set(there.missed)


def test_what_would_keep_a_promise_keeps_it_where_it_is_really_so_and_nothing_less_does():
    """Each way is tried again on a workshop that is drawn up anew with it."""
    said = Counter()
    for seed in range(MANY):
        work = workshop(seed, 14)
        stands = earliest_promise_first(work)
        tasks = tasks_of("new", rest_of([("side", 200), ("hem", 60)], 9, (), True))
        due = 3 * DAY
        more = Work(work.workers, (*work.tasks, *tasks), {**work.due, "new": due}, work.shared)
        if kept_by(more, stands, tasks):
            continue
        first = {}
        for minutes, day, who in product((60, 120, 180, 240), (2, 1, 0), work.workers):
            ends = [end for start, end in who.hours.spans if start // DAY == day]
            if not ends or ends[-1] + minutes > day * DAY + 22 * 60 or not who.skills & {one.kind for one in tasks}:
                continue
            if kept_by(otherwise(more, (), who, who.skills, minutes, day), stands, tasks):
                first["hours"] = (who.id, (), minutes, day)
                break
        for all_, who in product((False, True), work.workers):
            lacks = [one for one in tasks if one.kind not in who.skills]
            for some in [lacks] if all_ else [[one] for one in lacks]:
                only = [replace(one, by=who.id) if one in some else one for one in tasks]
                able = who.skills | {one.kind for one in some}
                if some and "hand" not in first and kept_by(otherwise(more, only, who, able), stands, only):
                    first["hand"] = (who.id, tuple(one.kind for one in some), 0, -1)
        found = {
            one.code: (one.worker, one.kinds, one.minutes, one.day)
            for one in cures_of(more, stands, tasks, due, None)
        }  # fmt: skip
        assert found == first, seed
        said.update(found.keys())
    assert min(said["hours"], said["hand"]) >= 3, said


def test_an_urgent_order_moves_what_a_kept_schedule_has_no_further_than_it_must():
    """Kept is what is promised later first: an order between leaves that so, where by promise all would be turned."""
    ivo = person("ivo", week=(((480, 720),),) * 7)
    tasks = Task("a.sew", "a", "sew", 240), Task("b.sew", "b", "sew", 240)
    was = {"b.sew": Before("ivo", 0, 480), "a.sew": Before("ivo", 1, DAY + 480)}
    work = Work((ivo,), tasks, {"a": 4 * DAY, "b": 9 * DAY}, was=was)
    answer = could_promise(work, as_before(work), (Task("n.sew", "n", "sew", 240),), 2 * DAY)
    assert answer.can
    assert [(one.task, one.was_day, one.day) for one in answer.moves] == [("a.sew", 1, 2)]


def pushed(work, stands, task, worker, day):
    """A task moved as a person would with tickets on a board: it is taken off, and put on the day as the first."""
    tasks = tuple(replace(one, earliest=max(one.earliest, day * DAY)) if one.id == task else one for one in work.tasks)
    then = replace(work, tasks=tasks)
    return then, move_by_hand(then, stands, [task], worker, day)


@pytest.mark.parametrize("seed", range(MANY))
def test_a_ticket_that_is_moved_is_there_or_as_soon_after_as_can_be_and_what_it_does_not_touch_stays(seed):
    # There are tables and machines enough, so that only people are waited for.
    work = replace(workshop(seed), shared={"table": 99, "machine": 99})
    stands = earliest_promise_first(work)
    r = random.Random(seed)  # noqa: S311  # cases, no secrets
    free = [one for one in work.tasks if one.id in stands.placed and one.day is None]
    task = r.choice(free)
    able = [one for one in work.workers if task.kind in one.skills]
    who, day = r.choice(able), r.randrange(12)
    then, made = pushed(work, stands, task.id, who.id, day)
    sound(then, made)
    if task.id not in made.placed:
        assert made.left[task.id] == "hours"
        return
    placed = made.placed[task.id]
    assert placed.worker == who.id or who.hours.all < task.minutes
    assert placed.start >= day * DAY
    if placed.worker == who.id:
        # Nothing that could have been moved out of its way is before it on that day or after, but what it needs.
        needed, open_ = set(), [task.id]
        while open_:
            needed.update(work.task[open_[-1]].needs)
            open_.extend(work.task[open_.pop()].needs)
        ready = max([day * DAY, *(made.placed[one].end for one in task.needs)])
        for other in made.placed.values():
            if other.worker == who.id and ready <= other.start < placed.start:
                fixed = work.task[other.task].day is not None
                begun = other.task in stands.placed and stands.placed[other.task].start < max(ready, day * DAY)
                assert other.task in needed or fixed or begun, (other.task, task.id)
    # Moved to where it stands, nothing moves.
    there = stands.placed[task.id]
    _, same = pushed(work, as_before(_was(work, stands)), task.id, there.worker, there.start // DAY)
    assert same.placed[task.id].worker == there.worker


def _was(work, schedule):
    was = {id: Before(one.worker, done_on(one), one.start) for id, one in schedule.placed.items()}
    return replace(work, was=was)


def test_of_two_tickets_of_a_day_the_one_put_there_comes_first_and_the_other_gives_way():
    ivo, tuva = (person(one, week=(((480, 720),),) * 7) for one in ("ivo", "tuva"))
    tasks = tuple(Task(f"{one}.sew", one, "sew", 240) for one in "abc")
    work = Work((ivo, tuva), tasks, dict.fromkeys("abc", 9 * DAY))
    stands = earliest_promise_first(work)
    assert [(stands.placed[f"{one}.sew"].worker, stands.placed[f"{one}.sew"].start // DAY) for one in "abc"] == [
        ("ivo", 0), ("tuva", 0), ("ivo", 1),
    ]  # fmt: skip
    _, made = pushed(work, stands, "c.sew", "tuva", 0)
    assert {id: (one.worker, one.start // DAY) for id, one in made.placed.items()} == {
        "a.sew": ("ivo", 0), "b.sew": ("tuva", 1), "c.sew": ("tuva", 0),
    }  # fmt: skip
    # Later, it leaves its place to nobody: nothing is promised sooner for it.
    _, made = pushed(work, stands, "a.sew", "tuva", 4)
    assert (made.placed["a.sew"].worker, made.placed["a.sew"].start) == ("tuva", 4 * DAY + 480)


def test_a_fitting_given_to_somebody_else_stays_on_its_day():
    ivo, tuva = person("ivo"), person("tuva")
    work = Work((ivo, tuva), (Task("a.fit", "a", "fit", 30, day=2),), {"a": 9 * DAY})
    stands = earliest_promise_first(work)
    other = {"ivo": "tuva", "tuva": "ivo"}[stands.placed["a.fit"].worker]
    made = move_by_hand(work, stands, ["a.fit"], other, 2)
    assert (made.placed["a.fit"].worker, made.placed["a.fit"].start // DAY, made.missed) == (other, 2, ())
    # Who is away that day does not: it stays with who is there.
    away = Work((ivo, person("tuva", off={2})), work.tasks, work.due)
    made = move_by_hand(away, earliest_promise_first(away), ["a.fit"], "tuva", 2)
    assert (made.placed["a.fit"].worker, made.missed) == ("ivo", ())


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
