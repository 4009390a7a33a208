"""When people work, when clients come, and the schedules that were made."""

from django.db import models

from shop.accounts.models import User, WorkshopRow
from shop.orders.models import Order


class Hours(WorkshopRow):
    """What somebody does, by kind of task, and when: of each weekday, Monday first, spans such as 08:00 to 12:00."""

    person = models.OneToOneField(User, on_delete=models.CASCADE, related_name="+")
    skills = models.JSONField(default=list)
    week = models.JSONField(default=list)
    MOST = 500

    class Meta:
        verbose_name_plural = "people's hours"


class Away(WorkshopRow):
    """Days on which somebody does not work: ill, on holiday."""

    person = models.ForeignKey(User, on_delete=models.CASCADE, related_name="+")
    first = models.DateField()
    last = models.DateField()
    reason = models.CharField(max_length=60, blank=True)
    removed = models.BooleanField(default=False)
    MOST = 5_000

    class Meta:
        verbose_name_plural = "days away"
        indexes = [models.Index(fields=["workshop", "last"], name="away_from")]


class ClientDay(WorkshopRow):
    """The day on which a client comes for something: a fitting, or to be measured."""

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    kind = models.CharField(max_length=10)
    day = models.DateField()
    removed = models.BooleanField(default=False)

    class Meta:
        verbose_name_plural = "days on which clients come"
        constraints = [
            models.UniqueConstraint(
                fields=["order", "kind"], condition=models.Q(removed=False), name="one_day_a_client_comes"
            )
        ]


class TaskDay(WorkshopRow):
    """The day before which nobody works at a task of an order: somebody put it there."""

    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="+")
    kind = models.CharField(max_length=10)
    day = models.DateField()
    MOST = 5_000

    class Meta:
        verbose_name_plural = "days on which tasks were put"
        constraints = [models.UniqueConstraint(fields=["order", "kind"], name="one_day_a_task")]


class Schedule(WorkshopRow):
    """A schedule that is made on the queue, or by moving a ticket: what was `asked`, until it is made, and what was
    `made` of it.

    `first` is the day that its moments are counted from, `made` has who does each task, from and to which moment. The
    one that was `kept_at` last is what the workshop goes by.
    """

    QUEUED, DONE, FAILED = "queued", "done", "failed"

    state = models.CharField(max_length=8, default=QUEUED)
    first = models.DateField()
    asked = models.JSONField()
    made = models.JSONField(default=dict)
    kept_at = models.DateTimeField(null=True)
    MOST = 5_000

    class Meta:
        indexes = [models.Index(fields=["workshop", "-kept_at"], name="schedule_kept")]


class Feed(WorkshopRow):
    """The secret address of somebody's week; of the secret only a digest is kept."""

    person = models.OneToOneField(User, on_delete=models.CASCADE, related_name="+")
    digest = models.CharField(max_length=64, unique=True)

    class Meta:
        verbose_name_plural = "addresses of weeks"
