"""Putting reminders in the outbox, trying one again, taking one out."""

from uuid import UUID, uuid5

from django.db import transaction
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own
from shop.errors import ShopError
from shop.orders.models import Order
from shop.reminders.models import Reminder
from shop.reminders.queries import by_day, due, place_of
from shop.reminders.sending import send


class ReminderError(ShopError):
    """A reminder that is not sent."""

    status = 409
    code = "reminder"


def put_reminder(*, actor: User, id: UUID, order: UUID, kind: str) -> Reminder:
    """Have the client of an order reminded; the same id again is the same reminder, and so is the same matter. Raises
    ReminderError where nothing of the kind is due, or the client is not to be written to.
    """
    allow(actor, "contacts")
    with transaction.atomic():
        row = locked(Order, actor, order)
        known = Reminder.of(actor.workshop).filter(pk=id, order=row).first()
        if known is not None:
            return known
        one = next((one for one in due(actor, row.id) if one.kind == kind), None)
        if one is None:
            raise ReminderError("There is nothing to remind of, or it was sent already. Look at the list again.")
        if one.why:
            raise ReminderError(f"{one.client_name} is not written to: {one.why}.")
        check_room(Reminder.of(actor.workshop), Reminder.MOST)
        made = add(
            Reminder(
                id=id, workshop=actor.workshop, changed_by=actor, order=row, kind=kind, about=one.about, to=one.to,
                text=one.text, next_at=by_day(timezone.now()),
            )
        )  # fmt: skip
        send.configure(schedule_at=made.next_at).defer(reminder=str(made.id))
    return made


def put_all_due(actor: User) -> int:
    """Put everything that is due in the outbox, what may not be sent aside; how many."""
    count = 0
    for one in due(actor):
        if not one.why:
            put_reminder(actor=actor, id=_own_id(one.order, one.kind, one.about), order=one.order, kind=one.kind)
            count += 1
    return count


def _own_id(order: UUID, kind: str, about: str) -> UUID:
    """The same for the same matter."""
    return uuid5(order, f"{kind} {about}")


def try_again(*, actor: User, id: UUID) -> Reminder:
    """Send one that was given up, refused or held back once more, to where its client is written to now. Raises
    ReminderError where it is sent, or waits.
    """
    allow(actor, "contacts")
    with transaction.atomic():
        row = locked(Reminder, actor, id)
        if row.state in (Reminder.SENT, Reminder.WAITING):
            raise ReminderError("It is sent already, or waits to be. Look at the list again.")
        client = own(Order, actor, row.order_id).client
        if not client.takes_reminders:
            raise ReminderError(f"{client.name} has not agreed to be written to. Say so on the client's card first.")
        row.to = place_of(client) or row.to
        row.state, row.tries, row.trouble = Reminder.WAITING, 0, ""
        row.next_at, row.changed_by = by_day(timezone.now()), actor
        row.version += 1
        row.save()
        send.configure(schedule_at=row.next_at).defer(reminder=str(row.id))
    return row
