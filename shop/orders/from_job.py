"""A job file opened as an order: its client, a sheet with its measures, its cloth and its garments, all or nothing."""

from datetime import date
from uuid import UUID, uuid5

from django.db import transaction
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import own, put_row
from shop.bridge.jobs import JobParts, read_parts
from shop.clients.book import put_client
from shop.clients.models import Client, Correction
from shop.clients.sheets import add_reading, put_sheet
from shop.cloths.actions import put_cloth
from shop.orders.actions import put_order
from shop.orders.models import Order, Pattern
from shop.orders.patterns import set_patterns

FROM_A_FILE = "from_file"
"""The sign and the cure of a correction that a file has."""
UNNAMED = "From a job file"
"""Whose order it is where the file names nobody and nobody was chosen."""


def look_into(*, actor: User, text: str) -> JobParts:
    """What a job file holds. Raises CoreRefusal with every problem in it."""
    allow(actor, "orders")
    return read_parts(text, actor.workshop.unit)


@transaction.atomic
def open_job(
    *, actor: User, id: UUID, text: str, client: UUID | None, name: str, title: str, promised_on: date
) -> Order:
    """An order from a job file, for a client of the workshop or a new one of that name. The same id again is the same
    order. Raises CoreRefusal, and as `put_order`.
    """
    allow(actor, "orders")
    if known := Order.of(actor.workshop).filter(pk=id).first():
        return known
    parts = read_parts(text, actor.workshop.unit)
    who = own(Client, actor, client) if client else put_client(
        actor=actor, id=uuid5(id, "client"), version=0, name=name.strip() or parts.client.strip() or UNNAMED
    )  # fmt: skip
    sheet = put_sheet(
        actor=actor, id=uuid5(id, "sheet"), version=0, client=who.id, taken_on=timezone.localdate(), unit=parts.unit
    )
    for key, typed in parts.measures.items():
        add_reading(actor=actor, id=uuid5(id, key), sheet=sheet.id, key=key, typed=typed)
    cloth = put_cloth(actor=actor, id=uuid5(id, "cloth"), version=0, **parts.cloth)
    made = put_order(
        actor=actor, id=id, version=0, client=who.id, sheet=sheet.id, cloth=cloth.id, title=title or parts.styles[0],
        promised_on=promised_on,
        garments=[{"id": uuid5(id, f"garment {k}"), "as_it_is": True, **one} for k, one in enumerate(parts.garments)],
    )  # fmt: skip
    if parts.other_cloth:
        was = own(Order, actor, id).other_cloth
        other = put_cloth(
            actor=actor, id=was.id if was else uuid5(id, "other cloth"), version=was.version if was else 0,
            **parts.other_cloth,
        )  # fmt: skip
        Order.of(actor.workshop).filter(pk=made.pk).update(other_cloth=other)
    for k, one in enumerate(parts.corrections):
        put_row(
            Correction, actor=actor, id=uuid5(id, f"correction {k}"), version=0, client_id=who.id, order=made.id,
            kind=one["kind"], garment=one["garment"], only=bool(one["garment"]), sign=FROM_A_FILE, cure=FROM_A_FILE,
            pinned="", changes=[{"choice": one["choice"], "by": one["by"]}], side=one["side"],
            fitted_on=_day(one["since"]),
            reason=one["since"],
        )  # fmt: skip
    kept = [
        put_row(Pattern, actor=actor, id=uuid5(id, f"pattern {name}"), version=0, name=name, pieces=pieces).id
        for name, pieces in parts.patterns.items()
    ]
    return set_patterns(actor=actor, order=made.id, patterns=kept)


def _day(since: str) -> date:
    """The day of a fitting; today's where it was said in other words."""
    try:
        return date.fromisoformat(since)
    except ValueError:
        return timezone.localdate()
