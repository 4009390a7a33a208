"""The client book: found, kept, merged, erased, exported; contacts from a file."""

import json
from datetime import date, datetime
from typing import Annotated, Any, Literal, cast
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Field, Query, Router, Schema

from shop.accounts.models import User
from shop.accounts.rights import allow, rights_of
from shop.api.auth import person
from shop.api.incoming import Version
from shop.api.routers.file import FileIn, FileOut, LineOut
from shop.clients import book, queries, seen, vcard
from shop.clients.models import Client
from shop.money.queries import money_of_client
from shop.orders import client_file
from shop.plans.pace import check_files
from shop.reminders.queries import reminders_of_client
from shop.scheduling.queries import days_of_client

router = Router(tags=["clients"])


class ClientIn(Schema):
    version: Version = 0
    name: str = Field(min_length=1, max_length=120)
    phone: str = Field("", max_length=120)
    email: str = Field("", max_length=250)
    note: str = Field("", max_length=2000)
    leave_be: str = Field("", max_length=800)
    keeps_measures: bool = False
    takes_reminders: bool = False
    archived: bool = False


class ClientOut(ClientIn):
    id: UUID


class OtherIn(Schema):
    other: UUID


class SeenOut(Schema):
    """What somebody was shown or took along on a day; without a client it was the whole list."""

    id: UUID
    who: str
    what: seen.What
    client: UUID | None
    client_name: str
    day: date
    times: int
    last_at: datetime


class ErasedOut(Schema):
    sheets: int
    orders: int


def client_out(request: HttpRequest, row: Client) -> ClientOut:
    """A client; phone and e-mail stay empty for those who may not see contacts."""
    shown = "contacts" in rights_of(person(request))
    return ClientOut(
        id=row.id, version=row.version, name=row.name, phone=row.phone if shown else "",
        email=row.email if shown else "", note=row.note, leave_be=row.leave_be, keeps_measures=row.keeps_measures,
        takes_reminders=row.takes_reminders, archived=row.archived,
    )  # fmt: skip


@router.get("/clients", response=list[ClientOut])
def clients(
    request: HttpRequest, find: str = "", archived: bool = False, page: Annotated[int, Query(ge=1, le=10_000)] = 1
) -> list[ClientOut]:
    """A page of the book by name, of up to 100; `find` is part of a name, as it sounds, or of a phone number."""
    actor = person(request)
    rows = list(queries.clients(actor, find[:120], archived, page))
    if rows and "contacts" in rights_of(actor):
        seen.note(actor, [None], "list")
    return [client_out(request, row) for row in rows]


@router.get("/clients/{id}", response=ClientOut)
def client(request: HttpRequest, id: UUID) -> ClientOut:
    actor, row = person(request), queries.client(person(request), id)
    if "contacts" in rights_of(actor):
        seen.note(actor, [row.id], "contacts")
    return client_out(request, row)


@router.put("/clients/{id}", response=ClientOut)
def put_client(request: HttpRequest, id: UUID, body: ClientIn) -> ClientOut:
    return client_out(request, book.put_client(actor=person(request), id=id, **body.dict()))


@router.delete("/clients/{id}", response=ErasedOut)
def erase(request: HttpRequest, id: UUID) -> ErasedOut:
    """Erase everything about a client; the erasure itself is kept."""
    done = client_file.erase_client(actor=person(request), id=id)
    return ErasedOut(sheets=done.sheets, orders=done.orders)


@router.post("/clients/{id}/merge", response=ClientOut)
def merge(request: HttpRequest, id: UUID, body: OtherIn) -> ClientOut:
    """Bring another entry of the same person into this one."""
    return client_out(request, client_file.merge_clients(actor=person(request), id=id, other=body.other))


@router.get("/clients/{id}/export")
def export(request: HttpRequest, id: UUID, kind: Literal["json", "csv", "vcard"] = "json") -> Any:
    """All that is kept of a client, as a file; `vcard` holds the contacts alone."""
    actor = person(request)
    answer = _export(actor, id, kind)
    seen.note(actor, [id], "export")
    return answer


def _export(actor: User, id: UUID, kind: str) -> HttpResponse:
    if kind == "json":
        whole = client_file.export_client(actor, id) | {
            "days": days_of_client(actor, id), **money_of_client(actor, id),
            "reminders": reminders_of_client(actor, id),
        }  # fmt: skip
        return _file(json.dumps(whole, ensure_ascii=False, indent=1), "application/json", "client.json")
    if kind == "csv":
        return _file(client_file.export_csv(actor, id), "text/csv", "measurements.csv")
    allow(actor, "contacts")
    return _file(vcard.write_card(book.contact_of(queries.client(actor, id))), "text/vcard", "contact.vcf")


def _file(text: str, kind: str, name: str) -> HttpResponse:
    answer = HttpResponse(text, content_type=f"{kind}; charset=utf-8")
    answer["Content-Disposition"] = f'attachment; filename="{name}"'
    return answer


@router.get("/book")
def whole_book(request: HttpRequest) -> HttpResponse:
    """Every contact of the workshop as vCard 4.0."""
    actor = person(request)
    cards = [vcard.write_card(book.contact_of(row)) for row in queries.whole_book(actor)]
    seen.note(actor, [None], "book")
    return _file("".join(cards), "text/vcard", "clients.vcf")


@router.post("/book", response=FileOut)
def take_contacts(request: HttpRequest, body: FileIn) -> FileOut:
    """Read contacts from a vCard file; with `keep` the good ones come into the book. The same file twice is one."""
    check_files(person(request))
    lines, kept = book.import_contacts(actor=person(request), text=body.text, keep=body.keep)
    return FileOut(lines=[LineOut(**line) for line in lines], kept=kept)


@router.get("/seen", response=list[SeenOut])
def who_saw(
    request: HttpRequest, client: UUID | None = None, page: Annotated[int, Query(ge=1, le=10_000)] = 1
) -> list[SeenOut]:
    """A page of who was shown or took along what, of one client or of all, the last first; of up to 50."""
    return [
        SeenOut(
            id=row.id, who=_called(row.changed_by), what=cast(seen.What, row.what), client=row.client_id,
            client_name=row.client.name if row.client else "", day=row.day, times=row.times, last_at=row.changed_at,
        )
        for row in seen.seen(person(request), client, page)
    ]  # fmt: skip


def _called(user: User | None) -> str:
    return (user.first_name or user.username) if user else ""
