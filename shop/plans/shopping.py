"""What several orders need together: the cloth of each plan in one sum, and what is bought besides."""

from collections import defaultdict
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Any
from uuid import UUID

from shop.accounts.models import User
from shop.bridge.drafting import bought
from shop.bridge.words import words
from shop.clients.queries import counting
from shop.orders.group import members
from shop.orders.models import Order
from shop.orders.whole import WholeOrder, whole_orders
from shop.plans.job import hash_of, job_from
from shop.plans.queries import StoredPlan, stored_plan, stored_plans
from shop.plans.together import ONE_CLOTH, joined


@dataclass(frozen=True)
class Member:
    """One client's order: the sizes as they were typed, and what is planned for it as it stands, where anything is."""

    whole: WholeOrder
    plan: StoredPlan | None
    other: StoredPlan | None

    @property
    def order(self) -> Order:
        return self.whole.order

    @property
    def sizes(self) -> dict[str, str]:
        return {reading.key: reading.typed for reading in counting(self.whole.readings)}

    @property
    def planned(self) -> bool:
        """Whether every cloth of the order has its plan."""
        return self.plan is not None and (self.whole.other_cloth is None or self.other is not None)


@dataclass
class Shopping:
    """Cloth by kind, colour and width: orders, lengths in mm; notions by what they are and their length: how many."""

    cloths: list[dict[str, Any]] = field(default_factory=list)
    notions: list[dict[str, Any]] = field(default_factory=list)


def table(actor: User, order: Order) -> list[Member]:
    """Everybody of the order's group with sizes and plan, in a fixed number of queries."""
    return rows_of(actor, list(members(actor, order)))


def rows_of(actor: User, orders: Sequence[Order]) -> list[Member]:
    """Each order with its sizes and plan, in their order, in a fixed number of queries."""
    wholes = whole_orders(actor, orders)
    plans = _plans(actor, wholes, "main")
    others = _plans(actor, [one for one in wholes if one.other_cloth is not None], "other")
    return [Member(one, plans.get(one.order.id), others.get(one.order.id)) for one in wholes]


def on_one_cloth(actor: User, order: Order, rows: list[Member]) -> dict[str, Any] | None:
    """What the order's cloth takes where all that are planned with the same cloth are laid on it together; None where
    that was not laid as they stand. `rows` are everybody of its group.
    """
    cloth = order.cloth
    own = next(row.whole for row in rows if row.order.id == order.id)
    others = [
        row.whole for row in rows
        if row.plan is not None and row.order.id != order.id
        and all(getattr(row.order.cloth, key) == getattr(cloth, key) for key in ONE_CLOTH)
    ]  # fmt: skip
    job = joined(actor, job_from(actor, own), others)
    plan = stored_plan(actor, order.id, hash_of(job)) if others else None
    if plan is None or plan.length_mm is None:
        return None
    need = bought(plan.length_mm, actor.workshop.unit, cloth.unit_of_sale, cloth.price)
    return {"orders": 1 + len(others), "length_mm": plan.length_mm, **need}


def _plans(actor: User, wholes: list[WholeOrder], cut_from: str) -> dict[UUID, StoredPlan]:
    return stored_plans(actor, {one.order.id: hash_of(job_from(actor, one, cut_from)) for one in wholes})


def shopping(actor: User, rows: list[Member]) -> Shopping:
    """One list for all of them. Cloth is added up first and rounded up once, as one cut off the bolt."""
    lengths: dict[tuple[str, ...], list[float]] = defaultdict(list)
    notions: dict[tuple[str, str, float | None], list[int]] = defaultdict(list)
    for row in rows:
        if row.plan is None:
            continue
        # What is cut from a cloth of the shelf is not bought.
        own = None if row.order.shelf_id else row.order.cloth
        for cloth, plan in ((own, row.plan), (row.whole.other_cloth, row.other)):
            if cloth is not None and plan is not None and plan.length_mm is not None:
                same = cloth.kind, cloth.colour, cloth.width, cloth.unit_of_sale, cloth.price
                lengths[same].append(plan.length_mm)
        for notion in row.plan.notions:
            if notion["code"] != "interfacing":
                size = notion["length_mm"]
                key = notion["code"], notion["panel"], None if size is None else round(size, 1)
                notions[key].append(notion["count"])
    return Shopping(
        [
            {
                "kind": kind, "colour": colour, "width": width, "orders": len(all_), "length_mm": sum(all_),
                **bought(sum(all_), actor.workshop.unit, unit_of_sale, price),
            }
            for (kind, colour, width, unit_of_sale, price), all_ in sorted(lengths.items())
        ],
        [
            {"name": words().notion_name(code, panel), "length_mm": size, "count": sum(counts)}
            for (code, panel, size), counts in sorted(notions.items(), key=lambda one: (*one[0][:2], one[0][2] or 0))
        ],
    )  # fmt: skip
