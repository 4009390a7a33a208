"""
What is logged of a request: that something was written, was refused or broke, or took long; and the queries that took
long. Of an address only its pattern: no id of a client, no code of a tape.
"""

import re
import time
from collections.abc import Callable
from typing import Any

import structlog
from django.db import connection
from django.http import HttpRequest, HttpResponse

from shop.seeing.logs import log

SLOW, SLOW_QUERY = 1.0, 0.25
"""So many seconds are long, for a request and for a query."""
LONGEST = 300
"""So many letters of a query are logged."""
QUIET = (401, 404)
"""Refusals that say nothing of our own working: nobody is logged in, there is no such row."""


class SeenMiddleware:
    """Stands after the request has its id; who asks is known when the answer is."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]):
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        structlog.contextvars.clear_contextvars()
        structlog.contextvars.bind_contextvars(request=getattr(request, "request_id", ""))
        begun, queries = time.perf_counter(), _Queries()
        with connection.execute_wrapper(queries):
            answer = self.get_response(request)
        took = time.perf_counter() - begun
        broke, refused = answer.status_code >= 500, answer.status_code >= 400
        wrote = request.path.startswith("/api/") and request.method not in ("GET", "HEAD", "OPTIONS")
        if broke or took > SLOW or wrote or (refused and answer.status_code not in QUIET):
            (log().error if broke else log().info)(
                "request", method=request.method, route=_route(request), status=answer.status_code,
                ms=round(1000 * took), queries=queries.count, queries_ms=round(1000 * queries.took), **_who(request),
            )  # fmt: skip
        structlog.contextvars.clear_contextvars()
        return answer


class _Queries:
    """Counts and times the queries of a request; a slow one is named, without the values that it was asked with."""

    def __init__(self) -> None:
        self.count, self.took = 0, 0.0

    def __call__(self, execute: Callable[..., Any], sql: str, values: Any, many: bool, context: Any) -> Any:
        begun = time.perf_counter()
        try:
            return execute(sql, values, many, context)
        finally:
            took = time.perf_counter() - begun
            self.count += 1
            self.took += took
            if took > SLOW_QUERY:
                log().warning("slow query", sql=_short(str(sql)), ms=round(1000 * took))


def _short(sql: str) -> str:
    """A query without its columns."""
    return re.sub(r"(?s)^SELECT .*? FROM ", "SELECT … FROM ", sql)[:LONGEST]


def _route(request: HttpRequest) -> str:
    """The address as a pattern, such as api/orders/<id>; empty where it is none of ours."""
    match = request.resolver_match
    return str(match.route) if match else ""


def _who(request: HttpRequest) -> dict[str, str]:
    """The ids of who asks and of the workshop, where that was looked up; nothing is looked up for the log."""
    user = getattr(request, "_cached_user", None)
    if user is None or not user.is_authenticated:
        return {}
    return {"person": str(user.pk), "workshop": str(user.workshop_id)}
