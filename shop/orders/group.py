"""The same outfit for several clients: a choir, a crew. Each has an order of its own; they share a group."""

from datetime import date, timedelta
from typing import Any
from uuid import UUID, uuid5

from django.db import transaction
from django.db.models import QuerySet
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import own
from shop.clients.models import Client, Sheet
from shop.clients.queries import sheets
from shop.clients.sheets import put_sheet
from shop.cloths.actions import FIELDS, put_cloth
from shop.cloths.models import Cloth
from shop.errors import ShopError
from shop.orders.actions import put_garment, put_order
from shop.orders.models import Order
from shop.orders.patterns import set_patterns
from shop.orders.queries import bench, garments

CLOTH = ("colour", *FIELDS)


A_YEAR = timedelta(days=365)
"""Readings older than this are asked about: a body has changed by then, perhaps. Common practice, no source."""


class OldReadingsError(ShopError):
    """The newest readings are so old that it is asked whether they still hold."""

    status = 409
    code = "old_readings"


def members(actor: User, order: Order) -> QuerySet[Order]:
    """The orders of its group by the clients' names; itself alone where it has none."""
    among = bench(actor).order_by("client__name", "id")
    return among.filter(group=order.group) if order.group else among.filter(pk=order.pk)


@transaction.atomic
def put_same(*, actor: User, id: UUID, of: UUID, client: UUID) -> Order:
    """The outfit, cloth and day of an order for another client, from the client's newest sheet; a new one where there
    is none. The same id again is the same order.
    """
    allow(actor, "orders")
    source, other = own(Order, actor, of), own(Client, actor, client)
    if known := Order.of(actor.workshop).filter(pk=id).first():
        return known
    if source.group is None:
        source.group = source.id
        Order.of(actor.workshop).filter(pk=source.pk).update(group=source.id)
    cloth: Cloth = source.cloth
    own_cloth = {key: getattr(cloth, key) for key in CLOTH}
    made = _copied(actor, id, source, other, source.promised_on, own_cloth)
    Order.of(actor.workshop).filter(pk=made.pk).update(group=source.group)
    return made


@transaction.atomic
def put_again(*, actor: User, id: UUID, of: UUID, promised_on: date, old: bool = False) -> Order:
    """The same again for the same client, by another day: from the client's newest sheet, of the same kind of cloth,
    which is not in hand yet. The same id again is the same order. Raises OldReadingsError where that sheet was taken
    more than a year ago and that is not meant (`old`).
    """
    allow(actor, "orders")
    source = own(Order, actor, of)
    if known := Order.of(actor.workshop).filter(pk=id).first():
        return known
    client = own(Client, actor, source.client_id)
    newest = sheets(actor, client.id).first()
    if newest is not None and not old and newest.taken_on < timezone.localdate() - A_YEAR:
        taken = f"{newest.taken_on.day} {newest.taken_on:%B %Y}"
        raise OldReadingsError(
            f"{client.name} was measured last on {taken}, more than a year ago. Measure anew first, or press once more "
            "to go by that."
        )
    cloth = {key: getattr(source.cloth, key) for key in CLOTH} | {"length": ""}
    return _copied(actor, id, source, client, promised_on, cloth)


def _copied(actor: User, id: UUID, source: Order, client: Client, day: date, cloth: dict[str, Any]) -> Order:
    made = put_order(
        actor=actor, id=id, version=0, client=client.id, sheet=_sheet(actor, id, client).id,
        cloth=put_cloth(actor=actor, id=uuid5(id, "cloth"), version=0, **cloth).id, title=source.title, promised_on=day,
    )  # fmt: skip
    _copy_garments(actor, source, made)
    return set_patterns(actor=actor, order=made.id, patterns=map(UUID, source.patterns))


def _sheet(actor: User, order: UUID, client: Client) -> Sheet:
    newest = sheets(actor, client.id).first()
    if newest is not None:
        return newest
    unit = actor.workshop.unit
    today = timezone.localdate()
    return put_sheet(actor=actor, id=uuid5(order, "sheet"), version=0, client=client.id, taken_on=today, unit=unit)


@transaction.atomic
def give_to_all(*, actor: User, order: UUID) -> int:
    """Give every other order of the group this one's garments as they stand; how many orders there are."""
    allow(actor, "orders")
    source = own(Order, actor, order)
    others = [one for one in members(actor, source) if one.pk != source.pk]
    for one in others:
        _copy_garments(actor, source, one)
        set_patterns(actor=actor, order=one.id, patterns=map(UUID, source.patterns))
    return len(others)


def _copy_garments(actor: User, source: Order, other: Order) -> None:
    """Make the garments of `other` those of `source`: the same names, styles, methods and choices."""
    had = {one.name: one for one in garments(actor, other.id)}
    wanted = {one.name: one for one in garments(actor, source.id)}
    for name, one in wanted.items():
        old = had.get(name)
        put_garment(
            actor=actor, id=old.id if old else uuid5(other.id, f"{one.id}"), version=old.version if old else 0,
            order=other.id, name=name, style=one.style, method=one.method, choices=one.choices, as_it_is=True,
        )  # fmt: skip
    for name, one in had.items():
        if name not in wanted:
            put_garment(
                actor=actor, id=one.id, version=one.version, order=other.id, name=name, style=one.style,
                method=one.method, choices=one.choices, removed=True,
            )  # fmt: skip
