"""The outbox: what clients are reminded of."""

from django.db import models

from shop.accounts.models import WorkshopRow
from shop.orders.models import Order


class Reminder(WorkshopRow):
    """A message to the client of an order, `about` the day of a fitting or what is to be paid: one of each, ever. It is
    sent with its own id, by which the gateway takes it once. `trouble` is why it was not taken.
    """

    WAITING, SENT, REFUSED, GIVEN_UP, HELD_BACK = "waiting", "sent", "refused", "given_up", "held_back"

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    kind = models.CharField(max_length=8)
    about = models.CharField(max_length=24, blank=True)
    to = models.CharField(max_length=250)
    text = models.CharField(max_length=500)
    state = models.CharField(max_length=10, default=WAITING)
    tries = models.PositiveSmallIntegerField(default=0)
    next_at = models.DateTimeField()
    sent_at = models.DateTimeField(null=True)
    trouble = models.CharField(max_length=12, blank=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["order", "kind", "about"], name="reminded_once")]
        indexes = [models.Index(fields=["state", "next_at"], name="reminders_that_wait")]
