"""What fittings found: read for drafts, and with those that were dropped."""

from collections.abc import Iterable
from uuid import UUID

from django.db.models import QuerySet

from shop.accounts.models import User
from shop.clients.models import Correction

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
