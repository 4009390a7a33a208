"""Tickets of the week that are moved by hand."""

from datetime import date
from typing import Annotated
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.api.auth import person
from shop.api.incoming import Day
from shop.api.routers.week import Kind, OrderTasksOut, order_tasks
from shop.bridge.week import BrokenOut, TaskMovedOut
from shop.scheduling import moving

router = Router(tags=["week"])


class TicketMoveIn(Schema):
    """Tasks of an order that are put on somebody's day."""

    kinds: Annotated[list[Kind], Field(max_length=6)]
    person: UUID
    day: Day

    def read(self, order: UUID) -> moving.Move:
        """The same as the actions have it."""
        return moving.Move(order, tuple(dict.fromkeys(self.kinds)), self.person, self.day)


class TicketMoveOut(Schema):
    """What a move leads to: by whom and on which day the tasks are ready, what else moves, which promises are not kept
    then that are kept now; a stamp that is another where it would lead to anything else.
    """

    by: str
    on: date | None
    moves: list[TaskMovedOut]
    broken: list[BrokenOut]
    stamp: str


class KeptMoveIn(TicketMoveIn):
    """A move as it was seen."""

    order: UUID
    stamp: str = Field(max_length=64)


@router.post("/orders/{id}/moves", response=TicketMoveOut)
def would_move(request: HttpRequest, id: UUID, body: TicketMoveIn) -> TicketMoveOut:
    """What would move; nothing is stored."""
    made = moving.would_move(actor=person(request), move=body.read(id))
    last = made.tasks[-1]
    return TicketMoveOut(
        by=made.then.names.get(last.worker, ""), on=last.end.date() if last.end else None, moves=made.moves,
        broken=made.broken, stamp=made.stamp,
    )  # fmt: skip


@router.put("/ticket-moves/{id}", response=OrderTasksOut)
def move(request: HttpRequest, id: UUID, body: KeptMoveIn) -> OrderTasksOut:
    """Put a ticket somewhere else, and go by that."""
    actor = person(request)
    moving.move_ticket(actor=actor, id=id, move=body.read(body.order), stamp=body.stamp)
    return order_tasks(actor, body.order)
