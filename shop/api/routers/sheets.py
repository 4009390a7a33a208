"""Sheets, their readings and what is advised about them; the points of the tape."""

from datetime import date, datetime
from typing import Annotated, Any, Literal
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Query, Router, Schema
from pydantic import AfterValidator

from shop.api.auth import person
from shop.api.incoming import Day, Version
from shop.api.routers.file import FileIn, FileOut, LineOut
from shop.bridge.measuring import TAKEN_BY, flat_reading
from shop.bridge.measuring import points as points_of
from shop.clients import queries, seen, sheets
from shop.clients.files import import_sheet
from shop.clients.models import Reading, Sheet
from shop.plans.pace import check_files

router = Router(tags=["sheets"])


def _known_way(code: str) -> str:
    if code not in TAKEN_BY:
        raise ValueError("is not a way that a reading is come by")
    return code


Way = Annotated[str, Field(max_length=24), AfterValidator(_known_way)]


class ReadingIn(Schema):
    sheet: UUID
    key: str = Field(max_length=40)
    typed: str = Field(max_length=40)
    way: Way = "tape"
    note: str = Field("", max_length=120)


class ReadingOut(Schema):
    """`mm` is null for a point that was skipped or taken off; `note` then holds the reason."""

    id: UUID
    key: str
    typed: str
    mm: float | None
    way: str
    note: str
    taken_at: datetime
    taken_by: str


class SheetIn(Schema):
    version: Version = 0
    client: UUID
    taken_on: Day
    unit: Literal["in", "cm"]
    waist: Literal["natural", "low", "high", "worn"] = "worn"
    corrects: UUID | None = None


class SheetOut(Schema):
    id: UUID
    version: int
    client: UUID
    taken_on: date
    unit: str
    waist: str
    corrects: UUID | None
    closed: bool
    readings: list[ReadingOut]
    skipped: list[ReadingOut]


class PointOut(Schema):
    """`tape` is how the tape is on the figure; `flat` what a width of trousers laid flat counts for."""

    key: str
    name: str
    how: str
    slip: str
    least_mm: float
    most_mm: float
    needed: bool
    view: str
    posture: str
    tape: list[str]
    flat: int | None


class DoubtOut(Schema):
    key: str
    code: str
    again: bool
    words: str
    upheld: bool


class WayOut(Schema):
    key: str
    code: str
    formula: str
    with_: str = Field(alias="with")
    typed: str
    mm: float
    about: str
    differs_mm: float | None


class ValueOut(Schema):
    key: str
    mm: float


class RangeOut(Schema):
    key: str
    low_mm: float
    high_mm: float


class AdviceOut(Schema):
    doubts: list[DoubtOut]
    ways: list[WayOut]
    last: list[ValueOut]
    last_on: date | None
    expected: list[RangeOut]
    other_unit: Literal["in", "cm"] | None


class KeyIn(Schema):
    key: str = Field(max_length=40)


class SheetRef(Schema):
    sheet: UUID
    key: str = Field("", max_length=40)


class FlatIn(Schema):
    key: str = Field(max_length=40)
    typed: str = Field(max_length=40)
    unit: Literal["in", "cm"]


class FlatOut(Schema):
    typed: str


class UnitIn(Schema):
    unit: Literal["in", "cm"]


def _reading(row: Reading) -> ReadingOut:
    mm = None if row.mm is None else float(row.mm)
    by = row.changed_by.first_name or row.changed_by.username if row.changed_by else ""
    return ReadingOut(
        id=row.id, key=row.key, typed=row.typed, mm=mm, way=row.way, note=row.note, taken_at=row.created_at, taken_by=by
    )


def sheet_out(request: HttpRequest, row: Sheet, last: list[Reading] | None = None) -> SheetOut:
    """A sheet with the readings that count, and the points that were skipped; `last` where those were read already."""
    found = queries.last_readings_of(person(request), [row.id])[row.id] if last is None else last
    shown = [_reading(reading) for reading in found]
    return SheetOut(
        id=row.id, version=row.version, client=row.client_id, taken_on=row.taken_on, unit=row.unit, waist=row.waist,
        corrects=row.corrects_id, closed=row.closed_at is not None,
        readings=[one for one in shown if one.mm is not None],
        skipped=[one for one in shown if one.mm is None and one.note],
    )  # fmt: skip


@router.get("/points", response=list[PointOut])
def points(
    request: HttpRequest,
    session: Literal["trousers", "top", "two-piece", "jumpsuit", "full"] = "trousers",
    needs: Annotated[str, Query(max_length=400)] = "",
) -> list[dict[str, Any]]:
    """The points of a session, in the order of taking; `needs` (keys with commas) are those an order asks for."""
    return points_of(session, [key for key in needs.split(",") if key])


@router.post("/flat", response=FlatOut)
def flat(request: HttpRequest, body: FlatIn) -> FlatOut:
    """What trousers that fit, measured flat, say of a point."""
    return FlatOut(typed=flat_reading(body.key, body.typed, body.unit))


@router.get("/clients/{id}/sheets", response=list[SheetOut])
def sheets_of_client(request: HttpRequest, id: UUID) -> list[SheetOut]:
    """Every sheet of a client, the newest first; of the last 200."""
    actor = person(request)
    rows = list(queries.sheets(actor, queries.client(actor, id).id)[:200])
    last = queries.last_readings_of(actor, [row.id for row in rows])
    seen.note(actor, [id], "measures")
    return [sheet_out(request, row, last[row.id]) for row in rows]


@router.get("/sheets/{id}", response=SheetOut)
def sheet(request: HttpRequest, id: UUID) -> SheetOut:
    return sheet_out(request, seen.sheet(person(request), id))


@router.put("/sheets/{id}", response=SheetOut)
def put_sheet(request: HttpRequest, id: UUID, body: SheetIn) -> SheetOut:
    return sheet_out(request, sheets.put_sheet(actor=person(request), id=id, **body.dict()))


@router.get("/sheets/{id}/readings", response=list[ReadingOut])
def all_readings(request: HttpRequest, id: UUID) -> list[ReadingOut]:
    """Every reading of a sheet, those that no longer count too."""
    return [_reading(row) for row in queries.all_readings(person(request), seen.sheet(person(request), id).id)]


@router.get("/sheets/{id}/advice", response=AdviceOut, by_alias=True)
def advice(request: HttpRequest, id: UUID) -> dict[str, Any]:
    """Doubts, ranges to expect, second ways, last time's values, and the unit the sheet seems to be in."""
    return queries.sheet_advice(person(request), seen.sheet(person(request), id))


@router.post("/sheets/{id}/turn", response=SheetOut)
def turn(request: HttpRequest, id: UUID, body: UnitIn) -> SheetOut:
    """Read every bare number of the sheet in the other unit."""
    return sheet_out(request, sheets.turn_sheet(actor=person(request), id=id, unit=body.unit))


@router.post("/sheets/{id}/close", response=SheetOut)
def close_sheet(request: HttpRequest, id: UUID) -> SheetOut:
    return sheet_out(request, sheets.close_sheet(actor=person(request), id=id))


@router.put("/corrections/{id}", response=SheetOut)
def correct(request: HttpRequest, id: UUID, body: SheetRef) -> SheetOut:
    """Open a new sheet that corrects a closed one; `id` is the new sheet's."""
    return sheet_out(request, sheets.correct_sheet(actor=person(request), id=id, sheet=body.sheet))


@router.put("/overrulings/{id}", response=KeyIn)
def overrule(request: HttpRequest, id: UUID, body: SheetRef) -> KeyIn:
    """The doubted value was measured twice and is right."""
    return KeyIn(key=sheets.overrule(actor=person(request), id=id, sheet=body.sheet, key=body.key).key)


@router.put("/readings/{id}", response=ReadingOut)
def put_reading(request: HttpRequest, id: UUID, body: ReadingIn) -> ReadingOut:
    """Append a reading; an empty text takes the point off the sheet, with a note it is skipped."""
    return _reading(sheets.add_reading(actor=person(request), id=id, **body.dict()))


@router.post("/sheets/{id}/file", response=FileOut)
def take_file(request: HttpRequest, id: UUID, body: FileIn) -> FileOut:
    """Read a sheet from a CSV or JSON file, line by line; with `keep` the good lines become readings."""
    check_files(person(request))
    lines, kept = import_sheet(actor=person(request), id=id, text=body.text, keep=body.keep)
    out = [LineOut(number=one.number, point=one.point, typed=one.typed, what=one.what, mend=one.mend) for one in lines]
    return FileOut(lines=out, kept=kept)
