"""Which pieces are cut from a cloth, and how they lie on it: the fold or the sections, the first lay, other widths."""

from collections.abc import Collection, Iterable, Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from math import inf
from typing import Literal

from cutting.cloth import FOLDS, PARTS, SECTION_FOLDS, USUAL_FOLDS, Cloth, Fold, Folded, folded
from cutting.cloth.cloth import STANDARD_WIDTHS
from cutting.garments import Garment
from cutting.lay import Item, Known, Laid, Section, items_for, one_pass, rivals
from cutting.lengths import INCH_MM, Unit
from cutting.pieces import Piece
from cutting.yardage import yardage

SPREAD = 36
"""How many parts are cut from one spread of the cloth at most, in whole outfits. Our own choice: more are neither
marked on one table nor searched well.
"""


@dataclass(frozen=True)
class WidthRow:
    """What the same pieces need on cloth of another width or fold, in mm; None where they do not fit."""

    width: float
    fold: str
    length: float | None
    buy: float | None


def part_of(piece: Piece) -> str:
    """Which section a piece is cut from where cloth is folded anew for each part: front, back, rest."""
    main = {"front": "front", "leg": "front", "back": "back"}
    return main.get(piece.panel, "rest")


def with_small(section: Section) -> bool:
    """Whether small parts lie beside what a section is named by."""
    return any(part_of(piece) != section.name for piece in section.pieces)


@dataclass(frozen=True)
class Laying:
    """The pieces of garments, outfit by outfit, to be laid on a cloth or another."""

    cloth: Cloth
    outfits: tuple[tuple[Garment, ...], ...]
    cut_from: Literal["main", "other"] = "main"

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
            piece for outfit in self.outfits for garment in outfit for piece in garment.pieces(on_fold)
            if garment.cut_from(piece.panel) == self.cut_from
        ]  # fmt: skip

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
        outfits = [[item for item in items if item.piece.garment in own] for own in self._owned]
        lays = rivals(items, table, cloth.one_way, [own for own in outfits if own])
        return Section(name, table, items, cloth.one_way, lays)

    def _on_table(self, cloth: Cloth, fold: Fold, only: Collection[str] | None) -> tuple[Folded, tuple[Item, ...]]:
        pieces = [piece for piece in self.pieces(fold) if only is None or piece.id in only]
        table = _table(cloth, fold, pieces)
        return table, tuple(items_for(pieces, table, cloth.one_way, self._known))

    def on(self, cloth: Cloth, fold: str) -> tuple[Section, ...]:
        """The whole cloth folded so; several outfits spread by spread. With `sections`, one for the fronts, one for the
        backs, and the small parts where they cost least: beside those, or in a section of their own.
        """
        whole = [one for one in FOLDS if one == fold]
        if whole and len(self.outfits) > 1:
            return tuple(
                self.section(cloth, whole[0], f"spread-{number}", ids) for number, ids in enumerate(self._spreads, 1)
            )
        if whole:
            return (self.section(cloth, whole[0]),)
        parts: dict[str, list[str]] = {}
        for piece in self._open:
            parts.setdefault(part_of(piece), []).append(piece.id)
        chosen = dict(cloth.sections)
        made = {
            part: self._folded(cloth, part, parts[part], chosen.get(part, "auto")) for part in PARTS if part in parts
        }
        if chosen.get("rest", "auto") == "auto" and "rest" in made and len(made) > 1:
            made = self._beside(cloth, made)
        return tuple(made.values())

    @cached_property
    def _owned(self) -> list[set[str]]:
        """The garments' ids of each outfit."""
        return [{garment.id for garment in outfit} for outfit in self.outfits]

    @cached_property
    def _spreads(self) -> list[set[str]]:
        """The pieces of as many whole outfits as go into one spread."""
        spreads: list[set[str]] = [set()]
        for owned in self._owned:
            own = {piece.id for piece in self._open if piece.garment in owned}
            if spreads[-1] and len(spreads[-1]) + len(own) > SPREAD:
                spreads.append(set())
            spreads[-1] |= own
        return [ids for ids in spreads if ids]

    def _folded(self, cloth: Cloth, part: str, only: Collection[str], fold: str) -> Section:
        """The fold that was chosen for a part, or that on which its first lay is shortest."""
        wanted = [one for one in FOLDS if one == fold] or list(SECTION_FOLDS)
        tried = [self.section(cloth, one, part, only) for one in wanted]
        return min(tried, key=lambda one: one.lays.lay.length if one.lays is not None else inf)

    def _beside(self, cloth: Cloth, made: dict[str, Section]) -> dict[str, Section]:
        """Each small part, largest first, in the section that it lengthens least; their own begins empty."""
        small = sorted(made["rest"].pieces, key=lambda piece: -piece.width * piece.height)
        ids = {name: [piece.id for piece in section.pieces] for name, section in made.items()} | {"rest": []}
        lengths = {name: one.lays.lay.length if one.lays else inf for name, one in made.items()} | {"rest": 0.0}
        for piece in small:
            tried = {name: self._length(cloth, made[name].table.fold, [*ids[name], piece.id]) for name in made}
            name = min(tried, key=lambda name: tried[name] - lengths[name] if tried[name] < inf else inf)
            ids[name].append(piece.id)
            lengths[name] = tried[name]
        return {name: self.section(cloth, made[name].table.fold, name, own) for name, own in ids.items() if own}

    def _length(self, cloth: Cloth, fold: Fold, only: Collection[str]) -> float:
        """How long these are in one pass, in mm; infinite where one does not fit."""
        table, items = self._on_table(cloth, fold, only)
        lay = one_pass(items, table)
        return lay.length if lay is not None else inf

    def first(self) -> Laid:
        """The fold that was chosen, or with `auto` the first usual one that holds every piece, and its lay."""
        cloth = self.cloth
        opened = self.on(cloth, "open")
        if cloth.fold == "open":
            return Laid(opened, _length(opened))
        if cloth.fold in FOLDS:
            return Laid(self.on(cloth, cloth.fold), _length(opened))
        usual = self.on(cloth, USUAL_FOLDS[0])
        if _length(usual) is None and _length(opened) is not None:
            usual = opened
        if cloth.fold == "auto" or len(self.outfits) > 1:
            return Laid(usual, _length(opened))
        return Laid(self.on(cloth, cloth.fold), _length(opened), _length(usual))

    def by_width(self, unit: Unit, garments: int) -> tuple[WidthRow, ...]:
        """On cloth of each standard width with the usual folds, and on its own with every fold and in sections."""
        cloths = [replace(self.cloth, width=inches * INCH_MM) for inches in STANDARD_WIDTHS]
        own = self.cloth
        asked = [(cloth, fold) for cloth in cloths if cloth.width != own.width for fold in USUAL_FOLDS]
        every = [*asked, *((own, fold) for fold in (*FOLDS, "sections"))]
        return tuple(self._row(cloth, fold, unit, garments) for cloth, fold in every)

    def _row(self, cloth: Cloth, fold: str, unit: Unit, garments: int) -> WidthRow:
        length = _length(self.on(cloth, fold))
        bought = yardage(length, cloth, unit, garments) if length is not None else None
        return WidthRow(
            float(cloth.width), fold, bought.length if bought else None, bought.buy if bought else None
        )  # fmt: skip


def _length(sections: Sequence[Section]) -> float | None:
    """The first lay of them all, in mm; None where one has none."""
    lays = [one.lays for one in sections if one.lays is not None]
    return sum(one.lay.length for one in lays) if len(lays) == len(sections) else None


def _table(cloth: Cloth, fold: Fold, pieces: Iterable[Piece]) -> Folded:
    """The cloth folded so; partly folded, just as deep as the widest pair or piece on the fold needs."""
    doubled = [piece.width for piece in pieces if piece.folds is not None or piece.count > 1]
    narrow = [width for width in doubled if width <= cloth.usable / 2]
    return folded(cloth, fold, max(narrow, default=0.0))
