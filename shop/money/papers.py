"""What is printed of an order's money: its quote, its receipts; and the ticket that goes along with it."""

from uuid import UUID

from django.http import Http404
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import own
from shop.bridge.money import paid_of
from shop.bridge.money_paper import quote_paper, receipt_paper, ticket_paper
from shop.errors import ShopError
from shop.money.models import Payment
from shop.money.queries import agreed_quotes, money_of, payments, receipt
from shop.orders import queries as orders
from shop.orders.models import Order


class NoPaperError(ShopError):
    """Nothing to be printed yet."""

    status = 409
    code = "no_paper"


def quote(actor: User, order: UUID) -> bytes:
    """The quote that was agreed last; where none was, what the order costs as it stands. Raises Http404, NoPaperError
    where it cannot be priced.
    """
    allow(actor, "money")
    row = orders.order(actor, order)
    found = money_of(actor, row)
    agreed, shown = found.agreed, found.was or found.now
    if shown is None:
        raise NoPaperError("It cannot be priced yet: Money says what is missing.")
    at = timezone.localdate(agreed.agreed_at) if agreed and agreed.agreed_at else timezone.localdate()
    currency = agreed.currency if agreed else found.currency
    return quote_paper(shown, currency, at, agreed is not None, row.promised_on, *_over(actor, row))


def receipt_of(actor: User, payment: UUID) -> tuple[str, bytes]:
    """The receipt of a payment, with its number; what was paid until then is on it. Raises Http404."""
    allow(actor, "money")
    one = own(Payment, actor, payment)
    if one.order_id is None:
        raise Http404
    row = orders.order(actor, one.order_id)
    before = [other for other in payments(actor, row.id) if (other.year, other.number) <= (one.year, one.number)]
    last = agreed_quotes(actor).filter(order=row, agreed_at__lte=one.created_at).first()
    head, heading, paper = _over(actor, row)
    number = receipt(one)
    return number, receipt_paper(
        number=number, kind=one.kind, way=one.way, amount=one.amount, currency=one.currency, day=one.day,
        total=last.total if last else None, paid=paid_of(other.amount for other in before),
        against=receipt(one.against) if one.against else "", head=head, heading=heading, paper=paper,
    )  # fmt: skip


def ticket(actor: User, order: UUID, address: str) -> bytes:
    """The job ticket of an order; `address` is where the workshop's pages are. Raises Http404."""
    row = orders.order(actor, order)
    head, heading, paper = _over(actor, row)
    cloth = ", ".join(filter(None, (row.cloth.kind, row.cloth.width)))
    return ticket_paper(
        styles=[one.style for one in orders.garments(actor, row.id)], cloth=cloth, promised=row.promised_on,
        address=f"{address}/orders/{row.id}/sewing", head=head, heading=heading, paper=paper,
    )  # fmt: skip


def _over(actor: User, row: Order) -> tuple[str, str, str]:
    """What is over each page, and its paper."""
    return f"{row.client.name}: {row.title}", actor.workshop.heading, actor.workshop.paper
