"""Contacts as vCard 4.0 (RFC 6350): written whole, read card by card; 3.0 is read too."""

import re
from dataclasses import dataclass, field
from uuid import UUID

ESCAPES = (("\\", "\\\\"), ("\n", "\\n"), (",", "\\,"), (";", "\\;"))


@dataclass
class Contact:
    """One card: what the book keeps of it, and what is wrong with it where something is."""

    name: str = ""
    phone: str = ""
    email: str = ""
    note: str = ""
    uid: UUID | None = None
    line: int = 1
    problems: list[str] = field(default_factory=list)


def write_card(contact: Contact) -> str:
    """One card, its lines folded at 75 octets and ended as the standard asks."""
    lines = ["BEGIN:VCARD", "VERSION:4.0", f"FN:{_escape(contact.name)}"]
    lines += [f"UID:urn:uuid:{contact.uid}"] if contact.uid else []
    for key, value in (("TEL", contact.phone), ("EMAIL", contact.email), ("NOTE", contact.note)):
        lines += [f"{key}:{_escape(value)}"] if value else []
    return "".join(_fold(line) + "\r\n" for line in [*lines, "END:VCARD"])


def _escape(text: str) -> str:
    for plain, escaped in ESCAPES:
        text = text.replace(plain, escaped)
    return text


def _fold(line: str) -> str:
    parts, size = [""], 0
    for letter in line:
        octets = len(letter.encode())
        if size + octets > 75:
            parts.append(" ")
            size = 1
        parts[-1] += letter
        size += octets
    return "\r\n".join(parts)


def read_cards(text: str) -> list[Contact]:
    """Every card of a file; one without a name, or that does not end, carries its problem."""
    contacts: list[Contact] = []
    now: Contact | None = None
    unfolded = re.sub(r"\r?\n[ \t]", "", text.lstrip("\ufeff"))
    for number, line in enumerate(unfolded.splitlines(), 1):
        head, colon, value = line.partition(":")
        key = head.split(";")[0].rpartition(".")[2].strip().upper()
        if key == "BEGIN" and value.strip().upper() == "VCARD":
            if now is not None:
                now.problems.append("The card does not end: END:VCARD is missing.")
            now = Contact(line=number)
            contacts.append(now)
        elif now is None or not colon:
            continue
        elif key == "END":
            if not now.name.strip():
                now.problems.append("The card has no name: add a line that begins with FN:")
            now = None
        else:
            _take(now, key, _plain(value))
    if now is not None:
        now.problems.append("The card does not end: END:VCARD is missing.")
    return contacts


def _take(contact: Contact, key: str, value: str) -> None:
    if key == "FN":
        contact.name = contact.name or value.strip()
    elif key == "TEL":
        contact.phone = contact.phone or value.removeprefix("tel:").strip()
    elif key == "EMAIL":
        contact.email = contact.email or value.strip()
    elif key == "NOTE":
        contact.note = f"{contact.note}\n{value}".strip()
    elif key == "UID":
        try:
            contact.uid = UUID(value.removeprefix("urn:uuid:"))
        except ValueError:
            contact.uid = None


def _plain(value: str) -> str:
    return re.sub(r"\\(.)", lambda found: "\n" if found[1] in "nN" else found[1], value)
