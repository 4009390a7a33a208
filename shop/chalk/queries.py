"""Reads about what is chalked; each starts from the workshop."""

from collections.abc import Collection
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any, Literal
from uuid import UUID

from django.core.cache import cache
from django.utils import timezone

from shop.accounts.models import User
from shop.bridge.controls import NOT_CUT_MM, ControlTape, TapeShape, tapes
from shop.bridge.differences import differences, shorter
from shop.bridge.drafting import can_be_said, plan_with_lay
from shop.chalk.models import Chalking, TapeReading, Tick
from shop.orders.models import Order
from shop.plans.job import job_of
from shop.plans.queries import best_length
from shop.plans.together import job_together

AT_WORK = timedelta(hours=2)
"""Somebody whose last tick is older is not shown as being at work."""


@dataclass(frozen=True)
class Place:
    """Where somebody is: the call that was ticked last, and when."""

    who: str
    mine: bool
    call: int
    at: datetime


def open_chalking(actor: User, order: UUID, cut_from: str) -> Chalking | None:
    """What a cloth of an order is chalked by; None where nobody began."""
    rows = Chalking.of(actor.workshop).filter(order_id=order, cut_from=cut_from, rubbed_out_at=None)
    return rows.select_related("changed_by", "cut_by", "plan_run").defer("plan", "plan_run__plan").first()


def chalked_plan(chalking: Chalking) -> dict[str, Any]:
    """The plan it is chalked by. One of a form that is read no longer is made anew, on the lay it had."""
    plan: dict[str, Any] = chalking.plan
    return plan if can_be_said(plan) else plan_with_lay(chalking.plan_run.job, plan["lay"])


def ticked(actor: User, chalking: Chalking) -> list[int]:
    """The numbers of the calls that are chalked: of each the last tick counts."""
    last = Tick.of(actor.workshop).filter(chalking=chalking).order_by("call", "-created_at", "id").distinct("call")
    return [call for call, chalked in last.values_list("call", "chalked") if chalked]


def places(actor: User, chalking: Chalking) -> list[Place]:
    """The last tick of everybody who is at work on a cloth, one's own first."""
    rows = Tick.of(actor.workshop).filter(chalking=chalking, created_at__gte=timezone.now() - AT_WORK)
    last = rows.select_related("changed_by").order_by("changed_by", "-created_at").distinct("changed_by")
    found = [
        Place(name_of(one.changed_by), one.changed_by == actor, one.call, one.created_at)
        for one in last
        if one.changed_by is not None
    ]
    return sorted(found, key=lambda place: (not place.mine, place.who))


def newer(actor: User, order: Order, chalking: Chalking) -> list[str]:
    """What the order as it stands has otherwise than the plan it is chalked by, in words; nothing where it is the
    same.
    """
    job = job_together(actor, order)[0] if chalking.cut_from == "all" else job_of(actor, order, chalking.cut_from)
    told = differences(chalking.plan_run.job, job, actor.workshop.unit)
    was, now = chalking.lay_mm, best_length(actor.workshop, chalking.plan_run_id)
    if not told and was is not None and now is not None and was != now:
        told = [shorter(was, now, actor.workshop.unit)]
    return told


def control_tapes(chalking: Chalking, garment: str, panel: str) -> tuple[list[ControlTape], list[TapeShape]]:
    """The control tapes of a piece that is chalked, as data and in words; worked out once."""
    key = f"tapes:{chalking.id}:{garment}:{panel}"
    known = cache.get(key)
    if known is None:
        known = tapes(chalked_plan(chalking), garment, panel)
        cache.set(key, known, 3600)
    made: tuple[list[ControlTape], list[TapeShape]] = known
    return made


def tapes_read(actor: User, chalking: Chalking, garment: str, panel: str) -> dict[int, TapeReading]:
    """The last reading of each control tape of a piece."""
    rows = TapeReading.of(actor.workshop).filter(chalking=chalking, garment=garment, panel=panel)
    return {one.tape: one for one in rows.order_by("tape", "-created_at", "id").distinct("tape")}


def not_to_be_cut(actor: User, chalking: Chalking) -> list[str]:
    """The panels whose control tapes are off by more than a quarter of an inch, as they were last read."""
    rows = TapeReading.of(actor.workshop).filter(chalking=chalking)
    last = rows.order_by("garment", "panel", "tape", "-created_at", "id").distinct("garment", "panel", "tape")
    return sorted({one.panel for one in last if abs(one.off_mm) > NOT_CUT_MM})


def chalk_states(actor: User, orders: Collection[UUID]) -> dict[UUID, Literal["chalked", "cut"]]:
    """How far the main cloth of each order is, where somebody began to chalk it: by itself or with its group."""
    rows = Chalking.of(actor.workshop).filter(order_id__in=orders, rubbed_out_at=None).exclude(cut_from="other")
    return {order: "cut" if cut_at else "chalked" for order, cut_at in rows.values_list("order_id", "cut_at")}


def rubbed_out(actor: User, order: UUID, cut_from: str) -> int:
    """How often the chalk of a cloth was rubbed out."""
    return Chalking.of(actor.workshop).filter(order_id=order, cut_from=cut_from).exclude(rubbed_out_at=None).count()


def name_of(user: User | None) -> str:
    """What somebody is called; somebody who is gone has no name."""
    return "" if user is None else user.first_name or user.username
