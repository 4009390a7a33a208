"""What is sewn of an order: its steps ticked by whom and when."""

from datetime import datetime
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.api.auth import person
from shop.chalk.queries import name_of
from shop.orders.queries import order
from shop.sewing import actions, queries

router = Router(tags=["sewing"])


class SewnOut(Schema):
    """An operation that is done, by its id in the plan."""

    operation: str
    by: str
    at: datetime


class SewnIn(Schema):
    """That an operation of a plan of the order was done, or unpicked."""

    order: UUID
    plan: UUID
    operation: str = Field(max_length=120)
    sewn: bool = True


def _answer(request: HttpRequest, id: UUID) -> list[SewnOut]:
    return [
        SewnOut(operation=one.operation, by=name_of(one.changed_by), at=one.created_at)
        for one in queries.sewn(person(request), id)
    ]


@router.get("/orders/{id}/sewn", response=list[SewnOut])
def sewn(request: HttpRequest, id: UUID) -> list[SewnOut]:
    """The steps that are done. It says nothing of a body, and is asked often."""
    return _answer(request, order(person(request), id).id)


@router.put("/sewn/{id}", response=list[SewnOut])
def tick(request: HttpRequest, id: UUID, body: SewnIn) -> list[SewnOut]:
    """Tick a step, or unpick it; all that are done then."""
    actions.tick(
        actor=person(request), id=id, order=body.order, plan_run=body.plan, operation=body.operation, sewn=body.sewn
    )
    return _answer(request, body.order)
