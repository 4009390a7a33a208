"""Tablets at a table, and coming in on one by a short code."""

from datetime import datetime
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema

from shop.accounts import actions, tablets
from shop.api.auth import person
from shop.api.routers.session import Me, me_of

router = Router(tags=["tablets"])


class TabletIn(Schema):
    name: str = Field(max_length=40)


class TabletOut(Schema):
    """`here` is the browser that asks."""

    id: UUID
    name: str
    created_at: datetime
    here: bool


class PickOut(Schema):
    id: UUID
    name: str


class AtTabletOut(Schema):
    """Who can pick oneself on this browser; of nobody where it is no tablet."""

    workshop: str
    name: str
    people: list[PickOut]


class PickIn(Schema):
    person: UUID
    code: str = Field(max_length=20)


class ShortCodeIn(Schema):
    """`code` has four to eight digits; empty there is none any more."""

    password: str = Field(max_length=200)
    code: str = Field(max_length=20)


class ShortCodeOut(Schema):
    on: bool


@router.get("/tablets", response=list[TabletOut])
def all_tablets(request: HttpRequest) -> list[TabletOut]:
    """The workshop's tablets, 40 at most."""
    here = tablets.tablet_of(request)
    return [
        TabletOut(id=row.id, name=row.name, created_at=row.created_at, here=here is not None and here.id == row.id)
        for row in tablets.tablets(person(request))
    ]


@router.put("/tablets/{id}", response=TabletOut)
def put_here(request: HttpRequest, response: HttpResponse, id: UUID, body: TabletIn) -> TabletOut:
    """This browser is a tablet at a table from now on."""
    made = tablets.put_here(actor=person(request), id=id, name=body.name, request=request, response=response)
    return TabletOut(id=made.id, name=made.name, created_at=made.created_at, here=True)


@router.delete("/tablets/{id}", response={204: None})
def take_away(request: HttpRequest, id: UUID) -> tuple[int, None]:
    """It is no tablet any more; who is in on it is so no longer."""
    tablets.take_away(actor=person(request), id=id)
    return 204, None


@router.get("/session/tablet", auth=None, response=AtTabletOut | None)
def at_tablet(request: HttpRequest) -> AtTabletOut | None:
    """Who can pick oneself on this browser; nothing where it is no tablet."""
    here = tablets.tablet_of(request)
    if here is None:
        return None
    people = [PickOut(id=one.id, name=one.first_name or one.username) for one in tablets.who_has_a_code(here)]
    return AtTabletOut(workshop=here.workshop.name, name=here.name, people=people)


@router.post("/session/tablet", auth=None, response=Me)
def come_in(request: HttpRequest, body: PickIn) -> Me:
    """Start a session by a short code, on a tablet."""
    return me_of(tablets.come_in(request=request, person=body.person, code=body.code))


@router.get("/session/code", response=ShortCodeOut)
def short_code(request: HttpRequest) -> ShortCodeOut:
    """Whether one has a short code."""
    return ShortCodeOut(on=tablets.has_code(person(request)))


@router.put("/session/code", response=ShortCodeOut)
def choose_code(request: HttpRequest, body: ShortCodeIn) -> ShortCodeOut:
    """A short code for oneself, or none any more."""
    actions.confirm_password(request, person(request), body.password, "password")
    tablets.choose_code(actor=person(request), code=body.code)
    return ShortCodeOut(on=tablets.has_code(person(request)))
