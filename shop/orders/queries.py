"""Reads about orders; each starts from the workshop."""

from collections.abc import Collection
from typing import Any
from uuid import UUID

from django.db.models import OuterRef, Q, QuerySet, Subquery
from django.http import Http404

from shop.accounts.models import User
from shop.orders.models import Cut, Garment, HouseRule, Moved, Order, Step

GONE = ("handed_over", "called_off")
"""What leaves the bench."""
ON_BENCH = 40
"""Orders on a page of the bench."""


def bench(actor: User) -> QuerySet[Order]:
    """Every order by its promised day."""
    return (
        Order.of(actor.workshop)
        .select_related("client", "sheet", "cloth", "other_cloth")
        .order_by("promised_on", "title", "id")
    )


def on_bench(actor: User, find: str = "") -> QuerySet[Order]:
    """The orders that wait, by their promised day; with `find` all whose title or client has those letters, also those
    that are handed over or called off. Each with its `step`, the last state that was given by hand, and with the
    day it was promised for before it was moved, `moved_from`, and why, `moved_because`.
    """
    last = Step.of(actor.workshop).filter(order=OuterRef("pk"), undone=False).order_by("-created_at", "id")
    moved = Moved.of(actor.workshop).filter(order=OuterRef("pk")).order_by("-created_at", "id")
    rows = bench(actor).annotate(
        step=Subquery(last.values("state")[:1]), moved_from=Subquery(moved.values("was")[:1]),
        moved_because=Subquery(moved.values("reason")[:1]),
    )  # fmt: skip
    if find:
        return rows.filter(Q(title__icontains=find) | Q(client__name__icontains=find)).order_by("-promised_on", "id")
    return rows.filter(Q(step=None) | ~Q(step__in=GONE))


def order(actor: User, id: UUID) -> Order:
    """One order with its client, sheet and cloth. Raises Http404 for anybody else's."""
    found = bench(actor).filter(pk=id).first()
    if found is None:
        raise Http404
    return found


def garments(actor: User, order: UUID) -> QuerySet[Garment]:
    """The garments of an order as they were added."""
    return Garment.of(actor.workshop).filter(order_id=order, removed=False).order_by("created_at", "id")


def styles_of(actor: User, orders: Collection[UUID]) -> dict[UUID, list[str]]:
    """The style of each garment of each order, as they were added. One query."""
    found: dict[UUID, list[str]] = {order: [] for order in orders}
    rows = Garment.of(actor.workshop).filter(order_id__in=orders, removed=False).order_by("created_at", "id")
    for order, style in rows.values_list("order_id", "style"):
        found[order].append(style)
    return found


def cut_for(actor: User, order: UUID) -> Cut | None:
    """What was cut off a cloth of the shelf for an order."""
    return Cut.of(actor.workshop).filter(order_id=order, undone=False).select_related("shelf").first()


def waiting(actor: User) -> QuerySet[Order]:
    """The orders that a cloth of the shelf is kept for and that are not cut from it yet, the first promised first."""
    cut = Cut.of(actor.workshop).filter(undone=False).values("order_id")
    return Order.of(actor.workshop).filter(shelf__isnull=False).exclude(pk__in=cut).order_by("promised_on")


def kept_for(actor: User) -> dict[UUID, list[Order]]:
    """The orders each cloth of the shelf is kept for."""
    found: dict[UUID, list[Order]] = {}
    for row in waiting(actor):
        assert row.shelf_id is not None
        found.setdefault(row.shelf_id, []).append(row)
    return found


def from_another_cloth(choices: dict[str, Any]) -> bool:
    """Whether anything of a garment, or of a jumpsuit's half, is cut from the order's other cloth."""
    halves = [choices, *(half.get("choices") or {} for half in choices.values() if isinstance(half, dict))]
    return any(kind != "none" for half in halves for kind in half.get("other_cloth") or [])


def house_rules(actor: User) -> QuerySet[HouseRule]:
    """The workshop's own named choices."""
    return HouseRule.of(actor.workshop).filter(removed=False).order_by("name", "id")
