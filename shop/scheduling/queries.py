"""What waits in a workshop, and the schedule it goes by; each starts from the workshop."""

from collections import defaultdict
from collections.abc import Collection, Mapping
from dataclasses import dataclass, replace
from datetime import date
from uuid import UUID

from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.bridge.hours import SKILLS, USUAL
from shop.bridge.making_schedule import was_placed
from shop.bridge.scheduling import (
    Stands,
    Waiting,
    Waits,
    WasPlaced,
    Works,
    broken_orders,
    standing,
    summed,
    with_kept,
)
from shop.bridge.standing import Standing, standing_of
from shop.bridge.week import Called
from shop.clients.queries import how_many_of
from shop.orders import life
from shop.orders.models import Order
from shop.orders.queries import on_bench, styles_of
from shop.plans.models import PlanRun
from shop.plans.queries import code_of
from shop.scheduling.models import Away, ClientDay, Hours, Schedule, TaskDay
from shop.sewing.models import Sewn
from shop.sewing.queries import done_states, own_minutes

MOST = 200
"""So many orders are scheduled, the first promised first."""


@dataclass(frozen=True)
class WaitingWork:
    """All that waits today: as the core has it, and what is called how. `more` orders are promised later still;
    `summed` are the sums of minutes, by order and kind of task.
    """

    today: date
    standing: Standing
    people: list[Works]
    called: dict[str, Called]
    own: dict[str, float]
    kept: Schedule | None
    more: bool
    summed: dict[tuple[str, str], str]

    @property
    def work(self) -> Waits:
        """As the core has it."""
        return self.standing.work

    @property
    def stands(self) -> Stands:
        """The schedule that it goes by."""
        return self.standing.stands

    def by(self, kept: dict[str, WasPlaced]) -> Stands:
        """The schedule that this would go by if another were kept."""
        return standing(with_kept(self.work, kept, self.today))

    @property
    def broken(self) -> set[str]:
        """The orders whose promise is not kept as things stand."""
        return broken_orders(self.work, self.stands)

    def breaks(self, schedule: Stands) -> int:
        """How many promises are broken by a schedule."""
        return len(broken_orders(self.work, schedule))

    @property
    def names(self) -> dict[str, str]:
        """Who is who."""
        return {one.id: one.name for one in self.people}


def people_of(actor: User) -> list[Works]:
    """Everybody who works here with what they do and when, by name. Three queries."""
    said = {row.person_id: row for row in Hours.of(actor.workshop)}
    away: dict[UUID, list[tuple[date, date]]] = defaultdict(list)
    rows = Away.of(actor.workshop).filter(removed=False, last__gte=timezone.localdate())
    for person, first, last in rows.values_list("person_id", "first", "last"):
        away[person].append((first, last))
    people = User.objects.filter(workshop=actor.workshop, is_active=True).order_by("first_name", "username")
    return [
        Works(
            str(one.id), one.first_name or one.username,
            said[one.id].skills if one.id in said else SKILLS.get(one.role, ()),
            said[one.id].week if one.id in said else USUAL, tuple(away[one.id]),
        ) for one in people
    ]  # fmt: skip


def waiting_work(
    actor: User, without: UUID | None = None, away: Mapping[str, tuple[date, date]] | None = None,
    not_before: Mapping[UUID, Mapping[str, date]] | None = None,
) -> WaitingWork:  # fmt: skip
    """What waits now, by the workshop's own clock, in a fixed number of queries; `without` one order, or as if people
    were `away` besides, or tasks of an order, by kind, had been put on days.
    """
    now = timezone.localtime().replace(tzinfo=None)
    rows = [row for row in on_bench(actor)[: MOST + 1] if row.id != without]
    people, own = people_of(actor), {one.code: one.minutes for one in own_minutes(actor)}
    people = [replace(one, away=(*one.away, away[one.id])) if away and one.id in away else one for one in people]
    waiting = [_put(one, not_before or {}) for one in _waiting(actor, rows[:MOST])]
    kept = Schedule.of(actor.workshop).filter(kept_at__isnull=False).order_by("-kept_at", "id").first()
    placed = was_placed(kept.made, kept.first) if kept is not None else {}
    shared = {"table": actor.workshop.tables, "machine": actor.workshop.machines}
    stands = standing_of(people, waiting, own, now, shared, placed)
    called = {str(row.id): Called(row.title, row.client.name, row.promised_on) for row in rows[:MOST]}
    return WaitingWork(now.date(), stands, people, called, own, kept, len(rows) > MOST, summed(waiting, own))


def _put(one: Waiting, days: Mapping[UUID, Mapping[str, date]]) -> Waiting:
    return replace(one, not_before={**one.not_before, **days.get(UUID(one.id), {})})


def _task_days(actor: User, orders: Collection[UUID]) -> dict[UUID, dict[str, date]]:
    """On which days tasks of orders were put. One query."""
    found: dict[UUID, dict[str, date]] = defaultdict(dict)
    rows = TaskDay.of(actor.workshop).filter(order_id__in=orders).order_by("kind")
    for order, kind, day in rows.values_list("order_id", "kind", "day"):
        found[order][kind] = day
    return found


def client_days(actor: User, orders: Collection[UUID]) -> dict[UUID, list[ClientDay]]:
    """On which days the clients of orders come. One query."""
    found: dict[UUID, list[ClientDay]] = defaultdict(list)
    for row in ClientDay.of(actor.workshop).filter(order_id__in=orders, removed=False).order_by("day", "id"):
        found[row.order_id].append(row)
    return found


def days_of_client(actor: User, client: UUID) -> list[dict[str, str]]:
    """On which days somebody comes for what, or came, as plain data."""
    rows = ClientDay.of(actor.workshop).filter(order__client_id=client, removed=False).select_related("order")
    return [
        {"order": one.order.title, "kind": one.kind, "day": one.day.isoformat()} for one in rows.order_by("day", "id")
    ]


def one_waiting(actor: User, id: UUID) -> tuple[Order, Waiting]:
    """One order as it waits. Raises Http404 where it does not, or is anybody else's."""
    row = on_bench(actor).filter(pk=id).first()
    if row is None:
        raise Http404
    [found] = _waiting(actor, [row])
    return row, found


DONE_BY: dict[str, life.State] = {
    "measure": "measured", "cut": "cut", "sew": "fitting", "fit": "finishing", "finish": "ready", "pack": "ready",
}  # fmt: skip
"""By which state of an order a kind of task is done."""


def done_by(state: life.State) -> list[str]:
    """The kinds of tasks that are done of an order in a state."""
    reached = life.ORDER.index(state)
    return [kind for kind, done in DONE_BY.items() if reached >= life.ORDER.index(done)]


def _waiting(actor: User, orders: list[Order]) -> list[Waiting]:
    ids = [row.id for row in orders]
    done = done_states(actor, ids)
    sheets = {row.sheet_id for row in orders}
    measured, styles = how_many_of(actor, sheets), styles_of(actor, ids)
    planned = _planned(actor, ids)
    ticks = Sewn.of(actor.workshop).filter(order_id__in=ids).order_by("order_id", "operation", "-created_at", "id")
    last = ticks.distinct("order_id", "operation").values_list("order_id", "operation", "sewn")
    sewn = {(order, operation) for order, operation, is_sewn in last if is_sewn}
    days, put = client_days(actor, ids), _task_days(actor, ids)
    found = []
    for row in orders:
        operations, pieces = planned.get(row.id, (None, 0))
        left = None if not operations else [code_of(one) for one in operations if (row.id, one) not in sewn]
        state = life.state_of(getattr(row, "step", None), measured[row.sheet_id] >= life.MEASURED, done.get(row.id))
        on = {one.kind: one.day for one in days[row.id]}
        found.append(
            Waiting(str(row.id), row.promised_on, done_by(state), styles[row.id], left, pieces, on, put[row.id])
        )
    return found


def _planned(actor: User, orders: Collection[UUID]) -> dict[UUID, tuple[list[str], int]]:
    """Of the last plan of each order's own, from its main cloth, the ids of its operations and how many pieces it has.
    One query.
    """
    own = PlanRun.of(actor.workshop).filter(order_id__in=orders, others=[]).exclude(job__has_key="cut_from")
    rows = own.order_by("order_id", "-created_at", "id").distinct("order_id")
    return {
        order: (operations, pieces)
        for order, operations, pieces in rows.values_list("order_id", "operations", "pieces")
    }
