"""What has to be done in a workshop by when, by whom and with what: the question that a schedule answers."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from functools import cache
from graphlib import CycleError, TopologicalSorter
from typing import Literal, get_args

from cutting.cached import cached_property
from cutting.scheduling.hours import Hours, Span

Kind = Literal["measure", "cut", "sew", "fit", "finish", "pack"]
KINDS: tuple[Kind, ...] = get_args(Kind)
"""The tasks of an order as a workshop bundles them: mark and cut, sew to the fitting, press and pack and so on."""


class ScheduleError(ValueError):
    """Tasks that no order of doing them can have."""


@dataclass(frozen=True)
class Worker:
    """Somebody with what they can do and when they work."""

    id: str
    skills: frozenset[str]
    hours: Hours


def can_do(who: Worker, kind: str, minutes: int, by: str) -> bool:
    """Whether somebody can do so much of that kind, and may where it is for somebody: `by`, empty for everybody."""
    return kind in who.skills and who.hours.all >= minutes and by in ("", who.id)


@dataclass(frozen=True)
class Task:
    """One thing that one person does: `minutes` of work, when all that it `needs` is done; `uses` are shared things
    that are taken while it is worked at. With a `day` it is done on that day, by its number, since the client comes
    then; with a person in `by` nobody else does it. Nothing of it is done before the moment `earliest`.
    """

    id: str
    order: str
    kind: str
    minutes: int
    needs: tuple[str, ...] = ()
    uses: tuple[str, ...] = ()
    day: int | None = None
    by: str = ""
    earliest: int = 0


@dataclass(frozen=True)
class Placed:
    """A task with who does it, from which of their worked minutes to which, and from which moment to which."""

    task: str
    worker: str
    first: int
    last: int
    start: int
    end: int
    spans: tuple[Span, ...]


@dataclass(frozen=True)
class Before:
    """By the schedule of before: who was to do a task, ready on which day, begun at which moment; both may be past."""

    worker: str
    day: int
    start: int


@dataclass(frozen=True)
class Work:
    """All that waits: `due` is the moment by which each order is promised, `shared` how many there are of what tasks
    use, `was` how each task was placed by the schedule of before. Raises ScheduleError where a task needs
    what there is not, or needs itself.
    """

    workers: tuple[Worker, ...]
    tasks: tuple[Task, ...]
    due: Mapping[str, int]
    shared: Mapping[str, int] = field(default_factory=dict)
    was: Mapping[str, Before] = field(default_factory=dict)

    def __post_init__(self) -> None:
        known = {one.id for one in self.tasks}
        if len(known) != len(self.tasks):
            raise ScheduleError("Two tasks have one id.")
        for one in self.tasks:
            if not known.issuperset(one.needs):
                raise ScheduleError(f"{one.id} needs a task that there is not.")
            if one.minutes < 1:
                raise ScheduleError(f"{one.id} takes no time.")
        try:
            tuple(TopologicalSorter({one.id: one.needs for one in self.tasks}).static_order())
        except CycleError as error:
            raise ScheduleError(f"These tasks need one another: {', '.join(error.args[1])}.") from None

    @cached_property
    def task(self) -> dict[str, Task]:
        return {one.id: one for one in self.tasks}

    @cached_property
    def worker(self) -> dict[str, Worker]:
        return {one.id: one for one in self.workers}

    @cached_property
    def of_order(self) -> dict[str, list[Task]]:
        """The tasks of each order, as they stand."""
        found: dict[str, list[Task]] = {}
        for one in self.tasks:
            found.setdefault(one.order, []).append(one)
        return found

    @cached_property
    def able(self) -> dict[str, tuple[Worker, ...]]:
        """Who can do each task, and ever works."""
        # Many tasks are of one kind and as long: who can do those is asked once.
        able = cache(self._able)
        return {one.id: able(one.kind, one.minutes, one.by) for one in self.tasks}

    def _able(self, kind: Kind, minutes: int, by: str) -> tuple[Worker, ...]:
        return tuple(who for who in self.workers if can_do(who, kind, minutes, by))
