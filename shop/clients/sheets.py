"""Writes about sheets and their readings."""

from datetime import date
from uuid import UUID

from django.db import transaction
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own, put_row
from shop.bridge.measuring import Unit, check_key, is_bare, read_reading
from shop.bridge.words import as_unit
from shop.clients.models import Client, Overruling, Reading, Sheet
from shop.clients.queries import readings
from shop.errors import ShopError

MOST_READINGS = 2000
"""A sheet keeps no more readings, those that no longer count among them."""


class SheetClosedError(ShopError):
    """The sheet is closed: a correction is a new sheet."""

    status = 409
    code = "closed"

    def __init__(self) -> None:
        super().__init__("This sheet is closed. A correction goes on a new sheet.")


class OtherClientError(ShopError):
    """What is one client's does not become another's: it would keep the measures of the first."""

    code = "other_client"

    def __init__(self, what: str):
        super().__init__(f"This {what} is another client's. Make a new one for this client.")


def put_sheet(
    *,
    actor: User,
    id: UUID,
    version: int,
    client: UUID,
    taken_on: date,
    unit: str,
    waist: str = "worn",
    corrects: UUID | None = None,
) -> Sheet:
    """Open a sheet, or change its day, unit or waist. Raises SheetClosedError where it is closed."""
    allow(actor, "measure")
    measured = own(Client, actor, client)
    known = Sheet.of(actor.workshop).filter(pk=id).first()
    if known is not None and known.closed_at is not None:
        raise SheetClosedError
    if known is not None and known.client_id != measured.id:
        raise OtherClientError("sheet")
    wrong = own(Sheet, actor, corrects) if corrects else None
    if wrong is not None and wrong.client_id != measured.id:
        raise Http404
    return put_row(
        Sheet, actor=actor, id=id, version=version, client_id=measured.id, taken_on=taken_on, unit=unit, waist=waist,
        corrects_id=wrong.id if wrong else None,
    )  # fmt: skip


def _open_sheet(actor: User, id: UUID) -> Sheet:
    """The sheet, locked until the write is over. Raises Http404, SheetClosedError."""
    sheet = Sheet.of(actor.workshop).select_for_update(no_key=True).filter(pk=id).first()
    if sheet is None:
        raise Http404
    if sheet.closed_at is not None:
        raise SheetClosedError
    return sheet


def add_reading(
    *, actor: User, id: UUID, sheet: UUID, key: str, typed: str, way: str = "tape", note: str = ""
) -> Reading:
    """Append a reading; the same id again is the same reading. Raises SheetClosedError, CoreRefusal, Http404."""
    allow(actor, "measure")
    with transaction.atomic():
        known = Reading.of(actor.workshop).filter(pk=id, sheet_id=sheet).first()
        if known is not None:
            return known
        row = _open_sheet(actor, sheet)
        known = Reading.of(actor.workshop).filter(pk=id, sheet_id=sheet).first()
        if known is not None:  # a twin of this request was quicker
            return known
        check_room(Reading.of(actor.workshop).filter(sheet=row), MOST_READINGS)
        mm = read_reading(key, typed, as_unit(row.unit)) if typed.strip() else None
        if mm is None:
            check_key(key, as_unit(row.unit))
        reading = Reading(
            id=id, workshop=actor.workshop, changed_by=actor, sheet=row, key=key, typed=typed.strip(), mm=mm,
            way=way, note=note.strip(),
        )  # fmt: skip
        return add(reading)


def overrule(*, actor: User, id: UUID, sheet: UUID, key: str) -> Overruling:
    """Keep that the value on the sheet was measured twice and is right; it is not doubted again."""
    allow(actor, "measure")
    with transaction.atomic():
        row = _open_sheet(actor, sheet)
        value = next((one.mm for one in readings(actor, row.id) if one.key == key), None)
        if value is None:
            raise Http404
        known = Overruling.of(actor.workshop).filter(sheet=row, key=key, mm=value).first()
        made = Overruling(id=id, workshop=actor.workshop, changed_by=actor, sheet=row, key=key, mm=value)
        return known or add(made)


def turn_sheet(*, actor: User, id: UUID, unit: Unit) -> Sheet:
    """The whole sheet was typed in the other unit: read every bare number anew. All or nothing; raises CoreRefusal."""
    allow(actor, "measure")
    with transaction.atomic():
        sheet = _open_sheet(actor, id)
        if sheet.unit != unit:
            for old in readings(actor, sheet.id):
                if is_bare(old.typed):
                    Reading(
                        workshop=actor.workshop, changed_by=actor, sheet=sheet, key=old.key, typed=old.typed,
                        way=old.way, mm=read_reading(old.key, old.typed, unit),
                    ).save(force_insert=True)  # fmt: skip
            sheet.unit, sheet.changed_by = unit, actor
            sheet.version += 1
            sheet.save()
        return sheet


def close_sheet(*, actor: User, id: UUID) -> Sheet:
    """Close a sheet for good; closing it again changes nothing."""
    allow(actor, "measure")
    with transaction.atomic():
        sheet = locked(Sheet, actor, id)
        if sheet.closed_at is None:
            sheet.closed_at = timezone.now()
            sheet.version += 1
            sheet.changed_by = actor
            sheet.save()
        return sheet


def correct_sheet(*, actor: User, id: UUID, sheet: UUID) -> Sheet:
    """A new open sheet that corrects a closed one: it starts with the readings that count there."""
    allow(actor, "measure")
    with transaction.atomic():
        old = locked(Sheet, actor, sheet)
        known = Sheet.of(actor.workshop).filter(pk=id).first()
        if known is not None:
            return known
        made = put_sheet(
            actor=actor, id=id, version=0, client=old.client_id, taken_on=timezone.localdate(), unit=old.unit,
            waist=old.waist, corrects=old.id,
        )  # fmt: skip
        for one in readings(actor, old.id):
            Reading(
                workshop=actor.workshop,
                changed_by=actor,
                sheet=made,
                key=one.key,
                typed=one.typed,
                mm=one.mm,
                way=one.way,
            ).save(force_insert=True)
        return made
