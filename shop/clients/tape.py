"""A digital tape: an outside device that sends what it reads to a code; the page of whom it is paired with shows it.

The device may be absent, slow or wrong: a reading only fills the field, and is judged and kept as if it were typed.
"""

import secrets
from datetime import timedelta
from uuid import UUID

from django.db.models import F, Q
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.clients.models import Tape

LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789"
FRESH = timedelta(hours=12)


def pair(*, actor: User) -> Tape:
    """A new code for the actor's tape; the one before is no longer taken."""
    allow(actor, "measure")
    Tape.of(actor.workshop).filter(changed_by=actor).delete()
    code = "".join(secrets.choice(LETTERS) for _ in range(8))
    made = Tape(workshop=actor.workshop, changed_by=actor, code=code)
    made.save(force_insert=True)
    return made


def unpair(*, actor: User) -> None:
    """Hear the actor's tape no longer."""
    allow(actor, "measure")
    Tape.of(actor.workshop).filter(changed_by=actor).delete()


def paired(actor: User) -> Tape:
    """The actor's tape as its last message left it. Raises Http404 where none is paired."""
    found = Tape.of(actor.workshop).filter(changed_by=actor, created_at__gt=timezone.now() - FRESH).first()
    if found is None:
        raise Http404
    return found


def receive(*, code: str, id: UUID, typed: str) -> None:
    """Take a reading from a device; the same id again is the same reading. An empty one only says that it is there."""
    # The device knows its code and nothing else; the code belongs to one person of one workshop.
    tape = Tape._base_manager.filter(code=code, created_at__gt=timezone.now() - FRESH)
    if not tape.exists():
        raise Http404
    tape.update(heard_at=timezone.now())
    if typed.strip():
        tape.filter(Q(sent_id=None) | ~Q(sent_id=id)).update(typed=typed.strip(), sent_id=id, seq=F("seq") + 1)
