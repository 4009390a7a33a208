"""Numbers that somebody worked out by hand, and how they were. Answers are added, never changed."""

from django.db import models

from shop.accounts.models import User, WorkshopRow


class Answer(WorkshopRow):
    """One number worked out by hand: by the `rule` of a drill on an invented client, as `typed`; or a call of a real
    cloth, where both are empty. `slip` is the code of what a wrong one looks like.
    """

    person = models.ForeignKey(User, on_delete=models.CASCADE, related_name="+")
    method = models.CharField(max_length=40, blank=True)
    rule = models.CharField(max_length=60, blank=True)
    typed = models.CharField(max_length=40, blank=True)
    right = models.BooleanField()
    slip = models.CharField(max_length=16, blank=True)

    class Meta:
        verbose_name_plural = "answers"
        indexes = [models.Index(fields=["person", "rule", "-created_at"], name="answers_by_rule")]
