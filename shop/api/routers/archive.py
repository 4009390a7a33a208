"""All of a workshop as one file, for its owner to take along."""

from datetime import datetime
from typing import Literal

from django.http import FileResponse, HttpRequest
from ninja import Router, Schema

from shop.api.auth import person
from shop.archive import taking_along
from shop.clients import seen

router = Router(tags=["archive"])


class ArchiveOut(Schema):
    """The workshop's archive: whether there is one, since when, how large it is."""

    state: Literal["none", "being_made", "ready"]
    made_at: datetime | None
    size_mb: float


@router.get("/archive", response=ArchiveOut)
def archive(request: HttpRequest) -> ArchiveOut:
    """How it is with the workshop's archive."""
    return _out(taking_along.taken(person(request)))


@router.post("/archive", response=ArchiveOut)
def make_archive(request: HttpRequest) -> ArchiveOut:
    """Have one made on the queue; it is kept for a day."""
    return _out(taking_along.ask(person(request)))


@router.get("/archive/file")
def archive_file(request: HttpRequest) -> FileResponse:
    """The archive as a zip, which is noted as what is taken along of a client is."""
    file = taking_along.read(person(request))
    seen.note(person(request), [None], "archive")
    return FileResponse(file, as_attachment=True, filename="workshop.zip", content_type="application/zip")


def _out(taken: taking_along.Taken) -> ArchiveOut:
    return ArchiveOut(state=taken.state, made_at=taken.made_at, size_mb=round(taken.size / 1024**2, 1))
