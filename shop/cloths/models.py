"""The cloth an order is cut from."""

from django.db import models

from shop.accounts.models import WorkshopRow


class Cloth(WorkshopRow):
    """One cloth: lengths are kept as typed, the core reads them."""

    kind = models.CharField(max_length=40)
    colour = models.CharField(max_length=7)
    width = models.CharField(max_length=40)
    length = models.CharField(max_length=40, blank=True)
    fold = models.CharField(max_length=24)
    one_way = models.BooleanField(default=False)
    shrink_percent = models.CharField(max_length=8, blank=True)
    stretch_percent = models.CharField(max_length=8, blank=True)
    thickness = models.CharField(max_length=8, default="usual")
    pleated = models.BooleanField(default=False)
