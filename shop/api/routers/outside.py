"""A pattern that another program drew: looked into, and made into files; nothing of it is kept."""

from typing import Any, Literal

from django.http import Http404, HttpRequest, HttpResponse
from ninja import Field, Router, Schema

from shop.accounts.rights import allow
from shop.api.auth import person
from shop.bridge import outside
from shop.bridge.outside import HousePatternOut
from shop.plans.pace import check_pace

router = Router()
DRAFTS = 2
"""A file takes as long as so many drafts."""


class PatternFileIn(Schema):
    text: str = Field(max_length=500_000)
    unit: Literal["", "mm", "cm", "in", "px"] = ""


class OutsideFileIn(PatternFileIn):
    name: str = Field(max_length=40)
    title: str = Field("", max_length=120)


@router.post("/patterns", response=HousePatternOut)
def look_into_pattern(request: HttpRequest, body: PatternFileIn) -> HousePatternOut:
    """What is in an SVG or DXF file: its pieces, or what cannot be cut, with its place."""
    actor = person(request)
    allow(actor, "lays")
    check_pace(actor, DRAFTS)
    return outside.look_into(body.text, body.unit or None, actor.workshop.unit)


@router.post("/patterns/file")
def pattern_file(request: HttpRequest, body: OutsideFileIn) -> Any:
    """The pattern on paper, for a plotter, or for another program."""
    actor = person(request)
    allow(actor, "lays")
    check_pace(actor, DRAFTS)
    made = outside.made(body.text, body.unit or None, actor.workshop.unit, body.name, body.title.strip())
    if made is None:
        raise Http404
    media, data = made
    return HttpResponse(data, content_type=media)
