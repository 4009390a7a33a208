"""Tickets of the week moved by hand."""

import random
from dataclasses import replace

import pytest

from cutting.scheduling import DAY, Before, Task, Work, as_before, done_on, earliest_promise_first
from cutting.scheduling import by_hand as move_by_hand
from tests.cutting.scheduling.drawn_up import MANY, person, sound, workshop


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
