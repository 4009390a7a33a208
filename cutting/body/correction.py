"""What was found at a fitting and holds for the client's next drafts."""

from dataclasses import dataclass
from typing import Literal

from cutting.lengths import OfCorrection

Side = Literal["both", "left", "right"]


@dataclass(frozen=True)
class Correction:
    """A choice of a kind of garment that is so much more, or less, than what is usual for it.

    `kind`, `method` and `garment` say what it holds for: empty for every one that makes the choice. One of the `house`
    is left out of a draft that has no room for it. `side` is of the wearer.
    """

    choice: str
    by: OfCorrection
    kind: str = ""
    method: str = ""
    garment: str = ""
    house: bool = False
    side: Side = "both"


ONE_SIDED = ("length", "side_raise")
"""The choices that may differ left and right: what they move has no twin sewn to it. A crotch or a hip is sewn to that
of the other side.
"""
