"""A workshop's prices, quotes of its orders, and the money that changed hands."""

from typing import Any

from django.db import models
from django.db.models.signals import pre_delete
from django.dispatch import receiver

from shop.accounts.models import WorkshopRow
from shop.orders.models import Order


class Prices(WorkshopRow):
    """What a workshop takes, one row each: for an hour's work, for what is bought besides cloth by its code; amounts as
    they are written, those of lengths for one yard or one metre as `unit` says. A total is rounded to a multiple of
    `step`; `tax_within` says that prices have the tax in them.
    """

    unit = models.CharField(max_length=2)
    rate = models.CharField(max_length=20, blank=True)
    notions = models.JSONField(default=dict)
    step = models.CharField(max_length=6, blank=True)
    tax = models.CharField(max_length=30, blank=True)
    tax_percent = models.CharField(max_length=8, blank=True)
    tax_within = models.BooleanField(default=True)

    class Meta:
        verbose_name_plural = "prices"
        constraints = [models.UniqueConstraint(fields=["workshop"], name="one_price_list")]


class Quote(WorkshopRow):
    """A quote of an order: what was typed of it, `extras` as names and amounts. What the rest costs is worked out anew
    until it is agreed; then its `lines` and its `total` stay as they are, and a newer quote is another row.
    """

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    extras = models.JSONField(default=list)
    discount = models.CharField(max_length=20, blank=True)
    fitting = models.BooleanField(default=False)
    agreed_at = models.DateTimeField(null=True)
    lines = models.JSONField(default=list)
    total = models.DecimalField(max_digits=14, decimal_places=4, null=True)
    currency = models.CharField(max_length=8, blank=True)

    class Meta:
        constraints = [
            models.UniqueConstraint(
                fields=["order"], condition=models.Q(agreed_at__isnull=True), name="one_open_quote_an_order"
            )
        ]
        indexes = [models.Index(fields=["order", "-agreed_at"], name="quotes_of_an_order")]


class Payment(WorkshopRow):
    """Money that changed hands for an order, less than nothing where it was given back. Never changed, never deleted: a
    mistake is a line `against` it. Its receipt has a `number`, from 1 on in each year without a gap. Where the client
    is erased the amount and the day stay.
    """

    order = models.ForeignKey(Order, null=True, on_delete=models.SET_NULL, related_name="+")
    kind = models.CharField(max_length=10)
    way = models.CharField(max_length=5)
    amount = models.DecimalField(max_digits=14, decimal_places=4)
    currency = models.CharField(max_length=8, blank=True)
    day = models.DateField()
    note = models.CharField(max_length=120, blank=True)
    against = models.OneToOneField("self", null=True, on_delete=models.PROTECT, related_name="+")
    year = models.PositiveSmallIntegerField()
    number = models.PositiveIntegerField()

    class Meta:
        constraints = [models.UniqueConstraint(fields=["workshop", "year", "number"], name="receipts_without_a_gap")]
        indexes = [models.Index(fields=["order", "created_at"], name="payments_of_an_order")]


@receiver(pre_delete, sender=Order)
def _forget_notes(instance: Order, **_: Any) -> None:
    """What was written beside money could say whose it was."""
    Payment.of(instance.workshop).filter(order=instance).update(note="")
