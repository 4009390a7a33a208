"""What a cure is on a garment that is sewn: where it is altered, and by how much at each layer. Common practice, no
source.
"""

from dataclasses import dataclass
from fractions import Fraction

from cutting.fitting.signs import Cure, Room
from cutting.lengths import Fixed, Length

LAYERS = {"waist_ease": 4, "hip_ease": 4, "bust_ease": 4, "thigh_ease": 2}
"""Among how many layers of cloth what is missing all round is shared out; of all else each layer takes the whole."""


@dataclass(frozen=True)
class Alteration:
    """Where a garment is altered; let `out`, or taken in; how much at each of so many layers."""

    room: Room
    out: bool
    each: Length
    layers: int


def alteration_of(cure: Cure, by: Fraction) -> Alteration | None:
    """What a cure is on the garment that it was seen on, where its first change is by so many mm; None where that
    garment cannot take it.
    """
    if not cure.room:
        return None
    layers = LAYERS.get(cure.changes[0].choice, 1)
    whole = Fixed(abs(by))
    return Alteration(cure.room, by > 0, whole / layers if layers > 1 else whole, layers)
