"""A quote as the API answers it: its lines with their sums, and its total."""

from typing import Annotated

from ninja import Field, Schema

from shop.bridge.money import Priced, said_amount, said_lines, written

TypedAmount = Annotated[str, Field(max_length=20)]
"""An amount as it is typed."""


class CodeNameOut(Schema):
    """A code with its name."""

    code: str
    name: str


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


def quote_out(quote: Priced, currency: str) -> QuoteOut:
    """A quote in words."""
    lines = said_lines(quote, currency)
    return QuoteOut(
        lines=[QuoteLineOut(**vars(one)) for one in lines], total=said_amount(quote.total, currency),
        written=written(quote.total, currency), without=[one.title for one in lines if not one.amount],
    )  # fmt: skip
