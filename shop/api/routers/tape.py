"""The digital tape: pairing, what it sends, what the page reads."""

from datetime import datetime
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.api.auth import person
from shop.clients import tape
from shop.clients.models import Tape

router = Router(tags=["tape"])


class TapeOut(Schema):
    """`seq` grows with each reading; `heard_at` is its last sign of life."""

    code: str
    seq: int
    typed: str
    heard_at: datetime | None


class SentIn(Schema):
    """What a device sends: its own id for the reading, and the text it shows, such as `41.5 in` or `1054 mm`."""

    id: UUID
    typed: str = Field("", max_length=40)


def _out(row: Tape) -> TapeOut:
    return TapeOut(code=row.code, seq=row.seq, typed=row.typed, heard_at=row.heard_at)


@router.post("/tape", response=TapeOut)
def pair(request: HttpRequest) -> TapeOut:
    """A code for one's own tape."""
    return _out(tape.pair(actor=person(request)))


@router.get("/tape", response=TapeOut)
def listen(request: HttpRequest) -> TapeOut:
    """What one's own tape sent last."""
    return _out(tape.paired(person(request)))


@router.delete("/tape", response={204: None})
def unpair(request: HttpRequest) -> tuple[int, None]:
    """Hear it no longer."""
    tape.unpair(actor=person(request))
    return 204, None


@router.post("/tape/{code}/readings", auth=None, response={204: None})
def send(request: HttpRequest, code: str, body: SentIn) -> tuple[int, None]:
    """For the device: send a reading to a code."""
    tape.receive(code=code, id=body.id, typed=body.typed)
    return 204, None
