"""Reads about what is sewn."""

from uuid import UUID

from shop.accounts.models import User
from shop.sewing.models import Sewn


def sewn(actor: User, order: UUID) -> list[Sewn]:
    """The operations of an order that are done, each with who did it last."""
    rows = Sewn.of(actor.workshop).filter(order_id=order).order_by("operation", "-created_at", "id")
    return [one for one in rows.distinct("operation").select_related("changed_by") if one.sewn]
