"""Clients, their measurement sheets and every reading of the tape."""

from django.db import models

from shop.accounts.models import WorkshopRow


class Client(WorkshopRow):
    """Somebody the workshop sews for."""

    name = models.CharField(max_length=120)
    phone = models.CharField(max_length=40, blank=True)
    note = models.TextField(max_length=2000, blank=True)

    def __str__(self) -> str:
        return self.name


class Sheet(WorkshopRow):
    """One dated measuring. Open: readings are appended, the last one counts. Closed: nothing changes any more."""

    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="+")
    taken_on = models.DateField()
    unit = models.CharField(max_length=2)
    closed_at = models.DateTimeField(null=True)


class Reading(WorkshopRow):
    """One number read off the tape: the text as typed, and the millimetres it means, unrounded.

    Never updated; an empty text takes the point off the sheet again.
    """

    sheet = models.ForeignKey(Sheet, on_delete=models.CASCADE, related_name="+")
    key = models.CharField(max_length=40)
    typed = models.CharField(max_length=40, blank=True)
    mm = models.DecimalField(max_digits=12, decimal_places=6, null=True)

    class Meta:
        indexes = [models.Index(fields=["sheet", "created_at"])]
