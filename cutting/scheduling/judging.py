"""How good a schedule is: first the promises that are broken, then by how much, then what it moves, then how early."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from cutting.scheduling.hours import DAY
from cutting.scheduling.placing import Schedule
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


def outcomes(work: Work, schedule: Schedule) -> dict[str, Outcome]:
    """What becomes of each order."""
    found = {}
    for order, tasks in work.of_order.items():
        end, late = end_of(tasks, work.due.get(order, 10**9), work.worker, schedule.placed)
        found[order] = Outcome(order, end, late)
    return found


def end_of(
    tasks: Sequence[Task], due: int, workers: Mapping[str, Worker], placed: Mapping[str, Placed]
) -> tuple[int | None, int]:
    """When an order of these tasks is done and how late that is, as an Outcome has it, where these are the workers."""
    if any(one.id not in placed for one in tasks):
        return None, NEVER
    last = max((placed[one.id] for one in tasks), key=lambda one: one.end)
    return last.end, last.last - workers[last.worker].hours.worked(due)


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
