"""What could be wrong with an installation, and how to mend it."""

import os
import shutil
from collections.abc import Iterator
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from pathlib import Path

from django.db import Error, connection
from psycopg.sql import SQL, Composed, Identifier

from shop.keeping.backups import backups
from shop.release import steps_behind

OLD = timedelta(hours=36)
"""The last backup should be no older: they are made every night."""
SPACE = 2 * 1024**3
DRIFT = 5.0
"""By so many seconds the clocks of the machine and of the database may differ."""
SILENT = timedelta(minutes=2)


@dataclass(frozen=True)
class Found:
    """Something that was looked at: whether it is right, what was found, how to mend it where it is not."""

    what: str
    right: bool
    says: str
    mend: str = ""


def look(folder: Path | None) -> list[Found]:
    """Everything, in the order in which one thing needs another; `folder` is where backups are, None where none are
    made. Where the database does not answer, what needs it is left out.
    """
    found = [_database(), _disk(folder or Path.cwd())]
    if found[0].right:
        found += [_migrations(), _clock(), _worker(), _waiting()]
    return [*found, _backup(folder)]


def _database() -> Found:
    try:
        with connection.cursor() as cursor:
            cursor.execute("show server_version")
            return Found("database", True, f"PostgreSQL {cursor.fetchone()[0]} answers")
    except Error:
        return Found("database", False, "it does not answer", "./plavet start begins it; else look at DATABASE_URL")


def _disk(folder: Path) -> Found:
    near = next(one for one in (folder, *folder.parents) if one.exists())
    free = shutil.disk_usage(near).free
    says = f"{free / 1024**3:.1f} GB are free"
    return Found("disk", free > SPACE, says, "make room: 2 GB at least")


def _migrations() -> Found:
    behind = steps_behind()
    says = "the database is of this release" if not behind else f"{behind} steps behind this release"
    return Found("migrations", not behind, says, "./plavet start takes them")


def _clock() -> Found:
    """The machine's clock beside the database's, and beside the last that anybody wrote."""
    now, mend = datetime.now(UTC), "let the machine set its clock by the network"
    with connection.cursor() as cursor:
        cursor.execute("select clock_timestamp()")
        off = abs((now - cursor.fetchone()[0]).total_seconds())
        cursor.execute(SQL("select greatest({})").format(SQL(", ").join(map(_last_of, LAST_COUNTS))))
        last = cursor.fetchone()[0]
    behind = 0.0 if last is None else (last - now).total_seconds()
    if behind > DRIFT:
        says = f"{behind:.0f} s behind what was written last: what is new could be taken for older"
        return Found("clock", False, says, mend)
    return Found("clock", off < DRIFT, f"{off:.0f} s off the database's", mend)


LAST_COUNTS = ("clients_reading", "orders_step", "chalk_tick", "sewing_sewn")
"""Of these the last row of a thing is what holds."""


def _last_of(table: str) -> Composed:
    return SQL("(select max(created_at) from {})").format(Identifier(table))


def _worker() -> Found:
    with connection.cursor() as cursor:
        cursor.execute("select count(*), max(last_heartbeat) from procrastinate_workers")
        count, last = cursor.fetchone()
    alive = last is not None and datetime.now(UTC) - last < SILENT
    says = f"{count} at work" if alive else "none is at work: nothing is searched, scheduled, sent or backed up"
    return Found("worker", alive, says, "./plavet start begins it")


def _waiting() -> Found:
    with connection.cursor() as cursor:
        cursor.execute(
            "select count(*) from procrastinate_jobs where status = 'todo' and coalesce(scheduled_at, now()) <= now()"
        )
        count = cursor.fetchone()[0]
    return Found("queue", count < 500, f"{count} wait", "wait, or give the machine another worker")


def _backup(folder: Path | None) -> Found:
    if folder is None:
        return Found("backup", True, "none are made here: this is for trying out")
    mend = "./plavet backup makes one; the worker makes one every night"
    last = next(iter(backups(folder)), None)
    if last is None:
        return Found("backup", False, "there is none", mend)
    age = datetime.now(UTC) - last.at
    hours = age.total_seconds() / 3600
    says = f"the last is {hours:.0f} hours old, {last.size / 1024**2:.1f} MB: {last.path.name}"
    return Found("backup", age < OLD, says, mend)


def folder() -> Path | None:
    """Where backups are made; None where none are."""
    there = os.environ.get("PLAVET_BACKUPS")
    return Path(there) if there else None


def lines(found: list[Found]) -> Iterator[str]:
    """In words, a line each."""
    for one in found:
        yield f"{'right' if one.right else 'WRONG':6}{one.what:12}{one.says}"
        if not one.right:
            yield f"{'':18}{one.mend}"
