"""A whole cloth laid: its sections one after the other from the cut end."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace

from cutting.cached import cached_property
from cutting.codes import ProblemCode
from cutting.lay.bound import Bound
from cutting.lay.first import BestLay
from cutting.lay.placement import Lay, Placement
from cutting.lay.section import Section
from cutting.pieces import Piece


@dataclass(frozen=True)
class Laid:
    """Lengths in mm. `open_length` is the first lay on open cloth; `one_fold` the first on one usual fold, where the
    cloth is laid in several sections. None where not everything fits so.
    """

    sections: tuple[Section, ...]
    open_length: float | None
    one_fold: float | None = None

    @property
    def fold(self) -> str:
        return self.sections[0].table.fold if len(self.sections) == 1 else "sections"

    @cached_property
    def pieces(self) -> tuple[Piece, ...]:
        return tuple(piece for section in self.sections for piece in section.pieces)

    @cached_property
    def all_best(self) -> tuple[BestLay, ...]:
        """One for each section; empty where one of them has none."""
        lays = tuple(section.best for section in self.sections if section.best is not None)
        return lays if len(lays) == len(self.sections) else ()

    @property
    def fits(self) -> bool:
        """Whether everything fits."""
        return bool(self.all_best)

    @property
    def lays(self) -> tuple[Lay, ...]:
        """Where everything is, a lay for each section."""
        return tuple(one.lay for one in self.all_best)

    @property
    def bounds(self) -> tuple[Bound, ...]:
        return tuple(one.bound for one in self.all_best)

    @property
    def length(self) -> float:
        return sum(lay.length for lay in self.lays)

    @property
    def bound(self) -> float:
        return sum(one.length for one in self.bounds)

    @property
    def habit(self) -> float | None:
        return _sum([one.habit for one in self.all_best])

    @property
    def one_pass(self) -> float | None:
        return _sum([one.one_pass for one in self.all_best])

    @property
    def utilisation(self) -> float:
        """The share of the cloth, in all its layers, that the pieces cover, 0 to 1."""
        cloth = sum(lay.table.surface * lay.reach for lay in self.lays)
        return sum(section.surface for section in self.sections) / cloth if cloth else 0.0

    def placements(self) -> Iterator[tuple[int, Placement]]:
        """Every placement with the number of its section, from 0."""
        for number, lay in enumerate(self.lays):
            for placement in lay.placements:
                yield number, placement

    def on(self, lays: Sequence[Lay | None], bounds: Sequence[Bound], refused: ProblemCode = "lay.invalid") -> "Laid":
        """The same on other lays of its sections; see `Section.on`."""
        sections = tuple(
            one.on(lay, bound, refused) for one, lay, bound in zip(self.sections, lays, bounds, strict=True)
        )
        laid = replace(self, sections=sections)
        shorter = laid.fold == "open" and self.open_length is not None and laid.length < self.open_length
        return replace(laid, open_length=laid.length) if shorter else laid


def _sum(lengths: list[float | None]) -> float | None:
    known = [one for one in lengths if one is not None]
    return sum(known) if known and len(known) == len(lengths) else None
