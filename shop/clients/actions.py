"""Writes about clients, their sheets and readings."""

from datetime import date
from uuid import UUID

from django.db import IntegrityError, transaction
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.writing import own, put_row
from shop.bridge.measuring import read_reading
from shop.clients.models import Client, Reading, Sheet


class SheetClosedError(Exception):
    """The sheet is closed: a correction is a new sheet."""


def put_client(*, actor: User, id: UUID, version: int, name: str, phone: str, note: str) -> Client:
    """Make or change a client."""
    return put_row(Client, actor=actor, id=id, version=version, name=name.strip(), phone=phone, note=note)


def put_sheet(*, actor: User, id: UUID, version: int, client: UUID, taken_on: date, unit: str) -> Sheet:
    """Open a sheet, or change its day or unit."""
    owner = own(Client, actor, client)
    return put_row(Sheet, actor=actor, id=id, version=version, client_id=owner.id, taken_on=taken_on, unit=unit)


def add_reading(*, actor: User, id: UUID, sheet: UUID, key: str, typed: str) -> Reading:
    """Append a reading; the same id again is the same reading. Raises SheetClosedError, CoreRefusal, Http404."""
    with transaction.atomic():
        owner = Sheet.of(actor.workshop).select_for_update().filter(pk=sheet).first()
        if owner is None:
            raise Http404
        known = Reading.of(actor.workshop).filter(pk=id).first()
        if known is not None:
            return known
        if owner.closed_at is not None:
            raise SheetClosedError
        mm = read_reading(key, typed, "cm" if owner.unit == "cm" else "in") if typed.strip() else None
        reading = Reading(
            id=id, workshop=actor.workshop, changed_by=actor, sheet=owner, key=key, typed=typed.strip(), mm=mm
        )
        try:
            with transaction.atomic():
                reading.save(force_insert=True)
        except IntegrityError:
            raise Http404 from None
        return reading


def close_sheet(*, actor: User, id: UUID) -> Sheet:
    """Close a sheet for good; closing it again changes nothing."""
    with transaction.atomic():
        sheet = own(Sheet, actor, id)
        if sheet.closed_at is None:
            sheet.closed_at = timezone.now()
            sheet.version += 1
            sheet.changed_by = actor
            sheet.save()
        return sheet
