"""What is altered on an order's garments after its fittings: kept corrections that the sewn garment can still take."""

from dataclasses import dataclass
from datetime import date
from uuid import UUID

from shop.accounts.models import User
from shop.bridge.fitting import alteration, sign_name
from shop.clients.models import Correction
from shop.orders.models import Order

FITTING = "fitting."
"""What the id of such a step begins with; the correction's own follows."""
MOST = 40
"""So many are listed."""


@dataclass(frozen=True)
class AlterationStep:
    """One thing that is altered: what, by how much, what was seen on which day."""

    id: str
    title: str
    says: str
    seen: str
    fitted_on: date
    garment: str


def alterations(actor: User, order: Order) -> list[AlterationStep]:
    """Those of an order, the oldest fitting first. One query."""
    rows = Correction.of(actor.workshop).filter(order=order.id, client=order.client_id, removed=False)
    unit = actor.workshop.unit
    return [
        AlterationStep(
            step_id(one.id), title if one.side == "both" else f"{title}, {one.side} side alone", says,
            sign_name(one.sign, unit), one.fitted_on, one.garment,
        )
        for one in rows.order_by("fitted_on", "created_at", "id")[:MOST]
        for title, says in filter(None, [alteration(one.sign, one.cure, one.changes, unit)])
    ]  # fmt: skip


def step_id(correction: UUID) -> str:
    """What the step of a correction is called among the ticks."""
    return f"{FITTING}{correction}"
