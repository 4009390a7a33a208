"""The cloth an order is cut from, and the cloths on the shelf."""

from django.db import models

from shop.accounts.models import WorkshopRow


class ClothRow(WorkshopRow):
    """What every cloth has: lengths are kept as typed, the core reads them."""

    kind = models.CharField(max_length=40)
    colour = models.CharField(max_length=7)
    width = models.CharField(max_length=40)
    length = models.CharField(max_length=40, blank=True)
    one_way = models.BooleanField(default=False)
    shrink_percent = models.CharField(max_length=8, blank=True)
    stretch_percent = models.CharField(max_length=8, blank=True)
    thickness = models.CharField(max_length=8, default="usual")
    pleated = models.BooleanField(default=False)
    selvedge = models.CharField(max_length=40, blank=True)
    trim = models.CharField(max_length=40, blank=True)
    spare = models.CharField(max_length=40, blank=True)
    repeat = models.CharField(max_length=40, blank=True)
    unit_of_sale = models.CharField(max_length=16, blank=True)
    price = models.CharField(max_length=16, blank=True)

    class Meta:
        abstract = True


class Cloth(ClothRow):
    """The cloth of one order, and how it is folded for it."""

    fold = models.CharField(max_length=24)
    sections = models.JSONField(default=dict, blank=True)


class ShelfCloth(ClothRow):
    """A cloth the workshop has: a bolt, a length, or an off-cut of a lay. A bolt's length may be unknown."""

    BOLT = "bolt"

    name = models.CharField(max_length=80)
    form = models.CharField(max_length=8)
    removed = models.BooleanField(default=False)
