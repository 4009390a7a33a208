"""The day it is: that of the workshop's own time zone, for as long as one of its people asks."""

from collections.abc import Callable
from zoneinfo import ZoneInfo

from django.http import HttpRequest, HttpResponse
from django.utils import timezone

from shop.accounts.models import User


class DayMiddleware:
    """Until the answer is made, today is the day in the workshop of who asks."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]):
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        if not request.path.startswith("/api/"):
            return self.get_response(request)
        zone = request.user.workshop.time_zone if isinstance(request.user, User) else ""
        with timezone.override(ZoneInfo(zone) if zone else None):
            return self.get_response(request)
