"""What was chalked on cloth, by which plan, and that it was cut. Ticks are added, never changed."""

from django.db import models

from shop.accounts.models import User, WorkshopRow
from shop.orders.models import Order
from shop.plans.models import PlanRun


class Chalking(WorkshopRow):
    """A cloth of an order that somebody began to chalk: from the first tick on Mark, the card and Check read this plan.

    `plan` is as it was to be cut then, with the lay that was the best, `lay_mm` long, None where there is none, and
    has so many `calls`. One that was rubbed out stays, with its ticks.
    """

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    cut_from = models.CharField(max_length=5)
    plan_run = models.ForeignKey(PlanRun, on_delete=models.CASCADE, related_name="+")
    plan = models.JSONField()
    stamp = models.CharField(max_length=16)
    lay_mm = models.FloatField(null=True)
    calls = models.PositiveSmallIntegerField()
    rubbed_out_at = models.DateTimeField(null=True)
    cut_at = models.DateTimeField(null=True)
    cut_by = models.ForeignKey(User, null=True, on_delete=models.SET_NULL, related_name="+")

    class Meta:
        verbose_name_plural = "chalked cloths"
        constraints = [
            models.UniqueConstraint(
                fields=["order", "cut_from"], condition=models.Q(rubbed_out_at=None), name="chalked_by_one_plan"
            ),
        ]


class Tick(WorkshopRow):
    """That a call, by its number in the plan, was chalked; or, where it was not `chalked` after all, rubbed out."""

    chalking = models.ForeignKey(Chalking, on_delete=models.CASCADE, related_name="+")
    call = models.PositiveSmallIntegerField()
    chalked = models.BooleanField(default=True)

    class Meta:
        verbose_name_plural = "ticks"
        indexes = [models.Index(fields=["chalking", "call", "created_at"], name="ticks_of_a_call")]


class TapeReading(WorkshopRow):
    """What a control tape of a piece read: its number among the piece's tapes, as typed, empty where it was as called.

    `off_mm` is by how much it is more than what was called. Added, never changed: the last of a tape counts.
    """

    chalking = models.ForeignKey(Chalking, on_delete=models.CASCADE, related_name="+")
    garment = models.CharField(max_length=80)
    panel = models.CharField(max_length=40)
    tape = models.PositiveSmallIntegerField()
    typed = models.CharField(max_length=40, blank=True)
    mm = models.FloatField()
    off_mm = models.FloatField()

    class Meta:
        verbose_name_plural = "control tapes"
        indexes = [models.Index(fields=["chalking", "garment", "panel"], name="tapes_of_a_piece")]
