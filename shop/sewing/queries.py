"""Reads about what is sewn."""

from collections import defaultdict
from collections.abc import Collection
from dataclasses import dataclass
from typing import Literal
from uuid import UUID

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.bridge.sewing import OwnMinutes, minutes_of
from shop.chalk.queries import chalk_states
from shop.clients.models import Correction
from shop.orders.life import State
from shop.plans.queries import code_of
from shop.sewing.models import Sewn

LATELY = 3_000
"""So many ticks are looked at, the last first."""
LEAST = 3
"""Nothing is said of fewer readings."""


def sewn(actor: User, order: UUID) -> list[Sewn]:
    """The operations of an order that are done, each with who did it last."""
    rows = Sewn.of(actor.workshop).filter(order_id=order).order_by("operation", "-created_at", "id")
    return [one for one in rows.distinct("operation").select_related("changed_by") if one.sewn]


def work_states(actor: User, orders: Collection[UUID]) -> dict[UUID, Literal["sewing", "fitting"]]:
    """The orders that are sewn at, and those that were fitted. Two queries."""
    ticks = Sewn.of(actor.workshop).filter(order_id__in=orders).order_by("order_id", "operation", "-created_at", "id")
    last = ticks.distinct("order_id", "operation").values_list("order_id", "sewn")
    fitted = Correction.of(actor.workshop).filter(order__in=orders, removed=False).values_list("order", flat=True)
    found: dict[UUID, Literal["sewing", "fitting"]] = {order: "sewing" for order, sewn in last if sewn}
    return found | {order: "fitting" for order in fitted.distinct() if order is not None}


def done_states(actor: User, orders: Collection[UUID]) -> dict[UUID, State]:
    """The furthest state of each order that follows from what was done; none where nothing was. Three queries."""
    return {**chalk_states(actor, orders), **work_states(actor, orders)}


def own_minutes(actor: User) -> list[OwnMinutes]:
    """How long each operation takes in this workshop, where that was said. One query."""
    taken: dict[str, list[float]] = defaultdict(list)
    rows = Sewn.of(actor.workshop).filter(took__isnull=False).order_by("-created_at")[:LATELY]
    for operation, took in rows.values_list("operation", "took"):
        taken[code_of(operation)].append(took or 0.0)
    return minutes_of(taken)


@dataclass(frozen=True)
class ReadBy:
    """How what was measured differed from what it should be, in mm: by whom, on which cloth, how often; the mean, the
    least and the most.
    """

    code: str
    by: str
    cloth: str
    times: int
    mean: float
    least: float
    most: float


def readings_by(actor: User) -> list[ReadBy]:
    """Sewn less planned, by what was measured, by whom and on which cloth, for an owner; the furthest off first."""
    allow(actor, "people")
    off: dict[tuple[str, str, str], list[float]] = defaultdict(list)
    rows = Sewn.of(actor.workshop).exclude(readings={}).order_by("-created_at")[:LATELY]
    for readings, name, user_name, cloth in rows.values_list(
        "readings", "changed_by__first_name", "changed_by__username", "order__cloth__kind"
    ):
        first = readings["judged"]["codes"][0]
        off[first, name or user_name or "", cloth].append(readings["judged"]["off"])
    found = [
        ReadBy(code, by, cloth, len(mm), sum(mm) / len(mm), min(mm), max(mm))
        for (code, by, cloth), mm in off.items() if len(mm) >= LEAST
    ]  # fmt: skip
    return sorted(found, key=lambda one: (-abs(one.mean), one.code, one.by, one.cloth))
