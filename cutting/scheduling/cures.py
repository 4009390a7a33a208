"""What would keep the promise of an order with nothing else moved: each way is tried on the schedule as it stands."""

from collections.abc import Iterator, Sequence
from contextlib import contextmanager
from dataclasses import dataclass, replace
from typing import Literal

from cutting.scheduling.hours import DAY, Hours, Span
from cutting.scheduling.judging import end_of
from cutting.scheduling.placing import Board, Schedule
from cutting.scheduling.task import Task, Work, Worker, can_do

MORE = (60, 120, 180, 240)
"""So many more minutes of somebody are tried, the least first."""
EVENING = 22 * 60
"""Nobody is asked to work later than this, in minutes of a day."""


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


def cures_of(work: Work, stands: Schedule, tasks: Sequence[Task], due: int, end: int | None) -> tuple[Cure, ...]:
    """One of each sort, the least of it. `stands` is the schedule without the order's own tasks."""
    tries = _Tries(work, Board.of(work, stands), tasks)
    found = [*_more_hours(tries, due), *_handed(tries)]
    if end is not None and end > due:
        found.append(Cure("day", day=(end - 1) // DAY))
    return tuple(found)


@dataclass(frozen=True)
class _Tries:
    """The tasks of one order, and the board as it stands, on which they are placed and taken off again."""

    work: Work
    board: Board
    tasks: Sequence[Task]

    def keep(self, other: Worker, tasks: Sequence[Task]) -> bool:
        """Whether the promise is kept where one of the workers is another, and the tasks are these."""
        workers = tuple(other if one.id == other.id else one for one in self.work.workers)
        with self._tried():
            for task in tasks:
                self.board.put(task, [who for who in workers if can_do(who, task.kind, task.minutes, task.by)])
            by_id = {one.id: one for one in workers}
            _, late = end_of(tasks, self.work.due[tasks[0].order], by_id, self.board.placed)
            return late <= 0 and not any(task.id in self.board.missed for task in tasks)

    @contextmanager
    def _tried(self) -> Iterator[None]:
        """What is placed meanwhile is taken off in the end."""
        left, missed = dict(self.board.left), list(self.board.missed)
        try:
            yield
        finally:
            for task in self.tasks:
                if task.id in self.board.placed:
                    self.board.take(task.id)
            self.board.left, self.board.missed = left, missed

    @contextmanager
    def with_hours(self, longer: Worker) -> Iterator[None]:
        """Somebody's tasks among more minutes of theirs meanwhile, each at the same moment."""
        self.board.rehang(longer)
        try:
            yield
        finally:
            self.board.rehang(self.work.worker[longer.id])


def _more_hours(tries: _Tries, due: int) -> list[Cure]:
    """The least more of one person on one day, the last of a day first tried; none where no such is enough."""
    kinds = {one.kind for one in tries.tasks}
    who = [one for one in tries.work.workers if one.skills & kinds]
    for minutes in MORE:
        for day in range((due - 1) // DAY, -1, -1):
            for one in who:
                longer = _longer(one, day, minutes)
                if longer is None:
                    continue
                with tries.with_hours(longer):
                    if tries.keep(longer, tries.tasks):
                        return [Cure("hours", one.id, minutes=minutes, day=day)]
    return []


def _handed(tries: _Tries) -> list[Cure]:
    """Something that somebody does none of now, handed to them for this order alone: one kind of task, else all."""
    for all_ in (False, True):
        for one in tries.work.workers:
            lacks = [task for task in tries.tasks if task.kind not in one.skills]
            for some in [lacks] if all_ else [[task] for task in lacks]:
                if some and _keeps_by(tries, one, some):
                    return [Cure("hand", one.id, kinds=tuple(task.kind for task in some))]
    return []


def _keeps_by(tries: _Tries, one: Worker, some: Sequence[Task]) -> bool:
    """Whether the promise is kept where somebody does some of the tasks."""
    able = replace(one, skills=one.skills.union(task.kind for task in some))
    ids = {task.id for task in some}
    return tries.keep(able, [replace(task, by=one.id) if task.id in ids else task for task in tries.tasks])


def _longer(one: Worker, day: int, minutes: int) -> Worker | None:
    """Somebody who works so much longer on a day, none where they do not work then or would into the night."""
    ends = [end for start, end in one.hours.spans if start // DAY == day]
    if not ends or ends[-1] + minutes > day * DAY + EVENING:
        return None
    spans: list[Span] = sorted([*one.hours.spans, (ends[-1], ends[-1] + minutes)])
    return replace(one, hours=Hours(tuple(spans)))
