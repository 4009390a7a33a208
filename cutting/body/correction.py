"""What was found at a fitting and holds for the client's next drafts."""

from dataclasses import dataclass

from cutting.lengths import OfCorrection


@dataclass(frozen=True)
class Correction:
    """A choice of a kind of garment that is so much more, or less, than what is usual for it.

    `kind`, `method` and `garment` say what it holds for: empty for every one that makes the choice. One of the `house`
    is left out of a draft that has no room for it.
    """

    choice: str
    by: OfCorrection
    kind: str = ""
    method: str = ""
    garment: str = ""
    house: bool = False
