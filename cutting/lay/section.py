"""A stretch of cloth that is folded in one way, what is cut from it, and how that is laid."""

from dataclasses import dataclass, replace

from cutting.cached import cached_property
from cutting.cloth import Folded
from cutting.codes import ProblemCode
from cutting.errors import refuse
from cutting.lay.bound import Bound, best_of
from cutting.lay.checker import faults
from cutting.lay.first import BestLay
from cutting.lay.placement import Lay
from cutting.lay.variants import Item
from cutting.pieces import Piece
from cutting.where import LAY


@dataclass(frozen=True)
class Section:
    """`best` is None where not everything fits. `name` says what is cut from it: front, back, rest; all where the whole
    cloth is folded in one way.
    """

    name: str
    table: Folded
    items: tuple[Item, ...]
    one_way: bool
    best: BestLay | None

    @cached_property
    def pieces(self) -> tuple[Piece, ...]:
        """Every piece once; halves of those that are on the fold."""
        return tuple({item.piece.id: item.piece for item in self.items}.values())

    @cached_property
    def surface(self) -> float:
        """Square mm of cloth the pieces take, in all their layers."""
        return sum(item.surface for item in self.items)

    def on(self, lay: Lay | None, bound: Bound | None = None, refused: ProblemCode = "lay.invalid") -> "Section":
        """The same on another lay, or its own, with a better bound where one was proved.

        Raises CuttingError with the code `refused` where the lay is not sound.
        """
        if self.best is None:
            return self
        best = replace(self.best, bound=best_of([self.best.bound, *([bound] if bound else [])]))
        if lay is not None and lay != best.lay:
            wrong = faults(lay, self.pieces, self.one_way)
            if wrong:
                raise refuse(refused, LAY, fault=wrong[0].code, faults=[fault.code for fault in wrong])
            best = replace(best, lay=lay)
        return replace(self, best=best)
