"""How a lower garment is put together: which of its seams come first, and why. Common practice, no source."""

from dataclasses import dataclass
from typing import Literal

from cutting.garments import Lower
from cutting.methods.of_cloth import STRETCHES

Why = Literal["chosen", "joined", "stretches", "opens", "drawn_in"]


@dataclass(frozen=True)
class Way:
    """How a garment is put together, one of the rules of the choice `assembly`, and why so."""

    code: str
    why: Why


def way_of(garment: Lower) -> Way:
    """What is chosen; else sides first for a jumpsuit, from the crotch where the cloth stretches, centres first where
    it opens, sides first where it does not.
    """
    ask = garment.ask
    if ask.assembly:
        return Way(ask.assembly, "chosen")
    if ask.waist_finish == "joined":
        return Way("sides-first", "joined")
    if ask.stretch >= STRETCHES:
        return Way("from-the-crotch", "stretches")
    return Way("centres-first", "opens") if ask.closure != "none" else Way("sides-first", "drawn_in")
