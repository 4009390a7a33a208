"""A page that was read before the workshop's unit changed writes no length any more: it would mean another one."""

from collections.abc import Callable

from django.http import HttpRequest, HttpResponse

from shop.accounts.models import User
from shop.api.errors import problem
from shop.api.gate import SAFE

UNIT = "Plavet-Unit"
"""The header with which a page says in which unit it shows and reads lengths; without it nothing is compared."""
NAMES = {"in": "inches", "cm": "centimetres"}


class TurnedMiddleware:
    """Refuses a write of a page that reads lengths in another unit than the workshop has now."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]):
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        said = request.headers.get(UNIT, "")
        if said and request.method not in SAFE and isinstance(request.user, User):
            now = request.user.workshop.unit
            if said != now:
                title = (
                    f"The workshop's unit is {NAMES.get(now, now)} now. "
                    "What you typed gets the unit that it was typed in; look at it and try again."
                )
                return problem(request, 409, title, code="turned")
        return self.get_response(request)
