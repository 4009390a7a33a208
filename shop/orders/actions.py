"""Writes about orders and their garments."""

from datetime import date
from typing import Any
from uuid import UUID

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import own, put_row
from shop.bridge.designing import styles_of, usual_method
from shop.bridge.drafting import check_part
from shop.clients.models import Client, Sheet
from shop.cloths.models import Cloth
from shop.orders.models import Garment, HouseRule, Order


def put_order(
    *, actor: User, id: UUID, version: int, client: UUID, sheet: UUID, cloth: UUID, title: str, promised_on: date
) -> Order:
    """Make or change an order; its client, sheet and cloth must be the workshop's own."""
    allow(actor, "orders")
    return put_row(
        Order, actor=actor, id=id, version=version, client_id=own(Client, actor, client).id,
        sheet_id=own(Sheet, actor, sheet).id, cloth_id=own(Cloth, actor, cloth).id, title=title.strip(),
        promised_on=promised_on,
    )  # fmt: skip


def put_house_rule(
    *, actor: User, id: UUID, version: int, name: str, method: str, choices: dict[str, Any], removed: bool = False
) -> HouseRule:
    """Keep choices under a name, or take them off the list. Raises CoreRefusal where a choice cannot be."""
    allow(actor, "orders")
    style = styles_of(method)[0]
    check_part(actor.workshop.unit, garment={"id": "rule", "style": style, "method": method, "choices": choices})
    return put_row(
        HouseRule, actor=actor, id=id, version=version, name=name.strip(), method=method, choices=choices,
        removed=removed,
    )  # fmt: skip


def put_garment(
    *, actor: User, id: UUID, version: int, order: UUID, name: str, style: str, method: str, choices: dict[str, Any]
) -> Garment:
    """Make or change a garment of an order; without a method it is the style's first. Raises CoreRefusal where a choice
    cannot be.
    """
    allow(actor, "orders")
    method = method or usual_method(style)
    check_part(actor.workshop.unit, garment={"id": name, "style": style, "method": method, "choices": choices})
    return put_row(
        Garment, actor=actor, id=id, version=version, order_id=own(Order, actor, order).id, name=name, style=style,
        method=method, choices=choices,
    )  # fmt: skip
