"""The people of a workshop: invited by a link, given a role, let go."""

import re
import secrets
from datetime import timedelta
from uuid import UUID, uuid4

from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.db import IntegrityError, transaction
from django.db.models import F, Q, QuerySet
from django.http import Http404
from django.utils import timezone

from shop.accounts import devices, second_step, sessions
from shop.accounts.models import Invitation, Message, User, Workshop
from shop.accounts.refused import PersonRefusedError
from shop.accounts.rights import ROLES, allow
from shop.accounts.writing import add, own

VALID_FOR, FOR_A_PASSWORD = timedelta(days=7), timedelta(days=1)
FEWEST_LETTERS = 5
"""So many different letters a password has at least."""


def people(actor: User) -> QuerySet[User]:
    """Everybody of the workshop, by name."""
    allow(actor, "people")
    return User.objects.filter(workshop=actor.workshop).order_by("first_name", "username")


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
    known = Invitation.of(actor.workshop).filter(pk=id).first()
    if known is not None:
        return known
    with transaction.atomic():
        made = Invitation(
            id=id, workshop=actor.workshop, changed_by=actor, name=name.strip(), role=role,
            token=secrets.token_urlsafe(24), expires_at=timezone.now() + VALID_FOR,
        )  # fmt: skip
        if (twin := add(made)) is not made:
            return twin
        text = f"{actor.workshop.name} invites {made.name} to work in Plavet: {address}join/{made.token}"
        Message(workshop=actor.workshop, changed_by=actor, to=to.strip(), text=text).save(force_insert=True)
        return made


def link_for_password(*, actor: User, id: UUID, person: UUID) -> Invitation:
    """A link by which somebody of the workshop chooses a new password. The same id again is the same link."""
    allow(actor, "people")
    known = Invitation.of(actor.workshop).filter(pk=id, person_id=person).first()
    if known is not None:
        return known
    whose = User.objects.filter(workshop=actor.workshop, pk=person, is_active=True).first()
    if whose is None:
        raise Http404
    return add(password_link(whose, id, actor))


def password_link(person: User, id: UUID, by: User | None = None) -> Invitation:
    """Such a link, not kept yet; also for the owner, who has nobody to ask, from the shell."""
    return Invitation(
        id=id, workshop=person.workshop, changed_by=by, person=person, name=person.first_name or person.username,
        role=person.role, token=secrets.token_urlsafe(24), expires_at=timezone.now() + FOR_A_PASSWORD,
    )  # fmt: skip


def new_workshop(*, name: str, owner: str, unit: str) -> Invitation:
    """A new workshop with nobody in it yet, and the link by which its owner joins."""
    with transaction.atomic():
        made = Workshop.objects.create(name=name, unit=unit)
        link = Invitation(
            id=uuid4(), workshop=made, name=owner, role=ROLES[0], token=secrets.token_urlsafe(24),
            expires_at=timezone.now() + VALID_FOR,
        )  # fmt: skip
        link.save(force_insert=True)
        return link


def invited(token: str) -> Invitation:
    """The open invitation of a link. Raises Http404 where it was used, is too old or never was."""
    # Whoever holds the link is not yet of any workshop.
    found = Invitation._base_manager.filter(token=token, used_at=None, expires_at__gt=timezone.now())
    made = found.select_related("workshop", "person").first()
    if made is None:
        raise Http404
    return made


def join(*, token: str, user_name: str, password: str) -> User:
    """Follow a link: the person is made, or has the new password, and the link is used up.

    Raises PersonRefusedError, Http404.
    """
    invitation = invited(token)
    if invitation.person is not None:
        return _new_password_by_link(invitation, invitation.person, password)
    wanted = user_name.strip()
    if not re.fullmatch(r"[A-Za-z0-9][A-Za-z0-9.-]*", wanted):
        raise PersonRefusedError(
            "user_name", "This cannot be a user name", "Use the letters a to z, digits, dots and hyphens."
        )
    person = User(username=wanted, first_name=invitation.name, workshop=invitation.workshop, role=invitation.role)
    check_password(password, person)
    if User.objects.filter(username__iexact=wanted).exists():
        raise PersonRefusedError("user_name", "Somebody has this user name already", "Choose another.")
    person.set_password(password)
    try:
        with transaction.atomic():
            _use_up(invitation)
            person.save(force_insert=True)
    except IntegrityError:
        raise PersonRefusedError("user_name", "Somebody has this user name already", "Choose another.") from None
    return person


def _use_up(invitation: Invitation) -> None:
    unused = Invitation.of(invitation.workshop).filter(pk=invitation.pk, used_at=None)
    if not unused.update(used_at=timezone.now()):
        raise Http404


def _new_password_by_link(invitation: Invitation, person: User, password: str) -> User:
    """The password is new; sessions, known browsers and the second step of before are gone."""
    check_password(password, person)
    with transaction.atomic():
        _use_up(invitation)
        person.set_password(password)
        person.era += 1
        person.save(update_fields=["password", "era"])
        devices.forget(person)
        sessions.end_all(person)
        second_step.take_off(person)
    return person


def check_password(password: str, person: User) -> None:
    """Raises PersonRefusedError for one that is easily found: short, common, of few letters, or like the name."""
    if len(set(password.strip())) < FEWEST_LETTERS:
        raise PersonRefusedError("password", "The password has too few different letters", "Choose a longer one.")
    try:
        validate_password(password, person)
    except ValidationError as error:
        raise PersonRefusedError(
            "password", error.messages[0].rstrip("."), "Choose a longer, less common one."
        ) from None


def change_password(*, actor: User, new: str) -> User:
    """A new password for oneself; every session that was open ends. Raises PersonRefusedError."""
    with transaction.atomic():
        person = User.objects.select_for_update().get(pk=actor.pk)
        check_password(new, person)
        person.set_password(new)
        person.save(update_fields=["password"])
        devices.forget(person)
        sessions.end_all(person)
        return person


def leave_everywhere(*, actor: User) -> None:
    """Every session of a person ends."""
    User.objects.filter(pk=actor.pk).update(era=F("era") + 1)
    sessions.end_all(actor)


def put_person(*, actor: User, id: UUID, role: str, works_here: bool) -> User:
    """Give somebody another role, or let them go. Raises PersonRefusedError where no owner would be left."""
    allow(actor, "people")
    with transaction.atomic():
        team = User.objects.select_for_update().filter(workshop=actor.workshop)
        person = team.filter(pk=id).first()
        if person is None:
            raise Http404
        owners = team.filter(role=ROLES[0], is_active=True).exclude(pk=person.pk)
        if (role != ROLES[0] or not works_here) and not owners.exists():
            raise PersonRefusedError("role", "The workshop would have no owner", "Make somebody else an owner first.")
        if person.is_active and not works_here:
            # Neither a session of before nor a link that was made before lets anybody in again.
            person.era += 1
            sessions.end_all(person)
            links = Invitation.of(actor.workshop).filter(used_at=None)
            links.filter(Q(changed_by=person) | Q(person=person)).delete()
        person.role, person.is_active = role, works_here
        person.save(update_fields=["role", "is_active", "era"])
        return person


def withdraw(*, actor: User, id: UUID) -> None:
    """Take an invitation back."""
    allow(actor, "people")
    own(Invitation, actor, id).delete()
