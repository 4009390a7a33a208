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
class Job:
    """One client's measurements, the garments, the cloth; numbers are shown in `unit`.

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
