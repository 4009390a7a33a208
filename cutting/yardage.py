"""Cloth to buy: the lay's length with what is added to it, rounded up to what the shop sells."""

from dataclasses import dataclass
from decimal import ROUND_HALF_UP, Decimal
from fractions import Fraction
from math import ceil

from cutting.cloth import Cloth
from cutting.lengths import INCH_MM, Unit

UNITS: dict[str, Fraction] = {
    "yard": 36 * INCH_MM,
    "half-yard": 18 * INCH_MM,
    "quarter-yard": 9 * INCH_MM,
    "0.1 m": Fraction(100),
    "six-yards": 216 * INCH_MM,
}
"""What a shop cuts off the bolt in, in mm."""


@dataclass(frozen=True)
class Yardage:
    """All in mm. `length` is lay + shrink + trim + spare + match; `buy` that rounded up to whole `steps` of `sold_in`.

    `match` is for bringing a stripe, a check or a print together; `price` is for one `priced_in`.
    """

    lay: float
    shrink: float
    trim: float
    spare: float
    match: float
    sold_in: str
    price: Fraction | None
    priced_in: Fraction

    @property
    def length(self) -> float:
        return self.lay + self.shrink + self.trim + self.spare + self.match

    @property
    def steps(self) -> int:
        return ceil(self.length / float(UNITS[self.sold_in]) - 1e-9)

    @property
    def buy(self) -> float:
        return self.steps * float(UNITS[self.sold_in])

    @property
    def cost(self) -> Decimal | None:
        """What that costs, to the hundredth; None without a price."""
        if self.price is None:
            return None
        exact = self.price * self.steps * UNITS[self.sold_in] / self.priced_in
        return (Decimal(exact.numerator) / Decimal(exact.denominator)).quantize(Decimal("0.01"), ROUND_HALF_UP)


def yardage(lay_length: float, cloth: Cloth, unit: Unit, garments: int = 1) -> Yardage:
    """What to buy for a lay of `lay_length` mm with so many garments.

    Shrinkage is of the bought length: lay / (1 - share) - lay. Matching takes one repeat for each garment (common
    practice, no source).
    """
    share = float(cloth.shrink_percent) / 100
    shrink = lay_length / (1 - share) - lay_length
    sold = cloth.unit_of_sale or ("half-yard" if unit == "in" else "0.1 m")
    match = float(cloth.repeat) * garments
    priced_in = 36 * INCH_MM if unit == "in" else Fraction(1000)
    return Yardage(
        lay_length, shrink, float(cloth.trim), float(cloth.spare), match, sold, cloth.price, priced_in
    )  # fmt: skip
