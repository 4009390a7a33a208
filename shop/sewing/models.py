"""What was sewn. Ticks are added, never changed: of an operation the last counts."""

from django.db import models

from shop.accounts.models import WorkshopRow
from shop.orders.models import Order


class Sewn(WorkshopRow):
    """That an operation of an order, by its id in the plan, was done; or, where it is not `sewn`, unpicked.

    Where something was measured, `readings` has it: `typed` and `mm` by what was measured, and what it means, `judged`.
    `took` is how many minutes it was, where it was said when it was begun.
    """

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    operation = models.CharField(max_length=120)
    sewn = models.BooleanField(default=True)
    readings = models.JSONField(default=dict)
    took = models.FloatField(null=True)

    class Meta:
        verbose_name_plural = "steps of sewing"
        indexes = [
            models.Index(fields=["order", "operation", "created_at"], name="sewn_of_an_order"),
            models.Index(fields=["workshop", "-created_at"], name="sewn_lately"),
        ]
