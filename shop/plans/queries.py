"""Reads about plans; each starts from the workshop."""

from dataclasses import dataclass
from datetime import timedelta
from typing import Any
from uuid import UUID

from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.bridge.drafting import can_be_said, make_plan
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

    A search that was started after a move by hand counts again: somebody asked for it. A plan of an older form, whose
    page is still open, is made anew; lays that were found for it do not count.
    """
    best: dict[str, Any] = run.plan if can_be_said(run.plan) else make_plan(run.job)
    found_for = LayRun.of(actor.workshop).filter(plan_run=run, plan__isnull=False).exclude(kind=LayRun.REST)
    for search in found_for.order_by("created_at"):
        found: dict[str, Any] = search.plan or {}
        if not can_be_said(found):
            continue
        if search.kind == LayRun.HAND:
            best = found
            continue
        # One that is no shorter still knows better how short a lay can be.
        if best["lay"] and found["lay"]["length_mm"] <= best["lay"]["length_mm"]:
            best = found
    return best


@dataclass(frozen=True)
class StoredPlan:
    """Of a stored plan: how long its cloth is in mm (None where there is no lay), its findings, what is bought."""

    length_mm: float | None
    findings: list[dict[str, Any]]
    notions: list[dict[str, Any]]


def stored_plans(actor: User, hashes: dict[UUID, str]) -> dict[UUID, StoredPlan]:
    """What is asked of the plans of several orders, by order, each as its job stands: `hashes` are the jobs'.

    One query; the plans themselves stay in the database.
    """
    rows = PlanRun.of(actor.workshop).filter(order_id__in=hashes, job_hash__in=set(hashes.values()))
    parts = rows.values_list(
        "order_id", "job_hash", "plan__yardage__length_mm", "plan__findings", "plan__notions", named=False
    )
    return {
        order: StoredPlan(length, findings or [], notions or [])
        for order, job_hash, length, findings, notions in parts
        if hashes[order] == job_hash
    }
