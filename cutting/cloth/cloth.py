"""A cloth: its width between the selvedges, how it may be folded, what it does when washed."""

from dataclasses import dataclass
from fractions import Fraction

PARTS = ("front", "back", "rest")
"""What is cut from one section after the other: fronts, backs, then all the small parts. Common practice, no source."""
CLOTHS = (
    "cotton", "linen", "wool", "denim", "viscose", "polyester", "silk", "velvet", "twill", "chiffon", "crepe", "jersey",
    "lining",
)  # fmt: skip
THICKNESSES = ("thin", "usual", "thick")
STANDARD_WIDTHS = (36, 45, 50, 54, 58, 60, 70)
"""Widths cloth is commonly sold in, inches. Common practice, no source."""


@dataclass(frozen=True)
class Cloth:
    """All lengths in mm. `width` is selvedge to selvedge; `selvedge` is left out at each edge. `stretch_percent` is
    how much it gives across; `pleated` that it is in pleats already. `repeat` is the length of one stripe,
    check or print; `price` is for a yard or a metre, in the workshop's own money. `fold` is auto, a fold, or sections;
    `sections` are parts with the folds chosen for them.
    """

    kind: str = "cotton"
    width: Fraction = Fraction(1143)
    length: Fraction | None = None
    fold: str = "auto"
    one_way: bool = False
    shrink_percent: Fraction = Fraction(0)
    stretch_percent: Fraction = Fraction(0)
    thickness: str = "usual"
    pleated: bool = False
    selvedge: Fraction = Fraction(0)
    trim: Fraction = Fraction(0)
    spare: Fraction = Fraction(0)
    unit_of_sale: str = ""
    repeat: Fraction = Fraction(0)
    price: Fraction | None = None
    sections: tuple[tuple[str, str], ...] = ()

    @property
    def usable(self) -> float:
        """The width pieces may be in, mm."""
        return float(self.width - 2 * self.selvedge)
