"""Workshops by chance, and whether a schedule of one can be."""

import os
import random
from collections import Counter

from cutting.scheduling import DAY, Work, Worker, hours_of, rest_of, tasks_of

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
