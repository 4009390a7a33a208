"""Everything about one client: exported, brought together with another entry, erased."""

import csv
import io
import unicodedata
from base64 import b64encode
from typing import Any
from uuid import UUID, uuid4

from django.db import transaction
from django.db.models import Q

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import own
from shop.clients.corrections import every_correction
from shop.clients.models import Client, Correction, Erasure, FittingPhoto, Overruling, Sheet
from shop.clients.queries import all_readings, sheets
from shop.clients.seen import bring_together
from shop.clients.sound import digits
from shop.cloths.models import Cloth
from shop.errors import ShopError
from shop.orders.models import Garment, Order

COLUMNS = (
    "taken_on",
    "sheet",
    "unit",
    "waist",
    "closed",
    "point",
    "typed",
    "mm",
    "way",
    "note",
    "taken_at",
    "taken_by",
)
CONTACTS = {
    "phone": (", ", 120, "phone numbers"), "email": (", ", 250, "e-mail addresses"), "note": ("\n", 2000, "notes"),
    "leave_be": (", ", 800, "lists of what to leave be"),
}  # fmt: skip
"""What is put between what two entries have, how much there is room for, and what it is called."""


class MergeError(ShopError):
    """Two entries that do not go into one."""

    code = "merge"


def export_client(actor: User, id: UUID) -> dict[str, Any]:
    """All that is kept of a client, as plain data: docs/file-formats.md has its shape."""
    allow(actor, "remove")
    client = own(Client, actor, id)
    return {
        "format": "plavet-client", "version": 1,
        "client": {
            "name": client.name, **{key: getattr(client, key) for key in CONTACTS},
            "keeps_measures": client.keeps_measures, "takes_reminders": client.takes_reminders,
        },
        "sheets": [
            {
                "taken_on": sheet.taken_on.isoformat(), "unit": sheet.unit, "waist": sheet.waist,
                "closed": sheet.closed_at is not None,
                "readings": [_row(sheet, one) for one in all_readings(actor, sheet.id)],
                "upheld": [
                    {"point": one.key, "mm": float(one.mm)} for one in Overruling.of(actor.workshop).filter(sheet=sheet)
                ],
            }
            for sheet in sheets(actor, client.id)
        ],
        "corrections": [
            {
                "fitted_on": one.fitted_on.isoformat(), "sign": one.sign, "cure": one.cure, "pinned": one.pinned,
                "kind": one.kind, "changes": one.changes, "side": one.side, "reason": one.reason,
                "dropped": one.removed,
            }
            for one in every_correction(actor, client.id)
        ],
        "photos": [
            {"taken_on": one.taken_on.isoformat(), "jpeg_base64": b64encode(bytes(one.picture)).decode()}
            for one in FittingPhoto.of(actor.workshop).filter(client=client).order_by("taken_on", "id")
        ],
        "orders": [
            {
                "title": order.title, "promised_on": order.promised_on.isoformat(),
                "garments": [
                    {"style": one.style, "method": one.method, "choices": one.choices}
                    for one in Garment.of(actor.workshop).filter(order=order)
                ],
            }
            for order in Order.of(actor.workshop).filter(client=client).order_by("promised_on")
        ],
    }  # fmt: skip


def _row(sheet: Sheet, reading: Any) -> dict[str, Any]:
    return {
        "taken_on": sheet.taken_on.isoformat(), "sheet": str(sheet.id), "unit": sheet.unit, "waist": sheet.waist,
        "closed": "yes" if sheet.closed_at else "no", "point": reading.key, "typed": reading.typed,
        "mm": "" if reading.mm is None else f"{reading.mm.normalize():f}", "way": reading.way, "note": reading.note,
        "taken_at": reading.created_at.isoformat(timespec="seconds"),
        "taken_by": reading.changed_by.username if reading.changed_by else "",
    }  # fmt: skip


def export_csv(actor: User, id: UUID) -> str:
    """Every reading of every sheet of a client, one a line, with the columns of COLUMNS."""
    allow(actor, "remove")
    client = own(Client, actor, id)
    out = io.StringIO()
    table = csv.DictWriter(out, COLUMNS)
    table.writeheader()
    for sheet in sheets(actor, client.id):
        for reading in all_readings(actor, sheet.id):
            table.writerow({key: _plain(value) for key, value in _row(sheet, reading).items()})
    return out.getvalue()


def _plain(text: str) -> str:
    """A cell that no spreadsheet takes for a formula."""
    plain = unicodedata.normalize("NFKC", text).lstrip()
    return f"'{text}" if plain[:1] in ("=", "+", "-", "@") or text[:1] in ("\t", "\r", "\n") else text


def erase_client(*, actor: User, id: UUID) -> Erasure:
    """Erase a client with all sheets, orders and plans. What stays is that somebody was erased, when and by whom."""
    allow(actor, "remove")
    with transaction.atomic():
        client = own(Client, actor, id)
        orders = Order.of(actor.workshop).filter(client=client)
        cloths = {key for pair in orders.values_list("cloth_id", "other_cloth_id") for key in pair if key is not None}
        done = Erasure(
            id=uuid4(), workshop=actor.workshop, changed_by=actor, orders=orders.count(),
            sheets=Sheet.of(actor.workshop).filter(client=client).count(),
        )  # fmt: skip
        done.save(force_insert=True)
        orders.delete()
        others = Order.of(actor.workshop).filter(Q(cloth_id__in=cloths) | Q(other_cloth_id__in=cloths))
        still = {key for pair in others.values_list("cloth_id", "other_cloth_id") for key in pair}
        Cloth.of(actor.workshop).filter(pk__in=cloths - still).delete()
        client.delete()
        return done


def merge_clients(*, actor: User, id: UUID, other: UUID) -> Client:
    """Two entries of one person: the other's sheets, orders and notes come to this one, and the other goes."""
    allow(actor, "remove")
    with transaction.atomic():
        kept, gone = own(Client, actor, id), own(Client, actor, other)
        if kept.id == gone.id:
            return kept
        for model in (Sheet, Order, Correction, FittingPhoto):
            model.of(actor.workshop).filter(client=gone).update(client=kept, changed_by=actor)
        for key, (between, room, words) in CONTACTS.items():
            mine, theirs = getattr(kept, key), getattr(gone, key)
            if not theirs or theirs == mine:
                continue
            both = f"{mine}{between}{theirs}" if mine else theirs
            if len(both) > room:
                raise MergeError(f"The two {words} are too long together. Shorten one, then bring them together.")
            setattr(kept, key, both)
        bring_together(gone, kept)
        kept.phone_digits = digits(kept.phone)
        for agreed in ("keeps_measures", "takes_reminders"):
            setattr(kept, agreed, getattr(kept, agreed) and getattr(gone, agreed))
        kept.version += 1
        kept.changed_by = actor
        kept.save()
        gone.delete()
        return kept
