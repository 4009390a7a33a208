"""Reads about plans; each starts from the workshop."""

import hashlib
import json
from collections.abc import Collection
from dataclasses import dataclass
from datetime import timedelta
from typing import Any, Literal
from uuid import UUID

from django.utils import timezone

from shop.accounts.models import User, Workshop
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


@dataclass(frozen=True)
class Best:
    """A plan as it is to be cut, and the search or the lay by hand that it is from; None for the plan's own lay.

    `stamp` is another where anything is chalked at another place.
    """

    plan: dict[str, Any]
    lay_run: UUID | None

    @property
    def stamp(self) -> str:
        whole = json.dumps([self.plan["core"], self.plan["lay"]], sort_keys=True)
        return hashlib.sha256(whole.encode()).hexdigest()[:16]


def best(workshop: Workshop, run: PlanRun) -> Best:
    """The plan as it is to be cut: as it was last moved by hand, else with the shortest lay of all that were found.

    A search that was started after a move by hand counts again: somebody asked for it. A plan of an older form, whose
    page is still open, is made anew; lays that were found for it do not count.
    """
    own = run.plan if can_be_said(run.plan) else make_plan(run.job)
    lay_mm = own["lay"]["length_mm"] if own["lay"] else None
    chosen = {run.id: Chosen(None, lay_mm, None, [])}
    lay_run = None if run.just_made else _chosen(workshop, chosen)[run.id].lay_run
    return Best(own if lay_run is None else LayRun.of(workshop).get(pk=lay_run).plan or {}, lay_run)


def lays_known(workshop: Workshop, run: PlanRun) -> str:
    """A text that is another where another lay of a plan is known. One query; the plans stay in the database."""
    found_for = LayRun.of(workshop).filter(plan_run=run, plan__isnull=False).exclude(kind=LayRun.REST)
    known = [] if run.just_made else found_for.order_by("created_at", "id").values_list("id", "seq")
    return hashlib.sha256(" ".join(f"{id} {seq}" for id, seq in known).encode()).hexdigest()[:16]


LOOKED_AT = 50
"""Among so many of the last lays of a plan one of before is looked for."""


def as_it_was(actor: User, run: PlanRun, stamp: str) -> Best | None:
    """The plan with that stamp, on its own lay or on one that was found or laid by hand; None where there is none."""
    found_for = LayRun.of(actor.workshop).filter(plan_run=run, plan__isnull=False).exclude(kind=LayRun.REST)
    lays = [None, *found_for.order_by("-created_at").values_list("id", flat=True)[:LOOKED_AT]]
    for lay in lays:
        one = Best(run.plan if lay is None else LayRun.of(actor.workshop).get(pk=lay).plan or {}, lay)
        if can_be_said(one.plan) and one.stamp == stamp:
            return one
    return None


def searched(actor: User, run: PlanRun) -> tuple[Literal["none", "under_way", "done"], UUID | None]:
    """Whether a shorter lay of a plan was looked for, and the search that is under way or waits."""
    rows = LayRun.of(actor.workshop).filter(plan_run=run, kind__in=(LayRun.SHORTER, LayRun.HAND))
    last = None if run.just_made else rows.order_by("-created_at").values_list("id", "state", "changed_at").first()
    if last is None:
        return "none", None
    id, state, changed_at = last
    broken_off = state == LayRun.RUNNING and timezone.now() - changed_at > SILENT
    return ("under_way", id) if state in (LayRun.QUEUED, LayRun.RUNNING) and not broken_off else ("done", None)


def best_length(workshop: Workshop, run: UUID) -> float | None:
    """How long the lay of that plan is, in mm; None where there is none. The plans stay in the database."""
    own = PlanRun.of(workshop).filter(pk=run).values_list("plan__lay__length_mm", flat=True).first()
    return _chosen(workshop, {run: Chosen(None, own, None, [])})[run].lay_mm


@dataclass(frozen=True)
class Chosen:
    """The search or the lay by hand that a plan is cut by, None for its own lay: how long that is in mm, with the cloth
    it takes, both None without a lay; and what is found of it.
    """

    lay_run: UUID | None
    lay_mm: float | None
    length_mm: float | None
    findings: list[dict[str, Any]]


PARTS = "plan__lay__length_mm", "plan__yardage__length_mm", "plan__findings"


def _chosen(workshop: Workshop, own: dict[UUID, Chosen]) -> dict[UUID, Chosen]:
    """What each plan is cut by; `own` are the plans as they were made. One query; the plans stay in the database."""
    found_for = LayRun.of(workshop).filter(plan_run__in=own, plan__isnull=False).exclude(kind=LayRun.REST)
    chosen = dict(own)
    rows = found_for.order_by("created_at").values_list(
        "plan_run_id", "id", "kind", "plan__format", "plan__version", *PARTS
    )
    for plan, id, kind, form, version, lay_mm, length_mm, findings in rows:
        length = chosen[plan].lay_mm
        # One that is no shorter still knows better how short a lay can be.
        if can_be_said({"format": form, "version": version}) and (
            kind == LayRun.HAND or (length is not None and lay_mm <= length)
        ):
            chosen[plan] = Chosen(id, lay_mm, length_mm, findings or [])
    return chosen


def searching(actor: User, orders: Collection[UUID]) -> int:
    """How many searches for a shorter lay of these orders' plans are queued or running."""
    open_ = LayRun.of(actor.workshop).filter(state__in=(LayRun.QUEUED, LayRun.RUNNING), kind=LayRun.SHORTER)
    return open_.filter(plan_run__order__in=orders).count()


@dataclass(frozen=True)
class StoredPlan:
    """Of a stored plan as it is to be cut: how long its cloth is in mm (None where there is no lay), its findings, what
    is bought, the codes of its operations, how many pieces it has.
    """

    length_mm: float | None
    findings: list[dict[str, Any]]
    notions: list[dict[str, Any]]
    operations: list[str]
    pieces: int


def code_of(operation: str) -> str:
    """Which operation an id is of: after the garment's."""
    return operation.rpartition(".")[2]


def stored_plans(actor: User, hashes: dict[UUID, str]) -> dict[UUID, StoredPlan]:
    """What is asked of the plans of several orders, by order, each as its job stands: `hashes` are the jobs'.

    Two queries; the plans themselves stay in the database.
    """
    rows = PlanRun.of(actor.workshop).filter(order_id__in=hashes, job_hash__in=set(hashes.values()))
    whole = ("order_id", "job_hash", "id", "plan__notions", "operations", "pieces")
    parts = [part for part in rows.values_list(*whole, *PARTS) if hashes[part[0]] == part[1]]
    own = {part[2]: Chosen(None, lay_mm, length, found or []) for *part, lay_mm, length, found in parts}
    best = _chosen(actor.workshop, own)
    return {
        order: StoredPlan(best[id].length_mm, best[id].findings, notions or [], [*map(code_of, operations)], pieces)
        for order, _, id, notions, operations, pieces, *_ in parts
    }


def stored_plan(actor: User, order: UUID, job_hash: str) -> StoredPlan | None:
    """The same of one order; None where its job was not planned as it stands."""
    return stored_plans(actor, {order: job_hash}).get(order)
