"""A quote, a receipt and a job ticket on paper."""

from collections.abc import Sequence
from datetime import date
from decimal import Decimal

from cutting.drawing import PAPERS, Document
from cutting.formats.money_card import Received, Ticket, quote_card, receipt_card, ticket_card
from shop.bridge.money import Priced
from shop.bridge.words import words


def quote_paper(
    quote: Priced, currency: str, day: date, agreed: bool, promised: date, head: str, heading: str, paper: str
) -> bytes:
    """A quote as a PDF; `head` is written over each page, with the workshop's own `heading`."""
    return _pdf(quote_card(quote, currency, day, agreed, promised, words()), head, heading, paper)


def receipt_paper(
    *, number: str, kind: str, way: str, amount: Decimal, currency: str, day: date, total: Decimal | None,
    paid: Decimal, against: str, head: str, heading: str, paper: str,
) -> bytes:  # fmt: skip
    """A receipt as a PDF."""
    one = Received(number, kind, way, amount, currency, day, total, paid, against)
    return _pdf(receipt_card(one, words()), head, heading, paper)


def ticket_paper(
    *, styles: Sequence[str], cloth: str, promised: date, address: str, head: str, heading: str, paper: str
) -> bytes:
    """A job ticket as a PDF, with the code of the order's page."""
    garments = [words().style_name(style) for style in styles]
    return _pdf(ticket_card(Ticket(garments, cloth, promised, address), words()), head, heading, paper)


def _pdf(document: Document, head: str, heading: str, paper: str) -> bytes:
    from cutting.export.document import document_to_pdf  # loaded where it is needed: it takes long

    return document_to_pdf(document, PAPERS["Letter" if paper == "Letter" else "A4"], head, heading, words())
