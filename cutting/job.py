"""A job: what goes in, already read and found sound."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import Any, Literal

from cutting.body import Body
from cutting.cloth import Cloth
from cutting.garments import Garment, HouseDrawing, draft_house, draft_joined
from cutting.kinds import KINDS, GarmentKind, kind_of
from cutting.lengths import Unit
from cutting.methods import Ask
from cutting.methods.upper import QUARTER_BUST, TopAsk

Change = Callable[[str, str, Any], Any]
"""What is asked of a garment or a half, by its kind and its half (empty, top, lower), to be asked instead."""


@dataclass(frozen=True)
class Asked:
    """What is asked of a garment, or of one half of it: by which method, in which style."""

    half: str
    kind: GarmentKind
    method: str
    style: str
    ask: Any


@dataclass(frozen=True)
class GarmentAsk:
    """One garment asked for by itself."""

    id: str
    style: str
    method: str
    ask: Any

    def draft(self, name: str, body: Body) -> tuple[Garment, ...]:
        """The garment under the name it has in the plan. Raises CuttingError with what cannot be served."""
        return (kind_of(self.style).draft(name, self.method, body, self.ask),)

    @property
    def parts(self) -> tuple[Asked, ...]:
        """What is asked of it, as the one part it is."""
        return (Asked("", kind_of(self.style), self.method, self.style, self.ask),)

    def changed(self, change: Change) -> "GarmentAsk":
        """The same with something else asked of it."""
        return replace(self, ask=change(kind_of(self.style).name, "", self.ask))


@dataclass(frozen=True)
class JumpsuitAsk:
    """A top and a lower garment that are sewn together at the waist."""

    id: str
    top: TopAsk
    method: str
    lower: Ask

    def draft(self, name: str, body: Body) -> tuple[Garment, ...]:
        """Both halves, under the garment's name and their own."""
        return draft_joined(name, self.method, body, self.top, self.lower)

    @property
    def parts(self) -> tuple[Asked, ...]:
        """What is asked of each half."""
        return (
            Asked("top", KINDS["top"], QUARTER_BUST, self.top.style, self.top),
            Asked("lower", KINDS["lower"], self.method, self.lower.style, self.lower),
        )

    def changed(self, change: Change) -> "JumpsuitAsk":
        """The same with something else asked of its halves."""
        return replace(self, top=change("top", "top", self.top), lower=change("lower", "lower", self.lower))


@dataclass(frozen=True)
class HouseAsk:
    """A house pattern that is cut with the rest; nothing is chosen for it."""

    id: str
    drawings: tuple[HouseDrawing, ...]

    def draft(self, name: str, body: Body) -> tuple[Garment, ...]:
        """The pattern as it was drawn. Raises CuttingError for a piece that cannot be cut."""
        return (draft_house(name, self.drawings, body),)

    def check(self) -> None:
        """Raises CuttingError as `draft` does."""
        self.draft(self.id, Body({}))

    @property
    def parts(self) -> tuple[Asked, ...]:
        """Nothing is asked of it."""
        return ()

    def changed(self, change: Change) -> "HouseAsk":
        """The same: nothing of it can be asked otherwise."""
        return self


AnyAsk = GarmentAsk | JumpsuitAsk | HouseAsk


@dataclass(frozen=True)
class Outfit:
    """The garments of one client; its own id keeps the ids of garments apart."""

    id: str
    body: Body
    garments: tuple[AnyAsk, ...]

    def named(self, garment: AnyAsk) -> str:
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
    garments: tuple[AnyAsk, ...]
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
