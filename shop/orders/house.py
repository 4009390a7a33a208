"""What a workshop settles for itself, its unit among it, and what a person does for oneself."""

from typing import Any
from zoneinfo import available_timezones

from django.db import transaction

from shop.accounts.models import User, Workshop
from shop.accounts.rights import allow
from shop.accounts.writing import BlankError, unit_for_writing
from shop.bridge.house import check_allowances
from shop.errors import ShopError
from shop.orders.tasks import turn_unit


class HouseError(ShopError):
    """What cannot be settled so."""

    code = "house"


def settle(*, actor: User, **changes: Any) -> Workshop:
    """Change what is given of the workshop: name, heading, time_zone, paper, allowances, tables, machines,
    reminds, owners_step.
    Raises HouseError, BlankError, CoreRefusal.
    """
    allow(actor, "workshop")
    given: dict[str, Any] = {
        key: " ".join(value.split()) if isinstance(value, str) else value for key, value in changes.items()
    }
    if given.get("name") == "":
        raise BlankError("name")
    zone = given.get("time_zone")
    if zone and zone not in available_timezones():
        raise HouseError(f"There is no time zone {zone}. Choose one from the list, such as Europe/Lisbon.")
    with transaction.atomic():
        row = _locked(actor)
        if "allowances" in given:
            check_allowances(unit_for_writing(row), given["allowances"])
        for key, value in given.items():
            setattr(row, key, value)
        row.save(update_fields=list(given))
    return row


def turn(*, actor: User, unit: str) -> Workshop:
    """Begin to change the workshop's unit: every length that was typed without one gets the old one written out, on the
    queue; then bare lengths are in the new one. The same again changes nothing.
    """
    allow(actor, "workshop")
    with transaction.atomic():
        row = _locked(actor)
        if unit not in (row.unit, row.turning_to):
            row.turning_to = unit
            row.save(update_fields=["turning_to"])
            # What was asked before this is answered before it begins.
            turn_unit.configure(schedule_in={"seconds": GRACE}).defer(workshop=str(row.id))
    return row


GRACE = 2
"""Seconds until every write is over that began before: none that changes a length begins after."""


def put_own(*, actor: User, **changes: Any) -> User:
    """Change what is given of what one settles for oneself: light, single_keys."""
    for key, value in changes.items():
        setattr(actor, key, value)
    actor.save(update_fields=list(changes))
    return actor


def _locked(actor: User) -> Workshop:
    return Workshop.objects.select_for_update(no_key=True).get(pk=actor.workshop_id)
