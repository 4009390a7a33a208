"""Lines of words in a PDF: broken where they are too long, fractions stacked, an inch as its sign."""

import re
from dataclasses import dataclass
from functools import lru_cache
from itertools import groupby
from typing import Any

from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas
from reportlab.platypus import Flowable

from cutting.export import letters
from cutting.export.letters import FONT, STRONG
from cutting.export.letters import width as _width

LINE = 1.25
"""From line to line, times the height of the letters."""
STACKED, RISE, DROP = 0.6, 0.44, 0.14
"""A figure of a fraction, how high the upper one and how low the lower one is, times the height of the letters."""
NUMBER = re.compile(r"(?<![\w./])(?:(\d+(?:\.\d+)?) )?(?:(\d+)/(\d+)|(?<= )(?=(?:in|cm)\b))(?: ?(in|cm)\b)?(?![\w/])")
"""A number with a fraction, or with a unit."""
SIGNS = ((re.compile(r"(?<=[\w)”]) / (?=[\d(])"), " \u00f7 "), (re.compile(r"(?<=[\w)”]) x (?=[\w(])"), " \u00d7 "),
         (re.compile(r"(?<=[\w)”]) - (?=[\w(])"), " \u2212 "))  # fmt: skip
"""The signs of a sum, so that none is taken for a fraction, a letter or a hyphen."""


@dataclass(frozen=True)
class Part:
    """What is written without a break: text, then a fraction, then text; `width` times the height of the letters."""

    before: str
    over: str
    under: str
    after: str
    width: float
    stack: float


class Lines(Flowable):
    """A text of letters so many mm high, as many lines as it needs; at the right of its column where that is asked."""

    def __init__(self, text: str, height: float, strong: bool = False, right: bool = False, **places: Any):
        super().__init__()
        self.font, self.high, self.right = (STRONG if strong else FONT), height * mm, right
        self.parts = _parts(text, self.font)
        self.space = _width(" ", self.font)
        self.broken: tuple[float, list[list[Part]]] = (-1.0, [])
        self.keepWithNext = places.get("keep", False)
        self.above, self.below = places.get("above", 0.0) * mm, places.get("below", 0.0) * mm

    def getSpaceBefore(self) -> float:
        return float(self.above)

    def getSpaceAfter(self) -> float:
        return float(self.below)

    def wrap(self, width: float, height: float) -> tuple[float, float]:
        if self.broken[0] != width:
            self.broken = width, self._lines(width / self.high)
        self.width = width
        return width, len(self.broken[1]) * LINE * self.high

    def draw(self) -> None:
        self.put(self.canv, 0.0, 0.0)

    def put(self, canvas: Canvas, left: float, low: float) -> None:
        """Draw it with its lower left corner there."""
        self.canv = canvas
        lines = self.broken[1]
        for number, line in enumerate(lines):
            up = (len(lines) - number) * LINE * self.high - self.high
            beside = self.width - self._long(line) * self.high if self.right else 0.0
            self._write(line, left + beside, low + up)

    def _lines(self, width: float) -> list[list[Part]]:
        lines, here = list[list[Part]](), 0.0
        for part in self.parts:
            for one in [part] if part.width <= width else _cut_up(part, width, self.font):
                if lines and here + self.space + one.width <= width:
                    lines[-1].append(one)
                    here += self.space + one.width
                else:
                    lines.append([one])
                    here = one.width
        return lines

    def _long(self, line: list[Part]) -> float:
        return sum(one.width for one in line) + self.space * (len(line) - 1)

    def _write(self, line: list[Part], left: float, low: float) -> None:
        for stacked, group in groupby(line, key=lambda one: bool(one.under)):
            parts = list(group)
            for part in (
                parts if stacked else [Part(" ".join(p.before for p in parts), "", "", "", self._long(parts), 0)]
            ):
                self._text(part.before, left, low, 1.0)
                if stacked:
                    self._fraction(part, left + _width(part.before, self.font) * self.high, low)
                left += (part.width + self.space) * self.high

    def _fraction(self, part: Part, left: float, low: float) -> None:
        stack = part.stack * self.high
        for figure, rise in ((part.over, RISE), (part.under, -DROP)):
            gap = (stack - STACKED * _width(figure, self.font) * self.high) / 2
            self._text(figure, left + gap, low + rise * self.high, STACKED)
        self.canv.setLineWidth(0.06 * self.high)
        bar = low + 0.5 * (RISE - DROP + 0.72 * STACKED) * self.high
        self.canv.line(left, bar, left + stack, bar)
        self._text(part.after, left + stack, low, 1.0)

    def _text(self, text: str, left: float, low: float, size: float) -> None:
        if text:
            letters.write(self.canv, text, self.font, size * self.high, left, low)


def _word(text: str, font: str) -> Part:
    return Part(text, "", "", "", _width(text, font), 0.0)


@lru_cache(5_000)
def _parts(text: str, font: str) -> list[Part]:
    """What is between the spaces; a number keeps its fraction and its unit."""
    text, found, at = _signed(text), list[Part](), 0
    for number in NUMBER.finditer(text):
        whole, over, under, unit = (one or "" for one in number.groups())
        if whole or over:
            found += [_word(one, font) for one in text[at : number.start()].split()]
            at = number.end()
            close = re.match(r"[),.;:]+", text[at:])
            after = {"in": "″", "cm": " cm", "": ""}[unit] + (close[0] if close else "")
            at += len(close[0]) if close else 0
            stack = STACKED * max(_width(over, font), _width(under, font)) + 0.06 if over else 0.0
            before = whole if over else f"{whole}{after}"
            opened = found.pop().before if found and found[-1].before.endswith("(") and not found[-1].under else ""
            before, after = f"{opened}{before}", after if over else ""
            width = _width(before, font) + stack + _width(after, font)
            found.append(Part(before, over, under, after, width, stack))
    return found + [_word(one, font) for one in text[at:].split()]


def _signed(words: str) -> str:
    for sign, said in SIGNS:
        words = sign.sub(said, words)
    return words


def _cut_up(part: Part, width: float, font: str) -> list[Part]:
    """A word that is longer than a line."""
    if part.under or width <= 0:
        return [part]
    pieces = [""]
    for letter in part.before:
        if pieces[-1] and _width(pieces[-1] + letter, font) > width:
            pieces.append("")
        pieces[-1] += letter
    return [_word(one, font) for one in pieces]
