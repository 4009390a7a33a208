"""A plan for somebody who has no account, such as a sewer at home: by a signed link that ends, and without a name."""

from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any
from uuid import UUID

from django.core import signing
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User, Workshop
from shop.accounts.rights import allow
from shop.accounts.writing import own
from shop.plans.models import PlanRun
from shop.plans.queries import best

SALT = "plavet.look"
MOST_DAYS = 30


@dataclass(frozen=True)
class Look:
    """What a link shows: the workshop, the order's title, the plan as it is to be cut now, and until when."""

    workshop: Workshop
    title: str
    plan: dict[str, Any]
    until: datetime


def link(*, actor: User, plan_run: UUID, days: int) -> tuple[str, datetime]:
    """The secret of a link to a plan, and when it ends: after `days`, 1 to 30. The plan is kept with its order."""
    allow(actor, "orders")
    run = own(PlanRun, actor, plan_run)
    PlanRun.of(actor.workshop).filter(pk=run.id).update(held=True)
    until = timezone.now() + timedelta(days=min(max(days, 1), MOST_DAYS))
    secret = [str(actor.workshop.id), str(run.id), int(until.timestamp())]
    return signing.dumps(secret, salt=SALT), until


def looked_at(token: str) -> Look:
    """What a link leads to. Raises Http404 where it has ended, is none of ours, or its plan is gone."""
    try:
        workshop, plan_run, ends = signing.loads(token, salt=SALT)
    except (signing.BadSignature, ValueError) as error:
        raise Http404 from error
    until = datetime.fromtimestamp(ends, tz=timezone.get_default_timezone())
    row = Workshop.objects.filter(pk=workshop).first()
    run = PlanRun.of(row).filter(pk=plan_run).select_related("order").first() if row is not None else None
    if row is None or run is None or until < timezone.now():
        raise Http404
    return Look(row, run.order.title, best(row, run).plan, until)
