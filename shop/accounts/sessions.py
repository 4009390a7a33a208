"""Sessions as one's own list shows them: on which device, since when, last used when; one unused for long ends."""

from contextlib import suppress
from datetime import UTC, datetime
from typing import Any
from uuid import UUID, uuid4

from django.contrib.sessions.backends.base import CreateError, SessionBase
from django.contrib.sessions.backends.db import SessionStore as DatabaseStore
from django.db.models import F, QuerySet
from django.http import Http404, HttpRequest, HttpResponse
from django.utils import timezone
from django.utils.deprecation import MiddlewareMixin

from shop.accounts.models import Session, User

NOTED_EACH = 600.0
"""That a session is used is noted, and its end put off, each so many seconds."""
KEYS_TRIED = 3
SYSTEMS = (
    ("iPhone", "iPhone"), ("iPad", "iPad"), ("Android", "Android"), ("Windows", "Windows"), ("Mac OS", "Mac"),
    ("Linux", "Linux"),
)  # fmt: skip
BROWSERS = (("Firefox", "Firefox"), ("Edg", "Edge"), ("Chrom", "Chromium"), ("Safari", "Safari"))


class SessionStore(DatabaseStore):
    """Django's own, in rows that know whose they are."""

    @classmethod
    def get_model_class(cls) -> type[Session]:
        return Session

    def create(self) -> None:
        """A row under a key nobody has. Django tries for ever where the database refuses it for another reason."""
        for _ in range(KEYS_TRIED):
            self._session_key = self._get_new_session_key()  # type: ignore[attr-defined]  # Django has it
            with suppress(CreateError):
                self.save(must_create=True)
                self.modified = True
                return
        raise CreateError

    def create_model_instance(self, data: dict[str, Any]) -> Session:
        made = super().create_model_instance(data)
        assert isinstance(made, Session)
        made.person_id = data.get("_auth_user_id")
        made.called, made.device = data.get("called"), data.get("device", "")
        made.began_at = data.get("began", "") or None
        used = data.get("used")
        made.used_at = datetime.fromtimestamp(used, UTC) if used else timezone.now()
        return made


def device_of(agent: str) -> str:
    """A browser's own description in words: the browser and the system, as far as they are known."""
    browser = next((name for sign, name in BROWSERS if sign in agent), "A browser")
    system = next((name for sign, name in SYSTEMS if sign in agent), "")
    return f"{browser} on {system}" if system else browser


def begin(session: SessionBase, agent: str) -> None:
    """What the list shows of a session that was just opened."""
    session["called"], session["device"] = str(uuid4()), device_of(agent)
    session["began"] = timezone.now().isoformat()
    session["used"] = timezone.now().timestamp()


def sessions(actor: User) -> QuerySet[Session]:
    """One's own open sessions, the last used first."""
    open_now = Session.objects.filter(person=actor, expire_date__gt=timezone.now())
    return open_now.exclude(called=None).order_by("-used_at")[:100]


def end(*, actor: User, called: UUID) -> None:
    """End one of one's own sessions. Raises Http404 for anybody else's."""
    if not Session.objects.filter(person=actor, called=called).delete()[0]:
        raise Http404


def end_all(person: User) -> None:
    """End every session of a person; `era` of the person is what keeps one that is under way from coming back."""
    Session.objects.filter(person=person).delete()


def leave_everywhere(*, actor: User) -> None:
    """Every session of a person ends."""
    User.objects.filter(pk=actor.pk).update(era=F("era") + 1)
    end_all(actor)


class UsedMiddleware(MiddlewareMixin):
    """A session that is used lasts on."""

    def process_response(self, request: HttpRequest, response: HttpResponse) -> HttpResponse:
        session = getattr(request, "session", None)
        if session is not None and "used" in session:
            now = timezone.now().timestamp()
            if now - session["used"] > NOTED_EACH:
                session["used"] = now
        return response
