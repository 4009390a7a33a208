"""Saying when people work and clients come; having a schedule made, and keeping it."""

from collections.abc import Sequence
from datetime import date, timedelta
from typing import Any
from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from shop.accounts.models import User, Workshop
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own, put_row
from shop.bridge.hours import check_hours
from shop.bridge.making_schedule import as_asked
from shop.bridge.scheduling import is_style
from shop.errors import ShopError
from shop.orders.models import Order
from shop.scheduling.models import Away, ClientDay, Hours, Schedule
from shop.scheduling.queries import waiting_work
from shop.scheduling.tasks import make

FAR = timedelta(days=400)
"""Nobody says today what is so long from now."""
FIRST = 10
"""The priority of a schedule: before searches, which take longer and wait for nobody."""
TOO_LONG = timedelta(minutes=5)
"""What is not made by then was lost with its worker."""
UNDER_WAY = 3
"""So many schedules of a workshop wait to be made at once."""


class DayError(ShopError):
    """A day that cannot be meant."""

    code = "day"


class ScheduleStateError(ShopError):
    """A schedule that cannot be kept as it stands, or be made now."""

    status = 409
    code = "schedule"


def put_hours(*, actor: User, person: UUID, version: int, skills: Sequence[str], week: Any) -> Hours:
    """Say what somebody of the workshop does and when. Raises HoursError, StaleError, Http404."""
    allow(actor, "workshop")
    skills, week = check_hours(skills, week)
    with transaction.atomic():
        # One row a person: whoever says it first makes it.
        Workshop.objects.select_for_update(no_key=True).get(pk=actor.workshop_id)
        whose = own_person(actor, person)
        known = Hours.of(actor.workshop).filter(person=whose).first()
        id = known.id if known is not None else person
        return put_row(Hours, actor=actor, id=id, version=version, person=whose, skills=skills, week=week)


def put_away(
    *, actor: User, id: UUID, version: int, person: UUID, first: date, last: date, reason: str, removed: bool
) -> Away:
    """Say from and to which day somebody does not work, or that it is not so. Raises DayError, StaleError, Http404."""
    allow(actor, "orders")
    check_away(first, last)
    with transaction.atomic():
        return put_row(
            Away, actor=actor, id=id, version=version, person=own_person(actor, person), first=first, last=last,
            reason=reason, removed=removed,
        )  # fmt: skip


def put_client_day(
    *, actor: User, id: UUID, version: int, order: UUID, kind: str, day: date, removed: bool
) -> ClientDay:
    """Say on which day a client comes for something; another day of the same is dropped. Raises DayError, StaleError,
    Http404.
    """
    allow(actor, "orders")
    if not removed and not timezone.localdate() <= day <= timezone.localdate() + FAR:
        raise DayError("The client comes today or later, within a year. Choose such a day.")
    with transaction.atomic():
        row = locked(Order, actor, order)
        others = ClientDay.of(actor.workshop).filter(order=row, kind=kind, removed=False).exclude(pk=id)
        others.update(removed=True)
        return put_row(ClientDay, actor=actor, id=id, version=version, order=row, kind=kind, day=day, removed=removed)


def check_away(first: date, last: date) -> None:
    """Raises DayError where nobody can be away from one day to another."""
    if last < first:
        raise DayError("The last day away is before the first. Turn them round.")
    if last - first > FAR or abs(first - timezone.localdate()) > FAR:
        raise DayError("Days away begin no more than a year from now, and are no more than a year. Choose nearer days.")


def check_day(day: date) -> None:
    """Raises DayError where a day cannot be promised."""
    if not timezone.localdate() <= day <= timezone.localdate() + FAR:
        raise DayError("A promise is for today or later, within a year. Choose such a day.")


def known_styles(styles: Sequence[str]) -> list[str]:
    """The styles that are asked for. Raises DayError where there is none, or one is unknown."""
    if not styles:
        raise DayError("Say what it is: choose a garment, or an order.")
    unknown = [one for one in styles if not is_style(one)]
    if unknown:
        raise DayError(f"There is no style {unknown[0]}. Choose one from the list.")
    return [*styles]


def own_person(actor: User, person: UUID) -> User:
    """Somebody who works in the actor's workshop. Raises Http404."""
    return get_object_or_404(User, pk=person, workshop=actor.workshop, is_active=True)


def ask_schedule(*, actor: User, id: UUID) -> Schedule:
    """Have a schedule made of what waits now; the same id again is the same one. Raises ScheduleStateError."""
    allow(actor, "orders")
    with transaction.atomic():
        Workshop.objects.select_for_update(no_key=True).get(pk=actor.workshop_id)
        known = Schedule.of(actor.workshop).filter(pk=id).first()
        if known is not None:
            return known
        rows = Schedule.of(actor.workshop)
        if rows.filter(state=Schedule.QUEUED, created_at__gt=timezone.now() - TOO_LONG).count() >= UNDER_WAY:
            raise ScheduleStateError("Schedules are being made already. Wait for them.")
        tidy_schedules(actor)
        check_room(rows, Schedule.MOST)
        waiting = waiting_work(actor)
        row = add(
            Schedule(
                id=id, workshop=actor.workshop, changed_by=actor, first=waiting.today, asked=as_asked(waiting.work)
            )
        )
        make.configure(priority=FIRST).defer(schedule=str(row.id))
    return row


def tidy_schedules(actor: User) -> None:
    """Forget schedules of days ago that were not kept, or are not gone by any more."""
    rows = Schedule.of(actor.workshop)
    last = rows.filter(kept_at__isnull=False).order_by("-kept_at", "id").values_list("pk", flat=True).first()
    old = rows.filter(created_at__lt=timezone.now() - timedelta(days=1))
    (old if last is None else old.exclude(pk=last)).delete()


def keep_schedule(*, actor: User, id: UUID) -> Schedule:
    """Go by a schedule from now on. Raises ScheduleStateError where it is not made."""
    allow(actor, "orders")
    with transaction.atomic():
        row = locked(Schedule, actor, id)
        if row.state != Schedule.DONE:
            raise ScheduleStateError("This schedule is not made. Make a new one.")
        if row.kept_at is None:
            row.kept_at = timezone.now()
            row.version += 1
            row.save(update_fields=["kept_at", "version", "changed_at"])
    return row


def is_under_way(row: Schedule) -> bool:
    """Whether a schedule may still be made."""
    return row.state == Schedule.QUEUED and row.created_at > timezone.now() - TOO_LONG


def schedule(actor: User, id: UUID) -> Schedule:
    """One schedule. Raises Http404 for anybody else's."""
    return own(Schedule, actor, id)
