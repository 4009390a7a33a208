"""What fittings found: read for drafts, and with those that were dropped."""

from collections.abc import Iterable
from datetime import date
from uuid import UUID

from django.db.models import QuerySet

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.bridge.fitting import Change, RecurringChange, recurring_of
from shop.clients.models import Correction

LATELY = 2_000
"""So many corrections are looked at, the last first."""
MOST_OF_A_CLIENT = 40
"""So many corrections of one client hold at once."""


def corrections_of(actor: User, clients: Iterable[UUID]) -> dict[UUID, list[Correction]]:
    """The corrections that hold, by the client, the oldest first."""
    found: dict[UUID, list[Correction]] = {id: [] for id in clients}
    for one in _ordered(actor).filter(client_id__in=found, removed=False):
        found[one.client_id].append(one)
    return found


def every_correction(actor: User, client: UUID) -> QuerySet[Correction]:
    """All of a client, also those that were dropped, the newest first."""
    return _ordered(actor).filter(client_id=client).reverse()


def _ordered(actor: User) -> QuerySet[Correction]:
    return Correction.of(actor.workshop).order_by("fitted_on", "created_at", "id")


def recurring_corrections(actor: User) -> list[RecurringChange]:
    """What was found again and again at the workshop's fittings, for an owner: one fitting is a client's on a day, by
    the kind of garment and its method. What is of one side alone is nobody else's.
    """
    allow(actor, "people")
    found: dict[tuple[UUID, date, str, str], dict[str, Change]] = {}
    rows = _ordered(actor).filter(removed=False, side="both").exclude(method="").reverse()[:LATELY]
    for client, day, kind, method, changes in rows.values_list("client_id", "fitted_on", "kind", "method", "changes"):
        found.setdefault((client, day, kind, method), {}).update({one["choice"]: one for one in changes})
    return recurring_of((kind, method, list(one.values())) for (_, _, kind, method), one in found.items())
