"""Whether a day can be promised; answered from a schedule as it stands."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

from cutting.scheduling.cures import Cure, cures_of
from cutting.scheduling.judging import broken, done_on, outcomes
from cutting.scheduling.placing import Board, Schedule, as_before, earliest_promise_first
from cutting.scheduling.task import Task, Work


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


def beside(work: Work, stands: Schedule, tasks: Sequence[Task]) -> Schedule:
    """The schedule with more tasks placed in what is left free."""
    board = Board.of(work, stands)
    for task in tasks:
        board.put(task)
    return board.schedule()
