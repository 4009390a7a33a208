"""A lower garment whose left side differs from its right: what is cut for each by itself, and what for both."""

from collections.abc import Sequence
from dataclasses import dataclass, fields, replace
from typing import ClassVar

from cutting.drafting import Step
from cutting.garments.garment import Garment
from cutting.garments.lower import Lower
from cutting.garments.number import Number
from cutting.garments.seams import Seam
from cutting.geometry import Point, distance
from cutting.pieces import Piece, Tape, one_side

LEFT = "left_side"
"""What the left side's own pieces are called after the garment's id: no id in a job has such a sign."""
SAME = 0.1
"""Outlines that are nowhere further apart, in mm, are one piece."""


@dataclass(frozen=True)
class LeftSide(Garment):
    """The pieces of a lower garment's left side that its right side has not: a garment of its own on the cloth.

    `whole` is the garment drafted for the left side alone, `right` as it is drafted for the right.
    """

    kind: ClassVar[str] = "left"

    whole: Lower
    right: Lower

    def pieces(self, on_fold: bool) -> list[Piece]:
        """Of each half as many as of the pair."""
        own = [piece for piece in self.whole.pieces(on_fold) if piece.panel in self.panels]
        return [replace(one_side(piece, left=True), id=f"{self.id}.{piece.panel}", garment=self.id) for piece in own]

    def tapes(self, on_fold: bool = False) -> list[tuple[Step, Tape]]:
        """As the whole garment's."""
        return [pair for pair in self.whole.tapes(on_fold) if pair[0].panel in self.panels]

    def anchor(self, panel: str) -> tuple[str, Point]:
        """As the whole garment's."""
        return self.whole.anchor(panel)

    def traced(self, panel: str) -> bool:
        """As the whole garment's."""
        return self.whole.traced(panel)

    def guide_words(self, panel: str, folded: bool, twin: bool) -> str:
        """As the whole garment's."""
        return self.whole.guide_words(panel, folded, twin)

    @property
    def own_seams(self) -> tuple[Seam, ...]:
        """None besides those of the whole garment: each of them is sewn at the left as at the right."""
        return ()

    def sewn_to(self, panel: str, edge: str = "") -> tuple[str, ...]:
        """As the whole garment's."""
        return self.whole.sewn_to(panel, edge)


def by_sides(right: Lower, left: Lower) -> tuple[Lower, LeftSide] | None:
    """The garment with what is the same on both sides and the right side's own, and the left side's own; None where
    nothing differs.
    """
    pairs = {piece.panel: piece for piece in right.pieces(False) if piece.count % 2 == 0}
    own = [piece.panel for piece in left.pieces(False) if piece.panel in pairs and not _same(piece, pairs[piece.panel])]
    if not own:
        return None
    id = f"{right.id}.{LEFT}"
    shared = {field.name: getattr(left, field.name) for field in fields(Garment)}
    numbers = {key: number for key, number in left.numbers.items() if not _equal(number, right.numbers.get(key))}
    made = LeftSide(**shared | {
        "id": id, "panels": {name: replace(left.panels[name], garment=id) for name in own}, "parts": (),
        "main": tuple(name for name in left.main if name in own), "numbers": numbers, "notions": (),
        "findings": tuple(one for one in left.findings if one not in right.findings),
    }, whole=left, right=right)  # fmt: skip
    return replace(right, apart=frozenset(own)), made


def _same(one: Piece, other: Piece) -> bool:
    lines = [(piece.cut, piece.net, tuple(notch.net for notch in piece.notches)) for piece in (one, other)]
    return one.count == other.count and all(_near(a, b) for a, b in zip(*lines, strict=True))


def _near(one: Sequence[Point], other: Sequence[Point]) -> bool:
    return len(one) == len(other) and all(distance(a, b) <= SAME for a, b in zip(one, other, strict=True))


def _equal(one: Number, other: Number | None) -> bool:
    return other is not None and abs(one.net.mm - other.net.mm) < SAME and abs(one.cut.mm - other.cut.mm) < SAME
