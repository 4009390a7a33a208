"""Before any room is entered: the address can be read, a write comes from our own page, answers are not kept.

A digital tape sends without a page: its address is its secret, and JSON cannot be sent by a form of another site.
"""

import re
from collections.abc import Callable
from urllib.parse import unquote

from django.http import HttpRequest, HttpResponse
from ninja.utils import check_csrf

from shop.api.errors import IN_WORDS, problem
from shop.api.incoming import is_clean

SAFE = ("GET", "HEAD", "OPTIONS")
DEVICE = re.compile(r"^/api/tape/[^/]+/readings$")


class GateMiddleware:
    """Refuses what no room would take; private answers say that nobody may keep them."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]):
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        answer = self._refused(request) or self.get_response(request)
        if request.path.startswith("/api/"):
            answer["Cache-Control"] = "no-store"
        return answer

    def _refused(self, request: HttpRequest) -> HttpResponse | None:
        if not is_clean(request.path) or not is_clean(unquote(request.META.get("QUERY_STRING", ""), errors="replace")):
            return problem(request, 400, "This address cannot be read.", code="request.address")
        writes = request.path.startswith("/api/") and request.method not in SAFE
        if writes and not DEVICE.match(request.path) and check_csrf(request):
            title, code = IN_WORDS[403]
            return problem(request, 403, title, code=code)
        return None
