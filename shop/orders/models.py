"""Orders and the garments in them."""

from django.db import models

from shop.accounts.models import WorkshopRow
from shop.clients.models import Client, Sheet
from shop.cloths.models import Cloth, ShelfCloth


class Order(WorkshopRow):
    """What one client is to get by one day, sewn to one sheet and cut from one cloth.

    `other_cloth` is what its garments say is cut from another: lining, contrast, or a whole garment. `shelf` is the
    cloth on the shelf that is kept for it. `group` is shared by the orders of the same outfit for several clients.
    `passed` are the stations where somebody chose, or looked and went on. `patterns` are the ids of the house patterns
    that are cut with its garments.
    """

    client = models.ForeignKey(Client, on_delete=models.PROTECT, related_name="+")
    sheet = models.ForeignKey(Sheet, on_delete=models.PROTECT, related_name="+")
    cloth = models.ForeignKey(Cloth, on_delete=models.PROTECT, related_name="+")
    other_cloth = models.ForeignKey(Cloth, null=True, on_delete=models.PROTECT, related_name="+")
    shelf = models.ForeignKey(ShelfCloth, null=True, on_delete=models.SET_NULL, related_name="+")
    title = models.CharField(max_length=120)
    promised_on = models.DateField()
    group = models.UUIDField(null=True, db_index=True)
    passed = models.JSONField(default=list)
    patterns = models.JSONField(default=list)


class Step(WorkshopRow):
    """A state that somebody gave an order by hand; the last one that is not undone counts."""

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    state = models.CharField(max_length=12)
    undone = models.BooleanField(default=False)

    class Meta:
        indexes = [models.Index(fields=["order", "created_at"], name="steps_of_an_order")]


class Moved(WorkshopRow):
    """That the promised day of an order was moved: from which, to which, and why."""

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    was = models.DateField()
    to = models.DateField()
    reason = models.CharField(max_length=120, blank=True)

    class Meta:
        verbose_name_plural = "moved days"
        indexes = [models.Index(fields=["order", "created_at"], name="days_of_an_order")]


class Cut(WorkshopRow):
    """So much was cut off a cloth of the shelf for an order, which `was` so long and has so much `left`."""

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    shelf = models.ForeignKey(ShelfCloth, on_delete=models.CASCADE, related_name="+")
    length_mm = models.FloatField()
    was = models.CharField(max_length=40, blank=True)
    left = models.CharField(max_length=40, blank=True)
    undone = models.BooleanField(default=False)

    class Meta:
        constraints = [
            models.UniqueConstraint(fields=["order"], condition=models.Q(undone=False), name="cut_once"),
        ]


class Pattern(WorkshopRow):
    """A house pattern: pieces that were drawn elsewhere, as a job has them, kept to be cut for any client.

    One that is `removed` is on no list any more; the orders that have it are cut as they were.
    """

    name = models.CharField(max_length=60)
    pieces = models.JSONField(default=list)
    removed = models.BooleanField(default=False)
    MOST = 500


class HouseRule(WorkshopRow):
    """Choices that the workshop has given a name, to be used again for any client.

    One that is `usual` is what a new garment of its method starts from.
    """

    name = models.CharField(max_length=60)
    method = models.CharField(max_length=40)
    choices = models.JSONField(default=dict)
    usual = models.BooleanField(default=False)
    removed = models.BooleanField(default=False)
    MOST = 500


class Garment(WorkshopRow):
    """One garment of an order: style, method, and the choices that differ from the method's own.

    A jumpsuit has no method of its own: its choices are `top` and `lower`, each with style, method and choices.
    """

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    name = models.CharField(max_length=40)
    style = models.CharField(max_length=40)
    method = models.CharField(max_length=40)
    choices = models.JSONField(default=dict)
    removed = models.BooleanField(default=False)
