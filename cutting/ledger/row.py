"""One level of the ledger: what the body measures, what is cut, what the seams and darts take, what is left."""

from dataclasses import dataclass
from typing import Literal

CLOSE = 1.0
"""A driven row closes within this many mm."""


@dataclass(frozen=True)
class Row:
    """One level all round (one leg for thigh, knee and hem), in mm. `sewn = cut - seams - darts - gathers`."""

    garment: str
    level: str
    kind: Literal["driven", "resulting"]
    body: float | None
    ease: float
    darts: float
    gathers: float
    seams: float
    cut: float

    @property
    def sewn(self) -> float:
        return self.cut - self.seams - self.darts - self.gathers

    @property
    def closes(self) -> bool:
        """Driven: sewn is body and ease to 1 mm. Resulting: there is ease and it is not negative."""
        if self.kind == "resulting" or self.body is None:
            return self.ease >= 0
        return abs(self.sewn - self.body - self.ease) <= CLOSE
