"""The archive that an owner asks for: made on the queue, kept for a day, taken once or more."""

import os
import time
from contextlib import suppress
from dataclasses import dataclass
from datetime import UTC, datetime
from pathlib import Path
from typing import IO, Literal

from django.db import transaction
from django.http import Http404
from procrastinate.contrib.django import app
from procrastinate.contrib.django.models import ProcrastinateJob
from procrastinate.exceptions import AlreadyEnqueued

from shop.accounts.models import User, Workshop
from shop.accounts.rights import allow
from shop.archive.whole import take_out

A_DAY = 24 * 3600


@dataclass(frozen=True)
class Taken:
    """Whether an archive is there, since when, and how many bytes it has."""

    state: Literal["none", "being_made", "ready"]
    made_at: datetime | None = None
    size: int = 0


def folder() -> Path:
    """Where archives wait to be taken: nobody but who runs the installation reads there."""
    return Path(os.environ.get("PLAVET_ARCHIVES") or "var/archives")


def ask(actor: User) -> Taken:
    """Have an archive of the workshop made; asked for twice it is made once."""
    allow(actor, "workshop")
    with suppress(AlreadyEnqueued), transaction.atomic():
        app.configure_task("archive", queue="lay", queueing_lock=_lock(actor.workshop)).defer(
            workshop=str(actor.workshop_id)
        )
    return taken(actor)


def taken(actor: User) -> Taken:
    """How it is with the workshop's archive."""
    allow(actor, "workshop")
    if ProcrastinateJob.objects.filter(queueing_lock=_lock(actor.workshop), status__in=("todo", "doing")).exists():
        return Taken("being_made")
    try:
        about = _path(actor.workshop).stat()
    except FileNotFoundError:
        return Taken("none")
    return Taken("ready", datetime.fromtimestamp(about.st_mtime, UTC), about.st_size)


def read(actor: User) -> IO[bytes]:
    """The archive itself. Raises Http404 where there is none."""
    allow(actor, "workshop")
    try:
        return _path(actor.workshop).open("rb")
    except FileNotFoundError:
        raise Http404 from None


def make(workshop: Workshop) -> None:
    """Make it: what was there before stays until the new one is whole."""
    folder().mkdir(parents=True, exist_ok=True, mode=0o700)
    part = _path(workshop).with_suffix(".part")
    with part.open("wb") as out:
        take_out(workshop, out)
    part.replace(_path(workshop))


def forget(now: float | None = None) -> None:
    """Archives of more than a day ago go, and what was broken off."""
    for path in folder().glob("workshop-*"):
        if path.stat().st_mtime < (now or time.time()) - A_DAY:
            path.unlink(missing_ok=True)


def _path(workshop: Workshop) -> Path:
    return folder() / f"workshop-{workshop.id}.zip"


def _lock(workshop: Workshop) -> str:
    return f"archive {workshop.id}"
