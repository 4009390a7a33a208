"""A schedule made by placing one task after another, each as early as it can be: exact to the minute, the same at each
time.
"""

from bisect import bisect_left, insort
from collections import defaultdict
from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Literal

from cutting.scheduling.hours import DAY, Span
from cutting.scheduling.task import Placed, Task, Work, Worker

Why = Literal["nobody", "hours", "before"]
"""A task that nobody can do; that does not fit into anybody's hours; that needs one of those."""


@dataclass(frozen=True)
class Schedule:
    """Where each task is placed; those that cannot be, with why; those that miss the day the client comes."""

    placed: Mapping[str, Placed]
    left: Mapping[str, Why] = field(default_factory=dict)
    missed: tuple[str, ...] = ()


@dataclass
class Board:
    """What is placed so far: per person the stretches of their worked minutes that are taken, per shared thing when."""

    work: Work
    placed: dict[str, Placed] = field(default_factory=dict)
    left: dict[str, Why] = field(default_factory=dict)
    missed: list[str] = field(default_factory=list)
    _taken: dict[str, list[Span]] = field(default_factory=lambda: defaultdict(list))
    _used: dict[str, list[Span]] = field(default_factory=lambda: defaultdict(list))

    @staticmethod
    def of(work: Work, schedule: Schedule) -> "Board":
        """A board on which the tasks of a schedule that are still to be done hang as they do there."""
        board = Board(
            work, left={id: why for id, why in schedule.left.items() if id in work.task},
            missed=[id for id in schedule.missed if id in work.task],
        )  # fmt: skip
        for placed in schedule.placed.values():
            if placed.task in work.task and placed.worker in work.worker:
                board._hang(placed)
        return board

    def schedule(self) -> Schedule:
        """As it stands."""
        return Schedule(dict(self.placed), dict(self.left), tuple(self.missed))

    def put(self, task: Task, among: Sequence[Worker] | None = None) -> Placed | None:
        """Place a task where it ends first among those who can do it, whoever is named first where several would; one
        with a day on it where it can, else as early as it can. None where nobody can.
        """
        able = self.work.able[task.id] if among is None else among
        if any(need in self.left for need in task.needs):
            self.left[task.id] = "before"
            return None
        if not able:
            # Those who could may be away, or never here so long.
            does = any(task.kind in who.skills for who in self.work.workers)
            self.left[task.id] = "hours" if does else "nobody"
            return None
        ready = max([task.earliest, *(self.placed[need].end for need in task.needs if need in self.placed)])
        found = None
        if task.day is not None:
            low, high = max(ready, task.day * DAY), (task.day + 1) * DAY
            found = self._best(task, able, low, high) if low < high else None
            if found is None:
                self.missed.append(task.id)
                ready = max(ready, task.day * DAY)
        found = found or self._best(task, able, ready, None)
        if found is None:
            self.left[task.id] = "hours"
            return None
        self._hang(found)
        return found

    def take(self, task: str) -> None:
        """Take a task off the board again."""
        placed = self.placed.pop(task)
        self._taken[placed.worker].remove((placed.first, placed.last))
        for thing in self.work.task[task].uses:
            for span in placed.spans:
                self._used[thing].remove(span)
        if task in self.missed:
            self.missed.remove(task)

    def rehang(self, who: Worker) -> None:
        """What somebody does is counted by other hours of theirs, each task at the same moment: only for hours that
        have all those it was placed by.
        """
        hung = [(who.hours.worked(one.start), one) for one in self.placed.values() if one.worker == who.id]
        self._taken[who.id] = sorted((first, first + one.last - one.first) for first, one in hung)

    def _hang(self, placed: Placed) -> None:
        self.placed[placed.task] = placed
        insort(self._taken[placed.worker], (placed.first, placed.last))
        for thing in self.work.task[placed.task].uses:
            for span in placed.spans:
                insort(self._used[thing], span)

    def _best(self, task: Task, able: Iterable[Worker], ready: int, until: int | None) -> Placed | None:
        found = None
        for who in able:
            one = self._first(task, who, ready, until)
            if one is not None:
                # Of who comes after only somebody who ends earlier is looked for.
                found, until = one, one.end - 1
        return found

    def _first(self, task: Task, who: Worker, ready: int, until: int | None) -> Placed | None:
        """The first place of a task among somebody's minutes from a moment on, which ends by `until`."""
        hours, taken = who.hours, self._taken[who.id]
        first = hours.worked(ready)
        # What ends before is passed over at once.
        k = max(0, bisect_left(taken, (first, first)) - 1)
        most = hours.all if until is None else hours.worked(until)
        while first + task.minutes <= most:
            while k < len(taken) and taken[k][1] <= first:
                k += 1
            if k < len(taken) and taken[k][0] < first + task.minutes:
                first = taken[k][1]
                continue
            last = first + task.minutes
            start, end = hours.begins(first), hours.ends(last)
            spans = hours.between(start, end)
            free = self._free(task.uses, spans)
            if free is None:
                return Placed(task.id, who.id, first, last, start, end, spans)
            # A minute further at least, so that this ends.
            first = max(first + 1, hours.worked(free))
        return None

    def _free(self, uses: Iterable[str], spans: Iterable[Span]) -> int | None:
        """None where there is one left of everything all the while; else the moment from which on to look again."""
        for thing in uses:
            number, used = self.work.shared.get(thing, 1), self._used[thing]
            for low, high in spans:
                over = [one for one in used if one[0] < high and one[1] > low]
                moments = [low, *(start for start, _ in over if start > low)]
                if any(sum(start <= at < end for start, end in over) >= number for at in moments):
                    return min(end for _, end in over)
        return None


Key = Callable[[Task], tuple[int | str, ...]]
"""What tasks that could be done next are sorted by."""


def place_all(work: Work, key: Key, who: Mapping[str, str] | None = None) -> Schedule:
    """Every task placed, always the one with the least key whose needs are placed; where `who` names somebody for a
    task, by them. Whoever comes for a fitting has their place first, so that others do not take it.
    """
    board = Board(work)
    for task in sorted((one for one in work.tasks if one.day is not None), key=lambda one: (one.day or 0, one.id)):
        _hold(board, task, who.get(task.id) if who else None)
    followers: dict[str, list[Task]] = defaultdict(list)
    waits = {one.id: len(one.needs) for one in work.tasks}
    for one in work.tasks:
        for need in one.needs:
            followers[need].append(one)
    open_ = sorted((*key(one), one.id) for one in work.tasks if not one.needs)
    while open_:
        task = work.task[str(open_.pop(0)[-1])]
        if not _stands(board, task):
            named = who.get(task.id) if who else None
            board.put(task, [work.worker[named]] if named else None)
        for next_ in followers[task.id]:
            waits[next_.id] -= 1
            if waits[next_.id] == 0:
                insort(open_, (*key(next_), next_.id))
    return board.schedule()


def _hold(board: Board, task: Task, named: str | None) -> None:
    """A place to begin with, by who is named where they are there on the day, else by anybody; it is taken again where
    what comes before ends later.
    """
    for among in ([board.work.worker[named]], None) if named else (None,):
        placed = board.put(_alone(task), among)
        if placed is None:
            board.left.clear()
            board.missed = [id for id in board.missed if id != task.id]
        elif among is None or task.id not in board.missed:
            return
        else:
            board.take(task.id)


def _alone(task: Task) -> Task:
    return Task(task.id, task.order, task.kind, task.minutes, (), task.uses, task.day, task.by, task.earliest)


def _stands(board: Board, task: Task) -> bool:
    """Whether the place that a task has from the beginning can stay."""
    if task.id not in board.placed:
        return False
    ready = max((board.placed[need].end for need in task.needs if need in board.placed), default=0)
    if not any(need in board.left for need in task.needs) and board.placed[task.id].start >= ready:
        return True
    board.take(task.id)
    return False


def earliest_promise_first(work: Work) -> Schedule:
    """The usual habit of a workshop: what is promised first is done first."""
    at = {one.id: k for k, one in enumerate(work.tasks)}
    return place_all(work, lambda one: (work.due.get(one.order, 10**9), one.order, at[one.id]))


def as_before(work: Work) -> Schedule:
    """Everything as it was by the schedule of before, moved on where time went by or somebody is not there; what is new
    among it by its promise.
    """
    at = {one.id: k for k, one in enumerate(work.tasks)}
    who = {id: one.worker for id, one in work.was.items() if id in work.task}
    able = {id: worker for id, worker in who.items() if any(worker == one.id for one in work.able[id])}

    def key(one: Task) -> tuple[int | str, ...]:
        was = work.was.get(one.id)
        return (work.due.get(one.order, 10**9) - DAY if was is None else was.start, one.order, at[one.id])

    return place_all(work, key, able)
