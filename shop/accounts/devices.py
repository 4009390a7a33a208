"""Browsers that somebody logged in from before: a guesser elsewhere does not lock them out.

Wrong passwords from anywhere else are counted by name and by address (django-axes); those from a known browser by
that browser, which is known no longer after WRONG_MOST of them.
"""

from datetime import timedelta
from typing import Any
from uuid import UUID

from django.db.models import F, QuerySet
from django.http import HttpRequest, HttpResponse
from django.utils import timezone

from shop.accounts.models import KnownDevice, User

COOKIE = "plavet_device"
KEPT = timedelta(days=365)
WRONG_MOST = 8
MOST = 20
"""So many browsers are known of a person, the last used ones."""


def _known(request: HttpRequest, user_name: str) -> QuerySet[KnownDevice]:
    """The browser of a request, where it is known for that user name and was not wrong too often."""
    held = request.get_signed_cookie(COOKIE, default=None, salt=COOKIE, max_age=KEPT)
    try:
        id = UUID(held or "")
    except ValueError:
        return KnownDevice.objects.none()
    return KnownDevice.objects.filter(pk=id, person__username=user_name, wrong__lt=WRONG_MOST)


def is_known(request: HttpRequest, credentials: dict[str, Any] | None = None) -> bool:
    """Whether what is tried comes from a browser that is known for the name; asked by django-axes."""
    return _known(request, str((credentials or {}).get("username", ""))).exists()


def count_wrong(request: HttpRequest, user_name: str) -> None:
    """A wrong password came from this browser."""
    _known(request, user_name).update(wrong=F("wrong") + 1)


def remember(request: HttpRequest, response: HttpResponse, person: User) -> None:
    """From now on this browser is known for the person."""
    device = _known(request, person.username).first()
    if device is None:
        device = KnownDevice.objects.create(person=person)
    else:
        device.wrong, device.used_at = 0, timezone.now()
        device.save()
    kept = KnownDevice.objects.filter(person=person).order_by("-used_at").values_list("pk", flat=True)[:MOST]
    KnownDevice.objects.filter(person=person).exclude(pk__in=list(kept)).delete()
    response.set_signed_cookie(
        COOKIE, str(device.pk), salt=COOKIE, max_age=KEPT, httponly=True, samesite="Lax", secure=request.is_secure()
    )


def forget(person: User) -> None:
    """No browser is known for the person any more."""
    KnownDevice.objects.filter(person=person).delete()
