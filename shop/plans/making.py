"""Plans made once for a job and stored: of one order, of several on one cloth, on cloth of other widths."""

from collections.abc import Sequence
from typing import Any
from uuid import UUID, uuid4

from django.db import IntegrityError, transaction
from django.db.models import Q
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.bridge.drafting import make_plan, make_widths
from shop.orders.group import members
from shop.orders.models import Order
from shop.orders.whole import WholeOrder, whole_orders
from shop.plans.job import hash_of, job_from, job_of, outfit_id
from shop.plans.models import LayRun, PlanRun
from shop.plans.pace import check_pace
from shop.plans.queries import stored_plans

KEPT = 12
"""How many plans of an order are kept besides those that somebody searched for, laid by hand or chalked by."""


def plan_order(*, actor: User, order: Order, cut_from: str = "main") -> PlanRun:
    """The plan of the order as it stands: the stored one where nothing changed, else made now. Raises CoreRefusal."""
    return _stored_or_made(actor, order, job_of(actor, order, cut_from))


def plan_together(*, actor: User, order: Order) -> PlanRun:
    """The outfits of the order's group on its cloth: of everybody who has the same cloth and is planned. Raises
    CoreRefusal.
    """
    plan_order(actor=actor, order=order)
    job, others = job_together(actor, order)
    return _stored_or_made(actor, order, job, others)


def job_together(actor: User, order: Order) -> tuple[dict[str, Any], list[str]]:
    """The job of a group's cloth, and the ids of the other orders that are cut from it."""
    others = together(actor, order)
    return joined(actor, job_of(actor, order), others), [str(one.order.id) for one in others]


def joined(actor: User, own: dict[str, Any], others: Sequence[WholeOrder]) -> dict[str, Any]:
    """An order's job with the outfits of others on the same cloth."""
    outfits = []
    for one in others:
        job = job_from(actor, one)
        worn = {key: job[key] for key in ("measurements", "garments", "patterns", "corrections") if key in job}
        outfits.append(worn | {"id": outfit_id(one.order)})
    return own | ({"others": outfits} if outfits else {})


ONE_CLOTH = ("kind", "colour", "width")
"""Cloths that are the same in this are laid as one."""


def together(actor: User, order: Order) -> list[WholeOrder]:
    """The other orders of its group that are planned as they stand and have the same cloth, by the clients' names."""
    cloth = order.cloth
    same = {f"cloth__{key}": getattr(cloth, key) for key in ONE_CLOTH}
    wholes = whole_orders(actor, list(members(actor, order).exclude(pk=order.pk).filter(**same)))
    stored = stored_plans(actor, {one.order.id: hash_of(job_from(actor, one)) for one in wholes})
    return [one for one in wholes if one.order.id in stored]


def _stored_or_made(actor: User, order: Order, job: dict[str, Any], others: Sequence[str] = ()) -> PlanRun:
    digest = hash_of(job)
    stored = PlanRun.of(actor.workshop).filter(order=order, job_hash=digest).first()
    if stored is not None:
        return stored
    check_pace(actor)
    made = PlanRun(
        id=uuid4(),
        workshop=actor.workshop,
        changed_by=actor,
        order=order,
        job_hash=digest,
        job=job,
        plan=make_plan(job),
        others=list(others),
    )
    try:
        with transaction.atomic():
            made.save(force_insert=True)
            forget_old(actor, order)
    except IntegrityError:
        return PlanRun.of(actor.workshop).get(order=order, job_hash=digest)
    return made


def forget_old(actor: User, order: Order) -> None:
    """Plans nobody worked at but the newest go: one is made at each change of a choice, and made again in no time."""
    looked_at = Q(link_ends__gt=timezone.now())
    plain = PlanRun.of(actor.workshop).filter(~looked_at, order=order, held=False).exclude(
        pk__in=LayRun.of(actor.workshop).filter(plan_run__order=order).values("plan_run")
    )  # fmt: skip
    old = plain.order_by("-created_at").values_list("pk", flat=True)[KEPT:]
    PlanRun.of(actor.workshop).filter(pk__in=list(old)).delete()


def widths_of(*, actor: User, plan_run: UUID) -> list[dict[str, Any]]:
    """What the pieces of a plan need on cloth of other widths: worked out once, then kept."""
    run = own(PlanRun, actor, plan_run)
    if run.widths is None:
        check_pace(actor)
        run.widths = make_widths(run.job)
        PlanRun.of(actor.workshop).filter(pk=run.id).update(widths=run.widths)
    return list(run.widths)
