"""What waits in a workshop, as the core schedules it."""

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import date, datetime, timedelta
from functools import lru_cache
from typing import Any, TypeAlias

from cutting.body.invented import invented
from cutting.formats import read_job
from cutting.kinds import KINDS as KINDS_OF_GARMENTS
from cutting.kinds import PAIRS, kind_of
from cutting.plan import draft
from cutting.scheduling import (
    DAY,
    KINDS,
    Before,
    Rest,
    Schedule,
    Task,
    Work,
    Worker,
    as_before,
    broken,
    by_hand,
    earliest_promise_first,
    hours_of,
    rest_of,
    takes_of,
    tasks_of,
)
from cutting.sewing import sewing_of
from shop.bridge.hours import Typed, week_of
from shop.bridge.sewing import usual_minutes

Waits: TypeAlias = Work
Stands: TypeAlias = Schedule
HORIZON = 120
"""So many days are looked ahead."""
STEP = 5
"""Work begins at the next of so many minutes."""


@dataclass(frozen=True)
class Works:
    """Somebody with what they do, when, and from and to which days they are away."""

    id: str
    name: str
    skills: Sequence[str]
    week: Typed
    away: Sequence[tuple[date, date]] = ()


@dataclass(frozen=True)
class Waiting:
    """An order that is not ready: which kinds of its tasks are done, the codes of what is still to be sewn of it as far
    as it is planned, else its `styles`; how many pieces are cut; on which days its client comes for what, and before
    which days nobody works at what.
    """

    id: str
    promised_on: date
    done: Collection[str]
    styles: Sequence[str]
    operations: Sequence[str] | None = None
    pieces: int = 0
    days: Mapping[str, date] = field(default_factory=dict)
    not_before: Mapping[str, date] = field(default_factory=dict)


@dataclass(frozen=True)
class WasPlaced:
    """A task of a kept schedule: by whom, from and to which moment."""

    worker: str
    start: datetime
    end: datetime


def rest(one: Waiting, own: Mapping[str, float]) -> Rest:
    """What is still to be done of an order; `own` are the workshop's own minutes of operations."""
    long, pieces = _work(one, own)
    # Where no day of it is agreed, nothing waits for a fitting.
    return rest_of(long, pieces, [kind for kind in KINDS if kind in one.done], "fit" in one.days)


def tasks_for(one: Waiting, own: Mapping[str, float], today: date) -> tuple[Task, ...]:
    """The tasks of an order from today on; days that are over are over."""
    days, not_before = (
        {kind: (day - today).days for kind, day in said.items() if day >= today} for said in (one.days, one.not_before)
    )
    return tasks_of(one.id, rest(one, own), days, not_before)


def summed(waiting: Sequence[Waiting], own: Mapping[str, float]) -> dict[tuple[str, str], str]:
    """Of each order and kind of task the sum of its minutes in numbers; empty where it is one number."""
    found = dict[tuple[str, str], str]()
    for one in waiting:
        takes = takes_of(*_work(one, own), "fit" in one.days)
        found |= {(one.id, kind): take.summed for kind, take in takes.items()}
    return found


def _work(one: Waiting, own: Mapping[str, float]) -> tuple[list[tuple[str, float]], int]:
    """What is still to be sewn of an order, by code with its minutes, and how many pieces it has."""
    operations, pieces = one.operations, one.pieces
    if operations is None:
        made = [usual_work(style) for style in one.styles]
        operations = [code for codes, _ in made for code in codes]
        pieces = sum(count for _, count in made)
    return [(code, own.get(code, usual_minutes(code))) for code in operations], pieces


def is_style(style: str) -> bool:
    """Whether a garment can be made so."""
    return any(style in kind.styles for kind in KINDS_OF_GARMENTS.values()) or style in PAIRS


@lru_cache(256)
def usual_work(style: str) -> tuple[tuple[str, ...], int]:
    """How a garment of a style is usually sewn, as codes of operations, and how many pieces it has: on an invented
    client, for an order that is not planned yet.
    """
    garment: dict[str, Any] = {"id": "garment", "style": style}
    if style in PAIRS:
        garment |= {half: _usual(start) for half, start in PAIRS[style].halves.items()}
    else:
        garment |= _usual(style)
    job = {
        "format": "plavet-job", "version": 1, "unit": "in", "measurements": invented(1, "in"),
        "garments": [garment], "cloth": {"width": "60 in"},
    }  # fmt: skip
    [garments] = draft(read_job(job))
    return tuple(one.code for one in sewing_of(garments)), sum(len(one.panels) for one in garments)


def _usual(style: str) -> dict[str, str]:
    return {"style": style, "method": kind_of(style).first_method(style)}


def next_step(now: datetime) -> tuple[date, int]:
    """The day, and the minute of it at which work begins that is begun now."""
    return now.date(), -(-(now.hour * 60 + now.minute) // STEP) * STEP


def work_of(
    people: Sequence[Works], waiting: Sequence[Waiting], own: Mapping[str, float], now: datetime,
    shared: Mapping[str, int], kept: Mapping[str, WasPlaced] | None = None,
) -> Waits:  # fmt: skip
    """What waits, from this moment on, by the workshop's own clock; `kept` is how it was placed before."""
    today, begin = next_step(now)
    workers = [
        Worker(
            one.id,
            frozenset(one.skills),
            _hours(week_of(one.week), today.weekday(), HORIZON, _off(one, today), begin),
        )
        for one in people
    ]
    tasks, due = list[Task](), dict[str, int]()
    for one in waiting:
        tasks += tasks_for(one, own, today)
        due[one.id] = ((one.promised_on - today).days + 1) * DAY
    was = _before(kept or {}, today, {one.id for one in tasks})
    return Work(tuple(workers), tuple(tasks), due, shared, was)


def with_kept(work: Waits, kept: Mapping[str, WasPlaced], today: date) -> Waits:
    """What waits, as if it had been placed so before."""
    return replace(work, was=_before(kept, today, work.task))


def moved_by_hand(
    work: Waits, stands: Stands, order: str, kinds: Collection[str], worker: str, day: date, today: date
) -> Stands:
    """The schedule with some tasks of an order done by somebody on a day, all else as it stands but where it must move.
    `work` has that they are not begun sooner.
    """
    return by_hand(work, stands, [f"{order}.{kind}" for kind in kinds], worker, (day - today).days)


def broken_orders(work: Waits, schedule: Stands) -> set[str]:
    """The orders whose promise a schedule breaks."""
    return broken(work, schedule)


@dataclass(frozen=True)
class TaskWhen:
    """A task of an order: who begins and ends it when, by the workshop's own clock."""

    kind: str
    minutes: int
    worker: str
    start: datetime | None
    end: datetime | None


def schedule_of(work: Waits, schedule: Stands, order: str, today: date) -> list[TaskWhen]:
    """What is still to be done of an order, one after the other."""
    found = []
    for task in work.of_order.get(order, []):
        one = schedule.placed.get(task.id)
        if one is None:
            found.append(TaskWhen(task.kind, task.minutes, "", None, None))
        else:
            start, end = clock_of(one.start, today), clock_of(one.end, today)
            found.append(TaskWhen(task.kind, task.minutes, one.worker, start, end))
    return found


def _before(kept: Mapping[str, WasPlaced], today: date, tasks: Collection[str]) -> dict[str, Before]:
    return {
        id: Before(one.worker, (one.end.date() - today).days, moment_of(one.start, today))
        for id, one in kept.items()
        if id in tasks
    }


def _off(one: Works, today: date) -> frozenset[int]:
    """The days, by their numbers from today, on which somebody is away."""
    found = set[int]()
    for first, last in one.away:
        found.update(range(max(0, (first - today).days), min(HORIZON, (last - today).days + 1)))
    return frozenset(found)


_hours = lru_cache(256)(hours_of)
"""Most have the same hours as others: these are one and the same, worked out once."""


def moment_of(at: datetime, first: date) -> int:
    """A moment in minutes from the midnight that a day begins with."""
    return (at.date() - first).days * DAY + at.hour * 60 + at.minute


def clock_of(moment: int, first: date) -> datetime:
    """The same as a time of the workshop's own clock."""
    return datetime.combine(first, datetime.min.time()) + timedelta(minutes=moment)


def standing(work: Waits) -> Stands:
    """What the workshop goes by: the schedule that it kept, moved on; else what is promised first is done first."""
    return as_before(work) if work.was else earliest_promise_first(work)
