"""What every garment has once it is drafted: its panels and parts, its numbers, what is bought, what to look at."""

from abc import ABC, abstractmethod
from dataclasses import dataclass
from typing import ClassVar, Literal

from cutting.body import Body
from cutting.cached import cached_property
from cutting.drafting import Step
from cutting.finding import Finding
from cutting.garments.notions import Notion
from cutting.garments.number import Numbers
from cutting.garments.other_cloth import from_other
from cutting.garments.part import Part
from cutting.garments.seams import Seam, across
from cutting.geometry import Point
from cutting.pieces import Panel, Piece, Tape, read_tapes
from cutting.where import Where


@dataclass(frozen=True)
class Garment(ABC):
    """One garment. `panels` holds the parts' panels too; `main` names those that cover the body.

    `kind` is the name of its kind in `kinds`.
    """

    kind: ClassVar[str]

    id: str
    style: str
    method: str
    body: Body
    marking: str
    other_cloth: tuple[str, ...]
    main: tuple[str, ...]
    panels: dict[str, Panel]
    parts: tuple[Part, ...]
    numbers: Numbers
    notions: tuple[Notion, ...]
    findings: tuple[Finding, ...]

    @abstractmethod
    def pieces(self, on_fold: bool) -> list[Piece]:
        """The pieces to cut; on folded cloth a part that can is the half that is on the fold."""

    @abstractmethod
    def tapes(self, on_fold: bool = False) -> list[tuple[Step, Tape]]:
        """The steps in the order of the table, each with its tape: between cut edges on cloth, net on paper."""

    @cached_property
    def main_tapes(self) -> list[tuple[Step, Tape]]:
        """Those of the panels that cover the body, which are the same on the fold and off it."""
        steps = [step for name in self.main for step in self.panels[name].steps]
        return read_tapes(steps, self.panels, self.marking == "on-cloth")

    @abstractmethod
    def anchor(self, panel: str) -> tuple[str, Point]:
        """Where the guide line and a level line of a panel that covers the body cross on the cloth, in the draft frame,
        and what the latter is called.
        """

    def traced(self, panel: str) -> bool:
        """Whether a panel is laid out from the front, which is traced where it is chalked."""
        return False

    @abstractmethod
    def guide_words(self, panel: str, folded: bool, twin: bool) -> str:
        """How the codes of a panel's two first lines begin: empty, or what kind of line it is."""

    @property
    @abstractmethod
    def own_seams(self) -> tuple[Seam, ...]:
        """The seams of the panels that cover the body; those of the parts come besides."""

    @property
    def seams(self) -> tuple[Seam, ...]:
        """Everything that is sewn together."""
        return (*self.own_seams, *(seam for part in self.parts for seam in part.seams))

    def sewn_to(self, panel: str, edge: str = "") -> tuple[str, ...]:
        """The places an edge of a panel is sewn to; without one, those of other panels that any edge is sewn to.

        Where there are no others, those of its own.
        """
        if edge:
            return across(self.seams, f"{panel}.{edge}")
        own = f"{panel}."
        places = [
            place for seam in self.seams for mine in (*seam.one, *seam.other) if mine.startswith(own)
            for place in seam.across(mine)
        ]  # fmt: skip
        others = [place for place in places if not place.startswith(own)]
        return tuple(dict.fromkeys(others or places))

    @property
    def where(self) -> Where:
        """This garment as a place in the plan."""
        return Where("plan", garment=self.id)

    def cut_from(self, panel: str) -> Literal["main", "other"]:
        """Which cloth a panel is cut from."""
        return "other" if from_other(self.other_cloth, panel) else "main"

    def part(self, name: str) -> Part | None:
        """The part of that name, where the garment has it."""
        return next((part for part in self.parts if part.panel.name == name), None)
