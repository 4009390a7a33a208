"""Tablets at a table: a browser that an owner has put there, on which people pick themselves by a short code.

A short code is weak: who comes in by one does not hold the rights of `rights.NOT_AT_A_TABLET`, and the session ends
when it was not used for a while.
"""

from datetime import timedelta
from uuid import UUID

from django.contrib.auth.hashers import check_password, make_password
from django.db import transaction
from django.db.models import QuerySet
from django.http import Http404, HttpRequest, HttpResponse
from django.utils import timezone

from shop.accounts.actions import CHECKED_AT_ONCE, open_session
from shop.accounts.guessing import growing, in_words
from shop.accounts.models import Tablet, User
from shop.accounts.refused import PersonRefusedError
from shop.accounts.rights import allow
from shop.accounts.writing import add, own
from shop.errors import ShopError

COOKIE = "plavet_tablet"
KEPT = timedelta(days=3650)
UNUSED = timedelta(minutes=25)
"""A session at a tablet that was not used for so long has ended; one that is used is noted every ten minutes."""
FREE, LONGEST = 5, timedelta(hours=1)
"""So many wrong codes make nobody wait; after them each makes the next wait twice as long, up to an hour."""
DIGITS = (4, 8)


class CodeError(ShopError):
    """This is not the person's short code."""

    status = 401
    code = "code"


class WaitError(ShopError):
    """Too many wrong codes of one person."""

    status = 429
    code = "throttled"

    def __init__(self, left: timedelta):
        minutes, said = in_words(left)
        super().__init__(f"Too many wrong codes. Wait {said}, or come in with your user name and password.")
        self.again_in = 60 * minutes


def tablets(actor: User) -> QuerySet[Tablet]:
    """The workshop's tablets, by name."""
    allow(actor, "people")
    return Tablet.of(actor.workshop).order_by("name", "id")


def put_here(*, actor: User, id: UUID, name: str, request: HttpRequest, response: HttpResponse) -> Tablet:
    """The browser of the request is a tablet of the workshop from now on. The same id again is the same tablet."""
    allow(actor, "people")
    made = add(Tablet(id=id, workshop=actor.workshop, name=" ".join(name.split()) or "Tablet", changed_by=actor))
    response.set_signed_cookie(
        COOKIE, str(made.pk), salt=COOKIE, max_age=KEPT, httponly=True, samesite="Lax", secure=request.is_secure()
    )
    return made


def take_away(*, actor: User, id: UUID) -> None:
    """It is no tablet any more, and who is in on it is so no longer. Raises Http404."""
    allow(actor, "people")
    own(Tablet, actor, id).delete()


def tablet_of(request: HttpRequest) -> Tablet | None:
    """The tablet that a request comes from. Whoever asks is of no workshop yet."""
    held = request.get_signed_cookie(COOKIE, default=None, salt=COOKIE, max_age=KEPT)
    try:
        id = UUID(held or "")
    except ValueError:
        return None
    return Tablet._base_manager.select_related("workshop").filter(pk=id).first()


def who_has_a_code(tablet: Tablet) -> QuerySet[User]:
    """The people who can pick themselves, by name."""
    there = User.objects.filter(workshop=tablet.workshop, is_active=True).exclude(short_code="")
    return there.order_by("first_name", "username")


def come_in(*, request: HttpRequest, person: UUID, code: str) -> User:
    """Open a session on the tablet of the request. Raises Http404 where it is none, CodeError, WaitError."""
    tablet = tablet_of(request)
    if tablet is None:
        raise Http404
    # What is wrong is counted, so it is said after it is kept: no larger transaction may take that back.
    with transaction.atomic(durable=True):
        found = who_has_a_code(tablet).select_for_update(no_key=True).filter(pk=person).first()
        if found is None:
            raise Http404
        left = _left(found)
        good = left <= timedelta(0) and _fits(code, found.short_code)
        if left <= timedelta(0):
            found.code_wrong, found.code_wrong_at = (0, None) if good else (found.code_wrong + 1, timezone.now())
            found.save(update_fields=["code_wrong", "code_wrong_at"])
    if left > timedelta(0):
        raise WaitError(left)
    if not good:
        raise CodeError("This is not your code. Type it again.")
    open_session(request, found)
    request.session["tablet"] = str(tablet.pk)
    request.session.set_expiry(int(UNUSED.total_seconds()))
    found.at_tablet = True
    return found


def is_there(person: User, tablet: str) -> bool:
    """Whether a session's tablet is still one of the person's workshop."""
    return Tablet.of(person.workshop).filter(pk=tablet).exists()


def has_code(person: User) -> bool:
    """Whether the person can come in by a short code."""
    return person.short_code != ""


def choose_code(*, actor: User, code: str) -> None:
    """A short code for oneself; none where it is empty. Raises PersonRefusedError."""
    typed = "".join(code.split())
    least, most = DIGITS
    if typed and not (typed.isascii() and typed.isdigit() and least <= len(typed) <= most):
        raise PersonRefusedError("code", "A short code has four to eight digits", "Choose others.")
    if typed and (len(set(typed)) == 1 or typed in "01234567890" or typed in "09876543210"):
        raise PersonRefusedError("code", "This code is the first that anybody would try", "Choose others.")
    actor.short_code = make_password(typed) if typed else ""
    actor.code_wrong, actor.code_wrong_at = 0, None
    actor.save(update_fields=["short_code", "code_wrong", "code_wrong_at"])


def _fits(code: str, kept: str) -> bool:
    with CHECKED_AT_ONCE:
        return check_password("".join(code.split()), kept)


def _left(person: User) -> timedelta:
    if person.code_wrong_at is None:
        return timedelta(0)
    return person.code_wrong_at + growing(person.code_wrong - FREE, LONGEST) - timezone.now()
