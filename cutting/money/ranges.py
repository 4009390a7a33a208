"""What a price hangs on before anybody is measured: two quotes, and which lines make the difference."""

from dataclasses import dataclass
from decimal import Decimal

from cutting.money.lines import Line
from cutting.money.quoting import NOTHING, Quote


@dataclass(frozen=True)
class Driver:
    """A line of two quotes, in the one or the other missing where it is in none of them."""

    low: Line | None
    high: Line | None

    @property
    def by(self) -> Decimal:
        """How much it makes the second dearer."""
        return _amount(self.high) - _amount(self.low)


def _amount(line: Line | None) -> Decimal:
    return NOTHING if line is None or line.amount is None else line.amount


def drivers(low: Quote, high: Quote) -> list[Driver]:
    """Every line of either that differs, what drives most first; tax and rounding follow from the others."""
    keys = dict.fromkeys(one.key for quote in (low, high) for one in quote.lines if one.code not in FOLLOWS)
    of_low, of_high = ({one.key: one for one in quote.lines} for quote in (low, high))
    found = [Driver(of_low.get(key), of_high.get(key)) for key in keys]
    return sorted((one for one in found if one.by), key=lambda one: -abs(one.by))


FOLLOWS = ("tax", "tax_within", "rounding")
