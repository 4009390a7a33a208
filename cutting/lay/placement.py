"""Where a piece is, and a whole lay."""

from collections.abc import Sequence
from dataclasses import dataclass

from cutting.cloth import Folded
from cutting.geometry import Point

NEAR = 0.01


@dataclass(frozen=True)
class Placement:
    """A piece on the cloth, in mm: a draft point (across, down) is at x + t down, y + t m across."""

    piece: str
    copies: int
    layers: tuple[int, ...]
    x: float
    y: float
    turned: bool = False
    mirrored: bool = False

    def point(self, draft: Point) -> tuple[float, float]:
        """A draft point in the cloth's frame."""
        t, m = (-1 if self.turned else 1), (-1 if self.mirrored else 1)
        return self.x + t * draft.down, self.y + t * m * draft.across

    def outline(self, draft: Sequence[Point]) -> list[tuple[float, float]]:
        """A draft outline in the cloth's frame."""
        return [self.point(p) for p in draft]


def is_under(placement: Placement, cut: Sequence[Point], table: Folded) -> bool:
    """Whether a layer that a piece is not cut through is over a part of it: that is folded back to reach it."""
    across = [point[0 if table.crosswise else 1] for point in placement.outline(cut)]
    above = [layer for layer in table.layers if layer.number < min(placement.layers)]
    return any(layer.start < max(across) - NEAR and layer.end > min(across) + NEAR for layer in above)


@dataclass(frozen=True)
class Lay:
    """All placements on one fold; `reach` is how far along the table the last of them ends, in mm."""

    table: Folded
    placements: tuple[Placement, ...]
    reach: float

    @property
    def fold(self) -> str:
        return self.table.fold

    @property
    def length(self) -> float:
        """The cloth it takes, in mm."""
        return self.reach * self.table.times

    @property
    def depth(self) -> float:
        """How deep it is away from the fold, in mm: with a fold across the cloth, as far as the pieces reach."""
        return self.reach if self.table.crosswise else self.table.depth
