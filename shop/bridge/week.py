"""A schedule as the week shows it, and the answer to whether a day can be promised, in words."""

from collections import defaultdict
from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from hashlib import sha256

from pydantic import BaseModel

from cutting.scheduling import (
    DAY,
    Cure,
    Moves,
    Waits,
    Work,
    broken,
    could_promise,
    cures_of,
    done_on,
    moves_of,
    outcomes,
    waits_of,
)
from shop.bridge.scheduling import Stands, Waiting, Works, clock_of, tasks_for
from shop.bridge.words import words

MOST_SAID = 12
"""So many broken promises are gone into, the first promised first."""


@dataclass(frozen=True)
class Called:
    """What an order is called on a ticket."""

    title: str
    client_name: str
    promised_on: date


class WeekTicketOut(BaseModel):
    """What somebody does of an order one after the other on a day: the tasks by kind and by name, from and to which
    time, and for how many minutes.
    """

    order: str
    title: str
    client_name: str
    kinds: list[str]
    names: list[str]
    start: str
    end: str
    minutes: int
    late: bool


class WeekDayOut(BaseModel):
    """Somebody's day: how many minutes they work on it, how many of those are free."""

    day: date
    worked: int
    free: int
    away: bool
    tickets: list[WeekTicketOut]


class WeekRowOut(BaseModel):
    """Somebody's days."""

    person: str
    name: str
    days: list[WeekDayOut]


class BrokenOut(BaseModel):
    """A promise that cannot be kept so: when the order is done, why, and what would keep it."""

    order: str
    title: str
    client_name: str
    promised_on: date
    done_on: date | None
    says: list[str]


class TaskMovedOut(BaseModel):
    """A task that is done by somebody else, or ready on another day."""

    order: str
    title: str
    client_name: str
    name: str
    was_by: str
    was_on: date
    by: str
    on: date


class EndOut(BaseModel):
    """How many minutes are still to be done of an order, and when it is ready by the schedule that stands."""

    order: str
    minutes: int
    done_on: date | None
    late: bool


class PromiseOut(BaseModel):
    """Whether a day can be promised: when it is done then, how many minutes are left over, what that moves, in words.

    `minutes` and `names` are those of its tasks by their kinds; `first` is the first day that can be promised where it
    cannot.
    """

    can: bool
    done_on: date | None
    left_over: int
    first: date | None
    minutes: dict[str, int]
    names: dict[str, str]
    says: list[str]
    moves: list[TaskMovedOut]


def rows_of(
    work: Work, schedule: Stands, people: Sequence[Works], called: Mapping[str, Called], today: date, first: date,
    days: int,
) -> list[WeekRowOut]:  # fmt: skip
    """A row a person, so many days from `first` across."""
    late = broken(work, schedule)
    begin = (first - today).days
    on: dict[tuple[str, int], list[WeekTicketOut]] = defaultdict(list)
    for placed in sorted(schedule.placed.values(), key=lambda one: one.start):
        order = work.task[placed.task].order
        for day in range(max(begin, placed.start // DAY), min(begin + days, done_on(placed) + 1)):
            spans = _within(placed.spans, day)
            if spans:
                _add(on[placed.worker, day], WeekTicketOut(
                    order=order, title=called[order].title, client_name=called[order].client_name,
                    kinds=[work.task[placed.task].kind], names=[words().task_name(work.task[placed.task].kind)],
                    start=_time(spans[0][0], today),
                    end=_time(spans[-1][1], today), minutes=sum(high - low for low, high in spans), late=order in late,
                ))  # fmt: skip
    return [
        WeekRowOut(person=one.id, name=one.name, days=[
            _day(work, one, day, on[one.id, day], today + timedelta(days=day)) for day in range(begin, begin + days)
        ]) for one in people
    ]  # fmt: skip


def _within(spans: Sequence[tuple[int, int]], day: int) -> list[tuple[int, int]]:
    """What of some spans is on a day."""
    low, high = day * DAY, (day + 1) * DAY
    return [(max(start, low), min(end, high)) for start, end in spans if start < high and end > low]


def _add(tickets: list[WeekTicketOut], more: WeekTicketOut) -> None:
    """One ticket more; what goes on with the last one's order is on that."""
    if tickets and tickets[-1].order == more.order:
        last = tickets[-1]
        last.kinds, last.names = [*last.kinds, *more.kinds], [*last.names, *more.names]
        last.end, last.minutes = more.end, last.minutes + more.minutes
    else:
        tickets.append(more)


def _day(work: Work, one: Works, day: int, tickets: list[WeekTicketOut], on: date) -> WeekDayOut:
    hours = work.worker[one.id].hours
    worked = hours.worked((day + 1) * DAY) - hours.worked(day * DAY)
    away = any(first <= on <= last for first, last in one.away)
    return WeekDayOut(
        day=on, worked=worked, free=worked - sum(ticket.minutes for ticket in tickets), away=away, tickets=tickets
    )


def broken_of(
    work: Work, schedule: Stands, people: Mapping[str, str], called: Mapping[str, Called], today: date,
    without: Collection[str] = (), known: dict[str, tuple[Cure, ...]] | None = None,
) -> list[BrokenOut]:  # fmt: skip
    """The promises that are not kept so, the first promised first, each with why and what would keep it; `without`
    those that are broken already. `known` is what was found before to keep those of the same schedule, by order; what
    is found is put there.
    """
    known = {} if known is None else known
    ends, late = outcomes(work, schedule), broken(work, schedule).difference(without)
    found = []
    for order in sorted(late, key=lambda one: (work.due[one], one))[:MOST_SAID]:
        end, what = ends[order].end, called[order]
        says = [
            words().say_left(why, work.task[id].kind)
            for id, why in schedule.left.items()
            if work.task[id].order == order
        ]
        says += [_missed(work, id, today) for id in schedule.missed if work.task[id].order == order]
        if end is not None and ends[order].late > 0:
            says += _why(waits_of(work, schedule, order), people, today)
            if order not in known:
                others = {id: one for id, one in schedule.placed.items() if work.task[id].order != order}
                known[order] = cures_of(work, type(schedule)(others), work.of_order[order], work.due[order], end)
            says += [_cure(one, people, today) for one in known[order]]
        found.append(BrokenOut(
            order=order, title=what.title, client_name=what.client_name, promised_on=what.promised_on,
            done_on=None if end is None else today + timedelta(days=(end - 1) // DAY), says=says,
        ))  # fmt: skip
    return found


def ends_of(work: Work, schedule: Stands, today: date) -> list[EndOut]:
    """When each order is ready, and what is to be done until then."""
    late = broken(work, schedule)
    return [
        EndOut(
            order=order, minutes=sum(task.minutes for task in work.of_order[order]), late=order in late,
            done_on=None if one.end is None else today + timedelta(days=(one.end - 1) // DAY),
        ) for order, one in outcomes(work, schedule).items()
    ]  # fmt: skip


def moved(
    work: Work, was: Stands, now: Stands, people: Mapping[str, str], called: Mapping[str, Called], today: date
) -> list[TaskMovedOut]:
    """What one schedule moves against another."""
    return [_move(one, work, people, called, today) for one in moves_of(work, was, now)]


def stamp_of(moves: Sequence[TaskMovedOut]) -> str:
    """Another for other moves."""
    return sha256(repr([one.model_dump() for one in moves]).encode()).hexdigest()


def promise(
    work: Work, schedule: Stands, asked: Waiting, own: Mapping[str, float], people: Mapping[str, str],
    called: Mapping[str, Called], today: date,
) -> PromiseOut:  # fmt: skip
    """Whether an order that is not among what waits can be promised by its day."""
    tasks = tasks_for(asked, own, today)
    minutes = {one.kind: one.minutes for one in tasks}
    if not tasks:
        return PromiseOut(can=True, done_on=today, left_over=0, first=None, minutes={}, names={}, says=[], moves=[])
    due = ((asked.promised_on - today).days + 1) * DAY
    answer = could_promise(work, schedule, tasks, due)
    more = Work(work.workers, (*work.tasks, *tasks), {**work.due, asked.id: due}, work.shared)
    left = [
        words().say_left(why, more.task[id].kind)
        for id, why in answer.schedule.left.items()
        if id in {one.id for one in tasks}
    ]
    missed = [_missed(more, id, today) for id in answer.schedule.missed if more.task[id].order == asked.id]
    says = [words().say_rest(answer.left_over)] if answer.can else [
        *left, *missed, *_why(answer.waits, people, today), *(_cure(one, people, today) for one in answer.cures)
    ]  # fmt: skip
    first = next((today + timedelta(days=one.day) for one in answer.cures if one.code == "day"), None)
    return PromiseOut(
        can=answer.can, done_on=None if answer.end is None else today + timedelta(days=(answer.end - 1) // DAY),
        left_over=answer.left_over, first=first, minutes=minutes, says=says,
        names={kind: words().task_name(kind) for kind in minutes},
        moves=[_move(one, more, people, called, today) for one in answer.moves],
    )  # fmt: skip


def _why(waits: Waits | None, people: Mapping[str, str], today: date) -> list[str]:
    if waits is None or waits.end <= waits.start:
        return []
    return [words().say_waits(waits.kind, people[waits.worker], today + timedelta(days=waits.end // DAY))]


def _missed(work: Work, task: str, today: date) -> str:
    return words().say_missed(work.task[task].kind, today + timedelta(days=work.task[task].day or 0))


def _cure(one: Cure, people: Mapping[str, str], today: date) -> str:
    day = None if one.day < 0 else today + timedelta(days=one.day)
    return words().say_cure(one.code, one.kinds, people.get(one.worker, ""), one.minutes, day)


def _move(one: Moves, work: Work, people: Mapping[str, str], called: Mapping[str, Called], today: date) -> TaskMovedOut:
    what = called[one.order]
    return TaskMovedOut(
        order=one.order, title=what.title, client_name=what.client_name,
        name=words().task_name(work.task[one.task].kind), was_by=people.get(one.was_worker, ""),
        was_on=today + timedelta(days=one.was_day), by=people[one.worker], on=today + timedelta(days=one.day),
    )  # fmt: skip


def _time(moment: int, today: date) -> str:
    if moment % DAY == 0 and moment:
        return "24:00"
    return f"{clock_of(moment, today):%H:%M}"
