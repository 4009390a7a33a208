"""Cloth of the shelf for an order: kept for it, cut off for it, put back."""

from uuid import UUID

from django.db import transaction

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, locked, own, unit_for_writing
from shop.bridge.stock import as_length, length_text, what_is_left
from shop.cloths.actions import SHELF, put_cloth
from shop.cloths.models import Cloth, ShelfCloth
from shop.errors import ShopError
from shop.orders.models import Cut, Order
from shop.orders.queries import cut_for, waiting


class ShelfError(ShopError):
    """Cloth that cannot be kept, cut or put back."""

    code = "shelf"


def reserve(*, actor: User, order: UUID, shelf: UUID | None) -> Order:
    """Keep a cloth of the shelf for an order, whose cloth becomes like it; or, without one, keep none for it.

    A bolt serves many orders, a length or an off-cut one, until that is cut. Raises ShelfError where another order has
    it or the order is cut already, Http404 for anybody else's.
    """
    allow(actor, "orders")
    with transaction.atomic():
        row = locked(Order, actor, order)
        held = locked(ShelfCloth, actor, shelf) if shelf is not None else None
        cut = cut_for(actor, row.id)
        if cut is not None and held != cut.shelf:
            raise ShelfError(f"It is cut from {cut.shelf.name} already. Say on Lay that it was not, then change this.")
        if held is not None and held.form != ShelfCloth.BOLT:
            other = waiting(actor).filter(shelf=held).exclude(pk=order).first()
            if other is not None:
                raise ShelfError(f"{held.name} is kept for {other.title}. Let it go there first, or take another.")
        Order.of(actor.workshop).filter(pk=order).update(shelf=held)
        if held is not None and cut is None:
            cloth = own(Cloth, actor, row.cloth_id)
            like = {key: getattr(held, key) for key in SHELF}
            put_cloth(
                actor=actor, id=cloth.id, version=cloth.version, fold=cloth.fold, sections=cloth.sections, **like
            )  # fmt: skip
    return own(Order, actor, order)


def cut(*, actor: User, id: UUID, order: UUID, length_mm: float) -> Cut:
    """Take so much off the cloth that is kept for an order; what is too short to use leaves the shelf. The same id
    again is the same cut; a cloth of unknown length stays so.

    Raises ShelfError where none is kept, it is cut already, or there is not so much.
    """
    allow(actor, "lays")
    with transaction.atomic():
        row = locked(Order, actor, order)
        known = Cut.of(actor.workshop).filter(pk=id).first()
        if known is not None:
            return known
        if row.shelf_id is None:
            raise ShelfError("No cloth of the shelf is kept for this order. Choose one on Cloth.")
        if cut_for(actor, row.id) is not None:
            raise ShelfError("Its cloth is cut already.")
        held = ShelfCloth.of(actor.workshop).select_for_update(no_key=True).get(pk=row.shelf_id)
        unit = unit_for_writing(actor.workshop)
        left = what_is_left(held.length, length_mm, unit) if held.length else ""
        if left is None:
            raise ShelfError(
                f"{held.name} is {as_length(held.length, unit)} long, this takes {length_text(length_mm, unit)}. "
                "Measure it again on the shelf, or keep another cloth for the order."
            )
        made = Cut(
            id=id, workshop=actor.workshop, changed_by=actor, order=row, shelf=held, length_mm=length_mm,
            was=held.length, left=left,
        )  # fmt: skip
        add(made)
        held.removed = bool(held.length) and not left
        _write(actor, held, left)
    return made


def put_back(*, actor: User, id: UUID) -> Cut:
    """It was not cut after all: the cloth is as long as before. Raises ShelfError where it was measured again since."""
    allow(actor, "lays")
    with transaction.atomic():
        row = locked(Cut, actor, id)
        if row.undone:
            return row
        held = ShelfCloth.of(actor.workshop).select_for_update(no_key=True).get(pk=row.shelf_id)
        if held.length != row.left:
            raise ShelfError(f"{held.name} was cut or measured again since. Put its length right on the shelf.")
        row.undone = True
        row.save()
        held.removed = False
        _write(actor, held, row.was)
    return row


def _write(actor: User, held: ShelfCloth, length: str) -> None:
    held.length = length
    held.version += 1
    held.changed_by = actor
    held.save()
