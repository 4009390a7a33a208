"""What is handed over with money: a quote with its sums, a receipt; and the ticket that goes along with an order."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date
from decimal import Decimal
from functools import partial

from cutting.drawing import Block, Document, Heading, Picture, Said, Sheet, Table, Tick
from cutting.money import Quote
from cutting.words import Language

AMOUNTS = (0.0, 42.0)
"""What a line is for takes the rest, its amount so many mm."""


def quote_card(quote: Quote, currency: str, day: date, agreed: bool, promised: date, words: Language) -> Document:
    """Every line with its sum and its amount, and the total; what has no price is said."""
    said = words.page
    rows = tuple(
        (
            [Said(words.line_title(one), strong=True), *([Said(summed, "small")] if summed else [])],
            [Said(said("money_no_price") if one.amount is None else words.money(one.amount, currency))],
        )
        for one in quote.lines
        if one.code != "tax_within"
        for summed in [words.line_sum(one, currency)]
    )
    state = said("money_agreed" if agreed else "money_open", day=words.day_name(day))
    blocks: list[Block] = [
        Said(f"{state} {said('money_promised', day=words.day_name(promised))}"),
        Table(AMOUNTS, rows, right=frozenset({1})),
        _total(said("money_total"), words.money(quote.total, currency)),
        *(
            Said(f"{words.line_title(one)}: {words.money(one.amount, currency)}", "small")
            for one in quote.lines
            if one.code == "tax_within" and one.amount is not None
        ),
    ]
    if quote.without_price:
        blocks.append(
            Said(said("money_without", lines=", ".join(words.line_title(one) for one in quote.without_price)))
        )
    return Document(said("money_quote_title"), tuple(blocks))


@dataclass(frozen=True)
class Received:
    """What a receipt says: its number, what changed hands of what kind and how, on which day; what the order's total
    is, where that was agreed, and what is paid of it with this.
    """

    number: str
    kind: str
    way: str
    amount: Decimal
    currency: str
    day: date
    total: Decimal | None
    paid: Decimal
    against: str = ""


def receipt_card(one: Received, words: Language) -> Document:
    """The amount, for what, and what is left to be paid."""
    said, money = words.page, partial(words.money, currency=one.currency)
    kind = words.pay_name(one.kind)
    if one.against:
        kind = said("money_against", kind=kind, receipt=one.against)
    rows = [(said("money_paid_so_far"), money(one.paid))]
    if one.total is not None:
        left = one.total - one.paid
        rows = [
            (said("money_agreed_total"), money(one.total)), *rows,
            (said("money_left" if left >= 0 else "money_back"), money(abs(left))),
        ]  # fmt: skip
    return Document(
        said("money_receipt_title", number=one.number),
        (
            Said(said("money_received", day=words.day_name(one.day), year=one.day.year)),
            _total(f"{kind[0].upper()}{kind[1:]}, {words.way_of_paying(one.way)}", money(one.amount)),
            Table(AMOUNTS, tuple(([Said(name)], [Said(amount)]) for name, amount in rows), right=frozenset({1})),
            Said(said("money_signed"), "small"),
        ),
    )  # fmt: skip


@dataclass(frozen=True)
class Ticket:
    """What a job ticket says of an order: its garments, its cloth, when it is promised, the address of its page."""

    garments: Sequence[str]
    cloth: str
    promised: date
    address: str


TICKED = ("measure", "cut", "sew", "fit", "finish", "pack")
"""The tasks that are ticked on a ticket, in their order."""


def ticket_card(ticket: Ticket, words: Language) -> Document:
    """What hangs on the garment while it is made: what, for when, and a box for each task."""
    said = words.page
    rows = tuple((Tick(), [Said(words.task_name(kind).capitalize(), "large")], [Said("")]) for kind in TICKED)
    return Document(
        said("money_ticket_title"),
        (
            Said(said("money_promised", day=words.day_name(ticket.promised)), "large", True),
            *(Said(one, "large") for one in ticket.garments),
            Said(ticket.cloth),
            Picture(Sheet("code", 1.0, 1.0, ()), ticket.address),
            Heading(said("money_ticket_tasks")),
            Table((10.0, 60.0, 0.0), rows),
        ),
    )  # fmt: skip


def _total(name: str, amount: str) -> Table:
    return Table(AMOUNTS, (([Said(name, "large", True)], [Said(amount, "large", True)]),), right=frozenset({1}))
