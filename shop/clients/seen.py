"""Who was shown what of which client, and who took it along: one row a day, for the owner to read."""

from collections.abc import Collection
from datetime import timedelta
from typing import Literal
from uuid import UUID

from django.db.models import Exists, F, OuterRef, Q, QuerySet
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.on_disk import soon_on_disk
from shop.accounts.reading import page_of
from shop.accounts.rights import allow
from shop.accounts.writing import own
from shop.clients.models import Client, Seen, Sheet

What = Literal["contacts", "measures", "export", "list", "book", "archive"]
"""Phone and e-mail; measures, or what is drawn by them; a file of one client; a list with contacts; a file of all of
them; the whole workshop as one file.
"""
KEPT_FOR = timedelta(days=400)
A_PAGE = 50


def note(actor: User, clients: Collection[UUID | None], *what: What) -> None:
    """Remember that the actor was shown these of these clients; None stands for all of them. Every time counts."""
    wanted = {(client, one) for client in clients for one in what}
    whom = Q(client_id__in=[client for client in clients if client]) | (Q(client=None) if None in clients else Q())
    today = timezone.localdate()
    known = Seen.of(actor.workshop).filter(whom, changed_by=actor, day=today, what__in=what)
    with soon_on_disk():
        if known.update(times=F("times") + 1, changed_at=timezone.now()) == len(wanted):
            return
        missing = wanted - set(known.values_list("client_id", "what"))
        # A twin of this request may have been quicker: then it has noted it.
        Seen._base_manager.bulk_create(
            (Seen(workshop=actor.workshop, changed_by=actor, day=today, client_id=c, what=w) for c, w in missing),
            ignore_conflicts=True,
        )


def sheet(actor: User, id: UUID) -> Sheet:
    """A sheet whose measures are about to be shown, which is noted. Raises Http404 for anybody else's."""
    row = own(Sheet, actor, id)
    note(actor, [row.client_id], "measures")
    return row


def seen(actor: User, client: UUID | None = None, page: int = 1) -> QuerySet[Seen]:
    """A page of what was shown, of one client or of all, the last first. For an owner."""
    allow(actor, "people")
    rows = Seen.of(actor.workshop).select_related("client", "changed_by").order_by("-changed_at", "id")
    return page_of(rows.filter(client=client) if client else rows, page, A_PAGE)


def bring_together(gone: Client, kept: Client) -> None:
    """What was shown of an entry that goes was shown of the one that is kept."""
    same = Seen.of(kept.workshop).filter(
        client=kept, changed_by=OuterRef("changed_by"), what=OuterRef("what"), day=OuterRef("day")
    )
    Seen.of(kept.workshop).filter(~Exists(same), client=gone).update(client=kept)


def forget_old() -> int:
    """Take off what is older than KEPT_FOR, of every workshop; how many rows."""
    return Seen._base_manager.filter(day__lt=timezone.localdate() - KEPT_FOR).delete()[0]
