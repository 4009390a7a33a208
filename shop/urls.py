"""Every address: the API, then the one page for all the rest."""

from django.conf import settings
from django.http import Http404, HttpRequest, HttpResponse
from django.shortcuts import render
from django.urls import path, re_path
from django.views.decorators.csrf import ensure_csrf_cookie

from shop.api.api import api


@ensure_csrf_cookie
def page(request: HttpRequest) -> HttpResponse:
    """The single page; the browser part finds its own way from the address."""
    answer = render(request, "index.html")
    answer["Cache-Control"] = "no-store"
    return answer


def worker(request: HttpRequest) -> HttpResponse:
    """The script that opens the pages without the line. It is served from the root: it works for all that is below."""
    script = settings.ROOT / "web/dist/sw.js"
    if not script.is_file():
        raise Http404
    return HttpResponse(script.read_bytes(), content_type="text/javascript", headers={"Cache-Control": "no-cache"})


urlpatterns = [
    path("api/", api.urls),
    path("sw.js", worker),
    re_path(r"^(?!api/|static/|health/).*$", page),
]
