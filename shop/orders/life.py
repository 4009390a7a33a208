"""The life of an order: most of its states follow from what was done; each can be given by hand, and taken back."""

from collections.abc import Collection
from typing import Literal, get_args
from uuid import UUID

from django.db import transaction
from django.db.models import QuerySet

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked
from shop.errors import ShopError
from shop.orders.models import Order, Step

State = Literal[
    "asked", "agreed", "measured", "chalked", "cut", "sewing", "fitting", "finishing", "ready", "handed_over",
    "called_off",
]  # fmt: skip
ORDER: tuple[str, ...] = get_args(State)
MEASURED = 4
"""An order with so many readings can be drafted, mostly: it counts as measured."""
MOST_STEPS = 200
"""So many states are kept of one order."""


class LifeError(ShopError):
    """A state that cannot be taken back."""

    code = "life"


def state_of(step: str | None, measured: bool, done: State | None) -> State:
    """The furthest of what was given by hand and what follows from what was measured and `done`."""
    reached: list[State] = ["asked"]
    reached += ["measured"] if measured else []
    reached += [done] if done else []
    reached += [one for one in get_args(State) if one == step]
    return max(reached, key=ORDER.index)


def steps(actor: User, order: UUID) -> list[Step]:
    """The states that were given to an order by hand and not taken back, the last first."""
    rows = Step.of(actor.workshop).filter(order_id=order, undone=False).select_related("changed_by")
    return list(rows.order_by("-created_at", "id")[:MOST_STEPS])


def steps_to(actor: User, order: UUID, states: Collection[str]) -> QuerySet[Step]:
    """The steps that brought an order to one of some states by hand and were not taken back, however many."""
    return Step.of(actor.workshop).filter(order_id=order, undone=False, state__in=states)


def put_step(*, actor: User, id: UUID, order: UUID, state: State) -> Step:
    """Give an order a state by hand; the same id again is the same step."""
    allow(actor, "steps")
    with transaction.atomic():
        row = locked(Order, actor, order)
        known = Step.of(actor.workshop).filter(pk=id, order=row).first()
        if known is not None:
            return known
        check_room(Step.of(actor.workshop).filter(order=row), MOST_STEPS)
        return add(Step(id=id, workshop=actor.workshop, changed_by=actor, order=row, state=state))


def undo_step(*, actor: User, id: UUID) -> Step:
    """Take the last state that was given by hand back; again it is taken back already. Raises LifeError where another
    was given after it.
    """
    allow(actor, "steps")
    with transaction.atomic():
        row = locked(Step, actor, id)
        if not row.undone:
            if steps(actor, row.order_id)[0].id != row.id:
                raise LifeError("Another state was given after this one. Take that back first.")
            row.undone, row.version = True, row.version + 1
            row.save(update_fields=["undone", "version", "changed_at"])
    return row


def note_passed(*, actor: User, order: UUID, station: str) -> list[str]:
    """Note that somebody chose at a station, or looked there and went on."""
    allow(actor, "steps")
    with transaction.atomic():
        row = locked(Order, actor, order)
        if station not in row.passed:
            row.passed = [*row.passed, station]
            Order.of(actor.workshop).filter(pk=row.pk).update(passed=row.passed)
    return list(row.passed)
