"""One drawing for the screen, paper and files: a sheet of figures, each of strokes and texts with their roles."""

from dataclasses import dataclass
from typing import Literal

from cutting.geometry import ORIGIN, Path, Point

Role = Literal["cut", "net", "fold", "grain", "notch", "dart", "chalk"]
"""What a stroke is: cut line, sewing line, edge on the cloth's fold, grain line, notch, dart, a line marked inside."""


@dataclass(frozen=True)
class Stroke:
    """A path of lines and curves; `closed` where its end joins its start. `name` where it is one of several."""

    role: Role
    path: Path
    closed: bool = False
    name: str = ""


@dataclass(frozen=True)
class Text:
    """A line of text: where it starts, how high in mm, and by how many degrees it is turned."""

    text: str
    at: Point
    height: float
    angle: float = 0.0


@dataclass(frozen=True)
class Figure:
    """A thing that is drawn, such as a piece, in mm of its own frame; `at` is where that frame's origin is."""

    id: str
    strokes: tuple[Stroke, ...]
    texts: tuple[Text, ...] = ()
    at: Point = ORIGIN


@dataclass(frozen=True)
class Sheet:
    """Figures on a sheet of a true size in mm."""

    name: str
    width: float
    height: float
    figures: tuple[Figure, ...]
