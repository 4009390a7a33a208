"""Every address: the API, then the one page for all the rest."""

from django.http import HttpRequest, HttpResponse
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


urlpatterns = [
    path("api/", api.urls),
    re_path(r"^(?!api/|static/).*$", page),
]
