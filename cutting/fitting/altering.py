"""What a cure is on a garment that is sewn: where it is altered, and by how much at each layer. Common practice, no
source.
"""

from dataclasses import dataclass
from fractions import Fraction

from cutting.fitting.signs import Cure, Room, layers_of
from cutting.lengths import Fixed, Length


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
    layers = layers_of(cure)
    whole = Fixed(abs(by))
    return Alteration(cure.room, by > 0, whole / layers if layers > 1 else whole, layers)
