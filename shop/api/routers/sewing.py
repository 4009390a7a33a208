"""What is sewn of an order: its steps ticked by whom and when."""

from datetime import date, datetime
from typing import Annotated
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema
from pydantic import AwareDatetime

from shop.api.auth import person
from shop.bridge.sewing import band_says, reading_name, say
from shop.chalk.queries import name_of
from shop.clients import seen
from shop.orders.models import Order
from shop.orders.queries import order
from shop.sewing import actions, queries
from shop.sewing.alterations import alterations

router = Router(tags=["sewing"])


class ReadOut(Schema):
    """What was measured at a step, as typed."""

    code: str
    name: str
    typed: str


class SewnOut(Schema):
    """An operation that is done, by its id in the plan."""

    operation: str
    by: str
    at: datetime
    readings: list[ReadOut]
    agrees: bool = Field(description="whether what was measured is as it should be; true where nothing is")
    says: list[str] = Field(description="what the readings mean")
    band_says: str = Field(description="how long the band is by the reading, with its sum")


class SewnIn(Schema):
    """That an operation of a plan of the order was done, or unpicked."""

    order: UUID
    plan: UUID
    operation: str = Field(max_length=120)
    sewn: bool = True
    typed: dict[str, Annotated[str, Field(max_length=40)]] = Field(default_factory=dict, max_length=4)
    sure: bool = Field(False, description="whether a reading that cannot well be is so all the same")
    began: AwareDatetime | None = Field(None, description="by the clock of the device")
    ended: AwareDatetime | None = None


def _answer(request: HttpRequest, row: Order) -> list[SewnOut]:
    actor = person(request)
    unit = actor.workshop.unit
    done = queries.sewn(actor, row.id)
    if any(one.readings for one in done):
        seen.note(actor, [row.client_id], "measures")
    return [
        SewnOut(
            operation=one.operation, by=name_of(one.changed_by), at=one.created_at,
            readings=[
                ReadOut(code=code, name=reading_name(code), typed=typed)
                for code, typed in one.readings.get("typed", {}).items()
            ],
            agrees=one.readings["judged"]["agrees"] if one.readings else True,
            says=say(one.readings["judged"], one.readings["mm"], unit) if one.readings else [],
            band_says=band_says(one.readings["judged"], unit) if one.readings else "",
        )
        for one in done
    ]  # fmt: skip


class AlterationOut(Schema):
    """Something that is altered after a fitting; ticked by its `id` like an operation."""

    id: str
    title: str
    says: str
    seen: str
    fitted_on: date
    garment: str


@router.get("/orders/{id}/alterations", response=list[AlterationOut])
def order_alterations(request: HttpRequest, id: UUID) -> list[AlterationOut]:
    """What is altered on an order's garments after its fittings."""
    actor = person(request)
    row = order(actor, id)
    found = alterations(actor, row)
    if found:
        seen.note(actor, [row.client_id], "measures")
    return [AlterationOut(**vars(one)) for one in found]


@router.get("/orders/{id}/sewn", response=list[SewnOut])
def sewn(request: HttpRequest, id: UUID) -> list[SewnOut]:
    """The steps that are done, with what was measured at them; asked often."""
    return _answer(request, order(person(request), id))


@router.put("/sewn/{id}", response=list[SewnOut])
def tick(request: HttpRequest, id: UUID, body: SewnIn) -> list[SewnOut]:
    """Tick a step, or unpick it; all that are done then."""
    actions.tick(
        actor=person(request), id=id, order=body.order, plan_run=body.plan, operation=body.operation, sewn=body.sewn,
        typed=body.typed, sure=body.sure, began=body.began, ended=body.ended,
    )  # fmt: skip
    return _answer(request, order(person(request), body.order))
