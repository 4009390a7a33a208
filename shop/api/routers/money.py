"""Money: prices, quotes and what is paid; a price before anybody is measured; what is open."""

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
from shop.bridge.money import (
    STEPS,
    Priced,
    currencies,
    notion_codes,
    notion_price_name,
    pay_name,
    said_amount,
    said_changes,
    said_drivers,
    said_lines,
    way_of_paying,
    written,
)
from shop.bridge.quick import QuickAsked, looks, quick_price
from shop.chalk.queries import name_of
from shop.money import actions, papers, queries
from shop.money.models import Payment, Prices, Quote
from shop.orders import queries as orders
from shop.sewing.queries import own_minutes

router = Router(tags=["money"])
Typed = Annotated[str, Field(max_length=20)]
Way = Literal["cash", "card", "bank", "other"]


class NotionPriceOut(Schema):
    """Something that is bought besides cloth: its price as it is written, empty where it has none, and what that is
    for.
    """

    code: str
    name: str
    per: str
    price: str


class CodeNameOut(Schema):
    """A code with its name."""

    code: str
    name: str


class PricesOut(Schema):
    """What the workshop takes. `currencies` and `steps` are what can be chosen; `per` is the length that prices are
    for.
    """

    version: int
    currency: str
    rate: str
    notions: list[NotionPriceOut]
    step: str
    tax: str
    tax_percent: str
    tax_within: bool
    per: str
    currencies: list[CodeNameOut]
    steps: list[str]


class PricesIn(Schema):
    """Prices as they are typed; empty: none."""

    version: Version = 0
    currency: str = Field("", max_length=3)
    rate: Typed = ""
    notions: dict[Annotated[str, Field(max_length=20)], Typed] = Field(default_factory=dict, max_length=40)
    step: str = Field("", max_length=6)
    tax: str = Field("", max_length=30)
    tax_percent: str = Field("", max_length=8)
    tax_within: bool = True


class QuoteLineOut(Schema):
    """A line: what it is for, its sum in numbers, its amount as it is said; empty where it has no price. `counts` is
    false where it says how much of the total is something.
    """

    code: str
    title: str
    summed: str
    amount: str
    counts: bool


class QuoteOut(Schema):
    """A quote: its lines and its total, as it is said and as it is written; `without` is what has no price."""

    lines: list[QuoteLineOut]
    total: str
    written: str
    without: list[str]


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
    agreed; `paid`, `left` and `total` as they are said, `paid_written` and `left_written` as they are typed.
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
    owed: Literal["unknown", "to_pay", "nothing", "to_give_back"]


class ExtraIn(Schema):
    name: str = Field(max_length=80)
    amount: Typed


class QuoteIn(Schema):
    """What is typed of an open quote: `discount` is an amount, or a share such as 10 %."""

    version: Version = 0
    order: UUID
    extras: list[ExtraIn] = Field(default_factory=list, max_length=12)
    discount: Typed = ""
    fitting: bool = False


class AgreeIn(Schema):
    """The total as it was seen, as it is written."""

    order: UUID
    total: Typed


class PaymentIn(Schema):
    """Money that changes hands: `paid` is what was paid as it was seen; `over` that more than was agreed is meant."""

    order: UUID
    kind: Literal["deposit", "payment", "refund"] = "payment"
    way: Way = "cash"
    amount: Typed
    paid: Typed
    note: str = Field("", max_length=120)
    over: bool = False


class TakenBackIn(Schema):
    """The payment that was a mistake."""

    payment: UUID


class OpenOut(Schema):
    """An order of which something is to be paid, or to be given back where `back`."""

    order: UUID
    title: str
    client_name: str
    promised_on: date
    state: str
    agreed: str
    paid: str
    left: str
    back: bool


class MonthTakenOut(Schema):
    """What came in in a month, by its first day, less what was given back."""

    first: date
    amount: str
    number: float


class OpenMoneyOut(Schema):
    """What is open, a page of it, and what came in month by month."""

    open: list[OpenOut]
    more: bool
    months: list[MonthTakenOut]


class QuickIn(Schema):
    """What is asked for before anybody is measured: a hip as it is typed, or a look."""

    styles: list[Annotated[str, Field(max_length=40)]] = Field(max_length=4)
    hip: str = Field("", max_length=40)
    look: str = Field("", max_length=12)
    width: str = Field(max_length=40)
    cloth_price: Typed = ""
    sold_in: str = Field("", max_length=16)
    fitting: bool = False


class DriverOut(Schema):
    """What makes the dearer end dearer, with both sums."""

    title: str
    low: str
    high: str
    by: str


class QuickOut(Schema):
    """A range: from the smallest who have such a hip to the largest; hips in mm; what it hangs on."""

    low: QuoteOut
    high: QuoteOut
    low_hip_mm: float
    high_hip_mm: float
    drivers: list[DriverOut]


def _prices(actor: User, row: Prices) -> PricesOut:
    prices = queries.price_list(actor)
    return PricesOut(
        version=row.version, currency=actor.workshop.currency, rate=row.rate,
        notions=[
            NotionPriceOut(code=code, name=name, per=per, price=prices.notions.get(code, ""))
            for code in notion_codes() for name, per in [notion_price_name(code, prices)]
        ],
        step=row.step, tax=row.tax, tax_percent=row.tax_percent, tax_within=row.tax_within, per=prices.per,
        currencies=[CodeNameOut(code=code, name=name) for code, name in currencies()], steps=[*STEPS],
    )  # fmt: skip


def _quote(quote: Priced, currency: str) -> QuoteOut:
    lines = said_lines(quote, currency)
    return QuoteOut(
        lines=[QuoteLineOut(**vars(one)) for one in lines], total=said_amount(quote.total, currency),
        written=written(quote.total, currency), without=[one.title for one in lines if not one.amount],
    )  # fmt: skip


def _agreed(row: Quote | None, was: Priced | None) -> AgreedOut | None:
    if row is None or was is None or row.agreed_at is None:
        return None
    return AgreedOut(id=row.id, at=row.agreed_at, by=name_of(row.changed_by), quote=_quote(was, row.currency))


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
        now=None if found.now is None else _quote(found.now, currency),
        why=[WhyOut(what=one["what"], mend=one["mend"], station=one.get("station", "")) for one in found.refused],
        open=None if found.open is None else OpenQuoteOut(id=found.open.id, version=found.open.version),
        typed=_typed(found.open or found.agreed), agreed=_agreed(found.agreed, was),
        changes=[
            PriceChangeOut(**vars(one)) for one in (said_changes(was, found.now, currency) if was and found.now else [])
        ],
        payments=[_payment(one, one.id in undone) for one in found.payments],
        total="" if was is None else said_amount(was.total, currency), paid=said_amount(found.paid, currency),
        paid_written=written(found.paid, currency), left=said_amount(None if left is None else abs(left), currency),
        left_written="" if left is None else written(abs(left), currency), owed=_owed(left),
    )  # fmt: skip


def _owed(left: Decimal | None) -> Literal["unknown", "to_pay", "nothing", "to_give_back"]:
    if left is None:
        return "unknown"
    return "nothing" if not left else "to_pay" if left > 0 else "to_give_back"


@router.get("/prices", response=PricesOut)
def prices(request: HttpRequest) -> PricesOut:
    """The workshop's currency and prices."""
    allow(person(request), "money")
    return _prices(person(request), queries.prices_of(person(request)))


@router.put("/prices", response=PricesOut)
def put_prices(request: HttpRequest, body: PricesIn) -> PricesOut:
    """Settle them."""
    return _prices(person(request), actions.put_prices(actor=person(request), **body.dict()))


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
        open=[_open_order(row, currency) for row in rows], more=len(rows) == queries.OPEN,
        months=[
            MonthTakenOut(first=one.first, amount=said_amount(one.amount, one.currency), number=float(one.amount))
            for one in queries.taken(actor)
        ],
    )  # fmt: skip


def _open_order(row: queries.OpenOrder, currency: str) -> OpenOut:
    left = row.agreed - row.paid
    return OpenOut(
        order=row.order, title=row.title, client_name=row.client_name, promised_on=row.promised_on, state=row.state,
        agreed=said_amount(row.agreed, currency), paid=said_amount(row.paid, currency),
        left=said_amount(abs(left), currency), back=left < 0,
    )  # fmt: skip


@router.get("/looks", response=list[CodeNameOut])
def all_looks(request: HttpRequest) -> list[CodeNameOut]:
    """How large somebody can look, for a price without a tape."""
    return [CodeNameOut(code=code, name=name) for code, name in looks()]


@router.post("/quick-quotes", response=QuickOut)
def quick(request: HttpRequest, body: QuickIn) -> QuickOut:
    """What an outfit costs before anybody is measured: a range, and what it hangs on. Nothing is stored."""
    actor = person(request)
    allow(actor, "money")
    asked = QuickAsked(tuple(body.styles), body.hip, body.look, body.width, body.cloth_price, body.sold_in)
    own = {one.code: one.minutes for one in own_minutes(actor)}
    low, high = quick_price(asked, queries.price_list(actor), own, body.fitting)
    currency = actor.workshop.currency
    return QuickOut(
        low=_quote(low.quote, currency), high=_quote(high.quote, currency), low_hip_mm=low.hip_mm,
        high_hip_mm=high.hip_mm,
        drivers=[DriverOut(**vars(one)) for one in said_drivers(low.quote, high.quote, currency)],
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
