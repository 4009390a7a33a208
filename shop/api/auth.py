"""Who is asking: the person of the session, and the workshop everything is read from."""

from django.http import HttpRequest

from shop.accounts.models import User


def person(request: HttpRequest) -> User:
    """The logged-in person; the API lets nobody else this far."""
    assert isinstance(request.user, User)
    return request.user
