"""One drawing for the screen, paper and files: a sheet of figures, each of strokes and texts with their roles."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal

from cutting.cached import cached_property
from cutting.geometry import ORIGIN, Path, Point, least_box

PieceRole = Literal["cut", "net", "fold", "grain", "notch", "dart", "chalk"]
"""What a stroke of a piece is: cut line, sewing line, edge on the cloth's fold, grain line, notch, dart, a line marked
inside.
"""
Role = PieceRole | Literal["frame", "sewn"]
"""Also the frame of a page and what it is matched by; an edge that is sewn, on a card."""


@dataclass(frozen=True)
class Stroke:
    """A path of lines and curves; `closed` where its end joins its start. `name` where it is one of several."""

    role: Role
    path: Path
    closed: bool = False
    name: str = ""


@dataclass(frozen=True)
class Text:
    """A line of text: where its line starts, or is halfway with `middle`; how high in mm, and by how many degrees it is
    turned, clockwise. `always` where it is written on a small drawing too.
    """

    text: str
    at: Point
    height: float
    angle: float = 0.0
    middle: bool = False
    always: bool = False


@dataclass(frozen=True)
class Figure:
    """A thing that is drawn, such as a piece, in mm of its own frame; `at` is where that frame's origin is."""

    id: str
    strokes: tuple[Stroke, ...]
    texts: tuple[Text, ...] = ()
    at: Point = ORIGIN

    @cached_property
    def outline(self) -> list[Point]:
        """The cut line in the figure's own frame, as a polyline; all its strokes where it has none."""
        cut = [stroke for stroke in self.strokes if stroke.role == "cut"] or self.strokes
        return [point for stroke in cut for point in stroke.path.flat(0.1)]

    @cached_property
    def box(self) -> tuple[float, float, float, float]:
        """Left, top, right and low in its own frame."""
        return least_box(self.outline)

    @property
    def width(self) -> float:
        return self.box[2] - self.box[0]

    @property
    def height(self) -> float:
        return self.box[3] - self.box[1]

    def moved(self, left: float, top: float) -> Figure:
        """The figure with the upper left corner of its box there."""
        return replace(self, at=Point(left - self.box[0], top - self.box[1]))


@dataclass(frozen=True)
class Sheet:
    """Figures on a sheet of a true size in mm."""

    name: str
    width: float
    height: float
    figures: tuple[Figure, ...]

    def small(self, width: float, height: float) -> Sheet:
        """The outlines alone, as large as they fit into so much room; pens stay as thick as they are."""
        scale = min(width / self.width, height / self.height)

        def drawn(figure: Figure) -> Figure:
            shown = [stroke for stroke in figure.strokes if stroke.role in ("cut", "frame")]
            paths = [stroke.path.mapped(lambda at: Point(*(scale * x for x in at.plus(figure.at)))) for stroke in shown]
            strokes = tuple(replace(stroke, path=path) for stroke, path in zip(shown, paths, strict=True))
            texts = tuple(
                replace(text, at=Point(*(scale * x for x in text.at.plus(figure.at)))) for text in figure.texts
                if text.always
            )  # fmt: skip
            return Figure(figure.id, strokes, texts)

        return Sheet(self.name, scale * self.width, scale * self.height, tuple(map(drawn, self.figures)))
