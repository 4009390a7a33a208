"""Writes about plans: made once for a job and kept; searches for a shorter lay."""

import hashlib
import json
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import timedelta
from typing import Any
from uuid import UUID, uuid4

from django.db import IntegrityError, transaction
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import own
from shop.bridge.drafting import CORE_VERSION, check_hand, job_garment, make_plan, make_widths, plan_by_hand
from shop.clients.queries import measures
from shop.cloths.actions import FIELDS, job_part
from shop.cloths.models import Cloth
from shop.orders.group import members
from shop.orders.models import Cut, Order
from shop.orders.shelf import ShelfError, cut
from shop.orders.whole import WholeOrder, whole_order, whole_orders
from shop.plans.models import LayRun, PlanRun
from shop.plans.queries import best_plan
from shop.plans.tasks import improve_lay

LONGEST = 600
"""The longest a search may take, in seconds."""
DEAD = timedelta(seconds=5)
"""A search that said nothing for so long has no worker."""


def job_of(actor: User, order: Order, cut_from: str = "main") -> dict[str, Any]:
    """The order as a job file, without the client's name; `cut_from` says for which of its cloths."""
    return job_from(actor, whole_order(actor, order), cut_from)


def job_from(actor: User, whole: WholeOrder, cut_from: str = "main") -> dict[str, Any]:
    """The same of an order that was read whole."""
    order, second = whole.order, whole.other_cloth
    other = {"other_cloth": _cloth(second)} if second else {}
    return {
        "format": "plavet-job",
        "version": 1,
        "unit": actor.workshop.unit,
        "measurements": measures(whole.readings),
        "garments": [
            job_garment(garment.name, garment.style, garment.method, garment.choices, order.sheet.waist)
            for garment in whole.garments
        ],
        "cloth": _cloth(order.cloth), **other, **({"cut_from": cut_from} if cut_from != "main" else {}),
    }  # fmt: skip


def _cloth(cloth: Cloth) -> dict[str, Any]:
    return job_part({key: getattr(cloth, key) for key in FIELDS})


def hash_of(job: dict[str, Any]) -> str:
    """What a plan is stored under: the job as it stands, by this core."""
    return hashlib.sha256(json.dumps([CORE_VERSION, job], sort_keys=True).encode()).hexdigest()


def plan_order(*, actor: User, order: Order, cut_from: str = "main") -> PlanRun:
    """The plan of the order as it stands: the stored one where nothing changed, else made now. Raises CoreRefusal."""
    return _stored_or_made(actor, order, job_of(actor, order, cut_from))


def plan_together(*, actor: User, order: Order) -> PlanRun:
    """The outfits of the order's group on its cloth: of everybody who has the same cloth and is planned. Raises
    CoreRefusal.
    """
    plan_order(actor=actor, order=order)
    others = together(actor, order)
    outfits = []
    for one in others:
        job = job_from(actor, one)
        outfits.append({"id": outfit_id(one.order), "measurements": job["measurements"], "garments": job["garments"]})
    job = job_of(actor, order) | ({"others": outfits} if outfits else {})
    return _stored_or_made(actor, order, job, [str(one.order.id) for one in others])


def together(actor: User, order: Order) -> list[WholeOrder]:
    """The other orders of its group that are planned as they stand and have the same cloth, by the clients' names."""
    cloth = order.cloth
    alike = members(actor, order).exclude(pk=order.pk).filter(
        cloth__kind=cloth.kind, cloth__colour=cloth.colour, cloth__width=cloth.width
    )  # fmt: skip
    wholes = whole_orders(actor, list(alike))
    stored = stored_plans(actor, {one.order.id: hash_of(job_from(actor, one)) for one in wholes})
    return [one for one in wholes if one.order.id in stored]


def outfit_id(order: Order) -> str:
    """What an order is called on a cloth that several are cut from."""
    return order.id.hex[:12]


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


def _stored_or_made(actor: User, order: Order, job: dict[str, Any], others: Sequence[str] = ()) -> PlanRun:
    digest = hash_of(job)
    stored = PlanRun.of(actor.workshop).filter(order=order, job_hash=digest).first()
    if stored is not None:
        return stored
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
            _forget_old(actor, order)
    except IntegrityError:
        return PlanRun.of(actor.workshop).get(order=order, job_hash=digest)
    return made


KEPT = 12
"""How many plans of an order are kept besides those that somebody searched for or laid by hand."""


def _forget_old(actor: User, order: Order) -> None:
    """Plans nobody worked at but the newest go: one is made at each change of a choice, and made again in no time."""
    plain = PlanRun.of(actor.workshop).filter(order=order).exclude(
        pk__in=LayRun.of(actor.workshop).filter(plan_run__order=order).values("plan_run")
    )  # fmt: skip
    old = plain.order_by("-created_at").values_list("pk", flat=True)[KEPT:]
    PlanRun.of(actor.workshop).filter(pk__in=list(old)).delete()


def widths_of(*, actor: User, plan_run: UUID) -> list[dict[str, Any]]:
    """What the pieces of a plan need on cloth of other widths: worked out once, then kept."""
    run = own(PlanRun, actor, plan_run)
    if run.widths is None:
        run.widths = make_widths(run.job)
        PlanRun.of(actor.workshop).filter(pk=run.id).update(widths=run.widths)
    return list(run.widths)


def start_lay_run(
    *,
    actor: User,
    id: UUID,
    plan_run: UUID,
    seconds: int = 10,
    seed: int = 1,
    kind: str = LayRun.SHORTER,
    hand: dict[str, Any] | None = None,
) -> LayRun:
    """Queue a search for a shorter lay, for savings of cloth, or for the rest around pinned pieces; the same id
    again is the same search. Raises CoreRefusal where pieces in `hand` could not be cut as they are placed.
    """
    allow(actor, "lays")
    with transaction.atomic():
        plan = own(PlanRun, actor, plan_run)
        known = LayRun.of(actor.workshop).filter(pk=id).first()
        if known is not None:
            return known
        run = LayRun(
            id=id, workshop=actor.workshop, changed_by=actor, plan_run=plan, seconds=seconds, seed=seed, kind=kind,
            hand=hand,
        )  # fmt: skip
        if hand is not None:
            check_hand(plan.job, hand)
        run.save(force_insert=True)
        improve_lay.defer(lay_run=str(run.id))
    return run


def stop_lay_run(*, actor: User, id: UUID) -> LayRun:
    """Ask a search to end; what it found stays. One that nobody works at any more ends here."""
    allow(actor, "lays")
    run = own(LayRun, actor, id)
    asked = LayRun.of(actor.workshop).filter(pk=run.id)
    asked.update(stop_asked=True)
    asked.filter(state=LayRun.RUNNING, changed_at__lt=timezone.now() - DEAD).update(state=LayRun.STOPPED)
    run.refresh_from_db()
    return run


def put_hand_lay(*, actor: User, id: UUID, plan_run: UUID, placements: list[dict[str, Any]]) -> PlanRun:
    """Lay a plan's pieces as they were moved by hand; the same id again is the same lay.

    Raises CoreRefusal where it could not be cut so.
    """
    allow(actor, "lays")
    run = own(PlanRun, actor, plan_run)
    if not LayRun.of(actor.workshop).filter(pk=id).exists():
        plan = plan_by_hand(run.job, placements)
        LayRun(
            id=id, workshop=actor.workshop, changed_by=actor, plan_run=run, kind=LayRun.HAND, state=LayRun.DONE,
            plan=plan, lay=plan["lay"],
        ).save(force_insert=True)  # fmt: skip
    return run


def cut_plan(*, actor: User, id: UUID, plan_run: UUID) -> Cut:
    """Take what a plan's lay needs, not rounded up, off the cloth that is kept for its order. Raises ShelfError."""
    allow(actor, "lays")
    run = own(PlanRun, actor, plan_run)
    needs = best_plan(actor, run)["yardage"]
    if run.job.get("cut_from") == "other":
        raise ShelfError("The cloth of the shelf is the order's main one; this is cut from its other.")
    if needs is None:
        raise ShelfError("Nothing is laid yet: choose another fold or a wider cloth first.")
    return cut(actor=actor, id=id, order=run.order_id, length_mm=needs["length_mm"])
