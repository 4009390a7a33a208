"""Every refusal as problem+json with a request id, in words that say how to mend it."""

import json
import uuid
from collections.abc import Callable, Sequence
from errno import ENOSPC
from typing import Any

from django.core.exceptions import RequestDataTooBig
from django.http import Http404, HttpRequest, HttpResponse, JsonResponse
from ninja import NinjaAPI
from ninja.errors import AuthenticationError, HttpError, ValidationError
from psycopg.errors import DiskFull

from shop.errors import ShopError
from shop.seeing.logs import log

QUARTER_HOUR = 900
"""After so many seconds without a wrong password it may be tried again: AXES_COOLOFF_TIME of the settings."""
IN_WORDS = {
    400: ("This request cannot be read.", "request"),
    403: ("This page is too old to be trusted. Load it again; what you typed is kept.", "page"),
    404: ("There is no such address.", "address"),
    405: ("This address does not take that.", "method"),
    413: ("This is more than is taken at once, 1 MB. Send it in parts.", "large"),
    429: ("Too many wrong passwords. Wait a quarter of an hour, then try again.", "throttled"),
}
"""What the framework refuses by itself, before a room is reached: title and code by status."""


class RequestIdMiddleware:
    """Gives each request an id, answers with it, and turns what is refused in plain text into problem+json."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]):
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        request.request_id = uuid.uuid4().hex  # type: ignore[attr-defined]  # Django's request takes attributes
        answer = self.get_response(request)
        if answer.status_code in IN_WORDS and request.path.startswith("/api/") and not _is_json(answer):
            title, code = IN_WORDS[answer.status_code]
            answer = problem(request, answer.status_code, title, code=code)
            if answer.status_code == 429:
                answer["Retry-After"] = str(QUARTER_HOUR)
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


BROKEN = "Our own fault. Nothing you typed is lost; try again in a moment."
SAID = 8
"""So many letters of a request's id are enough to find it in the log."""
FULL = (
    "The server's disk is full: nothing of this was kept. Make room on it, then try again. What you typed is not lost."
)


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
        if _is_disk_full(error):
            log().error("the disk is full")
            return problem(request, 507, FULL, code="disk")
        log().error("broken", exc_info=error)
        number = getattr(request, "request_id", "")[:SAID]
        return problem(request, 500, f"{BROKEN} If it stays so, say this number: {number}.", code="broken")
