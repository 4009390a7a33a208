"""What a pen plotter makes of HPGL: strokes on paper, drawn from the commands alone, and how far the pens went.

It knows nothing of the program that wrote them: a plotter's step is 0.025 mm, across to the right, up along the paper.
"""

import re
from dataclasses import dataclass, field
from math import atan2, degrees, hypot
from pathlib import Path
from xml.sax.saxutils import escape

from PIL import Image, ImageDraw

STEP = 0.025
DOTS = 1.0
"""Dots of the picture to the mm."""
PART = re.compile(r'CO\s*"([^"]*)";|LB([^\x03]*)\x03;?|([A-Z]{2})([^;A-Z"]*);?')
COLOURS = {1: "#141830", 2: "#2b3a78", 3: "#7a5200"}
MOST = 1_000_000
XY = tuple[float, float]


@dataclass
class Drawn:
    """What is on the paper, in mm from its beginning: each stroke with its pen, each text, how the pens travelled."""

    strokes: list[tuple[int, list[XY]]] = field(default_factory=list)
    texts: list[tuple[str, XY, float, float]] = field(default_factory=list)
    lifted: list[tuple[XY, XY]] = field(default_factory=list)

    @property
    def drawn_mm(self) -> float:
        """How far the pens went on the paper."""
        return sum(
            hypot(b[0] - a[0], b[1] - a[1]) for _, way in self.strokes for a, b in zip(way, way[1:], strict=False)
        )

    @property
    def lifted_mm(self) -> float:
        """How far they went above it."""
        return sum(hypot(b[0] - a[0], b[1] - a[1]) for a, b in self.lifted)

    @property
    def length(self) -> float:
        """How much of the paper is used."""
        return max((y for _, way in self.strokes for _, y in way), default=0.0)


class Pen:
    """Follows the commands; `up` is how far along the paper what comes now begins, mm; stuck after `most` moves."""

    def __init__(self, drawn: Drawn, up: float, most: int = MOST):
        self.drawn, self.up, self.left = drawn, up, most
        self.pen, self.down, self.at = 0, False, (0.0, up)
        self.height, self.turn, self.middle = 3.0, 0.0, False

    def follow(self, text: str) -> None:
        """Raises ValueError where a command is none that a plotter knows."""
        for found in PART.finditer(text):
            comment, label, code, numbers = found.groups()
            if comment is not None:
                continue
            if label is not None:
                self.drawn.texts.append((label, self.at, self.height, self.turn))
            else:
                self._do(code, [float(one) for one in numbers.replace(" ", ",").split(",") if one.strip()])

    def _do(self, code: str, n: list[float]) -> None:
        if code == "SP":
            self.pen = int(n[0]) if n else 0
        elif code in ("PU", "PD", "PA"):
            self.down = code == "PD" if code != "PA" else self.down
            for x, y in zip(n[::2], n[1::2], strict=True):
                self._go((x * STEP, self.up + y * STEP))
        elif code == "SI":
            self.height = n[1] * 10
        elif code == "DI":
            self.turn = degrees(atan2(n[1], n[0]))
        elif code not in ("IN", "LO", "OS"):
            raise ValueError(code)

    def _go(self, to: XY) -> None:
        if self.left == 0:
            return
        self.left -= 1
        if self.down and self.pen:
            strokes = self.drawn.strokes
            if strokes and strokes[-1][0] == self.pen and strokes[-1][1][-1] == self.at:
                strokes[-1][1].append(to)
            else:
                strokes.append((self.pen, [self.at, to]))
        elif to != self.at:
            self.drawn.lifted.append((self.at, to))
        self.at = to


def to_svg(drawn: Drawn) -> str:
    """The paper, its end at the top; the pens' way above it dotted."""
    width, high = _size(drawn)
    lines = []
    for pen, way in drawn.strokes:
        points = " ".join(f"{x:.2f},{high - y:.2f}" for x, y in way)
        lines.append(f'<polyline points="{points}" stroke="{COLOURS.get(pen, "#141830")}"/>')
    travel = "".join(f"M{a[0]:.1f},{high - a[1]:.1f}L{b[0]:.1f},{high - b[1]:.1f}" for a, b in drawn.lifted)
    texts = []
    for text, (x, y), size, turn in drawn.texts:
        place = f"translate({x:.1f} {high - y:.1f}) rotate({-turn:g})"
        texts.append(f'<text transform="{place}" font-size="{size:g}">{escape(text)}</text>')
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width:.1f}mm" height="{high:.1f}mm" '
        f'viewBox="0 0 {width:.1f} {high:.1f}"><g fill="none" stroke-width="0.5">{"".join(lines)}'
        f'<path d="{travel}" stroke="#c9bfa8" stroke-dasharray="2 4"/></g>{"".join(texts)}</svg>\n'
    )


def to_png(drawn: Drawn, path: Path) -> None:
    """The paper as a picture."""
    width, high = _size(drawn)
    image = Image.new("RGB", (max(1, int(width * DOTS)), max(1, int(high * DOTS))), "white")
    pen, scale = ImageDraw.Draw(image), DOTS
    for a, b in drawn.lifted:
        pen.line([(x * scale, (high - y) * scale) for x, y in (a, b)], fill="#e6dfce")
    for number, way in drawn.strokes:
        pen.line([(x * scale, (high - y) * scale) for x, y in way], fill=COLOURS.get(number, "#141830"))
    image.save(path)


def _size(drawn: Drawn) -> XY:
    return max((x for _, way in drawn.strokes for x, _ in way), default=0.0) + 10, drawn.length + 10
