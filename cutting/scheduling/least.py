"""How many promises no schedule can keep: proved by what everybody works up to each promise.

Of the orders that are in time, what only some people can do by a moment fits into what those work up to it. An order
that would be late in an empty workshop is late in any.

Only the scheduling child imports this (it needs OR-Tools).
"""

from dataclasses import dataclass
from itertools import combinations

from ortools.sat.python import cp_model

from cutting.scheduling.judging import broken
from cutting.scheduling.placing import Schedule
from cutting.scheduling.promising import beside
from cutting.scheduling.task import Task, Work

MOST_GROUPS = 64
"""So many groups of people are looked at."""
STEPS = 0.3


@dataclass(frozen=True)
class Least:
    """No schedule breaks fewer promises than `broken`; by what is counted here the orders `kept` could be in time."""

    broken: int
    kept: frozenset[str]


def least_broken(work: Work) -> Least:
    """How many promises are broken at least, and which could be kept then."""
    cp = cp_model.CpModel()
    on_time, never = {}, hopeless(work)
    for order in work.of_order:
        if order in work.due:
            on_time[order] = cp.new_bool_var(order)
            if order in never:
                cp.add(on_time[order] == 0)
    latest = {id: at for order in on_time for id, at in _latest(work, work.of_order[order], work.due[order]).items()}
    able = {id: frozenset(one.id for one in work.able[id]) for id in latest}
    for group in _groups(set(able.values())):
        inside = sorted((id for id in latest if able[id] and able[id] <= group), key=lambda id: (latest[id], id))
        for k, id in enumerate(inside):
            if k + 1 < len(inside) and latest[inside[k + 1]] == latest[id]:
                continue
            most = sum(one.hours.worked(latest[id]) for one in work.workers if one.id in group)
            needed = sum(work.task[one].minutes for one in inside[: k + 1])
            if needed > most:
                cp.add(sum(work.task[one].minutes * on_time[work.task[one].order] for one in inside[: k + 1]) <= most)
    cp.maximize(sum(on_time.values()))
    solver = cp_model.CpSolver()
    solver.parameters.num_workers = 1
    solver.parameters.max_deterministic_time = STEPS
    status = solver.solve(cp)
    if not on_time or status not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return Least(0, frozenset(on_time))
    kept = frozenset(order for order, is_on_time in on_time.items() if solver.value(is_on_time))
    return Least(max(0, len(on_time) - int(solver.best_objective_bound + 1e-6)), kept)


def hopeless(work: Work) -> set[str]:
    """The orders whose promise could not be kept in an empty workshop, each task as early as it can be."""
    alone = (
        Work(work.workers, tuple(tasks), {order: work.due[order]}, work.shared)
        for order, tasks in work.of_order.items() if order in work.due
    )  # fmt: skip
    return {order for one in alone for order in broken(one, beside(one, Schedule({}), one.tasks))}


def _latest(work: Work, tasks: list[Task], due: int) -> dict[str, int]:
    """By which moment each task has to be done so that the others after it can be: as if the quickest did those, and at
    each minute of the day.
    """
    after: dict[str, int] = {}
    for task in reversed(tasks):
        followers = [other for other in tasks if task.id in other.needs]
        after[task.id] = max((after[one.id] + one.minutes for one in followers), default=0)
    return {id: due - long for id, long in after.items()}


def _groups(able: set[frozenset[str]]) -> list[frozenset[str]]:
    """Those who can do one kind of task or another, and what any two or three of those make together."""
    one = sorted(able - {frozenset()}, key=sorted)
    found = dict.fromkeys(one)
    for many in (2, 3):
        for some in combinations(one, many):
            if len(found) < MOST_GROUPS:
                found[frozenset().union(*some)] = None
    return list(found)
