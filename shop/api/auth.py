"""Who is asking: the person of the session, and the workshop everything is read from."""

from typing import Any

from django.http import HttpRequest
from ninja.security import SessionAuth

from shop.accounts import second_step, tablets
from shop.accounts.models import User

OWN = "/api/session"
"""What is of oneself alone: there a second step that is asked for is turned on."""


class Door(SessionAuth):
    """A session lets in. One of a tablet does while that is there; an owner's where the second step is that the
    workshop asks for. Raises StepAskedError.
    """

    def authenticate(self, request: HttpRequest, key: str | None) -> Any:
        user = super().authenticate(request, key)
        if not isinstance(user, User):
            return None
        tablet = request.session.get("tablet")
        if tablet is not None:
            if not tablets.is_there(user, tablet):
                return None
            user.at_tablet = True
        if not request.path.startswith(OWN) and second_step.is_asked(user):
            raise second_step.StepAskedError
        return user


def person(request: HttpRequest) -> User:
    """The logged-in person; the API lets nobody else this far."""
    assert isinstance(request.user, User)
    return request.user
