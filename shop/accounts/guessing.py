"""Who guesses passwords waits, longer at each wrong one: counted by name and by address over a day, by django-axes.

From a browser that is known for the name nothing is counted here: see devices.py.
"""

from datetime import timedelta
from math import ceil

from axes.handlers.database import AxesDatabaseHandler
from axes.helpers import get_client_username
from axes.models import AccessAttempt
from django.conf import settings
from django.db.models import Max, Sum
from django.http import HttpRequest
from django.utils import timezone

FIRST = timedelta(minutes=1)
MOST = {"username": timedelta(hours=1), "ip_address": timedelta(minutes=15)}
"""The longest pause: of a name; of an address, which many may share."""

Credentials = dict[str, str] | None


def growing(over: int, most: timedelta) -> timedelta:
    """How long one waits after so many wrong tries over those that are free: nothing below 0, a minute at the first,
    then twice as long each time, never longer than `most`. Common practice, no source.
    """
    return timedelta(0) if over < 0 else min(most, FIRST * 2 ** min(over, 12))


def in_words(left: timedelta) -> tuple[int, str]:
    """How long that still is, in whole minutes, one at least, and in words."""
    minutes = max(1, ceil(left / timedelta(minutes=1)))
    return minutes, "a minute" if minutes == 1 else f"{minutes} minutes"


def wait(request: HttpRequest, credentials: Credentials = None) -> timedelta:
    """How long this name, or this address, still has to wait. Two queries."""
    now = timezone.now()
    name = get_client_username(request, credentials)
    left = timedelta(0)
    for key, value in (("username", name), ("ip_address", request.axes_ip_address)):  # type: ignore[attr-defined]  # set by axes
        if value:
            of_day = AccessAttempt.objects.filter(**{key: value}, attempt_time__gte=now - settings.AXES_COOLOFF_TIME)
            found = of_day.aggregate(wrong=Sum("failures_since_start"), last=Max("attempt_time"))
            if found["wrong"]:
                left = max(left, found["last"] + growing(found["wrong"] - settings.AXES_FAILURE_LIMIT, MOST[key]) - now)
    return left


class GrowingPauses(AxesDatabaseHandler):  # type: ignore[misc]  # the package has no types
    """As django-axes counts, but who has waited may try again."""

    def is_locked(self, request: HttpRequest, credentials: Credentials = None) -> bool:
        return wait(request, credentials) > timedelta(0)
