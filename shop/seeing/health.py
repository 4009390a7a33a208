"""
Whether this process lives, and whether it can serve: for a proxy, or for who watches over the machine. Asked by any
name of the host and without TLS, since a watcher on the same machine has neither; nothing of anybody is answered.
"""

from collections.abc import Callable

from django.db import Error, connection
from django.http import HttpRequest, HttpResponse, JsonResponse

from shop.release import steps_behind

LIVE, READY = "/health/live", "/health/ready"


class HealthMiddleware:
    """Answers before any other part is asked: `live` always, `ready` where the database answers and is of this release;
    else 503 and what is waited for.
    """

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]):
        self.get_response = get_response
        self.is_of_this_release = False

    def __call__(self, request: HttpRequest) -> HttpResponse:
        if request.path not in (LIVE, READY):
            return self.get_response(request)
        waits_for = self._waits_for() if request.path == READY else ""
        body = {"ready": False, "waits_for": waits_for} if waits_for else {"ready": True}
        return JsonResponse(
            body if request.path == READY else {"live": True}, status=503 if waits_for else 200,
            headers={"Cache-Control": "no-store"},
        )  # fmt: skip

    def _waits_for(self) -> str:
        try:
            with connection.cursor() as cursor:
                cursor.execute("select 1")
            # Looked at until it is so; it stays so while this process runs.
            self.is_of_this_release = self.is_of_this_release or not steps_behind()
        except Error:
            connection.close()
            return "database"
        return "" if self.is_of_this_release else "migrations"
