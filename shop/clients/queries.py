"""Reads about clients; each starts from the workshop."""

from collections import Counter
from collections.abc import Collection, Iterable
from typing import Any
from uuid import UUID

from django.db.models import Q, QuerySet

from shop.accounts.models import User
from shop.accounts.reading import page_of
from shop.accounts.rights import allow, rights_of
from shop.accounts.writing import own
from shop.bridge.measuring import advice
from shop.clients.models import Client, Overruling, Reading, Sheet
from shop.clients.sound import digits, sounding

MOST_FOUND = 100


def clients(actor: User, find: str = "", archived: bool = False, page: int = 1) -> QuerySet[Client]:
    """A page of the workshop's clients by name; with `find`, of those whose name sounds so or whose phone number holds
    it.
    """
    found = Client.of(actor.workshop).filter(archived=archived).order_by("name", "id")
    words, number = sounding(find).split(), digits(find)
    if words:
        named = Q()
        for word in words:
            named &= Q(sound__contains=word)
        found = found.filter(named)
    elif find.strip():
        asked = len(number) >= 3 and "contacts" in rights_of(actor)
        found = found.filter(phone_digits__contains=number) if asked else found.none()
    return page_of(found, page, MOST_FOUND)


def whole_book(actor: User) -> QuerySet[Client]:
    """Everybody who is not archived, by name."""
    allow(actor, "contacts")
    return Client.of(actor.workshop).filter(archived=False).order_by("name", "id")


def client(actor: User, id: UUID) -> Client:
    return own(Client, actor, id)


def sheets(actor: User, client: UUID) -> QuerySet[Sheet]:
    """A client's sheets, newest first."""
    return Sheet.of(actor.workshop).filter(client_id=client).order_by("-taken_on", "-created_at")


def all_readings(actor: User, sheet: UUID) -> QuerySet[Reading]:
    """Every reading of a sheet in the order they were taken, those that no longer count too."""
    return Reading.of(actor.workshop).filter(sheet_id=sheet).select_related("changed_by").order_by("created_at")


def last_readings_of(actor: User, sheets: Collection[UUID]) -> dict[UUID, list[Reading]]:
    """For each sheet the last reading of each point, in the order they were taken; skipped points among them, without
    a value. One query, however many sheets.
    """
    last = (
        Reading.of(actor.workshop)
        .filter(sheet_id__in=sheets)
        .select_related("changed_by")
        .order_by("sheet_id", "key", "-created_at")
        .distinct("sheet_id", "key")
    )
    found: dict[UUID, list[Reading]] = {sheet: [] for sheet in sheets}
    for reading in sorted(last, key=lambda one: one.created_at):
        found[reading.sheet_id].append(reading)
    return found


def how_many_of(actor: User, sheets: Collection[UUID]) -> Counter[UUID]:
    """Of each sheet how many points have a value. One query, which reads no more than that."""
    rows = Reading.of(actor.workshop).filter(sheet_id__in=sheets).order_by("sheet_id", "key", "-created_at")
    last = rows.distinct("sheet_id", "key").values_list("sheet_id", "mm")
    return Counter(sheet for sheet, mm in last if mm is not None)


def readings(actor: User, sheet: UUID) -> list[Reading]:
    """The readings that count: the last of each point; points taken off or skipped are left out."""
    return counting(last_readings_of(actor, [sheet])[sheet])


def counting(last: Iterable[Reading]) -> list[Reading]:
    """Those that have a value."""
    return [reading for reading in last if reading.mm is not None]


def measures(last: Iterable[Reading]) -> dict[str, str]:
    """Readings as a job file has them."""
    return {reading.key: f"{reading.mm} mm" for reading in counting(last)}


def sheet_before(actor: User, sheet: Sheet) -> Sheet | None:
    """The client's sheet before this one, the one it corrects left out."""
    older = sheets(actor, sheet.client_id).filter(created_at__lt=sheet.created_at)
    return older.exclude(pk=sheet.corrects_id).first() if sheet.corrects_id else older.first()


def sheet_advice(actor: User, sheet: Sheet) -> dict[str, Any]:
    """What there is to say of a sheet: doubts, ranges to expect, second ways, last time's values, a wrong unit."""
    before = sheet_before(actor, sheet)
    last = {one.key: one.mm for one in readings(actor, before.id) if one.mm is not None} if before else {}
    now = [(one.key, one.typed, one.mm, one.way) for one in readings(actor, sheet.id) if one.mm is not None]
    upheld = {(one.key, one.mm) for one in Overruling.of(actor.workshop).filter(sheet=sheet)}
    said = advice(now, last, "cm" if sheet.unit == "cm" else "in", upheld)
    return {**said, "last_on": before.taken_on if before else None}


def measures_of(actor: User, sheet: UUID) -> tuple[str, dict[str, str]]:
    """A sheet's unit, and its readings as a job file has them. Raises Http404 for anybody else's."""
    row = own(Sheet, actor, sheet)
    return row.unit, measures(readings(actor, row.id))
