"""Reads about clients; each starts from the workshop."""

from uuid import UUID

from django.db.models import QuerySet

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.clients.models import Client, Reading, Sheet


def clients(actor: User) -> QuerySet[Client]:
    """The workshop's clients by name."""
    return Client.of(actor.workshop).order_by("name")


def client(actor: User, id: UUID) -> Client:
    return own(Client, actor, id)


def sheet(actor: User, id: UUID) -> Sheet:
    return own(Sheet, actor, id)


def sheets(actor: User, client: UUID) -> QuerySet[Sheet]:
    """A client's sheets, newest first."""
    return Sheet.of(actor.workshop).filter(client_id=client).order_by("-taken_on", "-created_at")


def readings(actor: User, sheet: UUID) -> list[Reading]:
    """The readings that count: the last of each point, in the order they were taken; points taken off are left out."""
    last: dict[str, Reading] = {}
    for reading in Reading.of(actor.workshop).filter(sheet_id=sheet).order_by("created_at"):
        last.pop(reading.key, None)
        last[reading.key] = reading
    return [reading for reading in last.values() if reading.mm is not None]
