"""Ticking what is sewn, and unpicking it: nothing before what it needs, nothing unpicked under what is sewn on it."""

from typing import Any
from uuid import UUID

from django.db import transaction
from django.http import Http404

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own
from shop.bridge.sewing import step_name, steps_of
from shop.errors import ShopError
from shop.orders.models import Order
from shop.plans.models import PlanRun
from shop.sewing.models import Sewn
from shop.sewing.queries import sewn as sewn_of

MOST = 5_000
"""So many ticks of one order are kept."""


class SewingError(ShopError):
    """A step that cannot be ticked or unpicked now."""

    code = "sewing"


def tick(*, actor: User, id: UUID, order: UUID, plan_run: UUID, operation: str, sewn: bool = True) -> None:
    """Note that an operation of the order's plan was done, or with `sewn` False unpicked; the same id again is the same
    tick, and what is done already stays as it is.

    Raises SewingError where something it needs is not done, or where something is sewn on it.
    """
    allow(actor, "sew")
    with transaction.atomic():
        row = locked(Order, actor, order)
        if Sewn.of(actor.workshop).filter(pk=id, order=row).exists():
            return
        run = own(PlanRun, actor, plan_run)
        if run.order_id != row.id:
            raise Http404
        steps = steps_of(run.plan)
        if operation not in steps:
            raise SewingError("This plan has no such step. Read the page again.")
        done = {one.operation for one in sewn_of(actor, row.id)}
        if (operation in done) == sewn:
            return
        _check(steps, done, operation, sewn)
        check_room(Sewn.of(actor.workshop).filter(order=row), MOST)
        add(Sewn(id=id, workshop=actor.workshop, changed_by=actor, order=row, operation=operation, sewn=sewn))


def _check(steps: dict[str, dict[str, Any]], done: set[str], operation: str, sewn: bool) -> None:
    if sewn:
        first = [one for one in steps[operation]["needs"] if one in steps and one not in done]
        if first:
            raise SewingError(f"First: {_listed(steps, first)}. It cannot be done after this.")
        return
    after = [key for key, one in steps.items() if key in done and operation in one["needs"]]
    if after:
        raise SewingError(f"Unpick first what is sewn on it: {_listed(steps, after)}.")


def _listed(steps: dict[str, dict[str, Any]], ids: list[str]) -> str:
    return ", ".join(step_name(steps[one]) for one in ids)
