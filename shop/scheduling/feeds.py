"""Somebody's week by a secret address, for a calendar program: made, renewed, ended, read."""

import secrets
from hashlib import sha256
from uuid import UUID
from zoneinfo import ZoneInfo

from django.core.cache import cache
from django.db import transaction
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.bridge.feed import calendar_of
from shop.bridge.week import rows_of
from shop.scheduling.actions import own_person
from shop.scheduling.models import Feed
from shop.scheduling.queries import waiting_work

AHEAD = 56
"""So many days are in a calendar."""
KEPT_FOR = 60
"""A calendar that was made is given again for so many seconds, however often it is asked for."""


def who_has_one(actor: User) -> set[UUID]:
    """Whose week has an address."""
    return set(Feed.of(actor.workshop).values_list("person_id", flat=True))


def renew_feed(*, actor: User, person: UUID) -> str:
    """A new secret for somebody's week: the one before ends. One makes one's own; an owner everybody's."""
    secret = secrets.token_urlsafe(24)
    with transaction.atomic():
        whose = _whose(actor, person)
        User.objects.select_for_update(no_key=True).get(pk=whose.pk)
        Feed.of(actor.workshop).filter(person=whose).delete()
        Feed(workshop=actor.workshop, changed_by=actor, person=whose, digest=digest_of(secret)).save(force_insert=True)
    return secret


def end_feed(*, actor: User, person: UUID) -> None:
    """Nobody reads somebody's week by its address any more."""
    Feed.of(actor.workshop).filter(person=_whose(actor, person)).delete()


def read_feed(secret: str) -> bytes:
    """The calendar that a secret is for. Raises Http404 where there is none (any more)."""
    row = Feed._base_manager.select_related("person__workshop").filter(digest=digest_of(secret)).first()
    if row is None or not row.person.is_active:
        raise Http404
    made = cache.get(f"feed:{row.id}")
    if made is None:
        made = _calendar(row.person)
        cache.set(f"feed:{row.id}", made, KEPT_FOR)
    return bytes(made)


def _calendar(person: User) -> bytes:
    """Nobody is logged in who reads it: the day is that of the workshop."""
    workshop = person.workshop
    zone = workshop.time_zone
    with timezone.override(ZoneInfo(zone) if zone else None):
        waiting = waiting_work(person)
        whose = [one for one in waiting.people if one.id == str(person.id)]
        [row] = rows_of(waiting.work, waiting.stands, whose, waiting.called, waiting.today, waiting.today, AHEAD)
        return calendar_of(row, whose[0], workshop.name, zone, timezone.now())


def digest_of(secret: str) -> str:
    """What is kept of a secret."""
    return sha256(secret.encode()).hexdigest()


def _whose(actor: User, person: UUID) -> User:
    if person != actor.id:
        allow(actor, "workshop")
    return own_person(actor, person)
