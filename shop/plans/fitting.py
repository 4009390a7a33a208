"""A fitting: cures tried on an order's draft, and kept as corrections of its client."""

from datetime import date
from uuid import UUID

from django.db import transaction
from django.db.models import QuerySet
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import check_room, own, put_row
from shop.bridge.drafting import draw_panels
from shop.bridge.fitting import CureOut, OfSide, SignError, changes_of, cures, method_of
from shop.clients.corrections import MOST_OF_A_CLIENT
from shop.clients.models import Correction, FittingPhoto
from shop.clients.photos import keep_photo
from shop.orders.models import Garment, Order
from shop.plans.job import job_of
from shop.plans.pace import check_pace

DRAFTS = 3
"""The cures of a sign are a few drafts without marks or a lay."""
OLDEST = 3660
"""A fitting was so many days ago at most."""


def try_cures(
    *, actor: User, order: UUID, garment: str, half: str, sign: str, pinned: str, side: OfSide
) -> list[CureOut]:
    """Each cure of a sign on an order's garment as it stands, or on one side of it. Raises SignError, CoreRefusal."""
    row = own(Order, actor, order)
    check_pace(actor, DRAFTS)
    return cures(job_of(actor, row), garment, half, sign, pinned, timezone.localdate().isoformat(), side)


def put_correction(
    *, actor: User, id: UUID, version: int, order: UUID, garment: str, only: bool, sign: str, cure: str, pinned: str,
    side: OfSide, fitted_on: date, reason: str,
) -> Correction:  # fmt: skip
    """Keep a cure for the client of an order, or change it. Raises SignError; CoreRefusal where the order could not be
    drafted with it, and nothing is kept then.
    """
    allow(actor, "fit")
    row = own(Order, actor, order)
    today = timezone.localdate()
    if not 0 <= (today - fitted_on).days <= OLDEST:
        raise SignError("The day of a fitting is not in the future, and not ten years ago. Choose its day.")
    with transaction.atomic():
        before = Correction.of(actor.workshop).filter(pk=id).first()
        if before is None:
            check_room(_holding(actor, row.client_id), MOST_OF_A_CLIENT)
        elif before.client_id != row.client_id:
            raise Http404
        kind, changes = changes_of(sign, cure, pinned, actor.workshop.unit, fitted_on.isoformat(), side)
        kept = put_row(
            Correction, actor=actor, id=id, version=version, client_id=row.client_id, order=row.id, garment=garment,
            only=only, sign=sign, cure=cure, pinned=pinned, kind=kind, changes=changes, side=side,
            method=_method(actor, row, garment, kind), fitted_on=fitted_on, reason=reason, removed=False,
        )  # fmt: skip
        _check_drafts(actor, row)
    return kept


def change_correction(*, actor: User, id: UUID, version: int, removed: bool | None, only: bool | None) -> Correction:
    """Drop a correction or take it back; let it hold for its garment alone, or for every draft. Raises StaleError;
    CoreRefusal where the order that it was seen on could not be drafted with it, and nothing is changed then.
    """
    allow(actor, "fit")
    with transaction.atomic():
        before = own(Correction, actor, id)
        wanted = {"removed": removed, "only": only}
        if removed is False and before.removed:
            check_room(_holding(actor, before.client_id), MOST_OF_A_CLIENT)
        kept = put_row(
            Correction, actor=actor, id=id, version=version,
            **{key: value for key, value in wanted.items() if value is not None},
        )  # fmt: skip
        seen_on = Order.of(actor.workshop).filter(pk=before.order).first() if before.order else None
        if seen_on is not None and not kept.removed:
            _check_drafts(actor, seen_on)
    return kept


def put_photo(*, actor: User, id: UUID, order: UUID, taken_on: date, picture: str) -> FittingPhoto:
    """Keep a photo of an order's fitting. Raises PhotoError, FullError."""
    allow(actor, "fit")
    row = own(Order, actor, order)
    return keep_photo(actor=actor, id=id, client=row.client_id, order=row.id, taken_on=taken_on, picture=picture)


def _holding(actor: User, client: UUID) -> QuerySet[Correction]:
    return Correction.of(actor.workshop).filter(client=client, removed=False)


def _method(actor: User, order: Order, garment: str, kind: str) -> str:
    """By which method a garment of an order is drafted; empty where none is named. Raises Http404 where the order has
    no such garment.
    """
    if not garment:
        return ""
    worn = Garment.of(actor.workshop).filter(order=order, name=garment, removed=False).first()
    if worn is None:
        raise Http404
    return method_of(worn.style, worn.method, worn.choices, kind)


def _check_drafts(actor: User, order: Order) -> None:
    """Raises CoreRefusal where an order cannot be drafted as it stands."""
    check_pace(actor)
    draw_panels(job_of(actor, order))
