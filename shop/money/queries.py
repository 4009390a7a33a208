"""What orders cost, what is paid of them and what is not; each starts from the workshop."""

from collections.abc import Collection, Sequence
from dataclasses import dataclass
from datetime import date
from decimal import Decimal
from typing import Any
from uuid import UUID

from django.db.models import DecimalField, Exists, F, OuterRef, Q, QuerySet, Subquery, Sum, Value
from django.db.models.functions import Coalesce, TruncMonth
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.reading import page_of
from shop.bridge.drafting import bought
from shop.bridge.money import (
    ClothNeed,
    Needs,
    Priced,
    PriceList,
    balance_of,
    kept_quote,
    paid_of,
    price,
    prices_here,
    written,
)
from shop.bridge.problems import CoreRefusal
from shop.cloths.models import Cloth
from shop.money.models import Payment, Prices, Quote
from shop.orders.models import Order, Step
from shop.orders.queries import GONE
from shop.orders.whole import WholeOrder, whole_order
from shop.plans.job import hash_of, job_from
from shop.plans.making import plan_order
from shop.plans.queries import StoredPlan, stored_plan
from shop.sewing.queries import own_minutes

MOST_PAYMENTS = 200
"""So often money changes hands for one order."""
OPEN = 40
"""Orders on a page of what is open."""
MONTHS = 12


def prices_of(actor: User) -> Prices:
    """The workshop's prices; where none were typed a row that is not stored."""
    row = Prices.of(actor.workshop).first()
    return row or Prices(id=actor.workshop_id, workshop=actor.workshop, version=0, unit=actor.workshop.unit)


def price_list(actor: User) -> PriceList:
    """The same as it is reckoned with."""
    row, workshop = prices_of(actor), actor.workshop
    return prices_here(
        workshop.currency, workshop.unit, row.unit,
        PriceList(
            rate=row.rate, notions=row.notions, step=row.step, tax=row.tax, tax_percent=row.tax_percent,
            tax_within=row.tax_within,
        ),
    )  # fmt: skip


def agreed_quotes(actor: User) -> QuerySet[Quote]:
    """The quotes that were agreed, of each order the last one first."""
    return Quote.of(actor.workshop).filter(agreed_at__isnull=False).order_by("-agreed_at", "id")


@dataclass(frozen=True)
class OrderMoney:
    """What an order costs as it stands (None where it cannot be planned, and why), the quote that is open and the one
    that was agreed last, what changed hands in its order.
    """

    now: Priced | None
    refused: Sequence[dict[str, Any]]
    open: Quote | None
    agreed: Quote | None
    payments: list[Payment]
    currency: str

    @property
    def was(self) -> Priced | None:
        """What was agreed."""
        return None if self.agreed is None else kept_quote(self.agreed.lines)

    @property
    def amounts(self) -> list[Decimal]:
        return [one.amount for one in self.payments]

    @property
    def paid(self) -> Decimal:
        return paid_of(self.amounts)

    @property
    def left(self) -> Decimal | None:
        """What is still to be paid of what was agreed."""
        return None if self.agreed is None or self.agreed.total is None else balance_of(self.agreed.total, self.amounts)


def money_of(actor: User, order: Order) -> OrderMoney:
    """All that is known of the money of an order."""
    open_ = Quote.of(actor.workshop).filter(order=order, agreed_at__isnull=True).first()
    agreed = agreed_quotes(actor).filter(order=order).select_related("changed_by").first()
    now, refused = None, list[dict[str, Any]]()
    try:
        now = cost_of(actor, order, open_ or agreed)
    except CoreRefusal as error:
        refused = error.problems
    return OrderMoney(now, refused, open_, agreed, payments(actor, order.id), actor.workshop.currency)


def cost_of(actor: User, order: Order, quote: Quote | None) -> Priced:
    """What an order costs as it stands, with what was typed of a quote. Raises CoreRefusal where it is not planned."""
    own = {one.code: one.minutes for one in own_minutes(actor)}
    extras, discount, fitting = (quote.extras, quote.discount, quote.fitting) if quote else ([], "", False)
    return price(needs_of(actor, order), price_list(actor), own, extras, discount, fitting)


def needs_of(actor: User, order: Order) -> Needs:
    """What an order needs, by its plans as they are to be cut. Raises CoreRefusal."""
    whole = whole_order(actor, order)
    main = _planned(actor, whole, "main")
    cloths = [_cloth(actor, "cloth", order.cloth, main, order.shelf_id is not None)]
    if whole.other_cloth is not None:
        cloths.append(_cloth(actor, "other_cloth", whole.other_cloth, _planned(actor, whole, "other"), False))
    return Needs([one for one in cloths if one is not None], main.notions, main.operations, main.pieces)


def _planned(actor: User, whole: WholeOrder, cut_from: str) -> StoredPlan:
    """What is asked of the order's plan, which is made where it is not stored. Raises CoreRefusal."""
    digest = hash_of(job_from(actor, whole, cut_from))
    stored = stored_plan(actor, whole.order.id, digest)
    if stored is None:
        plan_order(actor=actor, order=whole.order, cut_from=cut_from)
        stored = stored_plan(actor, whole.order.id, digest)
    assert stored is not None  # it was just stored
    return stored


def _cloth(actor: User, code: Any, cloth: Cloth, plan: StoredPlan, in_hand: bool) -> ClothNeed | None:
    if plan.length_mm is None:
        return None
    sold = bought(plan.length_mm, actor.workshop.unit, cloth.unit_of_sale)["sold_in"]
    return ClothNeed(code, cloth.kind, plan.length_mm, "" if in_hand else sold, cloth.price)


def payments(actor: User, order: UUID) -> list[Payment]:
    """What changed hands for an order, the first first."""
    rows = Payment.of(actor.workshop).filter(order_id=order).select_related("changed_by", "against")
    return list(rows.order_by("created_at", "number")[:MOST_PAYMENTS])


MONEY = DecimalField(max_digits=14, decimal_places=4)


def with_sums(actor: User) -> QuerySet[Order]:
    """Orders, the first promised first: each with what was `agreed` last, where anything was (`priced`), what is
    `paid`, and its last `step` by hand, `step_at` when.
    """
    last = agreed_quotes(actor).filter(order=OuterRef("pk"))
    sums = (
        Payment.of(actor.workshop).filter(order=OuterRef("pk")).order_by().values("order").annotate(all=Sum("amount"))
    )
    nothing = Value(Decimal(0), MONEY)
    rows = Order.of(actor.workshop).select_related("client").annotate(
        agreed=Coalesce(Subquery(last.values("total")[:1]), nothing, output_field=MONEY),
        paid=Coalesce(Subquery(sums.values("all")[:1]), nothing, output_field=MONEY), priced=Exists(last),
    )  # fmt: skip
    step = Step.of(actor.workshop).filter(order=OuterRef("pk"), undone=False).order_by("-created_at", "id")
    rows = rows.annotate(step=Subquery(step.values("state")[:1]), step_at=Subquery(step.values("created_at")[:1]))
    return rows.order_by("promised_on", "title", "id")


def open_orders(actor: User) -> QuerySet[Order]:
    """The orders of which something is to be paid or to be given back. One that is called off is there as long as money
    of it is kept.
    """
    return with_sums(actor).exclude(Q(step="called_off"), Q(paid=0)).exclude(Q(agreed=F("paid")))


def money_of_client(actor: User, client: UUID) -> dict[str, Any]:
    """The quotes that somebody agreed, and what changed hands, as plain data: docs/file-formats.md has its shape."""
    quotes = agreed_quotes(actor).filter(order__client_id=client).select_related("order")
    paid_ = Payment.of(actor.workshop).filter(order__client_id=client).select_related("order")
    return {
        "quotes": [
            {
                "order": one.order.title, "agreed_at": one.agreed_at and one.agreed_at.isoformat(timespec="seconds"),
                "total": one.total and written(one.total, one.currency), "currency": one.currency, "lines": one.lines,
            }
            for one in quotes.order_by("agreed_at", "id")
        ],
        "payments": [
            {
                "order": one.order.title if one.order else "", "day": one.day.isoformat(), "kind": one.kind,
                "way": one.way, "amount": written(one.amount, one.currency), "currency": one.currency,
                "receipt": receipt(one), "note": one.note,
            }
            for one in paid_.order_by("year", "number")
        ],
    }  # fmt: skip


@dataclass(frozen=True)
class OrderSums:
    """What was agreed of an order and what is paid; `state` where it left the bench.
    Where no price was agreed it is not `priced`: what is paid is a deposit, not to be given back.
    """

    order: UUID
    title: str
    client_name: str
    promised_on: date
    state: str
    agreed: Decimal
    paid: Decimal
    priced: bool


def open_page(actor: User, page: int) -> list[OrderSums]:
    """A page of what is open. One query."""
    return _sums(page_of(open_orders(actor), page, OPEN))


def sums_of(actor: User, orders: Collection[UUID]) -> list[OrderSums]:
    """The same of some orders, open or not. One query."""
    return _sums(with_sums(actor).filter(pk__in=orders))


PARTS = "id", "title", "client__name", "promised_on", "step", "agreed", "paid", "priced"


def _sums(rows: QuerySet[Order]) -> list[OrderSums]:
    return [
        OrderSums(id, title, client, day, step if step in GONE else "", agreed, paid, priced)
        for id, title, client, day, step, agreed, paid, priced in rows.values_list(*PARTS)
    ]


def receipt(row: Payment) -> str:
    """The number of a receipt, as it is printed: `2026-0007`."""
    return f"{row.year}-{row.number:04d}"


@dataclass(frozen=True)
class Taken:
    """What came in of a currency in a month, by its first day, and what was given back of it, not negative."""

    first: date
    currency: str
    came: Decimal
    back: Decimal


def taken(actor: User) -> list[Taken]:
    """What came in month by month, the last first. One query."""
    since = _months_back(timezone.localdate(), MONTHS - 1)
    rows = Payment.of(actor.workshop).filter(day__gte=since).annotate(first=TruncMonth("day")).order_by()
    nothing = Value(Decimal(0), MONEY)
    sums = rows.values("first", "currency").annotate(
        came=Coalesce(Sum("amount", filter=Q(amount__gt=0)), nothing, output_field=MONEY),
        back=Coalesce(Sum("amount", filter=Q(amount__lt=0)), nothing, output_field=MONEY),
    )  # fmt: skip
    ordered = sums.order_by("-first", "currency").values_list("first", "currency", "came", "back")
    return [Taken(first, currency, came, -back) for first, currency, came, back in ordered]


def _months_back(day: date, months: int) -> date:
    whole = day.year * 12 + day.month - 1 - months
    return date(whole // 12, whole % 12 + 1, 1)
