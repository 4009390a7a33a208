"""Plans made once for a job and stored: of an order, and on cloth of other widths."""

from collections.abc import Sequence
from typing import Any
from uuid import UUID, uuid4

from django.db import IntegrityError
from django.db.models import Q
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.on_disk import soon_on_disk
from shop.accounts.writing import own
from shop.bridge.drafting import make_plan, make_widths
from shop.orders.models import Order
from shop.plans.being_made import AT_ONCE, BeingMadeError, make_later
from shop.plans.job import hash_of, job_of
from shop.plans.models import LayRun, PlanRun
from shop.plans.pace import check_pace

KEPT = 12
"""How many plans of an order are kept besides those that somebody searched for, laid by hand or chalked by."""
LOOKED_FOR = 8
"""At one plan of so many, by its digest, it is looked for those that are not kept: to take one off asks the database
as much as to take off all. So there are now and then some more than KEPT.
"""


def plan_order(*, actor: User, order: Order, cut_from: str = "main") -> PlanRun:
    """The plan of the order as it stands: the stored one where nothing changed, else made now. Raises CoreRefusal."""
    return stored_or_made(actor, order, job_of(actor, order, cut_from))


def stored(actor: User, order: Order, job: dict[str, Any]) -> PlanRun | None:
    """The plan of a job, where it was made; the plan itself is read from the database when it is asked for."""
    rows = PlanRun.of(actor.workshop).filter(order=order, job_hash=hash_of(job))
    return rows.defer("plan", "widths").first()


def stored_or_made(actor: User, order: Order, job: dict[str, Any], others: Sequence[str] = ()) -> PlanRun:
    """The plan of a job; `others` are the ids of more orders whose outfits are in it. Raises CoreRefusal."""
    digest, known = hash_of(job), stored(actor, order, job)
    if known is not None:
        return known
    check_pace(actor)
    plan = make_plan(job)
    made = PlanRun(
        id=uuid4(),
        workshop=actor.workshop,
        changed_by=actor,
        order=order,
        job_hash=digest,
        job=job,
        plan=plan,
        operations=[one["id"] for one in plan["sewing"]],
        pieces=len(plan["pieces"]),
        others=list(others),
    )
    try:
        # It is made again in no time; whatever refers to it reaches the disk after it.
        with soon_on_disk():
            made.save(force_insert=True)
            if int(digest, 16) % LOOKED_FOR == 0:
                forget_old(actor, order)
    except IntegrityError:
        return PlanRun.of(actor.workshop).get(order=order, job_hash=digest)
    made.just_made = True
    return made


def forget_old(actor: User, order: Order) -> None:
    """Plans nobody worked at but the newest go: one is made at each change of a choice, and made again in no time."""
    looked_at = Q(link_ends__gt=timezone.now())
    plain = PlanRun.of(actor.workshop).filter(~looked_at, order=order, held=False).exclude(
        pk__in=LayRun.of(actor.workshop).filter(plan_run__order=order).values("plan_run")
    )  # fmt: skip
    old = plain.order_by("-created_at").values_list("pk", flat=True)[KEPT:]
    # A plan is large: what goes is not read first.
    PlanRun.of(actor.workshop).filter(pk__in=list(old)).only("pk").delete()


def widths_of(*, actor: User, plan_run: UUID) -> list[dict[str, Any]]:
    """What the pieces of a plan need on cloth of other widths: worked out once, then kept. Raises BeingMadeError."""
    run = own(PlanRun, actor, plan_run)
    if run.widths is None and len(run.others) >= AT_ONCE:
        make_later("make_widths", plan_run=str(run.id))
        raise BeingMadeError(len(run.others) + 1)
    if run.widths is None:
        check_pace(actor)
        keep_widths(run)
    return list(run.widths or [])


def keep_widths(run: PlanRun) -> None:
    """Work out what a plan needs on other widths."""
    run.widths = make_widths(run.job)
    PlanRun.of(run.workshop).filter(pk=run.id).update(widths=run.widths)
