"""A plan in words, as the text that is answered: kept for a while by each process, since its words are made anew at
each reading and many read the same plan.
"""

from typing import Any
from uuid import UUID

from django.core.cache import caches

from shop.accounts.models import Workshop
from shop.bridge.words import LANGUAGE, said_plan
from shop.plans.models import PlanRun
from shop.plans.queries import best, lays_known


def plan_text(run: UUID, stamp: str, plan: dict[str, Any], unit: str) -> str:
    """The JSON of a stored plan in words. A plan is never changed: its id, the stamp of its lay and the unit say which
    text it is.
    """
    text = _kept(run, stamp, unit)
    if text is None:
        text = said_plan(plan, unit).model_dump_json(by_alias=True)
        caches["said"].set(_key(run, stamp, unit), text)
    return text


def best_text(workshop: Workshop, run: PlanRun, unit: str) -> tuple[str, str]:
    """The stamp and the JSON of a plan as it is to be cut; as long as no other lay is known of it, the plan stays in
    the database.
    """
    key = f"{run.id}:{lays_known(workshop, run)}"
    stamp = caches["stamps"].get(key)
    text = None if stamp is None else _kept(run.id, stamp, unit)
    if text is None:
        found = best(workshop, run)
        stamp = found.stamp
        text = plan_text(run.id, stamp, found.plan, unit)
        caches["stamps"].set(key, stamp)
    return stamp, text


def _key(run: UUID, stamp: str, unit: str) -> str:
    return f"{run}:{stamp}:{LANGUAGE}:{unit}"


def _kept(run: UUID, stamp: str, unit: str) -> str | None:
    text: str | None = caches["said"].get(_key(run, stamp, unit))
    return text
