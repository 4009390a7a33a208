"""Money: quotes of orders and what is paid; what is open."""

from datetime import date, datetime
from decimal import Decimal
from typing import Annotated, Any, Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Field, Query, Router, Schema

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.api.auth import person
from shop.api.incoming import Version
from shop.api.quotes import QuoteOut, TypedAmount, quote_out
from shop.bridge.money import Priced, pay_name, said_amount, said_changes, way_of_paying, written
from shop.chalk.queries import name_of
from shop.money import actions, papers, queries
from shop.money.models import Payment, Quote
from shop.orders import life
from shop.orders import queries as orders

router = Router(tags=["money"])
Way = Literal["cash", "card", "bank", "other"]


class AgreedOut(Schema):
    """The quote that was agreed last: when, and by whom it was written down."""

    id: UUID
    at: datetime
    by: str
    quote: QuoteOut


class ExtraOut(Schema):
    """Something that is added by hand, and its amount as it is typed."""

    name: str
    amount: str


class OpenQuoteOut(Schema):
    """The quote that is not agreed yet."""

    id: UUID
    version: int


class TypedQuoteOut(Schema):
    """What is typed of a quote: of the one that is open, else of the one that was agreed last."""

    extras: list[ExtraOut]
    discount: str
    fitting: bool


class PriceChangeOut(Schema):
    """A line that comes to another amount than when it was agreed."""

    title: str
    was: str
    now: str


class PaymentOut(Schema):
    """Money that changed hands: what it was, its amount as it is said, the number of its receipt; whether it is a line
    against another, or `undone` by one.
    """

    id: UUID
    kind: str
    name: str
    way: str
    amount: str
    day: date
    note: str
    by: str
    receipt: str
    against: str
    undone: bool


class WhyOut(Schema):
    """Why an order cannot be priced: what is missing, and how to mend it."""

    what: str
    mend: str
    station: str


class MoneyOut(Schema):
    """The money of an order. `now` is what it costs as it stands with what is `typed`; `open` the quote that is not
    agreed; `paid`, `left` and `total` as they are said, `paid_written` and `left_written` as they are typed. It is
    `ready` where it waits to be fetched.
    """

    order: UUID
    title: str
    client_name: str
    currency: str
    now: QuoteOut | None
    why: list[WhyOut]
    open: OpenQuoteOut | None
    typed: TypedQuoteOut
    agreed: AgreedOut | None
    changes: list[PriceChangeOut]
    payments: list[PaymentOut]
    total: str
    paid: str
    paid_written: str
    left: str
    left_written: str
    ready: bool
    owed: Literal["unknown", "to_pay", "nothing", "to_give_back"]


class ExtraIn(Schema):
    name: str = Field(max_length=80)
    amount: TypedAmount


class QuoteIn(Schema):
    """What is typed of an open quote: `discount` is an amount, or a share such as 10 %."""

    version: Version = 0
    order: UUID
    extras: list[ExtraIn] = Field(default_factory=list, max_length=12)
    discount: TypedAmount = ""
    fitting: bool = False


class AgreeIn(Schema):
    """The total as it was seen, as it is written."""

    order: UUID
    total: TypedAmount


class PaymentIn(Schema):
    """Money that changes hands: `paid` is what was paid as it was seen; `over` that more than was agreed is meant;
    `fetched` that the client takes along what is ready.
    """

    order: UUID
    kind: Literal["deposit", "payment", "refund"] = "payment"
    way: Way = "cash"
    amount: TypedAmount
    paid: TypedAmount
    note: str = Field("", max_length=120)
    over: bool = False
    fetched: bool = False


class TakenBackIn(Schema):
    """The payment that was a mistake."""

    payment: UUID


class OrderSumsOut(Schema):
    """What was agreed and is paid of an order, and what is left to be paid, or to be given back where `back`; `agreed`
    and `left` are empty where no price was agreed.
    """

    order: UUID
    title: str
    client_name: str
    promised_on: date
    state: str
    agreed: str
    paid: str
    left: str
    back: bool
    deposit: bool = Field(description="whether something is paid and no price was agreed")


class MonthTakenOut(Schema):
    """What came in in a month, by its first day, less what was given back; its sum where something was."""

    first: date
    amount: str
    number: float
    summed: str


class OpenMoneyOut(Schema):
    """What is open, a page of it, and what came in month by month."""

    open: list[OrderSumsOut]
    more: bool
    months: list[MonthTakenOut]


def _agreed(row: Quote | None, was: Priced | None) -> AgreedOut | None:
    if row is None or was is None or row.agreed_at is None:
        return None
    return AgreedOut(id=row.id, at=row.agreed_at, by=name_of(row.changed_by), quote=quote_out(was, row.currency))


def _typed(row: Quote | None) -> TypedQuoteOut:
    if row is None:
        return TypedQuoteOut(extras=[], discount="", fitting=False)
    extras = [ExtraOut(name=name, amount=amount) for name, amount in row.extras]
    return TypedQuoteOut(extras=extras, discount=row.discount, fitting=row.fitting)


def _payment(row: Payment, undone: bool) -> PaymentOut:
    against = row.against
    return PaymentOut(
        id=row.id, kind=row.kind, name=pay_name(row.kind), way=way_of_paying(row.way),
        amount=said_amount(row.amount, row.currency), day=row.day, note=row.note, by=name_of(row.changed_by),
        receipt=queries.receipt(row), against="" if against is None else queries.receipt(against), undone=undone,
    )  # fmt: skip


def money_out(actor: User, order: UUID) -> MoneyOut:
    """All of an order's money."""
    row = orders.order(actor, order)
    found = queries.money_of(actor, row)
    currency, was, left = found.currency, found.was, found.left
    undone = {one.against_id for one in found.payments}
    return MoneyOut(
        order=row.id, title=row.title, client_name=row.client.name, currency=currency,
        now=None if found.now is None else quote_out(found.now, currency),
        why=[WhyOut(what=one["what"], mend=one["mend"], station=one.get("station", "")) for one in found.refused],
        open=None if found.open is None else OpenQuoteOut(id=found.open.id, version=found.open.version),
        typed=_typed(found.open or found.agreed), agreed=_agreed(found.agreed, was),
        changes=[
            PriceChangeOut(**vars(one)) for one in (said_changes(was, found.now, currency) if was and found.now else [])
        ],
        payments=[_payment(one, one.id in undone) for one in found.payments],
        total="" if was is None else said_amount(was.total, currency), paid=said_amount(found.paid, currency),
        paid_written=written(found.paid, currency), left=said_amount(None if left is None else abs(left), currency),
        ready=[one.state for one in life.steps(actor, row.id)[:1]] == ["ready"],
        left_written="" if left is None else written(abs(left), currency), owed=_owed(left),
    )  # fmt: skip


def _owed(left: Decimal | None) -> Literal["unknown", "to_pay", "nothing", "to_give_back"]:
    if left is None:
        return "unknown"
    return "nothing" if not left else "to_pay" if left > 0 else "to_give_back"


@router.get("/orders/{id}/money", response=MoneyOut)
def order_money(request: HttpRequest, id: UUID) -> MoneyOut:
    """What an order costs, what was agreed and paid, and what is left to be paid."""
    allow(person(request), "money")
    return money_out(person(request), id)


@router.put("/quotes/{id}", response=MoneyOut)
def put_quote(request: HttpRequest, id: UUID, body: QuoteIn) -> MoneyOut:
    """What is typed of an order's open quote: extras, a discount, whether there is a fitting."""
    given = body.dict() | {"extras": [(one.name, one.amount) for one in body.extras]}
    row = actions.put_quote(actor=person(request), id=id, **given)
    return money_out(person(request), row.order_id)


@router.post("/quotes/{id}/agree", response=MoneyOut)
def agree(request: HttpRequest, id: UUID, body: AgreeIn) -> MoneyOut:
    """A quote is agreed: what an order costs is written down as it stands and does not change any more."""
    row = actions.agree(actor=person(request), id=id, **body.dict())
    return money_out(person(request), row.order_id)


@router.put("/payments/{id}", response=MoneyOut)
def pay(request: HttpRequest, id: UUID, body: PaymentIn) -> MoneyOut:
    """Take money for an order, or give it back."""
    actions.pay(actor=person(request), id=id, **body.dict())
    return money_out(person(request), body.order)


@router.put("/taken-back/{id}", response=MoneyOut)
def take_back(request: HttpRequest, id: UUID, body: TakenBackIn) -> MoneyOut:
    """A payment was a mistake: a line against it."""
    row = actions.take_back(actor=person(request), id=id, payment=body.payment)
    assert row.order_id is not None  # one whose order is erased is refused
    return money_out(person(request), row.order_id)


@router.get("/money", response=OpenMoneyOut)
def open_money(request: HttpRequest, page: Annotated[int, Query(ge=1, le=10_000)] = 1) -> OpenMoneyOut:
    """What is to be paid or to be given back, the first promised first; what came in month by month."""
    actor = person(request)
    allow(actor, "money")
    currency = actor.workshop.currency
    rows = queries.open_page(actor, page)
    return OpenMoneyOut(
        open=[order_sums_out(row, currency) for row in rows], more=len(rows) == queries.OPEN,
        months=[
            _month(one) for one in queries.taken(actor)
        ],
    )  # fmt: skip


def _month(one: queries.Taken) -> MonthTakenOut:
    came, back = (said_amount(side, one.currency) for side in (one.came, one.back))
    amount = one.came - one.back
    return MonthTakenOut(
        first=one.first, amount=said_amount(amount, one.currency), number=float(amount),
        summed=f"{came} \u2212 {back}" if one.back else "",
    )  # fmt: skip


def order_sums_out(row: queries.OrderSums, currency: str) -> OrderSumsOut:
    """What was agreed and paid of an order, in words."""
    left = row.agreed - row.paid
    return OrderSumsOut(
        order=row.order, title=row.title, client_name=row.client_name, promised_on=row.promised_on, state=row.state,
        agreed=said_amount(row.agreed, currency) if row.priced else "", paid=said_amount(row.paid, currency),
        left=said_amount(abs(left), currency) if row.priced else "", back=row.priced and left < 0,
        deposit=not row.priced and row.paid > 0,
    )  # fmt: skip


@router.get("/orders/{id}/quote")
def quote_on_paper(request: HttpRequest, id: UUID) -> Any:
    """The quote of an order as a PDF."""
    return _pdf("quote.pdf", papers.quote(person(request), id))


@router.get("/orders/{id}/ticket")
def ticket_on_paper(request: HttpRequest, id: UUID) -> Any:
    """The job ticket of an order as a PDF."""
    return _pdf("ticket.pdf", papers.ticket(person(request), id, request.build_absolute_uri("/").rstrip("/")))


@router.get("/payments/{id}/receipt")
def receipt_on_paper(request: HttpRequest, id: UUID) -> Any:
    """The receipt of a payment as a PDF."""
    number, data = papers.receipt_of(person(request), id)
    return _pdf(f"receipt-{number}.pdf", data)


def _pdf(name: str, data: bytes) -> HttpResponse:
    answer = HttpResponse(data, content_type="application/pdf")
    answer["Content-Disposition"] = f'attachment; filename="{name}"'
    return answer
