"""Links: by one somebody joins a workshop, or chooses a new password; each is good once, and not for long."""

import re
import secrets
from dataclasses import dataclass
from datetime import timedelta
from typing import Any
from uuid import UUID, uuid4
from zoneinfo import available_timezones

from django.db import IntegrityError, transaction
from django.db.models import QuerySet
from django.http import Http404
from django.utils import timezone

from shop.accounts import devices, second_step, sessions
from shop.accounts.models import Invitation, Message, User, Workshop
from shop.accounts.passwords import check_password
from shop.accounts.refused import PersonRefusedError
from shop.accounts.rights import ROLES, allow
from shop.accounts.writing import add, own

VALID_FOR, FOR_A_PASSWORD = timedelta(days=7), timedelta(days=1)


def invitations(actor: User) -> QuerySet[Invitation]:
    """Invitations that nobody has followed yet, the newest first."""
    allow(actor, "people")
    return Invitation.of(actor.workshop).filter(used_at=None, expires_at__gt=timezone.now()).order_by("-created_at")


def messages(actor: User) -> QuerySet[Message]:
    """The messages that stand-in delivery holds, the newest first."""
    allow(actor, "people")
    return Message.of(actor.workshop).order_by("-created_at")[:50]


def invite(*, actor: User, id: UUID, name: str, role: str, to: str, address: str) -> Invitation:
    """Invite somebody under a role; the link goes out as a message. The same id again is the same invitation."""
    allow(actor, "people")
    with transaction.atomic():
        made = _link(actor.workshop, id, VALID_FOR, name=name, role=role, changed_by=actor)
        if (twin := add(made)) is not made:
            return twin
        text = f"{actor.workshop.name} invites {made.name} to work in Plavet: {address}join/{made.token}"
        Message(workshop=actor.workshop, changed_by=actor, to=to, text=text).save(force_insert=True)
        return made


def link_for_password(*, actor: User, id: UUID, person: UUID) -> Invitation:
    """A link by which somebody of the workshop chooses a new password. The same id again is the same link."""
    allow(actor, "people")
    whose = User.objects.filter(workshop=actor.workshop, pk=person, is_active=True).first()
    if whose is None:
        raise Http404
    return add(password_link(whose, id, actor))


def password_link(person: User, id: UUID, by: User | None = None) -> Invitation:
    """Such a link, not kept yet; also for the owner, who has nobody to ask, from the shell."""
    name = person.first_name or person.username
    return _link(
        person.workshop, id, FOR_A_PASSWORD, name=name, role=person.role, person=person, changed_by=by
    )  # fmt: skip


def new_workshop(*, name: str, owner: str, unit: str) -> Invitation:
    """A new workshop with nobody in it yet, and the link by which its owner joins."""
    with transaction.atomic():
        link = _link(Workshop.objects.create(name=name, unit=unit), uuid4(), VALID_FOR, name=owner, role=ROLES[0])
        link.save(force_insert=True)
        return link


def first_owner() -> Invitation | None:
    """Where nobody works yet the link by which the first owner joins a workshop that gets its name in Settings: the
    same as long as it is good. None where somebody works here.
    """
    with transaction.atomic():
        if User.objects.exists():
            return None
        workshop = Workshop.objects.select_for_update(no_key=True).order_by("id").first()
        if workshop is None:
            return new_workshop(name="Our workshop", owner="Owner", unit="in")
        open_ = Invitation.of(workshop).filter(used_at=None, expires_at__gt=timezone.now(), person=None, role=ROLES[0])
        known = open_.order_by("expires_at").first()
        return known or add(_link(workshop, uuid4(), VALID_FOR, name="Owner", role=ROLES[0]))


def _link(workshop: Workshop, id: UUID, valid_for: timedelta, **fields: Any) -> Invitation:
    """A link nobody can guess, not kept yet."""
    token, until = secrets.token_urlsafe(24), timezone.now() + valid_for
    return Invitation(id=id, workshop=workshop, token=token, expires_at=until, **fields)


def invited(token: str) -> Invitation:
    """The open invitation of a link. Raises Http404 where it was used, is too old or never was."""
    # Whoever holds the link is not yet of any workshop.
    found = Invitation._base_manager.filter(token=token, used_at=None, expires_at__gt=timezone.now())
    made = found.select_related("workshop", "person").first()
    if made is None:
        raise Http404
    return made


@dataclass(frozen=True)
class House:
    """What the first owner says of the workshop: its name, its unit, one's own name, and whose days are its days."""

    workshop: str
    unit: str
    name: str
    time_zone: str = ""


def is_first(invitation: Invitation) -> bool:
    """Whether nobody works in the workshop yet: who follows the link says what it is called."""
    return invitation.role == ROLES[0] and not User.objects.filter(workshop=invitation.workshop).exists()


def join(*, token: str, user_name: str, password: str, house: House | None = None) -> User:
    """Follow a link: the person is made, or has the new password, and the link is used up. The first owner's `house` is
    what the workshop is from now on; of anybody else it is not taken.

    Raises PersonRefusedError, Http404.
    """
    invitation = invited(token)
    if house is not None and not is_first(invitation):
        raise Http404
    if house is not None and house.time_zone and house.time_zone not in available_timezones():
        raise PersonRefusedError("time_zone", f"There is no time zone {house.time_zone}", "Choose another of the list.")
    if invitation.person is not None:
        return _new_password_by_link(invitation, invitation.person, password)
    wanted = user_name.strip()
    if not re.fullmatch(r"[A-Za-z0-9][A-Za-z0-9.-]*", wanted):
        raise PersonRefusedError(
            "user_name", "This cannot be a user name", "Use the letters a to z, digits, dots and hyphens."
        )
    name = house.name if house else invitation.name
    person = User(username=wanted, first_name=name, workshop=invitation.workshop, role=invitation.role)
    check_password(password, person)
    if User.objects.filter(username__iexact=wanted).exists():
        raise PersonRefusedError("user_name", "Somebody has this user name already", "Choose another.")
    person.set_password(password)
    try:
        with transaction.atomic():
            if house is not None:
                # Whoever came in meanwhile by another link is the first.
                Workshop.objects.select_for_update(no_key=True).get(pk=invitation.workshop_id)
                if not is_first(invitation):
                    raise Http404
            _use_up(invitation)
            person.save(force_insert=True)
            if house:
                Workshop.objects.filter(pk=invitation.workshop_id).update(
                    name=house.workshop, unit=house.unit, time_zone=house.time_zone
                )
                person.workshop.refresh_from_db()
    except IntegrityError:
        raise PersonRefusedError("user_name", "Somebody has this user name already", "Choose another.") from None
    return person


def _use_up(invitation: Invitation) -> None:
    unused = Invitation.of(invitation.workshop).filter(pk=invitation.pk, used_at=None)
    if not unused.update(used_at=timezone.now()):
        raise Http404


def _new_password_by_link(invitation: Invitation, person: User, password: str) -> User:
    """The password is new; sessions, known browsers, short code and second step of before are gone."""
    check_password(password, person)
    with transaction.atomic():
        _use_up(invitation)
        person.set_password(password)
        person.era += 1
        person.short_code = ""
        person.save(update_fields=["password", "era", "short_code"])
        devices.forget(person)
        sessions.end_all(person)
        second_step.take_off(person)
    return person


def withdraw(*, actor: User, id: UUID) -> None:
    """Take an invitation back."""
    allow(actor, "people")
    own(Invitation, actor, id).delete()
