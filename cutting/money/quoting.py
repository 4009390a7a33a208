"""A quote: its lines, what is taken off, tax, and the total by the workshop's rule of rounding.

Tax is added to the prices or is within them; what the rounding adds or takes off is no part of what is taxed (common
practice, no source).
"""

from collections.abc import Sequence
from dataclasses import dataclass
from decimal import Decimal
from fractions import Fraction

from cutting.errors import refuse
from cutting.money.amounts import read_amount, read_percent, rounded, tidy, to_step
from cutting.money.lines import Line
from cutting.where import Where

NOTHING = Decimal(0)


@dataclass(frozen=True)
class Terms:
    """What a workshop goes by: the digits of its currency, to which multiple a total is rounded (none: not at all),
    its tax by name and in percent, and whether prices have it within.
    """

    digits: int = 2
    step: Decimal | None = None
    tax: str = ""
    tax_percent: Decimal = NOTHING
    tax_within: bool = False


@dataclass(frozen=True)
class Discount:
    """What is taken off: a share in percent, or an amount."""

    percent: Decimal | None = None
    amount: Decimal | None = None


@dataclass(frozen=True)
class Quote:
    """Lines in their order. The `total` is the sum of their amounts, those aside that have no price."""

    lines: tuple[Line, ...]

    @property
    def total(self) -> Decimal:
        return sum((one.amount for one in self.lines if one.amount and one.code != "tax_within"), NOTHING)

    @property
    def without_price(self) -> list[Line]:
        """What the total does not have."""
        return [one for one in self.lines if one.amount is None]


def read_discount(typed: str, digits: int, where: Where) -> Discount | None:
    """A discount as it is typed: `10 %` or `50`; none where nothing is. Raises CuttingError as read_amount and
    read_percent do.
    """
    text = typed.strip()
    if not text:
        return None
    if text.endswith("%"):
        return Discount(percent=read_percent(text, where))
    return Discount(amount=read_amount(text, digits, where))


def quote_of(lines: Sequence[Line], discount: Discount | None, terms: Terms, where: Where | None = None) -> Quote:
    """The lines with what follows from them. Raises CuttingError amount.discount where more is taken off than there
    is.
    """
    made = [*lines]
    sum_ = Quote(tuple(made)).total
    if discount is not None:
        made.append(_off(sum_, discount, terms.digits, where or Where()))
        sum_ = Quote(tuple(made)).total
    if terms.tax_percent:
        share = Fraction(terms.tax_percent)
        part = share / (100 + share) if terms.tax_within else share / 100
        amount = rounded(Fraction(sum_) * part, terms.digits)
        made.append(
            Line(
                "tax_within" if terms.tax_within else "tax", terms.tax, share, "percent", sum_, amount,
            )
        )  # fmt: skip
        sum_ = Quote(tuple(made)).total
    if terms.step:
        to = to_step(sum_, terms.step)
        if to != sum_:
            summed = f"{tidy(to, terms.digits)} \u2212 {tidy(sum_, terms.digits)}"
            by = rounded(to - sum_, terms.digits)
            made.append(Line("rounding", "", price=terms.step, amount=by, summed=summed))
    return Quote(tuple(made))


def _off(sum_: Decimal, discount: Discount, digits: int, where: Where) -> Line:
    if discount.percent is not None:
        amount = rounded(Fraction(sum_) * Fraction(discount.percent) / 100, digits)
        return Line("discount", "", Fraction(discount.percent), "percent", sum_, -amount)
    taken = discount.amount or NOTHING
    if taken > sum_:
        raise refuse("amount.discount", where)
    return Line("discount", "", amount=-taken)
