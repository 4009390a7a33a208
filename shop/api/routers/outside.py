"""A pattern that another program drew: looked into, made into files, and kept as a house pattern."""

from typing import Annotated, Any, Literal
from uuid import UUID

from django.http import Http404, HttpRequest, HttpResponse
from ninja import Field, Query, Router, Schema

from shop.accounts.reading import page_of
from shop.accounts.rights import allow
from shop.api.auth import person
from shop.api.incoming import Version
from shop.bridge import outside
from shop.bridge.outside import HousePatternOut
from shop.bridge.patterns import FileUnit, SaidPiece, ShownPiece, shown_pieces
from shop.orders import patterns
from shop.orders.models import Pattern
from shop.plans.pace import check_pace

router = Router()
DRAFTS = 2
"""A file takes as long as so many drafts."""


class PatternFileIn(Schema):
    text: str = Field(max_length=500_000)
    unit: FileUnit = ""


class SaidPieceIn(Schema):
    """What is said of a piece; it is turned clockwise by so many degrees, so that its grain runs down."""

    name: str = Field(max_length=60)
    count: int = Field(1, ge=1, le=20)
    pair: bool = False
    on_fold: bool = False
    turned: Literal[0, 90, 180, 270] = 0


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


class KeptPatternIn(Schema):
    """A pattern to be kept: at first with its file, its pieces as they are in it; later without."""

    version: Version = 0
    name: str = Field(min_length=1, max_length=60)
    text: str = Field("", max_length=500_000)
    unit: FileUnit = ""
    pieces: list[SaidPieceIn] = Field(default_factory=list, max_length=100)
    removed: bool = False


class KeptPatternOut(Schema):
    id: UUID
    version: int
    name: str
    pieces: list[ShownPiece]


def _kept(row: Pattern) -> KeptPatternOut:
    return KeptPatternOut(id=row.id, version=row.version, name=row.name, pieces=shown_pieces(row.pieces))


@router.get("/house-patterns", response=list[KeptPatternOut])
def house_patterns(request: HttpRequest, page: Annotated[int, Query(ge=1, le=10_000)] = 1) -> list[KeptPatternOut]:
    """A page of the workshop's house patterns, of up to 20, by their names."""
    actor = person(request)
    return [_kept(row) for row in page_of(patterns.patterns(actor), page, patterns.ON_A_PAGE)]


@router.put("/house-patterns/{id}", response=KeptPatternOut)
def put_house_pattern(request: HttpRequest, id: UUID, body: KeptPatternIn) -> KeptPatternOut:
    """Keep a pattern, say something else of its pieces, or take it off the list."""
    actor = person(request)
    allow(actor, "orders")
    check_pace(actor, DRAFTS)
    said = [SaidPiece(**one.dict()) for one in body.pieces]
    row = patterns.put_pattern(
        actor=actor, id=id, version=body.version, name=body.name, text=body.text, unit=body.unit, pieces=said,
        removed=body.removed,
    )  # fmt: skip
    return _kept(row)


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
