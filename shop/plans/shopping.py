"""What a group of orders needs together: the cloth of each plan in one sum, and what is bought besides."""

from collections import defaultdict
from dataclasses import dataclass, field
from typing import Any

from shop.accounts.models import User
from shop.bridge.drafting import bought
from shop.bridge.words import words
from shop.clients.queries import readings
from shop.cloths.models import Cloth
from shop.orders.group import members
from shop.orders.models import Order
from shop.orders.queries import other_cloth
from shop.plans.actions import stored_plan


@dataclass
class Member:
    """One client's order: the sizes as they were typed, and its plan where one was made for it as it stands."""

    order: Order
    sizes: dict[str, str]
    plan: dict[str, Any] | None
    other_cloth: Cloth | None
    other: dict[str, Any] | None

    @property
    def planned(self) -> bool:
        """Whether every cloth of the order has its plan."""
        return self.plan is not None and (self.other_cloth is None or self.other is not None)


@dataclass
class Shopping:
    """Cloth by kind, colour and width: orders, lengths in mm; notions by what they are and their length: how many."""

    cloths: list[dict[str, Any]] = field(default_factory=list)
    notions: list[dict[str, Any]] = field(default_factory=list)


def table(actor: User, order: Order) -> list[Member]:
    """Everybody of the order's group with sizes and plan."""
    rows = []
    for one in members(actor, order):
        sizes = {reading.key: reading.typed for reading in readings(actor, one.sheet_id)}
        second = other_cloth(actor, one)
        rows.append(
            Member(one, sizes, _plan(actor, one, "main"), second, _plan(actor, one, "other") if second else None)
        )
    return rows


def _plan(actor: User, order: Order, cut_from: str) -> dict[str, Any] | None:
    run = stored_plan(actor, order, cut_from)
    return run.plan if run else None


def shopping(actor: User, rows: list[Member]) -> Shopping:
    """One list for all of them. Cloth is added up first and rounded up once, as one cut off the bolt."""
    lengths: dict[tuple[str, ...], list[float]] = defaultdict(list)
    notions: dict[tuple[str, str, float | None], list[int]] = defaultdict(list)
    for row in rows:
        if row.plan is None:
            continue
        for cloth, plan in ((row.order.cloth, row.plan), (row.other_cloth, row.other)):
            if cloth is not None and plan is not None and plan["yardage"]:
                same = cloth.kind, cloth.colour, cloth.width, cloth.unit_of_sale, cloth.price
                lengths[same].append(plan["yardage"]["length_mm"])
        for notion in row.plan["notions"]:
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
