"""A workshop taken along whole: one zip of open formats, and the same brought in, here or elsewhere.

In it are `about.json`, `workshop.json`, `people.json` and of each kind of row a file `rows/<app>.<kind>.jsonl`, a row a
line. No password, session, invitation or other secret is in it. Bringing in is for who runs an installation: what a
stored plan says is believed, as that of a backup is.
"""

import json
from base64 import b64decode, b64encode
from collections.abc import Iterator
from datetime import UTC, datetime
from io import TextIOWrapper
from typing import IO, Any, TypeVar
from uuid import UUID, uuid4
from zipfile import ZIP_DEFLATED, BadZipFile, ZipFile

from django.apps import apps
from django.core.exceptions import ValidationError
from django.db import DataError, IntegrityError, connection, models, transaction
from psycopg.errors import UniqueViolation

from shop.accounts.models import User, Workshop, WorkshopRow
from shop.archive.errors import ArchiveError
from shop.bridge.drafting import CORE_VERSION
from shop.keeping.backups import migrations

FORMAT = "plavet-workshop"
LEFT_OUT = ("accounts.Invitation", "accounts.Message", "accounts.Tablet", "scheduling.Feed", "clients.Tape")
"""Links that let somebody in, messages with such links in them, secret addresses, tablets, paired tapes."""
SECRETS = {"plans.PlanRun": ("link", "link_ends")}
"""Fields that are secrets, by the kind of row."""
OF_A_PERSON = ("id", "username", "first_name", "role", "is_active", "light", "single_keys")
Row = TypeVar("Row", bound=models.Model)
AT_ONCE = 200
LONGEST = 20_000_000
"""So many characters one row has at most: a plan of many pieces has under one."""


def kinds() -> list[type[WorkshopRow]]:
    """Every kind of row that is taken along."""
    rows = (model for model in apps.get_models() if issubclass(model, WorkshopRow))
    return [model for model in rows if model._meta.label not in LEFT_OUT]


def take_out(workshop: Workshop, out: IO[bytes]) -> None:
    """Write a workshop's archive. Raises ArchiveError while its unit is being changed."""
    if workshop.turning_to:
        raise ArchiveError("The workshop's unit is just being changed. Take it along when that is done.")
    about = {
        "format": FORMAT, "version": 1, "made_at": datetime.now(UTC).isoformat(timespec="seconds"),
        "core": CORE_VERSION, "migrations": migrations(),
    }  # fmt: skip
    alone = not connection.in_atomic_block
    with transaction.atomic(), ZipFile(out, "w", ZIP_DEFLATED) as archive:
        if alone:
            # One moment of the database for all that is read.
            connection.cursor().execute("set transaction isolation level repeatable read")
        archive.writestr("about.json", _text(about))
        archive.writestr("workshop.json", _text(_plain(workshop)))
        people = User.objects.filter(workshop=workshop).order_by("date_joined", "id")
        archive.writestr("people.json", _text([_plain(one, OF_A_PERSON) for one in people]))
        for kind in kinds():
            secret = SECRETS.get(kind._meta.label, ())
            names = [field.name for field in kind._meta.concrete_fields if field.name not in ("workshop", *secret)]
            with archive.open(f"rows/{kind._meta.label}.jsonl", "w", force_zip64=True) as file:
                for row in kind.of(workshop).order_by("created_at", "id").iterator(AT_ONCE):
                    file.write(_text(_plain(row, names)).encode() + b"\n")


def bring_in(file: IO[bytes]) -> tuple[Workshop, list[User]]:
    """A workshop from its archive, with its people, who choose new passwords. All of it or nothing. Raises ArchiveError
    for what is no such archive, is of another release, is here already, or names a row that is not in it.
    """
    try:
        with ZipFile(file) as archive, transaction.atomic():
            return _brought_in(archive)
    except (BadZipFile, KeyError, UnicodeDecodeError, json.JSONDecodeError, EOFError) as error:
        raise ArchiveError("This is no archive of a workshop, or not all of one.") from error
    except IntegrityError as error:
        twice = isinstance(error.__cause__, UniqueViolation)
        raise ArchiveError(
            "What is in this archive is here already, in this workshop or another."
            if twice
            else "This archive has a row that is not whole."
        ) from error
    except DataError as error:
        raise ArchiveError("This archive has a value that cannot be.") from error


def _brought_in(archive: ZipFile) -> tuple[Workshop, list[User]]:
    about = _object(archive.read("about.json"))
    if about.get("format") != FORMAT:
        raise ArchiveError("This is no archive of a workshop.")
    if about.get("migrations") != migrations():
        raise ArchiveError(
            f"This archive was made by another release ({str(about.get('core'))[:20]}; here it is {CORE_VERSION})."
            " Bring the older installation to the newer release, then take the workshop along again."
        )
    workshop = _row(Workshop, _object(archive.read("workshop.json")), {}, {"id": uuid4(), "turning_to": ""})
    workshop.save(force_insert=True)
    people = [_person(workshop, one) for one in json.loads(archive.read("people.json"))]
    known: dict[type[models.Model], set[UUID]] = {User: {one.id for one in people}}
    for kind in kinds():
        known[kind] = {UUID(str(line["id"])) for line in _lines(archive, kind)}
    for kind in kinds():
        for line in _lines(archive, kind):
            # As it is written: the moments a row was made and changed stay what they were.
            _row(kind, line, known, {"workshop": workshop}).save_base(raw=True, force_insert=True)
    return workshop, [one for one in people if one.role == "owner" and one.is_active]


def _person(workshop: Workshop, line: dict[str, Any]) -> User:
    """Somebody with the same id, and the same user name where nobody here has it."""
    name = str(line["username"])
    taken = set(User.objects.filter(username__startswith=name).values_list("username", flat=True))
    free = next(one for one in (name, *(f"{name}-{k}" for k in range(2, 10_000))) if one not in taken)
    made = _row(User, {key: line[key] for key in OF_A_PERSON} | {"username": free}, {}, {"workshop": workshop})
    made.set_unusable_password()
    made.save(force_insert=True)
    return made


def _row(kind: type[Row], line: dict[str, Any], known: dict[type[models.Model], set[UUID]], own: dict[str, Any]) -> Row:
    """A row as a line has it, each value looked at as one that was typed. Raises ArchiveError with the kind."""
    values = dict(own)
    try:
        for field in kind._meta.concrete_fields:
            if field.name in own or field.name not in line:
                continue
            value = line[field.name]
            if isinstance(field, models.ForeignKey):
                value = None if value is None else UUID(str(value))
                if value is not None and value not in known[field.related_model]:
                    raise ArchiveError(f"In {kind._meta.label} a row names one that is not in this archive.")
                values[field.attname] = value
            elif isinstance(field, models.BinaryField):
                values[field.name] = b64decode(value, validate=True)
            else:
                values[field.name] = read = field.to_python(value)
                field.run_validators(read)
    except (ValidationError, ValueError, TypeError) as error:
        raise ArchiveError(f"In {kind._meta.label} a row has a value that cannot be.") from error
    return kind(**values)


def _plain(row: models.Model, names: Any = None) -> dict[str, Any]:
    """A row by the names of its fields, each value as JSON has it."""
    fields = {field.name: field for field in row._meta.concrete_fields}
    return {name: _value(fields[name].value_from_object(row)) for name in names or fields}


def _value(value: Any) -> Any:
    if isinstance(value, bytes | memoryview):
        return b64encode(bytes(value)).decode()
    if value is None or isinstance(value, bool | int | float | str | list | dict):
        return value
    return value.isoformat() if hasattr(value, "isoformat") else str(value)


def _text(value: Any) -> str:
    return json.dumps(value, ensure_ascii=False, separators=(",", ":"))


def _object(text: bytes) -> dict[str, Any]:
    read = json.loads(text)
    if not isinstance(read, dict):
        raise ArchiveError("This is no archive of a workshop.")
    return read


def _lines(archive: ZipFile, kind: type[WorkshopRow]) -> Iterator[dict[str, Any]]:
    """The rows of a kind; so many at most as a workshop keeps, none longer than a row can be."""
    with archive.open(f"rows/{kind._meta.label}.jsonl") as file:
        text = TextIOWrapper(file, encoding="utf-8")
        for number in range(kind.MOST + 1):
            line = text.readline(LONGEST)
            if not line:
                return
            if number == kind.MOST or len(line) == LONGEST:
                break
            yield _object(line.encode())
    raise ArchiveError(f"{kind._meta.label} has more rows, or a longer one, than a workshop keeps.")
