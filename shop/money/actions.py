"""Settling prices, agreeing quotes, taking and giving back money."""

from collections.abc import Mapping, Sequence
from decimal import Decimal
from uuid import UUID, uuid5

from django.db import transaction
from django.db.models import Max
from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User, Workshop
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own, put_row
from shop.bridge.money import (
    STEPS,
    changing_hands,
    checked_extras,
    checked_prices,
    currencies,
    keep_lines,
    said_amount,
    written,
)
from shop.errors import ShopError
from shop.money.models import Payment, Prices, Quote
from shop.money.queries import MOST_PAYMENTS, agreed_quotes, cost_of, open_orders, payments
from shop.orders import life
from shop.orders.models import Order

MOST_QUOTES = 100
"""So many quotes are kept of an order."""


class PriceError(ShopError):
    """Prices that cannot be settled so."""

    code = "prices"


class CurrencyHeldError(ShopError):
    """A currency that is not changed while there is money in it."""

    status = 409
    code = "currency_held"


class QuoteStateError(ShopError):
    """A quote that cannot be changed or agreed as it stands."""

    status = 409
    code = "quote"


class PaidMeanwhileError(ShopError):
    """Somebody else took money, or gave it back, since the page was read."""

    status = 409
    code = "paid_meanwhile"


class OverpaidError(ShopError):
    """More would be paid than is asked for."""

    status = 409
    code = "overpaid"


def put_prices(
    *, actor: User, version: int, currency: str, rate: str, notions: Mapping[str, str], step: str, tax: str,
    tax_percent: str, tax_within: bool,
) -> Prices:  # fmt: skip
    """Settle the workshop's currency and prices. Raises PriceError, CoreRefusal, StaleError; CurrencyHeldError where
    something is to be paid in the currency of before.
    """
    allow(actor, "workshop")
    if currency and currency not in dict(currencies()):
        raise PriceError(f"There is no currency {currency}. Choose one from the list.")
    if step and step not in STEPS:
        raise PriceError(f"A total is not rounded to {step}. Choose one of {', '.join(STEPS)}.")
    read = checked_prices(currency, rate, notions, step, tax_percent)
    with transaction.atomic():
        workshop = Workshop.objects.select_for_update(no_key=True).get(pk=actor.workshop_id)
        if workshop.currency not in ("", currency):
            _check_free(actor, workshop.currency)
        known = Prices.of(workshop).first()
        row = put_row(
            Prices, actor=actor, id=known.id if known else actor.workshop_id, version=version, unit=workshop.unit,
            rate=read.rate, notions=dict(read.notions), step=step, tax=tax, tax_percent=read.tax_percent,
            tax_within=tax_within,
        )  # fmt: skip
        if workshop.currency != currency:
            workshop.currency = currency
            workshop.save(update_fields=["currency"])
    actor.workshop.currency = currency
    return row


def _check_free(actor: User, currency: str) -> None:
    count = open_orders(actor).count()
    if count:
        orders = "one order" if count == 1 else f"{count} orders"
        raise CurrencyHeldError(
            f"Of {orders} there is money to be paid or given back in {currency}. Settle that first, under Money."
        )


def put_quote(
    *, actor: User, id: UUID, version: int, order: UUID, extras: Sequence[tuple[str, str]], discount: str,
    fitting: bool,
) -> Quote:  # fmt: skip
    """Make or change the open quote of an order; there is one. Raises QuoteStateError where it was agreed or another is
    open, CoreRefusal where an amount cannot be, StaleError, Http404.
    """
    allow(actor, "money")
    kept = checked_extras(extras, discount, actor.workshop.currency)
    with transaction.atomic():
        row = locked(Order, actor, order)
        known = Quote.of(actor.workshop).filter(pk=id).first()
        if known is not None and known.order_id != row.id:
            raise Http404
        if known is not None and known.agreed_at is not None:
            raise QuoteStateError("This quote is agreed and stays as it is. Begin a newer one.")
        others = Quote.of(actor.workshop).filter(order=row)
        if others.filter(agreed_at__isnull=True).exclude(pk=id).exists():
            raise QuoteStateError("Somebody else began a quote of this order. Look at it again: theirs is there.")
        if known is None:
            check_room(others, MOST_QUOTES)
        return put_row(
            Quote, actor=actor, id=id, version=version, order=row, extras=kept, discount=discount, fitting=fitting
        )


def agree(*, actor: User, id: UUID, order: UUID, total: str) -> Quote:
    """A quote is agreed as it was seen, with its total: its lines stay as they are from now on, and the order is
    agreed. The same again is the same. Raises QuoteStateError where the total is another by now; CoreRefusal.
    """
    allow(actor, "money")
    with transaction.atomic():
        row = locked(Order, actor, order)
        quote = Quote.of(actor.workshop).filter(pk=id).first()
        if quote is not None and quote.order_id != row.id:
            raise Http404
        if quote is not None and quote.agreed_at is not None:
            if quote.total is None or written(quote.total, quote.currency) != total:
                raise QuoteStateError("This quote is agreed already, for another sum. Look at it again.")
            return quote
        others = Quote.of(actor.workshop).filter(order=row)
        if quote is None and others.filter(agreed_at__isnull=True).exists():
            raise QuoteStateError("Somebody else began a quote of this order. Look at it again: theirs is there.")
        before = agreed_quotes(actor).filter(order=row).first()
        made = cost_of(actor, row, quote or before)
        currency = actor.workshop.currency
        _check_currency(payments(actor, row.id), currency)
        if written(made.total, currency) != total:
            raise QuoteStateError(
                f"It comes to {said_amount(made.total, currency)} by now: something of the order or of the prices was "
                "changed. Look at it again."
            )
        if quote is None:
            check_room(others, MOST_QUOTES)
            like = {key: getattr(before, key) for key in ("extras", "discount", "fitting")} if before else {}
            quote = add(Quote(id=id, workshop=actor.workshop, changed_by=actor, order=row, **like))
        quote.lines, quote.total, quote.currency = keep_lines(made), made.total, currency
        quote.agreed_at, quote.changed_by = timezone.now(), actor
        quote.version += 1
        quote.save()
        if not life.steps(actor, row.id):
            life.put_step(actor=actor, id=uuid5(quote.id, "agreed"), order=row.id, state="agreed")
    return quote


def pay(
    *, actor: User, id: UUID, order: UUID, kind: str, way: str, amount: str, paid: str, note: str = "",
    over: bool = False, fetched: bool = False,
) -> Payment:  # fmt: skip
    """Take money for an order, or give it back: `paid` is what was paid as it was seen. Where it is `fetched` with it,
    it is handed over. The same id again is the same money. Raises PaidMeanwhileError where something else was paid
    since, OverpaidError where that is more than was agreed and not meant to be (`over`), CoreRefusal where it is no
    amount.
    """
    allow(actor, "money")
    with transaction.atomic():
        row = locked(Order, actor, order)
        known = _known(actor, id, row)
        if known is not None:
            return known
        currency = actor.workshop.currency
        before = payments(actor, row.id)
        _check_currency(before, currency)
        amounts = [one.amount for one in before]
        now = sum(amounts, Decimal(0))
        if written(now, currency) != paid:
            raise PaidMeanwhileError(
                f"{said_amount(now, currency)} is paid of this order by now: somebody took or gave back money "
                "meanwhile. Look whether this is to be taken still."
            )
        changed = changing_hands(amount, kind == "refund", amounts, currency)
        agreed = agreed_quotes(actor).filter(order=row).first()
        if agreed is not None and agreed.total is not None and changed > 0 and not over:
            more = now + changed - agreed.total
            if more > 0:
                raise OverpaidError(
                    f"That is {said_amount(more, currency)} more than was agreed. Press again to take it all the "
                    "same, or correct the amount."
                )
        made = _add(actor, id, row, kind, way, changed, note, None)
        if fetched:
            life.put_step(actor=actor, id=uuid5(id, "fetched"), order=row.id, state="handed_over")
        return made


def take_back(*, actor: User, id: UUID, payment: UUID) -> Payment:
    """A payment was a mistake: a line against it, of the same amount. The same payment again is the same line. Raises
    QuoteStateError where it is a line against another itself.
    """
    allow(actor, "money")
    with transaction.atomic():
        wrong = own(Payment, actor, payment)
        if wrong.order_id is None:
            raise QuoteStateError("Its order is erased: the amount stays as it is.")
        row = locked(Order, actor, wrong.order_id)
        known = Payment.of(actor.workshop).filter(against=wrong).first() or _known(actor, id, row)
        if known is not None:
            return known
        if wrong.against_id is not None:
            raise QuoteStateError("This line takes a mistake back. Take or give back the money anew instead.")
        return _add(actor, id, row, "correction", wrong.way, -wrong.amount, "", wrong)


def _check_currency(before: Sequence[Payment], currency: str) -> None:
    other = next((one.currency for one in before if one.currency != currency), None)
    if other is not None:
        raise CurrencyHeldError(
            f"The money of this order is in {other or 'no currency'}, the workshop's is {currency or 'none'} by now. "
            "Make a new order for what comes after."
        )


def _known(actor: User, id: UUID, order: Order) -> Payment | None:
    known = Payment.of(actor.workshop).filter(pk=id).first()
    if known is not None and known.order_id != order.id:
        raise Http404
    return known


def _add(
    actor: User, id: UUID, order: Order, kind: str, way: str, amount: Decimal, note: str, against: Payment | None
) -> Payment:
    """The next receipt of the year. Numbers are given one after the other: nobody else adds one meanwhile."""
    Workshop.objects.select_for_update(no_key=True).get(pk=actor.workshop_id)
    rows, today = Payment.of(actor.workshop), timezone.localdate()
    check_room(rows.filter(order=order), MOST_PAYMENTS)
    check_room(rows, Payment.MOST)
    last = rows.filter(year=today.year).aggregate(last=Max("number"))["last"] or 0
    return add(
        Payment(
            id=id, workshop=actor.workshop, changed_by=actor, order=order, kind=kind, way=way, amount=amount,
            currency=actor.workshop.currency, day=today, note=" ".join(note.split()), against=against, year=today.year,
            number=last + 1,
        )
    )  # fmt: skip
