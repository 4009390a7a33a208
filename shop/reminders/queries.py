"""Of what clients are to be reminded now, and what was sent; each starts from the workshop."""

from collections.abc import Collection
from dataclasses import dataclass
from datetime import datetime, timedelta
from decimal import Decimal
from typing import Any, TypeVar
from uuid import UUID

from django.db.models import Model, Q, QuerySet
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.reading import page_of
from shop.bridge.reminders import about_money, balance_text, fitting_text, ready_text
from shop.clients.models import Client
from shop.money.queries import open_orders
from shop.orders.models import Order
from shop.orders.queries import on_bench
from shop.reminders.models import Reminder
from shop.scheduling.models import ClientDay

A_PAGE = 40
MOST_DUE = 200
"""So many are due at once: the first of each kind."""
TO_PAY_AFTER = timedelta(days=7)
"""So long after it was handed over one is reminded of what is to be paid."""


SUMS = "pk", "agreed", "paid"


@dataclass(frozen=True)
class Due:
    """A reminder that is due and not in the outbox: `why` it cannot be sent, empty where it can."""

    order: UUID
    title: str
    client: UUID
    client_name: str
    kind: str
    about: str
    to: str
    text: str
    why: str


NO_CONSENT = "not agreed to be written to: say so on the client's card"
NO_PLACE = "no phone number and no e-mail on the client's card"


def due(actor: User, only: UUID | None = None) -> list[Due]:
    """Fittings of tomorrow, what is ready, what is handed over and not paid; `only` those of one order. In a fixed
    number of queries.
    """
    workshop = actor.workshop
    tomorrow = timezone.localdate() + timedelta(days=1)
    found: list[Due] = []
    days = ClientDay.of(workshop).filter(kind="fit", day=tomorrow, removed=False).select_related("order__client")
    for row in _only(days.order_by("order__title", "id"), "order_id", only)[:MOST_DUE]:
        text = fitting_text(workshop.name, row.order.title, row.day)
        found.append(_due(row.order, "fitting", row.day.isoformat(), text))
    ready = list(_only(on_bench(actor).filter(Q(step="ready")), "pk", only)[:MOST_DUE])
    before = timezone.now() - TO_PAY_AFTER
    gone = list(_only(open_orders(actor).filter(Q(step="handed_over", step_at__lt=before)), "pk", only)[:MOST_DUE])
    sums = open_orders(actor).filter(pk__in=[one.pk for one in (*ready, *gone)]).values_list(*SUMS)
    left, currency = {order: agreed - paid for order, agreed, paid in sums}, workshop.currency
    for order in ready:
        text = ready_text(workshop.name, order.title, left.get(order.pk, Decimal(0)), currency)
        found.append(_due(order, "ready", "", text))
    for order in gone:
        if left[order.pk] > 0:
            text = balance_text(workshop.name, order.title, left[order.pk], currency)
            found.append(_due(order, "balance", about_money(left[order.pk], currency), text))
    known = _known(actor, {one.order for one in found})
    return [one for one in found if (one.order, one.kind, one.about) not in known]


Rows = TypeVar("Rows", bound=Model)


def _only(rows: QuerySet[Rows], key: str, only: UUID | None) -> QuerySet[Rows]:
    return rows if only is None else rows.filter(**{key: only})


def _known(actor: User, orders: Collection[UUID]) -> set[tuple[UUID, str, str]]:
    rows = Reminder.of(actor.workshop).filter(order_id__in=orders)
    return set(rows.values_list("order_id", "kind", "about"))


def _due(order: Order, kind: str, about: str, text: str) -> Due:
    client = order.client
    why = "" if client.takes_reminders else NO_CONSENT
    to = place_of(client)
    return Due(order.pk, order.title, client.pk, client.name, kind, about, to, text, why or ("" if to else NO_PLACE))


def place_of(client: Client) -> str:
    """Where somebody is written to: the first phone number, else the first e-mail; empty without one."""
    return next((part.strip() for text in (client.phone, client.email) for part in text.split(",") if part.strip()), "")


def outbox(actor: User, page: int) -> list[Reminder]:
    """A page of what was put in the outbox, the newest first."""
    rows = Reminder.of(actor.workshop).select_related("order__client")
    return list(page_of(rows.order_by("-created_at", "id"), page, A_PAGE))


def reminders_of_client(actor: User, client: UUID) -> list[dict[str, Any]]:
    """What somebody was reminded of, as plain data."""
    rows = Reminder.of(actor.workshop).filter(order__client_id=client)
    return [
        {
            "kind": one.kind, "to": one.to, "text": one.text, "state": one.state,
            "sent_at": one.sent_at and one.sent_at.isoformat(timespec="seconds"),
        } for one in rows.order_by("created_at", "id")
    ]  # fmt: skip


FIRST_HOUR, LAST_HOUR = 8, 20
"""Nobody is written to before the one and from the other on."""


def by_day(at: datetime) -> datetime:
    """The same moment, or eight in the morning after it where it is night: by the clock of the workshop."""
    here = timezone.localtime(at)
    if FIRST_HOUR <= here.hour < LAST_HOUR:
        return at
    day = here.date() + timedelta(days=1) if here.hour >= LAST_HOUR else here.date()
    return datetime(day.year, day.month, day.day, FIRST_HOUR, tzinfo=here.tzinfo)
