"""A plan in words, as the text that is answered: kept for a while by each process, since its words are made anew at
each reading and many read the same plan.
"""

from typing import Any
from uuid import UUID

from django.core.cache import caches

from shop.bridge.words import LANGUAGE, said_plan


def plan_text(run: UUID, stamp: str, plan: dict[str, Any], unit: str) -> str:
    """The JSON of a stored plan in words. A plan is never changed: its id, the stamp of its lay and the unit say which
    text it is.
    """
    kept, key = caches["said"], f"{run}:{stamp}:{LANGUAGE}:{unit}"
    text = kept.get(key)
    if text is None:
        text = said_plan(plan, unit).model_dump_json(by_alias=True)
        kept.set(key, text)
    return str(text)
