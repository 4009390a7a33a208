"""What is altered on an order's garments after its fittings: kept corrections that the sewn garment can still take."""

from dataclasses import dataclass
from datetime import date, datetime
from uuid import UUID

from shop.accounts.models import User
from shop.bridge.fitting import alteration, sign_name
from shop.chalk.models import Chalking
from shop.clients.models import Correction
from shop.orders import life
from shop.orders.models import Order
from shop.sewing.models import Sewn

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
    """Those of an order, the oldest fitting first: what was found before anything was cut is in the draft that it is
    cut by. Four queries.
    """
    cut = _cut_at(actor, order.id)
    if cut is None:
        return []
    rows = Correction.of(actor.workshop).filter(order=order.id, client=order.client_id, removed=False)
    rows = rows.filter(created_at__gte=cut)
    unit = actor.workshop.unit
    return [
        AlterationStep(
            step_id(one.id), title if one.side == "both" else f"{title}, {one.side} side alone", says,
            sign_name(one.sign, unit), one.fitted_on, one.garment,
        )
        for one in rows.order_by("fitted_on", "created_at", "id")[:MOST]
        for title, says in filter(None, [alteration(one.sign, one.cure, one.changes, unit)])
    ]  # fmt: skip


def _cut_at(actor: User, order: UUID) -> datetime | None:
    """Since when an order is cut: said so, by hand or at its marks, or something of it sewn; None where it is not."""
    by_marks = Chalking.of(actor.workshop).filter(order_id=order, rubbed_out_at=None, cut_at__isnull=False)
    by_hand = life.steps_to(actor, order, life.ORDER[life.ORDER.index("cut") : life.ORDER.index("called_off")])
    sewn = Sewn.of(actor.workshop).filter(order_id=order, sewn=True)
    first = [
        by_marks.order_by("cut_at").values_list("cut_at", flat=True).first(),
        by_hand.order_by("created_at").values_list("created_at", flat=True).first(),
        sewn.order_by("created_at").values_list("created_at", flat=True).first(),
    ]
    return min((at for at in first if at is not None), default=None)


def step_id(correction: UUID) -> str:
    """What the step of a correction is called among the ticks."""
    return f"{FITTING}{correction}"
