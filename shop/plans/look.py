"""A plan for somebody who has no account, such as a sewer at home: by a signed link that ends, and without a name."""

from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any
from uuid import UUID, uuid4

from django.core import signing
from django.db import transaction
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User, Workshop
from shop.accounts.rights import allow
from shop.accounts.writing import locked, own
from shop.plans.models import PlanRun
from shop.plans.pace import check_looks
from shop.plans.queries import best

SALT = "plavet.look"
MOST_DAYS = 30


@dataclass(frozen=True)
class Link:
    """What opens a plan, and when it ends."""

    token: str
    until: datetime


@dataclass(frozen=True)
class Look:
    """What a link shows: the workshop, the order's title, the plan as it is to be cut now, and until when."""

    workshop: Workshop
    title: str
    plan: dict[str, Any]
    until: datetime


def link_of(actor: User, plan_run: UUID) -> Link | None:
    """The link to a plan; None where there is none, or it has ended."""
    allow(actor, "orders")
    run = own(PlanRun, actor, plan_run)
    if run.link is None or run.link_ends is None or run.link_ends <= timezone.now():
        return None
    secret = [str(actor.workshop.id), str(run.id), str(run.link)]
    return Link(signing.Signer(salt=SALT).sign_object(secret), run.link_ends)


@transaction.atomic
def make_link(*, actor: User, plan_run: UUID, days: int) -> Link:
    """A link to a plan that ends after `days`, 1 to 30: the one there is, where it has not ended. Until then the plan
    is kept.
    """
    allow(actor, "orders")
    run = locked(PlanRun, actor, plan_run)
    now = timezone.now()
    if run.link is None or run.link_ends is None or run.link_ends <= now:
        run.link = uuid4()
    run.link_ends = now + timedelta(days=min(max(days, 1), MOST_DAYS))
    run.save(update_fields=["link", "link_ends"])
    made = link_of(actor, plan_run)
    assert made is not None
    return made


@transaction.atomic
def end_link(*, actor: User, plan_run: UUID) -> None:
    """Who has the link sees the plan no more; a new link is another one."""
    allow(actor, "orders")
    run = locked(PlanRun, actor, plan_run)
    run.link = run.link_ends = None
    run.save(update_fields=["link", "link_ends"])


def looked_at(token: str) -> Look:
    """What a link leads to. Raises Http404 where it has ended, is none of ours, or its plan is gone; TooOftenError."""
    try:
        workshop, plan_run, link = signing.Signer(salt=SALT).unsign_object(token)
    except (signing.BadSignature, ValueError) as error:
        raise Http404 from error
    row = Workshop.objects.filter(pk=workshop).first()
    run = PlanRun.of(row).filter(pk=plan_run).select_related("order").first() if row is not None else None
    if row is None or run is None or run.link_ends is None or str(run.link) != link or run.link_ends < timezone.now():
        raise Http404
    check_looks(run.id)
    return Look(row, run.order.title, best(row, run).plan, run.link_ends)
