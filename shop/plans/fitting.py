"""A fitting: cures tried on an order's draft, and kept as corrections of its client."""

from datetime import date
from uuid import UUID

from django.db import transaction
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import check_room, own, put_row
from shop.bridge.drafting import draw_panels
from shop.bridge.fitting import CureOut, SignError, changes_of, cures
from shop.clients.corrections import MOST_OF_A_CLIENT
from shop.clients.models import Correction
from shop.orders.models import Garment, Order
from shop.plans.job import job_of
from shop.plans.pace import check_pace

DRAFTS = 3
"""The cures of a sign are a few drafts without marks or a lay."""
OLDEST = 3660
"""A fitting was so many days ago at most."""


def try_cures(*, actor: User, order: UUID, garment: str, half: str, sign: str, pinned: str) -> list[CureOut]:
    """Each cure of a sign on an order's garment as it stands. Raises SignError, CoreRefusal."""
    row = own(Order, actor, order)
    check_pace(actor, DRAFTS)
    return cures(job_of(actor, row), garment, half, sign, pinned, timezone.localdate().isoformat())


def put_correction(
    *, actor: User, id: UUID, version: int, order: UUID, garment: str, only: bool, sign: str, cure: str, pinned: str,
    fitted_on: date, reason: str, removed: bool,
) -> Correction:  # fmt: skip
    """Keep a cure for the client of an order, change it, or drop it. Raises SignError; CoreRefusal where the order
    could not be drafted with it, and nothing is kept then.
    """
    allow(actor, "fit")
    row = own(Order, actor, order)
    today = timezone.localdate()
    if not 0 <= (today - fitted_on).days <= OLDEST:
        raise SignError("The day of a fitting is not in the future, and not ten years ago. Choose its day.")
    if garment and not Garment.of(actor.workshop).filter(order=row, name=garment, removed=False).exists():
        raise Http404
    with transaction.atomic():
        before = Correction.of(actor.workshop).filter(pk=id).first()
        if before is not None and before.client_id != row.client_id:
            raise Http404
        if before is None:
            check_room(Correction.of(actor.workshop).filter(client=row.client_id, removed=False), MOST_OF_A_CLIENT)
        if before is not None and (before.sign, before.cure, before.pinned) == (sign, cure, pinned.strip()):
            kind, changes = before.kind, before.changes
        else:
            kind, changes = changes_of(sign, cure, pinned, actor.workshop.unit, fitted_on.isoformat())
        kept = put_row(
            Correction, actor=actor, id=id, version=version, client_id=row.client_id, order=row.id, garment=garment,
            only=only, sign=sign, cure=cure, pinned=pinned, kind=kind, changes=changes, fitted_on=fitted_on,
            reason=reason, removed=removed,
        )  # fmt: skip
        if not removed:
            check_pace(actor)
            draw_panels(job_of(actor, row))
    return kept
