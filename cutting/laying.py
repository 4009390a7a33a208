"""The pieces of garments, outfit by outfit, on a cloth that is folded one way: which are cut, and how they are."""

from collections.abc import Collection, Iterable
from dataclasses import dataclass
from math import inf
from typing import Literal

from cutting.cached import cached_property
from cutting.cloth import Cloth, Fold, Folded, folded
from cutting.garments import Garment
from cutting.lay import Item, Known, Section, first_lay, items_for, one_pass
from cutting.pieces import Piece


@dataclass(frozen=True)
class Laying:
    """The pieces of garments, outfit by outfit, to be laid on a cloth or another."""

    cloth: Cloth
    outfits: tuple[tuple[Garment, ...], ...]
    cut_from: Literal["main", "other"] = "main"

    def pieces(self, fold: str) -> list[Piece]:
        """What is cut from this cloth; on folded cloth, halves that are on the fold."""
        return self._open if fold == "open" else self._on_fold

    @cached_property
    def _open(self) -> list[Piece]:
        return self._cut(on_fold=False)

    @cached_property
    def _on_fold(self) -> list[Piece]:
        return self._cut(on_fold=True)

    def _cut(self, on_fold: bool) -> list[Piece]:
        return [
            piece for outfit in self.outfits for garment in outfit for piece in garment.pieces(on_fold)
            if garment.cut_from(piece.panel) == self.cut_from
        ]  # fmt: skip

    @cached_property
    def owned(self) -> list[set[str]]:
        """The garments' ids of each outfit."""
        return [{garment.id for garment in outfit} for outfit in self.outfits]

    @cached_property
    def _known(self) -> Known:
        return {}

    def section(self, cloth: Cloth, fold: Fold, name: str = "all", only: Collection[str] | None = None) -> Section:
        """The pieces (those whose ids are in `only`) on cloth folded so, without a lay where one does not fit or nap
        forbids the fold.
        """
        table, items = self._on_table(cloth, fold, only)
        if cloth.one_way and table.times > 1:
            return Section(name, table, items, cloth.one_way, None)
        outfits = [[item for item in items if item.piece.garment in own] for own in self.owned]
        lays = first_lay(items, table, cloth.one_way, [own for own in outfits if own])
        return Section(name, table, items, cloth.one_way, lays)

    def in_one_pass(self, cloth: Cloth, fold: Fold, only: Collection[str]) -> float:
        """How long these are in one pass, in mm; infinite where one does not fit."""
        table, items = self._on_table(cloth, fold, only)
        lay = one_pass(items, table)
        return lay.length if lay is not None else inf

    def _on_table(self, cloth: Cloth, fold: Fold, only: Collection[str] | None) -> tuple[Folded, tuple[Item, ...]]:
        pieces = [piece for piece in self.pieces(fold) if only is None or piece.id in only]
        table = _table(cloth, fold, pieces)
        return table, tuple(items_for(pieces, table, cloth.one_way, self._known))


def _table(cloth: Cloth, fold: Fold, pieces: Iterable[Piece]) -> Folded:
    """The cloth folded so; partly folded, just as deep as the widest pair or piece on the fold needs."""
    doubled = [piece.width for piece in pieces if piece.folds is not None or piece.count > 1]
    narrow = [width for width in doubled if width <= cloth.usable / 2]
    return folded(cloth, fold, max(narrow, default=0.0))
