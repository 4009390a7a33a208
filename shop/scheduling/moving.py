"""A ticket of the week that somebody moves by hand: what would move with it, and going by that."""

from collections.abc import Collection
from dataclasses import dataclass
from datetime import date, timedelta
from uuid import UUID, uuid5

from django.db import transaction
from django.utils import timezone

from shop.accounts.models import User, Workshop
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own
from shop.bridge.hours import task_kinds
from shop.bridge.making_schedule import made_by_hand
from shop.bridge.scheduling import HORIZON, Stands, TaskWhen, moved_by_hand, schedule_of
from shop.bridge.week import BrokenOut, TaskMovedOut, broken_of, moved, stamp_of
from shop.errors import ShopError
from shop.orders.models import Order
from shop.scheduling.actions import ScheduleStateError, own_person, tidy_schedules
from shop.scheduling.models import Schedule, TaskDay
from shop.scheduling.queries import WaitingWork, waiting_work


class MoveError(ShopError):
    """A ticket that cannot be put there."""

    code = "move"


@dataclass(frozen=True)
class Move:
    """What is moved: tasks of an order by kind, to whom and to which day."""

    order: UUID
    kinds: tuple[str, ...]
    person: UUID
    day: date


@dataclass(frozen=True)
class Moved:
    """What a move leads to: what waits with it, and the schedule; `now` is what waits without it."""

    move: Move
    now: WaitingWork
    then: WaitingWork
    schedule: Stands

    @property
    def tasks(self) -> list[TaskWhen]:
        """When the tasks that were moved are done, and by whom."""
        found = schedule_of(self.then.work, self.schedule, str(self.move.order), self.then.today)
        return [one for one in found if one.kind in self.move.kinds]

    @property
    def moves(self) -> list[TaskMovedOut]:
        """All that is moved by it."""
        then = self.then
        return moved(then.work, self.now.stands, self.schedule, then.names, then.called, then.today)

    @property
    def broken(self) -> list[BrokenOut]:
        """The promises that are not kept with it, and are without."""
        then = self.then
        return broken_of(then.work, self.schedule, then.names, then.called, then.today, without=self.now.broken)

    @property
    def stamp(self) -> str:
        """Another where it would lead to anything else."""
        return stamp_of(self.moves)


def would_move(*, actor: User, move: Move) -> Moved:
    """What moves where a ticket is put somewhere else; nothing is stored. Raises MoveError, Http404."""
    allow(actor, "orders")
    who = own_person(actor, move.person)
    own(Order, actor, move.order)
    now = waiting_work(actor)
    tasks = {task.kind: task for task in now.work.of_order.get(str(move.order), [])}
    if not move.kinds or not tasks.keys() >= set(move.kinds):
        raise MoveError("That is done already, or is no work of this order. Look at the week again.")
    if not now.today <= move.day < now.today + timedelta(days=HORIZON):
        raise MoveError(f"Work is put on a day from today on, within {HORIZON} days. Choose such a day.")
    name, skills = now.names[str(who.id)], now.work.worker[str(who.id)].skills
    lacking = [kind for kind in move.kinds if kind not in skills]
    if lacking:
        raise MoveError(f"{name} does not do this: {_names(lacking)}. Say under Hours what {name} does.")
    for kind in move.kinds:
        day = tasks[kind].day
        if day is not None and now.today + timedelta(days=day) != move.day:
            raise MoveError("The client comes for it on a day that was agreed. Change that day with the order first.")
    then = waiting_work(actor, not_before={move.order: dict.fromkeys(move.kinds, move.day)})
    schedule = moved_by_hand(
        then.work, now.stands, str(move.order), move.kinds, str(who.id), move.day, then.today
    )  # fmt: skip
    return Moved(move, now, then, schedule)


def _names(kinds: Collection[str]) -> str:
    names = dict(task_kinds())
    return ", ".join(names[kind] for kind in kinds)


def move_ticket(*, actor: User, id: UUID, move: Move, stamp: str) -> Schedule:
    """Put a ticket somewhere else and go by the schedule that this leads to, as it was seen: by its stamp. The same id
    again is the same move. Raises MoveError, ScheduleStateError where it leads to something else by now, Http404.
    """
    allow(actor, "orders")
    with transaction.atomic():
        Workshop.objects.select_for_update(no_key=True).get(pk=actor.workshop_id)
        order = locked(Order, actor, move.order)
        known = Schedule.of(actor.workshop).filter(pk=id).first()
        if known is not None:
            return known
        made = would_move(actor=actor, move=move)
        if made.stamp != stamp:
            raise ScheduleStateError("Something else was moved meanwhile. Look again at what this would move.")
        for kind in move.kinds:
            _put(actor, order, kind, move.day)
        tidy_schedules(actor)
        check_room(Schedule.of(actor.workshop), Schedule.MOST)
        return add(
            Schedule(
                id=id, workshop=actor.workshop, changed_by=actor, first=made.then.today, asked={}, state=Schedule.DONE,
                made=made_by_hand(made.then.work, made.schedule), kept_at=timezone.now(),
            )
        )  # fmt: skip


def _put(actor: User, order: Order, kind: str, day: date) -> None:
    known = TaskDay.of(actor.workshop).filter(order=order, kind=kind)
    if not known.update(day=day, changed_by=actor):
        check_room(TaskDay.of(actor.workshop), TaskDay.MOST)
        id = uuid5(order.id, f"day of {kind}")
        add(TaskDay(id=id, workshop=actor.workshop, changed_by=actor, order=order, kind=kind, day=day))
