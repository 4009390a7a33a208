"""Whether a day can be promised, and what would make it possible; answered from a schedule as it stands."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Literal

from cutting.scheduling.hours import DAY, Hours, Span
from cutting.scheduling.judging import broken, done_on, outcomes
from cutting.scheduling.placing import Board, Schedule, as_before, earliest_promise_first
from cutting.scheduling.task import Task, Work, Worker

MORE = (60, 120, 180, 240)
"""So many more minutes of somebody are tried, the least first."""
EVENING = 22 * 60
"""Nobody is asked to work later than this, in minutes of a day."""


@dataclass(frozen=True)
class Moves:
    """A task that is done by somebody else, or ready on another day, than by the schedule as it stands."""

    task: str
    order: str
    was_worker: str
    was_day: int
    worker: str
    day: int


@dataclass(frozen=True)
class Waits:
    """The task of an order that waits longest for its worker, from and to which moment."""

    task: str
    kind: str
    worker: str
    start: int
    end: int


@dataclass(frozen=True)
class Cure:
    """What would keep a promise: so many `minutes` more of a `worker` on a `day`; `kinds` of tasks handed to somebody
    who does none of those now; or another `day` promised.
    """

    code: Literal["hours", "hand", "day"]
    worker: str = ""
    kinds: tuple[str, ...] = ()
    minutes: int = 0
    day: int = -1


@dataclass(frozen=True)
class Answer:
    """Whether a day can be promised, by which schedule, what that moves; how many minutes are left over then. Where it
    cannot, what the order waits for and what would make it possible.
    """

    can: bool
    schedule: Schedule
    end: int | None
    left_over: int = 0
    moves: tuple[Moves, ...] = ()
    waits: Waits | None = None
    cures: tuple[Cure, ...] = ()


def could_promise(work: Work, stands: Schedule, tasks: Sequence[Task], due: int) -> Answer:
    """Whether an order of these tasks, of which the work has none yet, can be promised by a moment: with nothing moved
    where that is possible, else with what is promised later moved back, as long as no promise is broken by it.
    """
    order = tasks[0].order
    more = replace(work, tasks=(*work.tasks, *tasks), due={**work.due, order: due})
    placed = beside(more, stands, tasks)
    end = outcomes(more, placed)[order]
    before = broken(work, stands)
    if order not in broken(more, placed):
        return Answer(True, placed, end.end, -end.late)
    # Where a schedule is kept, as it stands with this among it by its promise; else, and where that is too late, what
    # is promised first first.
    for placing in (as_before, earliest_promise_first) if work.was else (earliest_promise_first,):
        moved = placing(more)
        now = outcomes(more, moved)[order]
        if broken(more, moved) <= before:
            return Answer(True, moved, now.end, -now.late, moves_of(more, stands, moved))
    return Answer(
        False, placed, end.end, waits=waits_of(more, placed, order), cures=cures_of(more, stands, tasks, due, end.end)
    )


def moves_of(work: Work, was: Schedule, now: Schedule) -> tuple[Moves, ...]:
    """What is done on another day, then what is by somebody else on the same."""
    found = []
    for id, one in now.placed.items():
        before = was.placed.get(id)
        if before is None or id not in work.task:
            continue
        days = done_on(before), done_on(one)
        if (before.worker, days[0]) != (one.worker, days[1]):
            found.append(Moves(id, work.task[id].order, before.worker, days[0], one.worker, days[1]))
    return tuple(sorted(found, key=lambda one: (one.was_day == one.day, one.day, one.task)))


def waits_of(work: Work, schedule: Schedule, order: str) -> Waits | None:
    """The task of an order that is begun longest after it could be, in minutes that are worked here meanwhile."""
    found: list[tuple[int, Waits]] = []
    for task in work.of_order[order]:
        placed = schedule.placed.get(task.id)
        if placed is None:
            continue
        ready = max([task.earliest, *(schedule.placed[need].end for need in task.needs)])
        waited = max(one.hours.worked(placed.start) - one.hours.worked(ready) for one in work.workers)
        found.append((waited, Waits(task.id, task.kind, placed.worker, ready, placed.start)))
    return max(found, key=lambda one: one[0], default=(0, None))[1]


def cures_of(work: Work, stands: Schedule, tasks: Sequence[Task], due: int, end: int | None) -> tuple[Cure, ...]:
    """What would keep the promise of an order with nothing else moved: one of each sort, the least of it."""
    found = [*_more_hours(work, stands, tasks, due), *_handed(work, stands, tasks)]
    if end is not None and end > due:
        found.append(Cure("day", day=(end - 1) // DAY))
    return tuple(found)


def beside(work: Work, stands: Schedule, tasks: Sequence[Task]) -> Schedule:
    """The schedule with more tasks placed in what is left free."""
    board = Board.of(work, stands)
    for task in tasks:
        board.put(task)
    return board.schedule()


def _keeps(work: Work, stands: Schedule, tasks: Sequence[Task]) -> bool:
    return tasks[0].order not in broken(work, beside(work, stands, tasks))


def _more_hours(work: Work, stands: Schedule, tasks: Sequence[Task], due: int) -> list[Cure]:
    """The least more of one person on one day, the last of a day first tried; none where no such is enough."""
    kinds = {one.kind for one in tasks}
    who = [one for one in work.workers if one.skills & kinds]
    for minutes in MORE:
        for day in range((due - 1) // DAY, -1, -1):
            for one in who:
                longer = _longer(one, day, minutes)
                if longer is None:
                    continue
                try_ = replace(work, workers=tuple(longer if each.id == one.id else each for each in work.workers))
                if _keeps(try_, rehung(try_, stands), tasks):
                    return [Cure("hours", one.id, minutes=minutes, day=day)]
    return []


def _handed(work: Work, stands: Schedule, tasks: Sequence[Task]) -> list[Cure]:
    """Something that somebody does none of now, handed to them for this order alone: one kind of task, else all."""
    for all_ in (False, True):
        for one in work.workers:
            lacks = [task for task in tasks if task.kind not in one.skills]
            for some in [lacks] if all_ else [[task] for task in lacks]:
                if some and _keeps_by(work, stands, tasks, one, some):
                    return [Cure("hand", one.id, kinds=tuple(task.kind for task in some))]
    return []


def _keeps_by(work: Work, stands: Schedule, tasks: Sequence[Task], one: Worker, some: Sequence[Task]) -> bool:
    """Whether the promise is kept where somebody does some of the tasks."""
    able = replace(one, skills=one.skills.union(task.kind for task in some))
    ids = {task.id for task in some}
    only = [replace(task, by=one.id) if task.id in ids else task for task in tasks]
    by = {task.id: task for task in only}
    try_ = replace(
        work, workers=tuple(able if each.id == one.id else each for each in work.workers),
        tasks=tuple(by.get(each.id, each) for each in work.tasks),
    )  # fmt: skip
    return _keeps(try_, stands, only)


def _longer(one: Worker, day: int, minutes: int) -> Worker | None:
    """Somebody who works so much longer on a day, none where they do not work then or would into the night."""
    ends = [end for start, end in one.hours.spans if start // DAY == day]
    if not ends or ends[-1] + minutes > day * DAY + EVENING:
        return None
    spans: list[Span] = sorted([*one.hours.spans, (ends[-1], ends[-1] + minutes)])
    return replace(one, hours=Hours(tuple(spans)))


def rehung(work: Work, stands: Schedule) -> Schedule:
    """A schedule by other hours: every task at the same moment, at another place among the minutes worked.
    Only for hours that have more than those it was made by.
    """
    placed = {}
    for id, one in stands.placed.items():
        hours = work.worker[one.worker].hours
        first = hours.worked(one.start)
        placed[id] = replace(one, first=first, last=first + one.last - one.first)
    return Schedule(placed, stands.left, stands.missed)
