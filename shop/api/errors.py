"""Every refusal as problem+json with a request id, in words that say how to mend it."""

import json
import sys
import uuid
from collections.abc import Callable, Sequence
from errno import ENOSPC
from typing import Any

from django.core.exceptions import RequestDataTooBig
from django.core.signals import got_request_exception
from django.db import InterfaceError, OperationalError
from django.dispatch import receiver
from django.http import Http404, HttpRequest, HttpResponse, JsonResponse
from ninja import NinjaAPI
from ninja.errors import AuthenticationError, HttpError, ValidationError
from psycopg.errors import DiskFull

from shop.accounts.guessing import in_words, wait
from shop.errors import ShopError
from shop.seeing.logs import log

IN_WORDS = {
    400: ("This request cannot be read.", "request"),
    403: ("This page is too old to be trusted. Load it again; what you typed is kept.", "page"),
    404: ("There is no such address.", "address"),
    405: ("This address does not take that.", "method"),
    413: ("This is more than is taken at once, 1 MB. Send it in parts.", "large"),
}
"""What the framework refuses by itself, before a room is reached: title and code by status."""


class RequestIdMiddleware:
    """Gives each request an id, answers with it, and turns what is refused in plain text into problem+json."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]):
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        request.request_id = uuid.uuid4().hex  # type: ignore[attr-defined]  # Django's request takes attributes
        answer = self.get_response(request)
        if answer.status_code == 500 and request.path.startswith("/api/") and not _is_json(answer):
            answer = _broken(request, getattr(request, "broken_by", None))
        elif answer.status_code in IN_WORDS and request.path.startswith("/api/") and not _is_json(answer):
            title, code = IN_WORDS[answer.status_code]
            answer = problem(request, answer.status_code, title, code=code)
        answer["X-Request-Id"] = request.request_id  # type: ignore[attr-defined]  # set above
        return answer


def _is_json(answer: HttpResponse) -> bool:
    return "json" in answer.get("Content-Type", "")


def problem(
    request: HttpRequest,
    status: int,
    title: str,
    problems: Sequence[dict[str, Any]] = (),
    *,
    code: str,
    theirs: dict[str, Any] | None = None,
) -> JsonResponse:
    """One problem+json answer; `theirs` is the row as it stands, for a stale edit."""
    body = {
        "title": title,
        "status": status,
        "code": code,
        "problems": list(problems),
        "request_id": getattr(request, "request_id", ""),
    }
    if theirs is not None:
        body["theirs"] = json.loads(json.dumps(theirs, default=str))
    headers = {"Cache-Control": "no-store"}
    return JsonResponse(body, status=status, content_type="application/problem+json", headers=headers)


def locked_out(request: HttpRequest, _: HttpResponse | None, credentials: dict[str, str] | None) -> HttpResponse:
    """What a guesser is answered: how long to wait; settings name it to django-axes."""
    minutes, said = in_words(wait(request, credentials))
    answer = problem(request, 429, f"Too many wrong passwords. Wait {said}, then try again.", code="throttled")
    answer["Retry-After"] = str(60 * minutes)
    return answer


BROKEN = "Our own fault. Nothing you typed is lost; try again in a moment."
SAID = 8
"""So many letters of a request's id are enough to find it in the log."""
FULL = (
    "The server's disk is full: nothing of this was kept. Make room on it, then try again. What you typed is not lost."
)


SHUT = ("57P01", "57P02", "57P03")
"""PostgreSQL's own codes for a server that is ended, that crashed, that is not ready yet."""
GONE = "The database does not answer just now. Nothing that you typed is lost; try again in a moment."


def _is_line_lost(error: BaseException) -> bool:
    """Whether the line to the database broke, or none can be opened: it is being begun anew, or is not there."""
    if isinstance(error, InterfaceError):
        return True
    state = getattr(error.__cause__, "sqlstate", None)
    return isinstance(error, OperationalError) and (state is None or state[:2] == "08" or state in SHUT)


def _is_disk_full(error: BaseException) -> bool:
    """Whether the database or the system has no room to write."""
    full = isinstance(error, DiskFull) or (isinstance(error, OSError) and error.errno == ENOSPC)
    return full or (error.__cause__ is not None and _is_disk_full(error.__cause__))


DESCRIBED = {
    "title": "Refusal", "type": "object", "required": ["title", "status", "code", "problems", "request_id"],
    "properties": {
        "title": {"type": "string", "description": "what is wrong and how to mend it"},
        "status": {"type": "integer"}, "code": {"type": "string"}, "request_id": {"type": "string"},
        "problems": {
            "type": "array",
            "items": {"type": "object", "properties": {
                key: {"type": "string"} for key in ("where", "code", "what", "mend", "station")
            }},
        },
        "theirs": {"type": "object", "description": "the row as it stands, where the edit was stale"},
    },
}  # fmt: skip
"""The schema of what `problem` answers."""


def install(api: NinjaAPI) -> None:
    """Teach `api` to answer every error this way."""

    @api.exception_handler(ShopError)
    def refused(request: HttpRequest, error: ShopError) -> HttpResponse:
        answer = problem(request, error.status, error.title, error.problems, code=error.code, theirs=error.theirs())
        if error.again_in is not None:
            answer["Retry-After"] = str(error.again_in)
        return answer

    @api.exception_handler(AuthenticationError)
    def stranger(request: HttpRequest, error: AuthenticationError) -> HttpResponse:
        return problem(request, 401, "Log in first.", code="login")

    @api.exception_handler(Http404)
    def missing(request: HttpRequest, error: Http404) -> HttpResponse:
        return problem(request, 404, "There is no such thing in this workshop.", code="missing")

    @api.exception_handler(ValidationError)
    def invalid(request: HttpRequest, error: ValidationError) -> HttpResponse:
        found = [
            {
                "where": ".".join(str(part) for part in one["loc"][2:]) or "body",
                "code": "request.shape",
                "what": one["msg"],
                "mend": "Correct this field and send it again.",
            }
            for one in error.errors
        ]
        return problem(request, 422, "Some fields cannot be read.", found, code="request")

    @api.exception_handler(HttpError)
    def unreadable(request: HttpRequest, error: HttpError) -> HttpResponse:
        why = error.__cause__
        if isinstance(why, ShopError):
            return refused(request, why)
        title, code = IN_WORDS.get(error.status_code, IN_WORDS[400])
        return problem(request, error.status_code, title, code=code)

    @api.exception_handler(RequestDataTooBig)
    def large(request: HttpRequest, error: RequestDataTooBig) -> HttpResponse:
        title, code = IN_WORDS[413]
        return problem(request, 413, title, code=code)

    @api.exception_handler(Exception)
    def broken(request: HttpRequest, error: Exception) -> HttpResponse:
        return _broken(request, error)


@receiver(got_request_exception)
def _note(request: HttpRequest, **_: Any) -> None:
    """What broke outside the rooms of the API, such as at the session: said by RequestIdMiddleware."""
    request.broken_by = sys.exc_info()[1]  # type: ignore[attr-defined]  # Django's request takes attributes


def _broken(request: HttpRequest, error: BaseException | None) -> HttpResponse:
    """What is answered where nothing was refused but something broke."""
    if error is not None and _is_disk_full(error):
        log().error("the disk is full")
        return problem(request, 507, FULL, code="disk")
    if error is not None and _is_line_lost(error):
        log().error("the line to the database is lost")
        answer = problem(request, 503, GONE, code="database")
        answer["Retry-After"] = "2"
        return answer
    log().error("broken", exc_info=error)
    number = getattr(request, "request_id", "")[:SAID]
    return problem(request, 500, f"{BROKEN} If it stays so, say this number: {number}.", code="broken")
