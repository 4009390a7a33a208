"""The outfits of several clients on one cloth: which they are, as one job, and its plan."""

from collections.abc import Sequence
from typing import Any
from uuid import UUID

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.bridge.drafting import check_job
from shop.orders.group import members
from shop.orders.models import Order
from shop.orders.whole import WholeOrder, whole_orders
from shop.plans.being_made import AT_ONCE, BeingMadeError, make_later
from shop.plans.job import hash_of, job_from, job_of, outfit_id
from shop.plans.making import plan_order, stored, stored_or_made
from shop.plans.models import PlanRun
from shop.plans.queries import stored_plans


def plan_together(*, actor: User, order: Order) -> PlanRun:
    """The outfits of the order's group on its cloth: of everybody who has the same cloth and is planned. Raises
    CoreRefusal, and BeingMadeError where there are so many that it is made on the queue.
    """
    plan_order(actor=actor, order=order)
    job, others = job_together(actor, order)
    if len(others) < AT_ONCE:
        return stored_or_made(actor, order, job, others)
    made = stored(actor, order, job)
    if made is None:
        check_job(job)
        make_later("make_together", order=str(order.pk), person=str(actor.pk))
        raise BeingMadeError(len(others) + 1)
    return made


def make_together(order: UUID, person: UUID) -> None:
    """What `plan_together` asked for, as the group is by now."""
    actor = User.objects.get(pk=person)
    row = own(Order, actor, order)
    stored_or_made(actor, row, *job_together(actor, row))


def job_together(actor: User, order: Order) -> tuple[dict[str, Any], list[str]]:
    """The job of a group's cloth, and the ids of the other orders that are cut from it."""
    others = together(actor, order)
    return joined(actor, job_of(actor, order), others), [str(one.order.id) for one in others]


WORN = ("measurements", "garments", "patterns", "corrections")
"""What of a job is of its client's outfit, not of the cloth."""


def joined(actor: User, job: dict[str, Any], others: Sequence[WholeOrder]) -> dict[str, Any]:
    """An order's job with the outfits of others on the same cloth."""
    outfits = []
    for one in others:
        theirs = job_from(actor, one)
        worn = {key: theirs[key] for key in WORN if key in theirs}
        outfits.append(worn | {"id": outfit_id(one.order)})
    return job | ({"others": outfits} if outfits else {})


ONE_CLOTH = ("kind", "colour", "width")
"""Cloths that are the same in this are laid as one."""


def together(actor: User, order: Order) -> list[WholeOrder]:
    """The other orders of its group that are planned as they stand and have the same cloth, by the clients' names."""
    cloth = order.cloth
    same = {f"cloth__{key}": getattr(cloth, key) for key in ONE_CLOTH}
    wholes = whole_orders(actor, list(members(actor, order).exclude(pk=order.pk).filter(**same)))
    planned = stored_plans(actor, {one.order.id: hash_of(job_from(actor, one)) for one in wholes})
    return [one for one in wholes if one.order.id in planned]
