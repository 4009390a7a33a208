"""What is done with a plan's lay: moved by hand, cut."""

from typing import Any
from uuid import UUID

from django.db import transaction

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, locked, own
from shop.bridge.drafting import plan_by_hand
from shop.orders.models import Cut
from shop.orders.shelf import ShelfError, cut
from shop.plans.models import LayRun, PlanRun
from shop.plans.queries import best
from shop.plans.searches import check_room_of_order


def put_hand_lay(*, actor: User, id: UUID, plan_run: UUID, placements: list[dict[str, Any]]) -> PlanRun:
    """Lay a plan's pieces as they were moved by hand; the same id again is the same lay.

    Raises CoreRefusal where it could not be cut so.
    """
    allow(actor, "lays")
    with transaction.atomic():
        run = locked(PlanRun, actor, plan_run)
        if not LayRun.of(actor.workshop).filter(pk=id).exists():
            check_room_of_order(actor, run)
            plan = plan_by_hand(run.job, placements)
            made = LayRun(
                id=id, workshop=actor.workshop, changed_by=actor, plan_run=run, kind=LayRun.HAND, state=LayRun.DONE,
                plan=plan, lay=plan["lay"],
            )  # fmt: skip
            add(made)
    return run


def cut_plan(*, actor: User, id: UUID, plan_run: UUID) -> Cut:
    """Take what a plan's lay needs, not rounded up, off the cloth that is kept for its order. Raises ShelfError."""
    allow(actor, "lays")
    run = own(PlanRun, actor, plan_run)
    needs = best(actor.workshop, run).plan["yardage"]
    if run.job.get("cut_from") == "other":
        raise ShelfError("The cloth of the shelf is the order's main one; this is cut from its other.")
    if needs is None:
        raise ShelfError("Nothing is laid yet: choose another fold or a wider cloth first.")
    return cut(actor=actor, id=id, order=run.order_id, length_mm=needs["length_mm"])
