"""Writes about sessions: logging in and out."""

from threading import BoundedSemaphore

from django.contrib.auth import authenticate, login, logout
from django.http import HttpRequest

from shop.accounts import devices, second_step, sessions
from shop.accounts.models import User
from shop.accounts.refused import PersonRefusedError

CHECKED_AT_ONCE = BoundedSemaphore(2)
"""Checking a password takes 19 MiB on purpose: so many are checked at once, the others wait for their turn."""


def log_in(request: HttpRequest, user_name: str, password: str, code: str = "") -> User | None:
    """Check the password, and the code of the second step where there is one; open a session. None if they do not fit.

    Raises StepError where the password fits and the code does not.
    """
    with CHECKED_AT_ONCE:
        user = authenticate(request=request, username=user_name, password=password)
    if not isinstance(user, User):
        devices.count_wrong(request, user_name)
        return None
    second_step.check(user, code)
    open_session(request, user)
    return user


def confirm_password(request: HttpRequest, person: User, password: str, where: str) -> None:
    """Who is logged in types the password again. Raises PersonRefusedError at the field `where`; after WRONG_MOST wrong
    ones the session ends, so that whoever found it open does not guess on.
    """
    with CHECKED_AT_ONCE:
        right = person.check_password(password)
    if right:
        return
    request.session["wrong"] = request.session.get("wrong", 0) + 1
    if request.session["wrong"] >= devices.WRONG_MOST:
        logout(request)
    raise PersonRefusedError(where, "This is not your password now", "Type it again.")


def open_session(request: HttpRequest, user: User) -> None:
    """A new session on the browser of the request; nothing of one at a tablet is left in it."""
    login(request, user, backend="django.contrib.auth.backends.ModelBackend")
    request.session.pop("tablet", None)
    request.session.set_expiry(None)
    sessions.begin(request.session, request.headers.get("User-Agent", ""))


def log_out(request: HttpRequest) -> None:
    """End the session."""
    logout(request)
