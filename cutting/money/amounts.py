"""Amounts of money as they are typed, and brought to what a currency has: whole cents, or whole coins."""

import re
from decimal import ROUND_HALF_UP, Decimal
from fractions import Fraction

from babel.numbers import get_currency_precision

from cutting.errors import refuse
from cutting.where import Where

MOST = Decimal(10_000_000)
"""No amount is so large: in the currency with the smallest coins that is a year of work."""
USUAL_DIGITS = 2
_AMOUNT = re.compile(r"^(?P<whole>[0-9]{1,3}(?:[ '\u00a0\u202f][0-9]{3})+|[0-9]{0,12})(?:[.,](?P<part>[0-9]{0,6}))?$")
_GROUPED = re.compile(r"^[0-9]{1,3}(?:([,.])[0-9]{3})(?:\1[0-9]{3})*$")
_BOTH = re.compile(r"^[0-9]{1,3}(?:(?P<group>[,.])[0-9]{3})+(?!(?P=group))[,.][0-9]{1,2}$")


def digits_of(currency: str) -> int:
    """How many digits of a currency come after the point: 2 of EUR, 0 of JPY, 3 of KWD; 2 where none is said.

    Source: CLDR's currency data, by Babel.
    """
    return get_currency_precision(currency) if currency else USUAL_DIGITS


def rounded(amount: Fraction | Decimal, digits: int) -> Decimal:
    """An amount to so many digits after the point, a half away from nothing; exact until then."""
    exact = Fraction(amount)
    units = (2 * abs(exact.numerator) * 10**digits + exact.denominator) // (2 * exact.denominator)
    made = Decimal(units).scaleb(-digits)
    return -made if exact < 0 and units else made


def to_step(amount: Decimal, step: Decimal) -> Decimal:
    """An amount to the nearest multiple of a step, a half up."""
    return (amount / step).quantize(Decimal(1), ROUND_HALF_UP) * step


def tidy(amount: Decimal, digits: int) -> str:
    """An amount as it is written without a currency and stored: `35.00`."""
    return f"{amount:.{digits}f}"


def read_amount(typed: str, digits: int, where: Where) -> Decimal:
    """An amount as it is typed: `12.50`, `12,50`, `1 200`, `1,200.50`. Raises CuttingError: amount.empty,
    amount.unreadable, amount.negative, amount.thousands, amount.digits, amount.large.
    """
    text = typed.strip()
    if not text:
        raise refuse("amount.empty", where)
    if text[0] in "-\u2212":
        raise refuse("amount.negative", where)
    both = _BOTH.match(text)
    if both:
        text = text.replace(both["group"], "")
    elif _GROUPED.match(text) and digits != 3:
        # With three digits after it, a point could as well be one of thousands.
        raise refuse("amount.thousands", where, word=text)
    match = _AMOUNT.match(text)
    if match is None or not (match["whole"] or match["part"]):
        raise refuse("amount.unreadable", where, word=text[:20])
    part = (match["part"] or "").rstrip("0")
    if len(part) > digits:
        raise refuse("amount.digits", where, digits=digits)
    whole = re.sub(r"\D", "", match["whole"] or "") or "0"
    made = Decimal(f"{whole}.{part or '0'}")
    if made >= MOST:
        raise refuse("amount.large", where)
    return rounded(made, digits)


def read_percent(typed: str, where: Where) -> Decimal:
    """A share as it is typed, in percent: `25`, `8,1 %`; from 0 to 100. Raises CuttingError: amount.percent."""
    text = typed.strip().removesuffix("%").strip().replace(",", ".")
    if not re.fullmatch(r"[0-9]{1,3}(\.[0-9]{1,3})?", text) or Decimal(text) > 100:
        raise refuse("amount.percent", where)
    return Decimal(text)
