"""Clients, their measurement sheets and every reading of the tape."""

from django.contrib.postgres.indexes import GinIndex, OpClass
from django.db import models

from shop.accounts.models import WorkshopRow


class Client(WorkshopRow):
    """Somebody the workshop sews for. `sound` and `phone_digits` are what the book is searched by."""

    name = models.CharField(max_length=120)
    phone = models.CharField(max_length=120, blank=True)
    email = models.CharField(max_length=250, blank=True)
    note = models.TextField(max_length=2000, blank=True)
    leave_be = models.CharField(max_length=800, blank=True)
    keeps_measures = models.BooleanField(default=False)
    takes_reminders = models.BooleanField(default=False)
    archived = models.BooleanField(default=False)
    sound = models.CharField(max_length=160, blank=True, editable=False)
    phone_digits = models.CharField(max_length=120, blank=True, editable=False)
    MOST = 50_000

    class Meta:
        indexes = [
            GinIndex(OpClass(models.F("sound"), name="gin_trgm_ops"), name="client_by_sound"),
            GinIndex(OpClass(models.F("phone_digits"), name="gin_trgm_ops"), name="client_by_phone"),
            models.Index(fields=["workshop", "archived", "name", "id"], name="client_by_name"),
        ]

    def __str__(self) -> str:
        return self.name


class Sheet(WorkshopRow):
    """One dated measuring. Open: readings are appended, the last one counts. Closed: nothing changes any more.

    `waist` is where the waist was for it; `corrects` the closed sheet it puts right.
    """

    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="+")
    taken_on = models.DateField()
    unit = models.CharField(max_length=2)
    waist = models.CharField(max_length=8, default="worn")
    corrects = models.ForeignKey("self", null=True, on_delete=models.SET_NULL, related_name="+")
    closed_at = models.DateTimeField(null=True)


class Reading(WorkshopRow):
    """One number read off the tape: the text as typed, and the millimetres it means, unrounded.

    Never updated; an empty text takes the point off the sheet again, with `note` as the reason it was skipped. `way` is
    `tape`, or the code of the second way it was estimated by.
    """

    sheet = models.ForeignKey(Sheet, on_delete=models.CASCADE, related_name="+")
    key = models.CharField(max_length=40)
    typed = models.CharField(max_length=40, blank=True)
    mm = models.DecimalField(max_digits=12, decimal_places=6, null=True)
    way = models.CharField(max_length=24, default="tape")
    note = models.CharField(max_length=120, blank=True)

    class Meta:
        indexes = [models.Index(fields=["sheet", "created_at"])]


class Overruling(WorkshopRow):
    """A doubt about one value that was looked into: measured twice, it is right. Never changed."""

    sheet = models.ForeignKey(Sheet, on_delete=models.CASCADE, related_name="+")
    key = models.CharField(max_length=40)
    mm = models.DecimalField(max_digits=12, decimal_places=6)


class Correction(WorkshopRow):
    """What was found at a client's fitting on a day, and what it changes in the client's next drafts.

    `changes` are choices of a `kind` of garment, each by so many mm, on a `side` or both; `order` where it was seen,
    with the `garment`'s name there and the `method` it was drafted by. `only` where it holds for that garment alone.
    One that is `removed` was dropped.
    """

    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="+")
    fitted_on = models.DateField()
    kind = models.CharField(max_length=12)
    method = models.CharField(max_length=40, blank=True)
    sign = models.CharField(max_length=40)
    cure = models.CharField(max_length=40)
    pinned = models.CharField(max_length=40)
    changes = models.JSONField()
    side = models.CharField(max_length=5, default="both")
    reason = models.CharField(max_length=200, blank=True)
    order = models.UUIDField(null=True)
    garment = models.CharField(max_length=40, blank=True)
    only = models.BooleanField(default=False)
    removed = models.BooleanField(default=False)
    MOST = 200_000

    class Meta:
        indexes = [models.Index(fields=["client", "removed"], name="corrections_of_a_client")]


class FittingPhoto(WorkshopRow):
    """A picture of a client at a fitting of an `order`, as a JPEG of its pixels alone."""

    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="+")
    order = models.UUIDField()
    taken_on = models.DateField()
    picture = models.BinaryField()
    MOST = 20_000

    class Meta:
        verbose_name_plural = "photos"
        indexes = [models.Index(fields=["workshop", "order"], name="photos_of_an_order")]


class HouseCorrection(WorkshopRow):
    """What was found at `found` of so many `fittings` of a kind of garment by a method, and was made a rule of the
    house: a `choice` is changed by so many mm in the drafts of every client who has no correction of it.
    """

    kind = models.CharField(max_length=12)
    method = models.CharField(max_length=40)
    choice = models.CharField(max_length=40)
    by = models.CharField(max_length=24)
    found = models.PositiveIntegerField()
    fittings = models.PositiveIntegerField()
    removed = models.BooleanField(default=False)
    MOST = 500

    class Meta:
        constraints = [
            models.UniqueConstraint(
                fields=["workshop", "kind", "method", "choice"],
                condition=models.Q(removed=False),
                name="one_of_a_choice",
            )
        ]


class Erasure(WorkshopRow):
    """That a client was erased, when and by whom; nothing of the client."""

    sheets = models.PositiveIntegerField()
    orders = models.PositiveIntegerField()


class Seen(WorkshopRow):
    """That the person in `changed_by` was shown, or took along, something of a client on a day, and how often.

    `what` is a code of clients/seen.py; without a client it was the whole list. `changed_at` is the last time.
    """

    client = models.ForeignKey(Client, null=True, on_delete=models.CASCADE, related_name="+")
    what = models.CharField(max_length=12)
    day = models.DateField()
    times = models.PositiveIntegerField(default=1)

    class Meta:
        constraints = [
            models.UniqueConstraint(
                fields=["workshop", "changed_by", "client", "what", "day"], name="seen_once_a_day", nulls_distinct=False
            )
        ]
        indexes = [models.Index(fields=["workshop", "-changed_at"], name="seen_lately")]


class Tape(WorkshopRow):
    """A digital tape paired with the person in `changed_by`: the last reading it sent, and its last sign of life."""

    code = models.CharField(max_length=12, unique=True)
    seq = models.PositiveIntegerField(default=0)
    typed = models.CharField(max_length=40, blank=True)
    sent_id = models.UUIDField(null=True)
    heard_at = models.DateTimeField(null=True)
