"""What no lay can beat, with the steps of its proof."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Literal

from cutting.cloth import Folded
from cutting.lay.variants import Item

MOST_COUNTED = 60
"""With more placements than this nothing is counted through: see search/relaxed.py."""
ENOUGH = 2.5
"""A lay that is no more over its bound is the shortest, in mm of its reach: proofs count whole mm."""


@dataclass(frozen=True)
class BoundStep:
    """One step of a proof, in mm along the table.

    `whole`: the longest piece. `surface`: all pieces spread over the full width. `pinned`: the far end of a piece that
    stays. `counted`: no order along the table of all that has to be there side by side is shorter.
    Else pieces that block one another: `half` of the first and of the last, and between neighbours how far the middle
    of the `other` is at least `apart` from that of `piece`. Pieces by their ids.
    """

    kind: Literal["whole", "surface", "pinned", "counted", "half", "apart"]
    mm: float
    piece: str = ""
    other: str = ""


@dataclass(frozen=True)
class Bound:
    """A length that no lay can be under: its steps along the table, and how many lengths of cloth one of it holds."""

    steps: tuple[BoundStep, ...]
    times: int = 1

    @property
    def reach(self) -> float:
        """Along the table, mm."""
        return sum(step.mm for step in self.steps)

    @property
    def length(self) -> float:
        """Of cloth, mm."""
        return self.reach * self.times

    def within(self, reach: float) -> "Bound":
        """The same, no longer than a lay of that reach: what it is over by is an error of the last digits."""
        over = self.reach - reach
        if over <= 0:
            return self
        last = self.steps[-1]
        return replace(self, steps=(*self.steps[:-1], replace(last, mm=last.mm - over)))


def best_of(bounds: Sequence[Bound]) -> Bound:
    """The one that says most; the first of equals."""
    return max(bounds, key=lambda one: one.reach)


def plain_bound(items: Sequence[Item], table: Folded) -> Bound:
    """No lay takes less cloth: the longest piece, or all surfaces spread over the full width."""
    longest = max(items, key=_shortest)
    surface = sum(item.surface for item in items) / table.surface
    return best_of([
        Bound((BoundStep("whole", _shortest(longest), longest.piece.id),), table.times),
        Bound((BoundStep("surface", surface),), table.times),
    ])  # fmt: skip


def _shortest(item: Item) -> float:
    return min(variant.width for variant in item.variants)
