"""Plans as they were made, and the work of shortening their lays."""

from typing import Any

from django.db import models
from django.db.models.signals import pre_delete
from django.dispatch import receiver

from shop.accounts.models import WorkshopRow
from shop.orders.models import Order
from shop.plans.quick_json import QuickJson


class PlanRun(WorkshopRow):
    """A plan with the job it was made from. Never changed; holds measurements but no name or contact.

    `operations` are the ids of what is sewn, and how many `pieces` it has: what is scheduled of it, so that the plan
    itself need not be read for that. `others` are the ids of more orders whose outfits are cut from the same cloth: it
    goes when any of them goes. `widths`, the same pieces on other cloth, is worked out when it is first asked for. One
    that is `held` is not forgotten, for somebody chalked by it; nor one that may be looked at by a `link` until
    `link_ends`.
    """

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    job_hash = models.CharField(max_length=64)
    job = models.JSONField()
    plan = models.JSONField(encoder=QuickJson)
    operations = models.JSONField(default=list)
    pieces = models.PositiveIntegerField(default=0)
    widths = models.JSONField(null=True)
    others = models.JSONField(default=list)
    held = models.BooleanField(default=False)
    link = models.UUIDField(null=True)
    link_ends = models.DateTimeField(null=True)
    just_made = False
    """Whether this request made it, so that nobody can have looked for a shorter lay of it yet: never kept."""

    class Meta:
        constraints = [models.UniqueConstraint(fields=["order", "job_hash"], name="one_plan_a_job")]


@receiver(pre_delete, sender=Order)
def _forget(instance: Order, **_: Any) -> None:
    """What was planned for several clients holds measurements of each of them."""
    PlanRun.of(instance.workshop).filter(others__contains=[str(instance.id)]).delete()


class LayRun(WorkshopRow):
    """One search for a shorter lay of a plan. `seq` grows with each thing the page may show.

    `bound_mm` is the length nothing can beat, as far as it is proved; `proved` where the lay is no longer than that.

    One of the kind `savings` tries what would make the cloth in hand enough: what it `found` is a list of savings.
    One of the kind `rest` sets out from where somebody laid the pieces (`hand`: placements, and which of them are
    pinned); it is shown to who asked for it, and is not the plan's lay before it is kept.
    One of the kind `hand` is no search: its plan is as somebody moved the pieces.
    Each worker that begins it makes `taken` one more: one that was cut off and comes back writes nothing over what
    another did.
    One that is `auto` was asked for by nobody: it is begun once for a plan that is looked at, stands behind all others,
    and where somebody asks for one it `gives_way` and begins again after it.
    """

    SHORTER, SAVINGS, REST, HAND = "shorter", "savings", "rest", "hand"
    QUEUED, RUNNING, DONE, STOPPED, FAILED = "queued", "running", "done", "stopped", "failed"

    plan_run = models.ForeignKey(PlanRun, on_delete=models.CASCADE, related_name="+")
    state = models.CharField(max_length=8, default=QUEUED)
    seq = models.PositiveIntegerField(default=0)
    taken = models.PositiveIntegerField(default=0)
    tried = models.PositiveIntegerField(default=0)
    gone_ms = models.PositiveIntegerField(default=0)
    bound_mm = models.FloatField(null=True)
    proved = models.BooleanField(default=False)
    lay = models.JSONField(null=True)
    plan = models.JSONField(null=True, encoder=QuickJson)
    stop_asked = models.BooleanField(default=False)
    auto = models.BooleanField(default=False)
    gives_way = models.BooleanField(default=False)
    seconds = models.PositiveSmallIntegerField(default=10)
    seed = models.PositiveIntegerField(default=1)
    kind = models.CharField(max_length=8, default=SHORTER)
    found = models.JSONField(default=list)
    hand = models.JSONField(null=True)

    class Meta:
        verbose_name_plural = "searches and lays by hand"


class Plot(WorkshopRow):
    """The pieces of a plan on their way to the plotter: their names in order, how many of them are `drawn`; the trouble
    for which it waits.
    """

    RUNNING, WAITING, DONE, STOPPED = "running", "waiting", "done", "stopped"
    OPEN = (RUNNING, WAITING)

    plan_run = models.ForeignKey(PlanRun, on_delete=models.CASCADE, related_name="+")
    state = models.CharField(max_length=8, default=RUNNING)
    pieces = models.JSONField(default=list)
    drawn = models.PositiveIntegerField(default=0)
    trouble = models.CharField(max_length=8, blank=True)
