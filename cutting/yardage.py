"""Cloth to buy: the lay's length with what is added to it, rounded up to what the shop sells."""

from dataclasses import dataclass
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
    """All in mm. `length = lay + shrink + trim + spare`; `buy` is that rounded up to whole `steps` of `sold_in`."""

    lay: float
    shrink: float
    trim: float
    spare: float
    sold_in: str

    @property
    def length(self) -> float:
        return self.lay + self.shrink + self.trim + self.spare

    @property
    def steps(self) -> int:
        return ceil(self.length / float(UNITS[self.sold_in]) - 1e-9)

    @property
    def buy(self) -> float:
        return self.steps * float(UNITS[self.sold_in])


def yardage(lay_length: float, cloth: Cloth, unit: Unit) -> Yardage:
    """What to buy for a lay of `lay_length` mm. Shrinkage is of the bought length: lay / (1 - share) - lay."""
    share = float(cloth.shrink_percent) / 100
    shrink = lay_length / (1 - share) - lay_length
    sold = cloth.unit_of_sale or ("half-yard" if unit == "in" else "0.1 m")
    return Yardage(lay_length, shrink, float(cloth.trim), float(cloth.spare), sold)
