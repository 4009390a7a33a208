"""The same outfit for several clients: their sizes in a table, one plan each, one shopping list."""

from decimal import Decimal
from uuid import UUID

from django.http import HttpRequest
from ninja import Router, Schema

from shop.accounts.models import User
from shop.accounts.rights import rights_of
from shop.api.auth import person
from shop.api.bought import ClothBought, NotionBought
from shop.api.incoming import Day
from shop.api.routers.money import OrderSumsOut, order_sums_out
from shop.api.routers.orders import OrderOut, order_out
from shop.bridge.money import said_amount
from shop.clients import seen
from shop.money.queries import sums_of
from shop.orders import group, queries
from shop.plans.queries import StoredPlan, searching
from shop.plans.shopping import on_one_cloth, shopping, table

router = Router(tags=["group"])


class SameIn(Schema):
    of: UUID
    client: UUID


class AgainIn(Schema):
    """The order that is made again, and by when; `old` that readings of more than a year ago are meant."""

    of: UUID
    promised_on: Day
    old: bool = False


class MemberOut(Schema):
    """One client of the group; `planned` where every cloth has a plan for the order as it stands, `lined` where it
    has another cloth.
    """

    order: UUID
    client: UUID
    name: str
    sheet: UUID
    closed: bool
    sizes: dict[str, str]
    planned: bool
    lined: bool
    length_mm: float | None
    stops: int


class TogetherOut(Schema):
    """The cloth of so many orders that are laid on it together, as they stand."""

    orders: int
    length_mm: float
    buy_mm: float
    cost: str | None
    sold_in: str


class GroupMoneyOut(Schema):
    """What was agreed and is paid of each order of a group, and of all of them; of so many `without` no price is
    agreed.
    """

    orders: list[OrderSumsOut]
    agreed: str
    paid: str
    left: str
    without: int


class GroupOut(Schema):
    """`money` is for who sees prices; `together` where this order and others are laid on one cloth; `searching` how
    many of their plans are looked through for a shorter lay now.
    """

    members: list[MemberOut]
    together: TogetherOut | None
    searching: int
    cloths: list[ClothBought]
    notions: list[NotionBought]
    money: GroupMoneyOut | None


class SpreadOut(Schema):
    orders: int


@router.put("/orders/{id}/again", response=OrderOut)
def put_again(request: HttpRequest, id: UUID, body: AgainIn) -> OrderOut:
    """The same again for the same client: from the newest sheet, by another day."""
    made = group.put_again(actor=person(request), id=id, **body.dict())
    return order_out(request, queries.order(person(request), made.id))


@router.put("/orders/{id}/same", response=OrderOut)
def put_same(request: HttpRequest, id: UUID, body: SameIn) -> OrderOut:
    """The outfit of an order for another client, as the order `id`."""
    made = group.put_same(actor=person(request), id=id, **body.dict())
    return order_out(request, queries.order(person(request), made.id))


@router.post("/orders/{id}/spread", response=SpreadOut)
def give_to_all(request: HttpRequest, id: UUID) -> SpreadOut:
    """Give everybody of the group this order's garments as they stand."""
    return SpreadOut(orders=group.give_to_all(actor=person(request), order=id))


@router.get("/orders/{id}/group", response=GroupOut)
def order_group(request: HttpRequest, id: UUID) -> GroupOut:
    """The order's group; the order alone where it has none."""
    actor = person(request)
    order = queries.order(actor, id)
    rows = table(actor, order)
    bought, together = shopping(actor, rows), on_one_cloth(actor, order, rows)
    seen.note(actor, {row.order.client_id for row in rows}, "measures")
    return GroupOut(
        members=[
            MemberOut(
                order=row.order.id, client=row.order.client_id, name=row.order.client.name, sheet=row.order.sheet_id,
                closed=row.order.sheet.closed_at is not None, sizes=row.sizes, planned=row.planned,
                lined=row.whole.other_cloth is not None,
                length_mm=row.plan.length_mm if row.plan else None, stops=_stops(row.plan),
            )
            for row in rows
        ],
        together=TogetherOut(**together) if together else None,
        searching=searching(actor, [row.order.id for row in rows]),
        cloths=[ClothBought(**one) for one in bought.cloths], notions=[NotionBought(**one) for one in bought.notions],
        money=_money(actor, [row.order.id for row in rows]) if "money" in rights_of(actor) else None,
    )  # fmt: skip


def _money(actor: User, orders: list[UUID]) -> GroupMoneyOut:
    sums, currency = sums_of(actor, orders), actor.workshop.currency
    agreed, paid = (sum(parts, Decimal(0)) for parts in ((one.agreed for one in sums), (one.paid for one in sums)))
    return GroupMoneyOut(
        orders=[order_sums_out(one, currency) for one in sums], agreed=said_amount(agreed, currency),
        paid=said_amount(paid, currency), left=said_amount(agreed - paid, currency),
        without=sum(not one.priced for one in sums),
    )  # fmt: skip


def _stops(plan: StoredPlan | None) -> int:
    return sum(finding["weight"] == "stop" for finding in plan.findings) if plan else 0
