"""Reminders: what is due, what was sent, and how it went."""

from datetime import datetime
from typing import Annotated, Literal, cast
from uuid import UUID

from django.http import HttpRequest
from ninja import Query, Router, Schema

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.api.auth import person
from shop.clients import seen
from shop.reminders import actions, gateway, queries
from shop.reminders.models import Reminder

router = Router(tags=["reminders"])
Kind = Literal["fitting", "ready", "balance"]
State = Literal["waiting", "sent", "refused", "given_up", "held_back"]


class DueOut(Schema):
    """A reminder that is due: to whom, its words, and `why` it is not sent, empty where it can be."""

    order: UUID
    title: str
    client: UUID
    client_name: str
    kind: Kind
    to: str
    text: str
    why: str


class ReminderOut(Schema):
    """A reminder in the outbox: how often it was tried, when it is tried next or was sent."""

    id: UUID
    order: UUID
    title: str
    client_name: str
    kind: Kind
    to: str
    text: str
    state: State
    tries: int
    next_at: datetime
    sent_at: datetime | None


class RemindersOut(Schema):
    """What is due and what was put in the outbox, a page of it. `gateway` is whether there is one to send by;
    `automatic` whether the workshop reminds by itself.
    """

    due: list[DueOut]
    outbox: list[ReminderOut]
    more: bool
    gateway: bool
    automatic: bool


class ReminderIn(Schema):
    """Of what the client of an order is reminded."""

    order: UUID
    kind: Kind


def _out(actor: User, page: int = 1) -> RemindersOut:
    due, rows = queries.due(actor), queries.outbox(actor, page)
    clients = {one.client for one in due} | {one.order.client_id for one in rows}
    if clients:
        seen.note(actor, list(clients), "contacts")
    return RemindersOut(
        due=[
            DueOut(
                order=one.order, title=one.title, client=one.client, client_name=one.client_name,
                kind=cast(Kind, one.kind), to=one.to, text=one.text, why=one.why,
            ) for one in due
        ],
        outbox=[_reminder(one) for one in rows], more=len(rows) == queries.A_PAGE, gateway=gateway.there(),
        automatic=actor.workshop.reminds,
    )  # fmt: skip


def _reminder(one: Reminder) -> ReminderOut:
    return ReminderOut(
        id=one.id, order=one.order_id, title=one.order.title, client_name=one.order.client.name,
        kind=cast(Kind, one.kind), to=one.to, text=one.text, state=cast(State, one.state), tries=one.tries,
        next_at=one.next_at, sent_at=one.sent_at,
    )  # fmt: skip


@router.get("/reminders", response=RemindersOut)
def reminders(request: HttpRequest, page: Annotated[int, Query(ge=1, le=10_000)] = 1) -> RemindersOut:
    """Of what clients are to be reminded now, and what was sent."""
    allow(person(request), "contacts")
    return _out(person(request), page)


@router.put("/reminders/{id}", response=RemindersOut)
def put_reminder(request: HttpRequest, id: UUID, body: ReminderIn) -> RemindersOut:
    """Remind a client: not at night, and nobody who has not agreed to be written to."""
    actions.put_reminder(actor=person(request), id=id, order=body.order, kind=body.kind)
    return _out(person(request))


@router.post("/reminders/{id}/again", response=RemindersOut)
def try_again(request: HttpRequest, id: UUID) -> RemindersOut:
    """Send one once more that was not taken."""
    actions.try_again(actor=person(request), id=id)
    return _out(person(request))
