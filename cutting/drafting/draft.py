"""A panel while it is drawn: its marks in order, its edges, its darts and what was decided on the way."""

from dataclasses import dataclass, field
from typing import Any

from cutting.codes import FindingCode
from cutting.drafting.place import Place
from cutting.drafting.step import EdgeRef, Step
from cutting.finding import Finding, Weight
from cutting.geometry import Path, Point, Segment
from cutting.lengths import Length, mm
from cutting.where import Where, part


@dataclass(frozen=True)
class Wide:
    """A part of an edge with another allowance: `reach` mm from its start, or from its end where `at_end`."""

    allowance: Length
    reach: float
    at_end: bool = False


@dataclass(frozen=True)
class Edge:
    """A net edge with its seam or hem allowance; `turned` counts its folds: 1 a hem, 2 a turn-up.

    `wide` is the part of it that holds a zip.
    """

    name: str
    path: Path
    allowance: Length
    turned: int = 0
    wide: Wide | None = None

    def allowance_at(self, size: float) -> Length:
        """The allowance `size` mm along the edge."""
        if self.wide is None:
            return self.allowance
        from_there = self.path.length - size if self.wide.at_end else size
        return self.wide.allowance if from_there <= self.wide.reach else self.allowance


@dataclass(frozen=True)
class Dart:
    """A dart open on the seam of an edge: its two mouth points, its tip, what it takes in."""

    near: Point
    far: Point
    tip: Point
    intake: Length
    length: Length
    edge: str = "waist"


@dataclass
class Draft:
    """The board for one panel."""

    panel: str
    points: dict[str, Point] = field(default_factory=dict)
    steps: list[Step] = field(default_factory=list)
    edges: dict[str, Edge] = field(default_factory=dict)
    darts: list[Dart] = field(default_factory=list)
    findings: list[Finding] = field(default_factory=list)
    lengths: dict[str, Length] = field(default_factory=dict)
    stage: str = "lines"

    def start(self, name: str, point: Point, code: str) -> Place:
        """A place everything else is measured from."""
        self.points[name] = point
        return Place(point, code, mm(0), None)

    def mark(
        self,
        name: str,
        place: Place,
        code: str,
        along: str,
        opens: EdgeRef | None = None,
        closes: EdgeRef | None = None,
        waits: str = "",
    ) -> Place:
        """Chalk a place on the cloth: the only way on to it. `along` names the line the tape is on."""
        if place.datum is None:
            raise ValueError(f"{code}: a mark needs a datum")
        self.points[name] = place.point
        self.steps.append(
            Step(
                self.panel, self.stage, code, place.datum.point, place.point,
                place.length if place.length.value >= 0 else -place.length, place.datum.code, along,
                opens, closes, waits,
            )
        )  # fmt: skip
        return Place(place.point, code, place.length, place.datum)

    def put(self, name: str, point: Point, code: str = "") -> Place:
        """A point that follows from others and needs no tape."""
        self.points[name] = point
        return Place(point, code)

    def edge(self, name: str, segments: list[Segment], allowance: Length, turned: int = 0) -> None:
        """The next edge of the outline; edges follow one another: waist, crotch, inner leg, hem, side."""
        self.edges[name] = Edge(name, Path(tuple(segments)), allowance, turned)

    def when(
        self, code: FindingCode, condition: bool, weight: Weight = "note", at: Where | None = None, **params: Any
    ) -> bool:
        """Record a finding of that code where the condition holds: about the panel, or at a choice."""
        if condition:
            self.findings.append(Finding(code, weight, at or part(self.panel), params))
        return condition
