"""A schedule by a constraint model, never worse than earliest promise first; and what no schedule can be better than.

A few orders at a time are placed anew by the model among all others, which stay; where there are few, all at once.
Tasks of one person do not overlap among the minutes that they work. The time is cut at every moment at which somebody
begins or ends to work: within such a stretch everybody works all the while or not at all, so that a place among
somebody's minutes is a moment of the clock, and what comes after another task begins after it. What is shared is not
asked of the model. What is proved of one that goes on until every order could be given up holds for every schedule.
Its answer is taken as who does what in which order, placed anew to the minute, and kept where that is better.

Only the scheduling child imports this (it needs OR-Tools).
"""

from collections.abc import Collection, Iterable, Mapping
from dataclasses import dataclass
from itertools import pairwise

from ortools.sat.python import cp_model

from cutting.scheduling.hours import DAY, Span
from cutting.scheduling.judging import Outcome, Score, broken, outcomes, score
from cutting.scheduling.least import hopeless, least_broken
from cutting.scheduling.placing import Schedule, as_before, earliest_promise_first, place_all
from cutting.scheduling.task import Task, Work

STEPS = 0.4
"""What the solver is given in all, in its own deterministic steps: so that the same question has the same answer."""
PART = 0.06
"""What it is given for one part of the orders."""
TRIES = 2
"""So many parts are placed anew."""
GIVEN_UP = 24
"""So many promises are given up one by one."""
WHOLE, FREE = 100, 24
"""With no more tasks than this all are placed at once; else so many of them at a time."""


@dataclass(frozen=True)
class Solved:
    """The best schedule found with its score, that of earliest promise first, and how many promises every schedule
    breaks at least.
    """

    schedule: Schedule
    score: Score
    habit: Score
    least: int


Order = tuple[Mapping[str, str], Mapping[str, int]]
"""Who does each task, and at which moment it is begun."""


def solve(work: Work, steps: float = STEPS, seed: int = 1) -> Solved:
    """The best of what is found. The same work, steps and seed have the same answer."""
    habit = earliest_promise_first(work)
    proved = least_broken(work)
    least = proved.broken
    made = [habit, *([as_before(work)] if work.was else []), *_giving_up(work, proved.kept)]
    best = min(made, key=lambda one: score(work, one))
    stands = score(work, best)
    if (stands.broken, stands.late) == (least, 0):
        return Solved(best, stands, score(work, habit), least)
    if len(work.tasks) <= WHOLE:
        model = _Model(work, best, set(work.of_order))
        answer = model.solve(steps, seed)
        best = _better(work, best, answer)
        least = max(least, model.least)
    else:
        left = steps
        for free in _parts(work, best):
            model = _Model(work, best, free)
            best = _better(work, best, model.solve(min(PART, left), seed))
            left -= model.spent
            if left <= 0:
                break
    found = score(work, best)
    return Solved(best, found, score(work, habit), min(least, found.broken))


def _placed(work: Work, order: Order) -> Schedule:
    who, at = order
    return place_all(work, lambda task: (at.get(task.id, 10**9),), who)


def _better(work: Work, stands: Schedule, answer: Order | None) -> Schedule:
    made = stands if answer is None else _placed(work, answer)
    return made if score(work, made) < score(work, stands) else stands


def _giving_up(work: Work, kept: Collection[str]) -> Iterable[Schedule]:
    """Those promises that could be kept together first, the others last; where one of the first is late all the same,
    the longest of those that are promised before it is given up too.
    """
    at = {one.id: k for k, one in enumerate(work.tasks)}
    due, first = {order: work.due.get(order, 10**9) for order in work.of_order}, set(kept)
    found = []
    for _ in range(GIVEN_UP):
        found.append(place_all(work, lambda one: (one.order not in first, due[one.order], one.order, at[one.id])))
        late = sorted(broken(work, found[-1]) & first, key=lambda order: (due[order], order))
        if not late:
            break
        before = [order for order in first if due[order] <= due[late[0]]]
        first.remove(max(before, key=lambda order: (sum(one.minutes for one in work.of_order[order]), order)))
    return found


def _parts(work: Work, schedule: Schedule) -> Iterable[set[str]]:
    """The orders that are placed anew together: one whose promise is broken, first those that could be kept and are
    late by least, with those that could make room for it, first those with the most time left.
    """
    late, none = broken(work, schedule), hopeless(work)
    ends = sorted(outcomes(work, schedule).values(), key=lambda one: (one.order in none, one.late, one.order))
    first = [one for one in ends if one.order in late and one.end is not None]
    spare = sorted((one for one in ends if one.order not in late), key=lambda one: one.late)
    return [_with(work, [one], spare) for one in first[:TRIES]]


def _with(work: Work, first: Iterable[Outcome], more: Iterable[Outcome]) -> set[str]:
    """The first orders, and of the others as many as fit."""
    found: dict[str, None] = {}
    count = 0
    for one in (*first, *more):
        if one.order not in found and count + len(work.of_order[one.order]) <= FREE:
            found[one.order] = None
            count += len(work.of_order[one.order])
    return set(found)


@dataclass
class _Var:
    """A task in the model: by whom, from which of their minutes on, from and to which moment."""

    by: dict[str, cp_model.IntVar]
    start: dict[str, cp_model.IntVar]
    begins: cp_model.IntVar
    ends: cp_model.IntVar


def _stretches(work: Work, until: int) -> list[Span]:
    """The time up to a moment, cut where somebody begins or ends to work; without what nobody works at."""
    spans = [span for who in work.workers for span in who.hours.spans if span[0] < until]
    moments = sorted({moment for span in spans for moment in span})
    return [
        (start, end) for start, end in pairwise(moments)
        if any(who.hours.worked(end) > who.hours.worked(start) for who in work.workers)
    ]  # fmt: skip


def _given_up(work: Work) -> int:
    """By which moment everything could be done one after the other once every promise is over: no schedule that breaks
    as few promises as can be has to end later.
    """
    at = max(work.due.values(), default=0)
    for task in work.tasks:
        ends = (one.hours.worked(at) + task.minutes for one in work.able[task.id])
        found = [one.hours.ends(end) for one, end in zip(work.able[task.id], ends, strict=True) if end <= one.hours.all]
        at = max(at, min(found, default=at))
    return at


def _gaps(taken: Iterable[Span], low: int, high: int, minutes: int) -> list[Span]:
    """From and to where so many minutes can begin between two ends, beside what is taken."""
    found, at = list[Span](), low
    for start, end in (*taken, (high, high)):
        if min(start, high) - minutes >= at:
            found.append((at, min(start, high) - minutes))
        at = max(at, end)
    return found


class _Model:
    """The model of the `free` orders among all others of a schedule; what cannot be placed is left out of it."""

    def __init__(self, work: Work, stands: Schedule, free: Collection[str]):
        self.work, self.stands = work, stands
        self.cp = cp_model.CpModel()
        self.least, self.spent = 0, 0.0
        # A little longer than they stand; until every order could be given up, where that makes the model no larger.
        ends = [one.end for one in stands.placed.values() if work.task[one.task].order in free]
        self.days = 2 + max(ends, default=0) // DAY
        self.stretches = _stretches(work, self.days * DAY)
        far = max(self.days, 1 + _given_up(work) // DAY)
        self.is_whole = len(free) == len(work.of_order) and _stretches(work, far * DAY) == self.stretches
        if self.is_whole:
            self.days = far
        self.worked = {who.id: [who.hours.worked(start) for start, _ in self.stretches] for who in work.workers}
        most = max((who.hours.worked(self.days * DAY) for who in work.workers), default=0)
        # One promise broken is worse than all that the orders can be late by.
        self.broken = 1 + most * max(1, len(free))
        self.worst, self.small = list[cp_model.LinearExprT](), list[cp_model.LinearExprT]()
        self.breaks = {order: self.cp.new_bool_var("") for order in sorted(free)}
        self.worst += [self.broken * is_broken for is_broken in self.breaks.values()]
        self.vars: dict[str, _Var] = {}
        lanes: dict[str, list[cp_model.IntervalVar]] = {who.id: [] for who in work.workers}
        self.taken: dict[str, list[Span]] = {who.id: [] for who in work.workers}
        for one in sorted(stands.placed.values(), key=lambda one: one.first):
            if work.task[one.task].order not in free:
                self.taken[one.worker].append((one.first, one.last))
        for task in work.tasks:
            if task.order in free and task.id in stands.placed:
                self.vars[task.id] = self._var(task, lanes)
        for lane in lanes.values():
            self.cp.add_no_overlap(lane)
        for id in self.vars:
            for need in work.task[id].needs:
                if need in self.vars:
                    self._after(need, id)
        for order in sorted(free):
            self._aim(order, most)

    def _var(self, task: Task, lanes: dict[str, list[cp_model.IntervalVar]]) -> _Var:
        cp, last = self.cp, self.days * DAY
        first_moment = max(task.earliest, (task.day or 0) * DAY)
        begins, ends = (cp.new_int_var(first_moment, last, "") for _ in range(2))
        if task.day is not None:
            cp.add(ends <= (task.day + 1) * DAY).only_enforce_if(~self.breaks[task.order])
        # In which stretches it is begun and ended, and when those begin.
        cells = [cp.new_int_var(0, len(self.stretches) - 1, "") for _ in range(2)]
        moments = [cp.new_int_var(0, last, "") for _ in range(2)]
        longs = [cp.new_int_var(1, max(end - start for start, end in self.stretches), "") for _ in range(2)]
        for cell, moment, long in zip(cells, moments, longs, strict=True):
            cp.add_element(cell, [start for start, _ in self.stretches], moment)
            cp.add_element(cell, [end - start for start, end in self.stretches], long)
        by, start = {}, {}
        for who in self.work.able[task.id]:
            hours, worked = who.hours, self.worked[who.id]
            gaps = _gaps(self.taken[who.id], hours.worked(first_moment), hours.worked(last), task.minutes)
            if not gaps:
                continue
            is_by = cp.new_bool_var("")
            first = cp.new_int_var_from_domain(cp_model.Domain.from_intervals(gaps), "")
            lanes[who.id].append(cp.new_optional_fixed_size_interval_var(first, task.minutes, is_by, ""))
            there = [k for k, (a, b) in enumerate(self.stretches) if hours.worked(b) > hours.worked(a)]
            places = (first, begins, 0), (first + task.minutes, ends, 1)
            for cell, moment, long, (place, at, least) in zip(cells, moments, longs, places, strict=True):
                before = cp.new_int_var(0, worked[-1], "")
                cp.add_element(cell, worked, before)
                cp.add_linear_expression_in_domain(cell, cp_model.Domain.from_values(there)).only_enforce_if(is_by)
                cp.add(place - before == at - moment).only_enforce_if(is_by)
                cp.add(place - before >= least).only_enforce_if(is_by)
                cp.add(at - moment <= long - 1 + least).only_enforce_if(is_by)
            by[who.id], start[who.id] = is_by, first
        cp.add_exactly_one(by.values())
        self._hint(task, by, start, begins, ends)
        return _Var(by, start, begins, ends)

    def _hint(
        self, task: Task, by: dict[str, cp_model.IntVar], start: dict[str, cp_model.IntVar], begins: cp_model.IntVar,
        ends: cp_model.IntVar,
    ) -> None:  # fmt: skip
        placed = self.stands.placed[task.id]
        for who, is_by in by.items():
            self.cp.add_hint(is_by, int(who == placed.worker))
        if placed.worker in start:
            self.cp.add_hint(start[placed.worker], placed.first)
        self.cp.add_hint(begins, placed.start)
        self.cp.add_hint(ends, placed.end)
        was = self.work.was.get(task.id)
        if was is not None and was.worker in by:
            moved = self.cp.new_bool_var("")
            self.cp.add(by[was.worker] == 1).only_enforce_if(~moved)
            on_day = cp_model.Domain(was.day * DAY + 1, (was.day + 1) * DAY)
            self.cp.add_linear_expression_in_domain(ends, on_day).only_enforce_if(~moved)
            self.small.append(moved)

    def _after(self, first: str, then: str) -> None:
        """The one begins when the other is done."""
        one, two, minutes = self.vars[first], self.vars[then], self.work.task[first].minutes
        self.cp.add(one.ends <= two.begins)
        for who, is_by in one.by.items():
            if who in two.by:
                self.cp.add(one.start[who] + minutes <= two.start[who]).only_enforce_if(is_by, two.by[who])

    def _aim(self, order: str, most: int) -> None:
        """Promises broken and minutes late, then what is changed; early is what is placed anew after."""
        tasks = self.work.of_order[order]
        if any(task.id not in self.vars for task in tasks) or order not in self.work.due:
            return
        cp, last, due = self.cp, tasks[-1], self.work.due[order]
        late = cp.new_int_var(0, most, "")
        var = self.vars[last.id]
        for who, is_by in var.by.items():
            by = self.work.worker[who].hours.worked(due)
            cp.add(var.start[who] + last.minutes - by <= late).only_enforce_if(is_by)
        cp.add(late == 0).only_enforce_if(~self.breaks[order])
        self.worst.append(late)

    def solve(self, steps: float, seed: int) -> Order | None:
        """Who does what in which order; None where the solver found nothing."""
        weight = 1 + len(self.vars)
        worst, small = cp_model.LinearExpr.sum(self.worst), cp_model.LinearExpr.sum(self.small)
        self.cp.minimize(weight * worst + small)
        solver = cp_model.CpSolver()
        solver.parameters.num_workers = 1
        solver.parameters.random_seed = seed
        solver.parameters.max_deterministic_time = steps
        # Models as small as these are solved sooner without.
        solver.parameters.cp_model_probing_level = 0
        solver.parameters.linearization_level = 0
        solver.parameters.symmetry_level = 0
        status = solver.solve(self.cp)
        self.spent = float(solver.response_proto.deterministic_time)
        if status not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
            return None
        # Of a model that ends sooner nothing is proved for every schedule.
        if self.is_whole:
            self.least = max(0, int(solver.best_objective_bound) // (weight * self.broken))
        who = {id: one.worker for id, one in self.stands.placed.items()}
        at = {id: one.start for id, one in self.stands.placed.items()}
        for id, var in self.vars.items():
            [by] = [one for one, is_by in var.by.items() if solver.value(is_by)]
            who[id] = by
            at[id] = self.work.worker[by].hours.begins(solver.value(var.start[by]))
        return who, at
