"""Every refusal as problem+json with a request id, in words that say how to mend it."""

import json
import logging
import uuid
from collections.abc import Callable
from typing import Any

from django.forms.models import model_to_dict
from django.http import Http404, HttpRequest, HttpResponse, JsonResponse
from ninja import NinjaAPI
from ninja.errors import AuthenticationError, ValidationError

from shop.accounts.people import PersonRefusedError
from shop.accounts.rights import RIGHTS, NotAllowedError
from shop.accounts.writing import StaleError
from shop.bridge.problems import CoreRefusal
from shop.clients.sheets import SheetClosedError
from shop.orders.actions import OutfitError
from shop.orders.shelf import ShelfError

log = logging.getLogger("plavet")


class Refusal(Exception):
    """A request that cannot be carried out.

    `problems` are dicts with where, code, what and mend; `theirs` is the row as it stands, for a stale edit.
    """

    def __init__(self, status: int, title: str, problems: list[dict[str, Any]] | None = None, theirs: Any = None):
        super().__init__(title)
        self.status, self.title, self.problems, self.theirs = status, title, problems or [], theirs


class RequestIdMiddleware:
    """Gives each request an id, answers with it, and turns the lock-out's plain text into problem+json."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]):
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        request.request_id = uuid.uuid4().hex  # type: ignore[attr-defined]  # Django's request takes attributes
        answer = self.get_response(request)
        if answer.status_code in (403, 429) and request.path.startswith("/api/") and not _is_json(answer):
            title = (
                "Too many wrong passwords. Wait a quarter of an hour, then try again."
                if answer.status_code == 429
                else "This page is too old to be trusted. Load it again; what you typed is kept."
            )
            answer = problem(request, answer.status_code, title)
        answer["X-Request-Id"] = request.request_id  # type: ignore[attr-defined]  # set above
        return answer


def _is_json(answer: HttpResponse) -> bool:
    return "json" in answer.get("Content-Type", "")


def problem(
    request: HttpRequest, status: int, title: str, problems: list[dict[str, Any]] | None = None, theirs: Any = None
) -> JsonResponse:
    """One problem+json answer."""
    body = {
        "title": title,
        "status": status,
        "problems": problems or [],
        "request_id": getattr(request, "request_id", ""),
    }
    if theirs is not None:
        body["theirs"] = theirs
    return JsonResponse(body, status=status, content_type="application/problem+json")


def install(api: NinjaAPI) -> None:
    """Teach `api` to answer every error this way."""

    @api.exception_handler(Refusal)
    def refused(request: HttpRequest, error: Refusal) -> HttpResponse:
        return problem(request, error.status, error.title, error.problems, error.theirs)

    @api.exception_handler(CoreRefusal)
    def unworkable(request: HttpRequest, error: CoreRefusal) -> HttpResponse:
        return problem(request, 422, "This cannot be worked with yet.", error.problems)

    @api.exception_handler(StaleError)
    def stale(request: HttpRequest, error: StaleError) -> HttpResponse:
        theirs = model_to_dict(error.row) | {"version": error.row.version}
        title = "Somebody else changed this meanwhile. Keep yours or take theirs."
        return problem(request, 409, title, theirs=json.loads(json.dumps(theirs, default=str)))

    @api.exception_handler(SheetClosedError)
    def closed(request: HttpRequest, error: SheetClosedError) -> HttpResponse:
        return problem(request, 409, "This sheet is closed. A correction goes on a new sheet.")

    @api.exception_handler(OutfitError)
    def outfit(request: HttpRequest, error: OutfitError) -> HttpResponse:
        return problem(request, 422, str(error))

    @api.exception_handler(ShelfError)
    def shelf(request: HttpRequest, error: ShelfError) -> HttpResponse:
        return problem(request, 422, str(error))

    @api.exception_handler(NotAllowedError)
    def not_allowed(request: HttpRequest, error: NotAllowedError) -> HttpResponse:
        holders = " or ".join(f"{'an' if role[0] in 'ao' else 'a'} {role}" for role in RIGHTS[error.right])
        return problem(request, 403, f"This is for {holders}. Ask them, or to be given that role.")

    @api.exception_handler(PersonRefusedError)
    def person_refused(request: HttpRequest, error: PersonRefusedError) -> HttpResponse:
        found = [{"where": error.where, "code": "person", "what": error.what, "mend": error.mend}]
        return problem(request, 422, f"{error.what}. {error.mend}", found)

    @api.exception_handler(AuthenticationError)
    def stranger(request: HttpRequest, error: AuthenticationError) -> HttpResponse:
        return problem(request, 401, "Log in first.")

    @api.exception_handler(Http404)
    def missing(request: HttpRequest, error: Http404) -> HttpResponse:
        return problem(request, 404, "There is no such thing in this workshop.")

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
        return problem(request, 422, "Some fields cannot be read.", found)

    @api.exception_handler(Exception)
    def broken(request: HttpRequest, error: Exception) -> HttpResponse:
        log.exception("request %s failed", getattr(request, "request_id", ""))
        return problem(request, 500, "Our own fault. Nothing you typed is lost; try again in a moment.")
