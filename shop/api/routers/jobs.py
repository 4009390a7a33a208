"""A job file: what it holds, and opened as an order."""

from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.api.auth import person
from shop.api.incoming import Day
from shop.api.routers.orders import OrderOut, order_out
from shop.orders import from_job, queries
from shop.plans.pace import check_files

router = Router()


class JobFileIn(Schema):
    text: str = Field(max_length=1_000_000)


class OpenJobIn(JobFileIn):
    """A job file, and whose order it is: a client of the workshop, or a new one by name."""

    client: UUID | None = None
    name: str = Field("", max_length=120)
    title: str = Field("", max_length=120)
    promised_on: Day


class JobHeldOut(Schema):
    """What is in a job file."""

    client: str
    styles: list[str]
    measures: int
    cloth: str
    width: str


@router.post("/jobs", response=JobHeldOut)
def look_into_job(request: HttpRequest, body: JobFileIn) -> JobHeldOut:
    """What a job file holds, or every problem in it; nothing is written."""
    check_files(person(request))
    parts = from_job.look_into(actor=person(request), text=body.text)
    return JobHeldOut(
        client=parts.client, styles=parts.styles, measures=len(parts.measures), cloth=parts.cloth["kind"],
        width=parts.cloth["width"],
    )  # fmt: skip


@router.put("/orders/{id}/from-job", response=OrderOut)
def open_job(request: HttpRequest, id: UUID, body: OpenJobIn) -> OrderOut:
    """A job file opened as the order `id`."""
    check_files(person(request))
    made = from_job.open_job(actor=person(request), id=id, **body.dict())
    return order_out(request, queries.order(person(request), made.id))
