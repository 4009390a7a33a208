"""A job: what goes in, already read and found sound."""

from dataclasses import dataclass
from typing import Literal

from cutting.body import Body
from cutting.cloth import Cloth
from cutting.lengths import Unit
from cutting.methods import Ask
from cutting.methods.upper import TopAsk


@dataclass(frozen=True)
class GarmentAsk:
    """One garment asked for."""

    id: str
    style: str
    method: str
    ask: Ask | TopAsk


@dataclass(frozen=True)
class JumpsuitAsk:
    """A top and a lower garment that are sewn together at the waist."""

    id: str
    top: TopAsk
    method: str
    lower: Ask


@dataclass(frozen=True)
class Outfit:
    """The garments of one client; the ids of garments are told apart by its own."""

    id: str
    body: Body
    garments: tuple[GarmentAsk | JumpsuitAsk, ...]

    def named(self, garment: GarmentAsk | JumpsuitAsk) -> str:
        """A garment's id on a cloth that several outfits are cut from."""
        return f"{self.id}.{garment.id}" if self.id else garment.id


@dataclass(frozen=True)
class Job:
    """One client's measurements, the garments, the cloth; numbers are shown in `unit`. The outfits of `others` are cut
    from the same cloth.

    `cut_from` says which cloth `cloth` is: the main one, or the other that some pieces are cut from.
    `seconds` and `seed` are for a search for a shorter lay; without time there is none.
    """

    unit: Unit
    body: Body
    garments: tuple[GarmentAsk | JumpsuitAsk, ...]
    cloth: Cloth
    client: str = ""
    seconds: float = 0.0
    seed: int = 1
    cut_from: Literal["main", "other"] = "main"
    others: tuple[Outfit, ...] = ()

    @property
    def outfits(self) -> tuple[Outfit, ...]:
        """Everybody's, the first client's without an id."""
        return (Outfit("", self.body, self.garments), *self.others)

    @property
    def count(self) -> int:
        """How many garments there are."""
        return sum(len(outfit.garments) for outfit in self.outfits)
