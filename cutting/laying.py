"""Which pieces are cut from a job's cloth, and how they lie on it: the fold, the first lay, other widths and folds."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property

from cutting.cloth import FOLDS, USUAL_FOLDS, Cloth, Fold, Folded, folded
from cutting.cloth.cloth import STANDARD_WIDTHS
from cutting.garments import Garment
from cutting.job import Job
from cutting.lay import Item, Known, Lays, items_for, rivals
from cutting.lengths import INCH_MM
from cutting.pieces import Piece
from cutting.yardage import yardage


@dataclass(frozen=True)
class WidthRow:
    """What the same pieces need on cloth of another width or fold, in mm; None where they do not fit."""

    width: float
    fold: str
    length: float | None
    buy: float | None


@dataclass(frozen=True)
class Laid:
    """The pieces on the cloth as it is folded; `lays` is None where they do not fit on it."""

    table: Folded
    pieces: tuple[Piece, ...]
    lays: Lays | None
    open_length: float | None


@dataclass(frozen=True)
class Laying:
    """A job's pieces, to be laid on its cloth or another."""

    job: Job
    garments: tuple[Garment, ...]

    def pieces(self, fold: str) -> list[Piece]:
        """What is cut from this cloth; on folded cloth, halves that lie on the fold."""
        return self._open if fold == "open" else self._on_fold

    @cached_property
    def _open(self) -> list[Piece]:
        return self._cut(on_fold=False)

    @cached_property
    def _on_fold(self) -> list[Piece]:
        return self._cut(on_fold=True)

    def _cut(self, on_fold: bool) -> list[Piece]:
        return [
            piece for garment in self.garments for piece in garment.pieces(on_fold)
            if garment.cut_from(piece.panel) == self.job.cut_from
        ]  # fmt: skip

    @cached_property
    def _known(self) -> Known:
        return {}

    def table(self, cloth: Cloth, fold: Fold) -> Folded:
        """The cloth folded so; partly folded, just as deep as the widest pair or piece on the fold needs."""
        doubled = [piece.width for piece in self.pieces(fold) if piece.folds is not None or piece.count > 1]
        narrow = [width for width in doubled if width <= cloth.usable / 2]
        return folded(cloth, fold, max(narrow, default=0.0))

    def items(self, table: Folded, one_way: bool) -> Sequence[Item]:
        """What is to be placed."""
        return items_for(self.pieces(table.fold), table, one_way, self._known)

    def on(self, cloth: Cloth, fold: Fold) -> Lays | None:
        """The first lay on this cloth and fold; None where a piece does not fit, or nap forbids the fold."""
        table = self.table(cloth, fold)
        if cloth.one_way and table.times > 1:
            return None
        return rivals(self.items(table, cloth.one_way), table, cloth.one_way)

    def first(self) -> Laid:
        """The fold that was chosen, or with `auto` the first usual one that holds every piece, and its lay."""
        cloth = self.job.cloth
        wanted = [fold for fold in FOLDS if fold == cloth.fold] or list(USUAL_FOLDS)
        fold, lays = wanted[0], None
        for one in wanted:
            lays = self.on(cloth, one)
            if lays is not None:
                fold = one
                break
        opened = lays if fold == "open" else self.on(cloth, "open")
        return Laid(
            self.table(cloth, fold), tuple(self.pieces(fold)), lays, opened.lay.length if opened else None
        )  # fmt: skip

    def by_width(self) -> tuple[WidthRow, ...]:
        """On cloth of each standard width with the usual folds, and on the job's own with every fold."""
        cloths = [replace(self.job.cloth, width=inches * INCH_MM) for inches in STANDARD_WIDTHS]
        own = self.job.cloth
        asked = [(cloth, fold) for cloth in cloths if cloth.width != own.width for fold in USUAL_FOLDS]
        return tuple(self._row(*one) for one in [*asked, *((own, fold) for fold in FOLDS)])

    def _row(self, cloth: Cloth, fold: Fold) -> WidthRow:
        lays = self.on(cloth, fold)
        bought = yardage(lays.lay.length, cloth, self.job.unit, len(self.job.garments)) if lays else None
        return WidthRow(
            float(cloth.width), fold, bought.length if bought else None, bought.buy if bought else None
        )  # fmt: skip
