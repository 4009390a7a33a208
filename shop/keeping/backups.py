"""Backups: one file with all that the database holds and what it was made by; made, read back, put in order, restored.

A backup is a tar of `about.json` (when, by which versions, how many rows each table had) and `database.dump`, as
pg_dump writes it; sealed where there is a passphrase. No secret is in it but what the database itself holds.
"""

import hashlib
import json
import os
import re
import shutil
import subprocess
import tarfile
import tempfile
import time
from collections.abc import Sequence
from contextlib import suppress
from dataclasses import dataclass
from datetime import UTC, datetime
from io import BytesIO
from pathlib import Path
from typing import IO, Any

import psycopg
from django.db import connection
from django.db.migrations.recorder import MigrationRecorder
from psycopg.sql import SQL, Identifier

from shop.bridge.drafting import CORE_VERSION
from shop.keeping.errors import BackupError
from shop.keeping.rotation import kept
from shop.keeping.sealing import is_sealed, passphrase, seal, unseal

FORMAT = "plavet-backup"
NAME = re.compile(r"plavet-(\d{8}-\d{6})\.tar(\.age)?")
STAMP = "%Y%m%d-%H%M%S"
TRIES = 60
KEPT_BEFORE = 2
"""So many databases stay that a backup was taken in the place of, the last ones."""
PLENTY = 3600
"""So many seconds a dump or a restore may take."""


@dataclass(frozen=True)
class Backup:
    """A backup file, when it was made, in UTC, and how many bytes it has."""

    path: Path
    at: datetime
    size: int


def backups(folder: Path) -> list[Backup]:
    """The backups in a folder, the newest first; other files there are none of our business."""
    found = []
    for path in folder.glob("plavet-*.tar*"):
        if name := NAME.fullmatch(path.name):
            at = datetime.strptime(name[1], STAMP).replace(tzinfo=UTC)
            found.append(Backup(path, at, path.stat().st_size))
    return sorted(found, key=lambda one: one.at, reverse=True)


def make(folder: Path, now: datetime | None = None) -> Backup:
    """Make a backup, read it back whole, then forget those that are not kept any longer. Raises BackupError; what was
    there stays then.
    """
    at = (now or datetime.now(UTC)).replace(microsecond=0)
    folder.mkdir(parents=True, exist_ok=True, mode=0o700)
    by = passphrase()
    path = folder / f"plavet-{at:{STAMP}}.tar{'.age' if by else ''}"
    with tempfile.TemporaryDirectory(dir=folder) as work:
        dump = Path(work) / "database.dump"
        # One moment of the database for the dump and for what is counted.
        with _line() as line:
            line.isolation_level = psycopg.IsolationLevel.REPEATABLE_READ
            snapshot = _one(line, "select pg_export_snapshot()")
            rows = {table: _count(line, table) for table in _tables(line)}
            _run("pg_dump", "--format=custom", f"--snapshot={snapshot}", f"--file={dump}", f"--dbname={database()}")
        about = {"format": FORMAT, "version": 1, "made_at": at.isoformat(), "core": CORE_VERSION, "rows": rows,
                 "migrations": migrations(), "sha256": _digest(dump)}  # fmt: skip
        made = Path(work) / path.name
        with tarfile.open(made, "w") as out:
            text = json.dumps(about, indent=1).encode()
            entry = tarfile.TarInfo("about.json")
            entry.size, entry.mtime = len(text), int(at.timestamp())
            out.addfile(entry, BytesIO(text))
            out.add(dump, "database.dump")
        if by:
            made.write_bytes(seal(made.read_bytes(), by))
        read(made)
        os.chmod(made, 0o600)
        made.rename(path)
    _tidy(folder)
    return Backup(path, at, path.stat().st_size)


def read(path: Path) -> dict[str, Any]:
    """What a backup says of itself, once all of it was read. Raises BackupError where it is damaged or none."""
    with tempfile.TemporaryDirectory() as work:
        about, dump = _opened(path, Path(work))
        _run("pg_restore", "--file=/dev/null", str(dump))
    return about


def restore(path: Path) -> str | None:
    """Bring a backup back: into a database beside the one that is there, which is taken in its place once every table
    has as many rows as were counted. What was there is kept under another name, which is answered, and so are the last
    KEPT_BEFORE of them; None where it was empty. Nobody else may be connected. Raises BackupError; what was there is as
    it was then.
    """
    name = database()
    beside, before = f"{name}_restored", f"{name}_before_{datetime.now(UTC):{STAMP}}"
    connection.close()
    with tempfile.TemporaryDirectory() as work:
        about, dump = _opened(path, Path(work))
        with _line("postgres", autocommit=True) as line:
            line.execute(SQL("drop database if exists {}").format(Identifier(beside)))
            line.execute(SQL("create database {} template template0").format(Identifier(beside)))
            try:
                _run(
                    "pg_restore", "--no-owner", "--no-privileges", "--exit-on-error", f"--dbname={beside}", str(dump)
                )  # fmt: skip
                _check(beside, about)
                was_empty = is_empty(name)
                _swap(line, name, beside, before)
            except (BackupError, psycopg.Error) as error:
                _drop(line, beside)
                raise BackupError(f"{error} What was there is as it was.") from None
            if was_empty:
                line.execute(SQL("drop database {}").format(Identifier(before)))
            with suppress(BackupError):  # somebody looks into it: it goes the next time
                for old in _of_before(line, name)[:-KEPT_BEFORE]:
                    _drop(line, old)
    return None if was_empty else before


def _of_before(line: psycopg.Connection, name: str) -> list[str]:
    """The databases that backups were taken in the place of, the oldest first."""
    like = name.replace("_", r"\_") + r"\_before\_%"
    rows = line.execute("select datname from pg_database where datname like %s order by datname", (like,))
    return [str(row[0]) for row in rows]


def _drop(line: psycopg.Connection, name: str) -> None:
    """Whoever is connected is cut off. While the database itself tidies there, that is for its superuser: a moment
    later it is done.
    """
    for _ in range(TRIES):
        try:
            line.execute(SQL("drop database if exists {} with (force)").format(Identifier(name)))
            return
        except psycopg.errors.InsufficientPrivilege:
            time.sleep(0.5)
    raise BackupError(f"The database {name} is in use and stays. Drop it by hand.")


def _swap(line: psycopg.Connection, name: str, beside: str, before: str) -> None:
    rename = SQL("alter database {} rename to {}")
    try:
        line.execute(rename.format(Identifier(name), Identifier(before)))
    except psycopg.errors.ObjectInUse:
        raise BackupError("Somebody is connected to the database. Stop Plavet first.") from None
    try:
        line.execute(rename.format(Identifier(beside), Identifier(name)))
    except psycopg.Error:
        line.execute(rename.format(Identifier(before), Identifier(name)))
        raise


def _check(name: str, about: dict[str, Any]) -> None:
    with _line(name) as line:
        found = {table: _count(line, table) for table in _tables(line)}
    for table, rows in about["rows"].items():
        if found.get(table) != rows:
            raise BackupError(f"{table} came back with {found.get(table, 'no')} rows, {rows} were counted.")


def is_empty(name: str | None = None) -> bool:
    """Whether there is no workshop in the database, or in one beside it; of whatever release it is."""
    with _line(name) as line:
        tables = _tables(line)
        return "accounts_workshop" not in tables or _count(line, "accounts_workshop") == 0


def _opened(path: Path, work: Path) -> tuple[dict[str, Any], Path]:
    try:
        with _unsealed(path) as file, tarfile.open(fileobj=file) as given:
            for name in ("about.json", "database.dump"):
                part = given.extractfile(name)
                if part is None:
                    raise KeyError(name)
                with (work / name).open("wb") as out:
                    shutil.copyfileobj(part, out)
        about = json.loads((work / "about.json").read_text())
    except (OSError, KeyError, ValueError, tarfile.TarError):
        raise BackupError(f"{path} is no backup of Plavet, or is damaged.") from None
    if about.get("format") != FORMAT or about.get("version") != 1:
        raise BackupError(f"{path} is a backup of a form that is not known here: {about.get('version')}.")
    if about["sha256"] != _digest(work / "database.dump"):
        raise BackupError(f"{path} is damaged: it is not what was written. Take another one.")
    return about, work / "database.dump"


def _unsealed(path: Path) -> IO[bytes]:
    """The tar; what is not sealed is read from its file."""
    file = path.open("rb")
    if not is_sealed(file.read(20)):
        file.seek(0)
        return file
    with file:
        file.seek(0)
        return BytesIO(unseal(file.read(), passphrase()))


def _digest(path: Path) -> str:
    with path.open("rb") as given:
        return hashlib.file_digest(given, "sha256").hexdigest()


def _tidy(folder: Path) -> None:
    all_ = backups(folder)
    stays = kept(one.at for one in all_)
    for one in all_:
        if one.at not in stays:
            one.path.unlink()


def migrations() -> list[str]:
    """What the database was brought to, in the order of the names."""
    return sorted(f"{app}.{name}" for app, name in MigrationRecorder(connection).applied_migrations())


def _tables(line: psycopg.Connection) -> list[str]:
    rows = line.execute("select tablename from pg_tables where schemaname = 'public' order by 1")
    return [str(name) for (name,) in rows]


def _count(line: psycopg.Connection, table: str) -> int:
    return int(_one(line, SQL("select count(*) from {}").format(Identifier(table))))


def _one(line: psycopg.Connection, query: Any) -> Any:
    row = line.execute(query).fetchone()
    assert row is not None
    return row[0]


def database() -> str:
    """What the database is called."""
    return str(connection.settings_dict["NAME"])


def _line(name: str | None = None, *, autocommit: bool = False) -> psycopg.Connection:
    to = connection.settings_dict
    return psycopg.connect(
        host=to["HOST"], port=to["PORT"], user=to["USER"], password=to["PASSWORD"], dbname=name or database(),
        autocommit=autocommit,
    )  # fmt: skip


def _run(program: str, *words: str) -> None:
    to = connection.settings_dict
    # The password is in no command line, where others of the machine could read it.
    who = {"PGHOST": to["HOST"], "PGPORT": to["PORT"], "PGUSER": to["USER"], "PGPASSWORD": to["PASSWORD"]}
    try:
        done = subprocess.run(
            [str(_binaries() / program), *words], env=os.environ | {key: str(value) for key, value in who.items()},
            capture_output=True, text=True, timeout=PLENTY, check=False,
        )  # fmt: skip
    except subprocess.TimeoutExpired:
        raise BackupError(f"{program} was not done within an hour.") from None
    if done.returncode:
        first = next((line for line in done.stderr.splitlines() if "error" in line.lower()), "without a word")
        raise BackupError(f"{program} broke off: {first[:160].rstrip('. ')}.")


def _binaries() -> Path:
    found: Sequence[Path] = sorted(Path("/usr/lib/postgresql").glob("*/bin"))
    if not found:
        raise BackupError("The programs of PostgreSQL are not installed here.")
    return found[-1]
