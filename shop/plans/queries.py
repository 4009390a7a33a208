"""Reads about plans; each starts from the workshop."""

from typing import Any
from uuid import UUID

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.plans.models import LayRun, PlanRun


def lay_run(actor: User, id: UUID) -> LayRun:
    return own(LayRun, actor, id)


def best_plan(actor: User, run: PlanRun) -> dict[str, Any]:
    """The plan with the shortest lay that was found for it: a finished search's, or its own."""
    best: dict[str, Any] = run.plan
    for search in LayRun.of(actor.workshop).filter(plan_run=run, plan__isnull=False):
        found: dict[str, Any] = search.plan or {}
        if best["lay"] and found["lay"]["length_mm"] < best["lay"]["length_mm"]:
            best = found
    return best
