"""A piece to cut: an outline, how many, through how many layers, and what it is sewn into."""

from dataclasses import dataclass

from cutting.geometry import Point
from cutting.pieces.panel import Notch


@dataclass(frozen=True)
class Piece:
    """`cut` and `net` are closed outlines in the draft frame; grain runs down the draft frame.

    `folds` is the across value of a line the piece can lie on the cloth's fold with, None where it cannot.
    """

    id: str
    garment: str
    panel: str
    count: int
    pair: bool
    cut: tuple[Point, ...]
    net: tuple[Point, ...]
    notches: tuple[Notch, ...] = ()
    folds: float | None = None
    interfacing: bool = False

    @property
    def width(self) -> float:
        """Across, cut, in mm."""
        return max(p.across for p in self.cut) - min(p.across for p in self.cut)

    @property
    def height(self) -> float:
        """Down, cut, in mm."""
        return max(p.down for p in self.cut) - min(p.down for p in self.cut)
