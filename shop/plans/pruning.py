"""
Old plans go: they are made again from their order in no time, and each is as large as all else of an order together.
What stays is what somebody chalked by, and what may be looked at by a link; as long as an order is on the bench also
its newest plan, and those that are plotted or whose lay somebody moved by hand or asked to be shortened. What was
agreed on is kept with the quote.
"""

from datetime import datetime, timedelta

from django.db.models import Exists, OuterRef, Q, QuerySet, Subquery, TextField, Value
from django.db.models.fields.json import KT
from django.db.models.functions import Coalesce

from shop.orders.models import Step
from shop.orders.queries import GONE
from shop.plans.models import LayRun, PlanRun, Plot

AGE = timedelta(days=30)
AT_ONCE = 200
"""So many are taken away in one step, so that nobody waits for it."""


def old_plans(now: datetime) -> QuerySet[PlanRun]:
    """Plans of all workshops that nobody needs any longer."""
    before = now - AGE
    # The queue carries no workshop: it serves all of them.
    every = PlanRun._base_manager.annotate(cut_from=Coalesce(KT("job__cut_from"), Value("main", TextField())))
    newer = every.filter(
        order=OuterRef("order"), cut_from=OuterRef("cut_from"), others=OuterRef("others"),
        created_at__gt=OuterRef("created_at"),
    )  # fmt: skip
    worked_at = LayRun._base_manager.filter(plan_run=OuterRef("pk"), auto=False)
    plotted = Plot._base_manager.filter(plan_run=OuterRef("pk"))
    last = Step._base_manager.filter(order=OuterRef("order"), undone=False).order_by("-created_at", "id")
    old = every.filter(held=False, created_at__lt=before).exclude(link_ends__gt=now).annotate(
        step=Subquery(last.values("state")[:1]), step_at=Subquery(last.values("created_at")[:1])
    )  # fmt: skip
    has_left = Q(step__in=GONE, step_at__lt=before)
    return old.filter(has_left | Q(Exists(newer), ~Exists(worked_at), ~Exists(plotted)))


def prune(now: datetime) -> int:
    """Take them away; how many there were."""
    gone = 0
    while some := list(old_plans(now).values_list("pk", flat=True)[:AT_ONCE]):
        # A plan is large: what goes is not read first.
        PlanRun._base_manager.filter(pk__in=some).only("pk").delete()
        gone += len(some)
    return gone
