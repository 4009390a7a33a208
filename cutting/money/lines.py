"""The lines of a quote: what is taken, of how much, at which price, and what that comes to."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from decimal import Decimal
from fractions import Fraction
from typing import Literal

from cutting.money.amounts import rounded

LineCode = Literal["cloth", "other_cloth", "notion", "work", "extra", "discount", "tax", "tax_within", "rounding"]
"""`tax_within` says how much of the total is tax; it adds nothing to it."""
Per = Literal["", "yard", "metre", "each", "hour", "percent"]
LENGTHS: dict[Per, Fraction] = {"yard": Fraction(9144, 10), "metre": Fraction(1000)}
"""A length that is priced, in mm."""
HOUR = 60


@dataclass(frozen=True)
class Line:
    """One line. `of` is which: a kind of cloth, the code of a notion or of a task, or what was typed. `amount` is
    quantity x price, of work its minutes x the price of an hour / 60, to the digits of the currency; none where there
    is no price. `summed` is where the quantity comes from, in numbers; of the rounding, where its amount does.
    """

    code: LineCode
    of: str = ""
    quantity: Fraction | None = None
    per: Per = ""
    price: Decimal | None = None
    amount: Decimal | None = None
    summed: str = ""

    @property
    def key(self) -> tuple[str, str]:
        """The same for the same line of another quote."""
        return self.code, self.of


def cloth_line(
    code: Literal["cloth", "other_cloth"], of: str, mm: float, per: Per, price: Fraction | None, digits: int
) -> Line:
    """So much cloth, at a price for one yard or metre."""
    quantity = Fraction(mm).limit_denominator(10_000) / LENGTHS[per]
    amount = None if price is None else rounded(quantity * price, digits)
    shown = None if price is None else rounded(price, max(digits, 2))
    return Line(code, of, quantity, per, shown, amount)


def notion_lines(
    notions: Iterable[tuple[str, int, float | None]], prices: Mapping[str, Decimal], per: Per, digits: int
) -> list[Line]:
    """What is bought besides, by code: how many at the price of one, or their lengths in mm together at that of a yard
    or metre. What has a length and is sold by the piece, such as a zip, is in BY_THE_PIECE.
    """
    counts, lengths = dict[str, list[tuple[int, float]]](), dict[str, bool]()
    for code, count, mm in notions:
        counts.setdefault(code, []).append((count, mm or 0.0))
        lengths[code] = mm is not None and code not in BY_THE_PIECE
    found = []
    for code, parts in counts.items():
        price = prices.get(code)
        if lengths[code]:
            quantity = sum((Fraction(round(mm * 10), 10) * count for count, mm in parts), Fraction(0)) / LENGTHS[per]
        else:
            quantity = Fraction(sum(count for count, _ in parts))
        amount = None if price is None else rounded(quantity * Fraction(price), digits)
        found.append(Line("notion", code, quantity, per if lengths[code] else "each", price, amount))
    return found


BY_THE_PIECE = frozenset(("zip", "invisible-zip", "fly-zip", "open-zip", "zip-through", "hook", "button"))


def work_lines(takes: Mapping[str, tuple[float, str]], rate: Decimal | None, digits: int) -> list[Line]:
    """Each task of an order, in minutes and their sum, at the price of an hour."""
    found = []
    for kind, (minutes, summed) in takes.items():
        quantity = Fraction(minutes).limit_denominator(1000)
        amount = None if rate is None else rounded(quantity * Fraction(rate) / HOUR, digits)
        found.append(Line("work", kind, quantity, "hour", rate, amount, summed))
    return found


def extra_line(of: str, amount: Decimal) -> Line:
    """What somebody added by hand."""
    return Line("extra", of, amount=amount)
