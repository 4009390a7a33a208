"""How good a schedule is: first the promises that are broken, then by how much, then what it moves, then how early."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from cutting.scheduling.hours import DAY
from cutting.scheduling.placing import Board, Schedule
from cutting.scheduling.task import Placed, Task, Work, Worker

NEVER = 10**6
"""By so many minutes an order is late that is never done."""


@dataclass(frozen=True, order=True)
class Score:
    """Less is better, the first that differs decides: orders that are later than promised or not ready on the day their
    client comes; working minutes they are late by in all; tasks that somebody else does than before, or that are ready
    on another day;
    and at what moments the orders are done, added up.
    """

    broken: int
    late: int
    changed: int
    done: int


@dataclass(frozen=True)
class Outcome:
    """When an order is done, and by how many minutes, of those that its last task's worker works, after the promise:
    less than nothing where there are so many left. `end` is None where it is never done.
    """

    order: str
    end: int | None
    late: int


def outcomes(work: Work, schedule: Schedule | Board) -> dict[str, Outcome]:
    """What becomes of each order."""
    return {
        order: _outcome(order, tasks, work.due, work.worker, schedule) for order, tasks in work.of_order.items()
    }  # fmt: skip


def ends_well(
    order: str, tasks: Sequence[Task], due: Mapping[str, int], workers: Mapping[str, Worker], schedule: Schedule | Board
) -> bool:
    """Whether an order of these tasks is done by its promise, where these are the workers."""
    return _outcome(order, tasks, due, workers, schedule).late <= 0


def _outcome(
    order: str, tasks: Sequence[Task], due: Mapping[str, int], workers: Mapping[str, Worker], schedule: Schedule | Board
) -> Outcome:
    if any(one.id not in schedule.placed for one in tasks):
        return Outcome(order, None, NEVER)
    last = max((schedule.placed[one.id] for one in tasks), key=lambda one: one.end)
    return Outcome(order, last.end, last.last - workers[last.worker].hours.worked(due.get(order, 10**9)))


def done_on(placed: Placed) -> int:
    """The day, by its number, on which a task is ready."""
    return (placed.end - 1) // DAY


def broken(work: Work, schedule: Schedule) -> set[str]:
    """The orders that are later than promised, or not ready on the day their client comes."""
    late = {one.order for one in outcomes(work, schedule).values() if one.late > 0}
    return late | {work.task[id].order for id in schedule.missed}


def score(work: Work, schedule: Schedule) -> Score:
    """How good it is."""
    ends = outcomes(work, schedule).values()
    before = ((one, work.was[one.task]) for one in schedule.placed.values() if one.task in work.was)
    moved = sum((was.worker, was.day) != (one.worker, done_on(one)) for one, was in before)
    return Score(
        len(broken(work, schedule)), sum(max(0, one.late) for one in ends), moved,
        sum(one.end for one in ends if one.end is not None),
    )  # fmt: skip
