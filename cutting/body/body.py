"""A body as the methods read it: each measurement a length that knows its name."""

from dataclasses import dataclass, replace
from fractions import Fraction
from typing import Literal

from cutting.body.correction import Correction
from cutting.errors import CuttingError, Problem
from cutting.lengths import Corrected, Length, Measured
from cutting.where import measure


@dataclass(frozen=True)
class Body:
    """Measurements in exact mm, by key, and the corrections from the client's fittings. It is drafted for by one
    `side`: what was found of the other alone is left out.
    """

    sizes: dict[str, Fraction]
    corrections: tuple[Correction, ...] = ()
    side: Literal["right", "left"] = "right"

    @property
    def one_sided(self) -> bool:
        """Whether anything was found of one side alone."""
        return any(one.side != "both" for one in self.corrections)

    def wearing(self, garment: str) -> "Body":
        """The same with the corrections that hold for a garment, by its id."""
        own = tuple(one for one in self.corrections if one.garment in ("", garment))
        return self if own == self.corrections else replace(self, corrections=own)

    def has(self, key: str) -> bool:
        """True where the point was measured."""
        return key in self.sizes

    def __getattr__(self, key: str) -> Measured:
        sizes = self.__dict__.get("sizes", {})
        if key not in sizes:
            raise AttributeError(key)
        return Measured(key, sizes[key])

    def corrected(self, key: str) -> Length:
        """A measurement with what fittings found of it. Raises AttributeError where it was not taken."""
        by = tuple(one.by for one in self.corrections if one.choice == key)
        return Corrected.of(getattr(self, key), by) if by else getattr(self, key)

    def need(self, *keys: str) -> None:
        """Raise one CuttingError that names every one of `keys` that is missing."""
        missing = [key for key in keys if key not in self.sizes]
        if missing:
            raise CuttingError(*(Problem("measure.missing", measure(key)) for key in missing))
