"""Clients, sheets, readings."""

from datetime import date, datetime
from typing import Any, Literal
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.api.auth import person
from shop.bridge.measuring import trouser_points
from shop.clients import actions, queries
from shop.clients.models import Client, Reading, Sheet

router = Router(tags=["clients"])


class ClientIn(Schema):
    version: int = 0
    name: str = Field(min_length=1, max_length=120)
    phone: str = Field("", max_length=40)
    note: str = Field("", max_length=2000)


class ClientOut(Schema):
    id: UUID
    version: int
    name: str
    phone: str
    note: str


class ReadingIn(Schema):
    sheet: UUID
    key: str = Field(max_length=40)
    typed: str = Field(max_length=40)


class ReadingOut(Schema):
    id: UUID
    key: str
    typed: str
    mm: float | None
    taken_at: datetime


class SheetIn(Schema):
    version: int = 0
    client: UUID
    taken_on: date
    unit: Literal["in", "cm"]


class SheetOut(Schema):
    id: UUID
    version: int
    client: UUID
    taken_on: date
    unit: str
    closed: bool
    readings: list[ReadingOut]


class PointOut(Schema):
    key: str
    name: str
    how: str
    slip: str
    least_mm: float
    most_mm: float
    needed: bool


def client_out(row: Client) -> ClientOut:
    return ClientOut(id=row.id, version=row.version, name=row.name, phone=row.phone, note=row.note)


def _reading(row: Reading) -> ReadingOut:
    mm = None if row.mm is None else float(row.mm)
    return ReadingOut(id=row.id, key=row.key, typed=row.typed, mm=mm, taken_at=row.created_at)


def sheet_out(request: HttpRequest, row: Sheet) -> SheetOut:
    """A sheet with the readings that count."""
    return SheetOut(
        id=row.id, version=row.version, client=row.client_id, taken_on=row.taken_on, unit=row.unit,
        closed=row.closed_at is not None,
        readings=[_reading(reading) for reading in queries.readings(person(request), row.id)],
    )  # fmt: skip


@router.get("/points", response=list[PointOut])
def points(request: HttpRequest) -> list[dict[str, Any]]:
    """The points of a trouser session, in the order of taking."""
    return trouser_points()


@router.get("/clients", response=list[ClientOut])
def clients(request: HttpRequest) -> list[ClientOut]:
    return [client_out(row) for row in queries.clients(person(request))]


@router.get("/clients/{id}", response=ClientOut)
def client(request: HttpRequest, id: UUID) -> ClientOut:
    return client_out(queries.client(person(request), id))


@router.get("/clients/{id}/sheets", response=list[SheetOut])
def sheets(request: HttpRequest, id: UUID) -> list[SheetOut]:
    owner = queries.client(person(request), id)
    return [sheet_out(request, row) for row in queries.sheets(person(request), owner.id)]


@router.put("/clients/{id}", response=ClientOut)
def put_client(request: HttpRequest, id: UUID, body: ClientIn) -> ClientOut:
    return client_out(actions.put_client(actor=person(request), id=id, **body.dict()))


@router.get("/sheets/{id}", response=SheetOut)
def sheet(request: HttpRequest, id: UUID) -> SheetOut:
    return sheet_out(request, queries.sheet(person(request), id))


@router.put("/sheets/{id}", response=SheetOut)
def put_sheet(request: HttpRequest, id: UUID, body: SheetIn) -> SheetOut:
    return sheet_out(request, actions.put_sheet(actor=person(request), id=id, **body.dict()))


@router.post("/sheets/{id}/close", response=SheetOut)
def close_sheet(request: HttpRequest, id: UUID) -> SheetOut:
    return sheet_out(request, actions.close_sheet(actor=person(request), id=id))


@router.put("/readings/{id}", response=ReadingOut)
def put_reading(request: HttpRequest, id: UUID, body: ReadingIn) -> ReadingOut:
    """Append a reading; an empty text takes the point off the sheet."""
    return _reading(actions.add_reading(actor=person(request), id=id, **body.dict()))
