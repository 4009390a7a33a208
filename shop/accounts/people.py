"""The people of a workshop: who they are, given a role, let go. How one comes in is `links.py`."""

from uuid import UUID

from django.db import transaction
from django.db.models import Q, QuerySet
from django.http import Http404

from shop.accounts import sessions
from shop.accounts.models import Invitation, User
from shop.accounts.refused import PersonRefusedError
from shop.accounts.rights import ROLES, allow


def people(actor: User) -> QuerySet[User]:
    """Everybody of the workshop, by name."""
    allow(actor, "people")
    return User.objects.filter(workshop=actor.workshop).order_by("first_name", "username")


def put_person(*, actor: User, id: UUID, role: str, works_here: bool) -> User:
    """Give somebody another role, or let them go. Raises PersonRefusedError where no owner would be left."""
    allow(actor, "people")
    with transaction.atomic():
        team = User.objects.select_for_update(no_key=True).filter(workshop=actor.workshop)
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
