"""Ticking what is sewn, and unpicking it: nothing before what it needs, nothing unpicked under what is sewn on it."""

from collections.abc import Mapping
from datetime import datetime, timedelta
from typing import Any
from uuid import UUID

from django.db import transaction
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own
from shop.bridge.measuring import read_tape
from shop.bridge.sewing import codes_of, judged, reading_name, say, step_name, steps_of
from shop.errors import ShopError
from shop.orders.models import Order
from shop.plans.models import PlanRun
from shop.sewing.alterations import alterations
from shop.sewing.models import Sewn
from shop.sewing.queries import sewn as sewn_of

MOST = 5_000
"""So many ticks of one order are kept."""


class SewingError(ShopError):
    """A step that cannot be ticked or unpicked now."""

    code = "sewing"


class DoubtError(ShopError):
    """A reading that cannot well be: kept only by somebody who is sure of it."""

    code = "reading_doubted"


def tick(
    *, actor: User, id: UUID, order: UUID, plan_run: UUID, operation: str, sewn: bool = True,
    typed: Mapping[str, str] | None = None, sure: bool = False, began: datetime | None = None,
    ended: datetime | None = None,
) -> None:  # fmt: skip
    """Note that an operation of the order's plan was done, or with `sewn` False unpicked; the same id again is the same
    tick, and what is done already stays as it is. Where something is measured, it is done by what was `typed`, by the
    codes of the readings. `began` and `ended` are by the clock of the device it was said on.

    Raises SewingError where something it needs is not done, or where something is sewn on it; DoubtError for a reading
    that cannot well be, unless somebody is `sure`; CoreRefusal for one that is no length.
    """
    allow(actor, "sew")
    with transaction.atomic():
        row = locked(Order, actor, order)
        if Sewn.of(actor.workshop).filter(pk=id, order=row).exists():
            return
        run = own(PlanRun, actor, plan_run)
        if run.order_id != row.id:
            raise Http404
        # What is altered after a fitting needs nothing else to be done.
        altered = {one.id: {"id": one.id, "needs": []} for one in alterations(actor, row)}
        steps = steps_of(run.plan) | altered
        if operation not in steps:
            raise SewingError("This plan has no such step. Read the page again.")
        done = {one.operation for one in sewn_of(actor, row.id)}
        if (operation in done) == sewn:
            return
        _check(steps, done, operation, sewn)
        check_room(Sewn.of(actor.workshop).filter(order=row), MOST)
        readings = _readings(steps[operation], typed or {}, actor.workshop.unit, sure) if sewn else {}
        add(Sewn(
            id=id, workshop=actor.workshop, changed_by=actor, order=row, operation=operation, sewn=sewn,
            readings=readings, took=_minutes(began, ended) if sewn else None,
        ))  # fmt: skip


AHEAD = timedelta(minutes=10)
"""A device's clock may be so far ahead."""
LONGEST = 24 * 60
"""What took longer, in minutes, was not worked at all the time: nothing is noted."""


def _minutes(began: datetime | None, ended: datetime | None) -> float | None:
    """How long it took. Raises SewingError for a clock that ran backwards, or is ahead of the workshop's."""
    if began is None or ended is None:
        return None
    if ended < began or ended > timezone.now() + AHEAD:
        raise SewingError(
            "The clock of this device is not right: it ran backwards, or is ahead. Set it, or tick without Begin."
        )
    took = (ended - began).total_seconds() / 60
    return took if 0 < took <= LONGEST else None


def _readings(step: dict[str, Any], typed: Mapping[str, str], unit: str, sure: bool) -> dict[str, Any]:
    """What was measured and what it means; nothing where the step is ticked."""
    codes = codes_of(step)
    if not codes:
        return {}
    missing = [reading_name(code) for code in codes if not typed.get(code, "").strip()]
    if missing:
        raise SewingError(f"This step is done by what the tape reads. Type it: {', '.join(missing)}.")
    mm = {code: read_tape(typed[code], unit) for code in codes}
    means = judged(step, mm, sure)
    if means["doubt"]:
        raise DoubtError(" ".join(say(means, mm, unit)))
    return {"typed": {code: typed[code].strip() for code in codes}, "mm": mm, "judged": means}


def _check(steps: dict[str, dict[str, Any]], done: set[str], operation: str, sewn: bool) -> None:
    if sewn:
        first = [one for one in steps[operation]["needs"] if one in steps and one not in done]
        if first:
            raise SewingError(f"First: {_listed(steps, first)}. That has to be done before this step.")
        return
    after = [key for key, one in steps.items() if key in done and operation in one["needs"]]
    if after:
        raise SewingError(f"Unpick first what is sewn on it: {_listed(steps, after)}.")


def _listed(steps: dict[str, dict[str, Any]], ids: list[str]) -> str:
    return ", ".join(step_name(steps[one]) for one in ids)
