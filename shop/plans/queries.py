"""Reads about plans; each starts from the workshop."""

from datetime import timedelta
from typing import Any
from uuid import UUID

from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.plans.models import LayRun, PlanRun

SILENT = timedelta(minutes=3)
"""A running search speaks several times a second. One whose worker died is taken up by another within two minutes;
one that is silent for longer was broken off."""


def lay_run(actor: User, id: UUID) -> LayRun:
    """A search as it stands; one whose worker died is said to have failed, what it found stays."""
    run = own(LayRun, actor, id)
    if run.state == LayRun.RUNNING and timezone.now() - run.changed_at > SILENT:
        run.state = LayRun.FAILED
    return run


def best_plan(actor: User, run: PlanRun) -> dict[str, Any]:
    """The plan as it is to be cut: as it was last moved by hand, else with the shortest lay of all that were found.

    A search that was started after a move by hand counts again: somebody asked for it.
    """
    best: dict[str, Any] = run.plan
    found_for = LayRun.of(actor.workshop).filter(plan_run=run, plan__isnull=False).exclude(kind=LayRun.REST)
    for search in found_for.order_by("created_at"):
        found: dict[str, Any] = search.plan or {}
        if search.kind == LayRun.HAND:
            best = found
            continue
        # One that is no shorter still knows better how short a lay can be.
        if best["lay"] and found["lay"]["length_mm"] <= best["lay"]["length_mm"]:
            best = found
    return best
