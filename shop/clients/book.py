"""Writes about clients: one entry of the book, and contacts from a file."""

from typing import Any
from uuid import UUID, uuid5

from django.db import transaction

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import put_row
from shop.clients.models import Client
from shop.clients.sound import digits, sounding
from shop.clients.vcard import Contact, read_cards


def put_client(*, actor: User, id: UUID, version: int, name: str, **more: Any) -> Client:
    """Make or change a client: name, and phone, email, note, leave_be, keeps_measures, takes_reminders, archived
    where given."""
    allow(actor, "clients")
    phone = digits(more["phone"]) if "phone" in more else None
    searched = {"sound": sounding(name)[:160]} | ({"phone_digits": phone} if phone is not None else {})
    return put_row(Client, actor=actor, id=id, version=version, name=name, **more, **searched)


def contact_of(client: Client) -> Contact:
    """A client as a card."""
    return Contact(client.name, client.phone, client.email, client.note, client.id)


def import_contacts(*, actor: User, text: str, keep: bool) -> tuple[list[dict[str, Any]], int]:
    """Check every card of a file; with `keep` the good ones come into the book, known ones stay as they are."""
    allow(actor, "clients")
    lines, kept = [], 0
    with transaction.atomic():
        for card in read_cards(text):
            what = card.problems[0] if card.problems else ""
            if len(card.name) > 120 or len(card.phone) > 40 or len(card.email) > 120:
                what = "The name, the phone or the e-mail is too long."
            mend = "Mend the card in the file, or add this client by hand." if what else ""
            lines.append(
                {"number": card.line, "point": card.name[:120], "typed": card.phone[:40], "what": what, "mend": mend}
            )
            if what or not keep:
                continue
            own = uuid5(actor.workshop_id, f"{card.uid or card.name} {'' if card.uid else card.phone}")
            known = Client.of(actor.workshop).filter(pk__in=[one for one in (card.uid, own) if one]).exists()
            if not known:
                put_client(
                    actor=actor, id=own, version=0, name=card.name, phone=card.phone, email=card.email,
                    note=card.note[:2000],
                )  # fmt: skip
                kept += 1
    return lines, kept
