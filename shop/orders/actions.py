"""Writes about orders and their garments."""

from collections.abc import Sequence
from datetime import date
from typing import Any
from uuid import UUID, uuid4, uuid5

from django.db import transaction
from django.db.models import F

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own, put_row, unit_for_writing
from shop.bridge.designing import first_method, styles_of
from shop.bridge.drafting import check_part, job_garment, starts_from
from shop.bridge.house import allowances_for, halves_with_allowances
from shop.bridge.problems import CoreRefusal
from shop.clients.models import Client, Sheet
from shop.clients.sheets import OtherClientError
from shop.cloths.actions import put_cloth
from shop.cloths.models import Cloth
from shop.errors import ShopError
from shop.orders.models import Garment, HouseRule, Moved, Order
from shop.orders.queries import from_another_cloth

MOST_MOVED = 200
"""So often the day of an order is moved."""


class OutfitError(ShopError):
    """A garment that cannot be added or taken off."""

    code = "outfit"


def put_order(
    *, actor: User, id: UUID, version: int, client: UUID, sheet: UUID, cloth: UUID, title: str, promised_on: date,
    garments: Sequence[dict[str, Any]] = (), reason: str = "",
) -> Order:  # fmt: skip
    """Make or change an order; its client, sheet and cloth must be the workshop's own. With it the `garments` that are
    not there yet are made, all of it or nothing: each with id, name, style, method and choices. Where the promised day
    is moved the old one is kept with the `reason`.

    Raises OtherClientError for a sheet of somebody else, or where the order was made for somebody else, and as
    `put_garment`.
    """
    allow(actor, "orders")
    if own(Sheet, actor, sheet).client_id != own(Client, actor, client).id:
        raise OtherClientError("sheet")
    if Order.of(actor.workshop).filter(pk=id).exclude(client_id=client).exists():
        raise OtherClientError("order")
    with transaction.atomic():
        before = (
            Order.of(actor.workshop)
            .select_for_update(no_key=True)
            .filter(pk=id)
            .values_list("promised_on", flat=True)
            .first()
        )
        row = put_row(
            Order, actor=actor, id=id, version=version, client_id=client, sheet_id=sheet,
            cloth_id=own(Cloth, actor, cloth).id, title=title, promised_on=promised_on,
        )  # fmt: skip
        if before is not None and before != row.promised_on:
            check_room(Moved.of(actor.workshop).filter(order=row), MOST_MOVED)
            add(Moved(
                id=uuid4(), workshop=actor.workshop, changed_by=actor, order=row, was=before, to=row.promised_on,
                reason=reason.strip(),
            ))  # fmt: skip
        known = set(Garment.of(actor.workshop).filter(order=row).values_list("pk", flat=True))
        for one in garments:
            if one["id"] not in known:
                put_garment(actor=actor, version=0, order=row.id, **one)
    return row


def put_house_rule(
    *, actor: User, id: UUID, version: int, name: str, method: str, choices: dict[str, Any], usual: bool = False,
    removed: bool = False,
) -> HouseRule:  # fmt: skip
    """Keep choices under a name, or take them off the list. Raises CoreRefusal where a choice cannot be.

    Of each method one rule at most is usual: the last that was made so.
    """
    allow(actor, "orders")
    style = styles_of(method)[0]
    check_part(
        unit_for_writing(actor.workshop), garment={"id": "rule", "style": style, "method": method, "choices": choices}
    )
    with transaction.atomic():
        row = put_row(
            HouseRule, actor=actor, id=id, version=version, name=name, method=method, choices=choices,
            usual=usual and not removed, removed=removed,
        )  # fmt: skip
        if row.usual:
            HouseRule.of(actor.workshop).filter(method=method, usual=True).exclude(pk=row.id).update(
                usual=False, version=F("version") + 1, changed_by=actor
            )
    return row


def put_garment(
    *, actor: User, id: UUID, version: int, order: UUID, name: str, style: str, method: str, choices: dict[str, Any],
    removed: bool = False, as_it_is: bool = False,
) -> Garment:  # fmt: skip
    """Make, change or take off a garment of an order; without a method it is the style's first. A new one that nothing
    is chosen for takes what the workshop begins with, unless it is to be `as_it_is`.

    Raises CoreRefusal where a choice cannot be, OutfitError where nothing would be left, a name stands twice or the
    garment is another order's.
    """
    allow(actor, "orders")
    method = method or first_method(style)
    check_part(unit_for_writing(actor.workshop), garment=job_garment(name, style, method, choices))
    if version == 0 and not choices and not as_it_is:
        choices = _usual_choices(actor, style, method) or starts_from(style, method)
        house = allowances_for(style, actor.workshop.allowances)
        if house and "allowances" not in choices:
            choices = choices | {"allowances": house}
        check_part(unit_for_writing(actor.workshop), garment=job_garment(name, style, method, choices))
    elif version == 0 and not as_it_is:
        choices = halves_with_allowances(style, choices, actor.workshop.allowances)
    with transaction.atomic():
        # Under its lock: two that each take off one of two garments would else leave none.
        whole = locked(Order, actor, order)
        if Garment.of(actor.workshop).filter(pk=id).exclude(order=whole).exists():
            raise OutfitError("This garment is of another order. Add one like it to this order instead.")
        row = put_row(
            Garment, actor=actor, id=id, version=version, order_id=whole.id, name=name, style=style, method=method,
            choices=choices, removed=removed,
        )  # fmt: skip
        _lining(actor, whole, choices)
        kept = [one.name for one in Garment.of(actor.workshop).filter(order_id=whole.id, removed=False)]
        if not kept:
            raise OutfitError("An order needs a garment. Add another before you take this one off.")
        if len(set(kept)) < len(kept):
            raise OutfitError(f"The order has a garment called {name} already. Give this one another name.")
    return row


def put_outfit(*, actor: User, order: UUID, garments: Sequence[dict[str, Any]]) -> None:
    """Garments of an order made, changed or taken off one after the other, all of it or nothing: as two are joined into
    a jumpsuit, or one is parted. Each with what `put_garment` takes, and raises as that.
    """
    allow(actor, "orders")
    with transaction.atomic():
        for one in garments:
            put_garment(actor=actor, order=order, **one)


OTHER = {
    "kind": "lining", "colour": "#E7DCC3", "width": "45 in", "length": "", "fold": "auto", "one_way": False,
    "shrink_percent": "",
}  # fmt: skip
"""What the other cloth is until it is said."""


def _lining(actor: User, order: Order, choices: dict[str, Any]) -> None:
    """Give the order another cloth as soon as one of its garments is partly cut from one."""
    if order.other_cloth_id is None and from_another_cloth(choices):
        cloth = put_cloth(actor=actor, id=uuid5(order.id, "other cloth"), version=0, **OTHER)
        Order.of(actor.workshop).filter(pk=order.pk).update(other_cloth=cloth)


def _usual_choices(actor: User, style: str, method: str) -> dict[str, Any]:
    """What the workshop starts a garment of this method from; nothing where its rule does not go with the style."""
    rule = HouseRule.of(actor.workshop).filter(method=method, usual=True, removed=False).first()
    if rule is None:
        return {}
    try:
        check_part(
            unit_for_writing(actor.workshop),
            garment={"id": "rule", "style": style, "method": method, "choices": rule.choices},
        )
    except CoreRefusal:
        return {}
    return dict(rule.choices)
