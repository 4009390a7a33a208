"""
The letters of a PDF: the fonts that ship with the product, and which letter is of which. What the first two do not have
is of another: Chinese and Japanese, Korean, in one weight only. What a script shapes is drawn as outlines (scripts.py).
"""

from functools import lru_cache
from itertools import groupby
from pathlib import Path as FilePath

from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.pdfgen.canvas import FILL_NON_ZERO, Canvas

from cutting.export.scripts import Stretch, needed, signs, stretches

FONT, STRONG = "Plavet", "PlavetStrong"
FILES = {FONT: "regular.ttf", STRONG: "strong.ttf", "PlavetEast": "east.ttf", "PlavetKorean": "korean.ttf"}
OTHERS = ("PlavetEast", "PlavetKorean")
FONTS = FilePath(__file__).parent / "fonts"


def load(font: str) -> TTFont:
    """One of the fonts, by its name; read when it is first asked for."""
    if font not in pdfmetrics.getRegisteredFontNames():
        pdfmetrics.registerFont(TTFont(font, str(FONTS / FILES[font])))
    return pdfmetrics.getFont(font)


def has(font: str, letter: str) -> bool:
    return ord(letter) in load(font).face.charToGlyph


@lru_cache(20_000)
def runs(text: str, font: str) -> tuple[tuple[str, str] | Stretch, ...]:
    """
    The text in parts, from the left: `(font, part)` of one that a font has as it is, or a stretch of a script.
    What no font has is left to the first, which draws a box.
    """
    if all(has(font, letter) for letter in text) and not needed(text):
        return ((font, text),)

    def of(letter: str) -> str:
        return next((one for one in (font, *OTHERS) if has(one, letter)), font)

    made: list[tuple[str, str] | Stretch] = []
    for stretch in stretches(text) if needed(text) else [Stretch("", text)]:
        if stretch.script:
            made.append(stretch)
        else:
            made += [(name, "".join(part)) for name, part in groupby(stretch.text, key=of)]
    return tuple(made)


@lru_cache(20_000)
def width(text: str, font: str) -> float:
    """How long a text is, times the height of its letters."""
    return sum(_wide(part) for part in runs(text, font))


def _wide(part: tuple[str, str] | Stretch) -> float:
    if isinstance(part, Stretch):
        return signs(part).width
    name, text = part
    return float(pdfmetrics.stringWidth(text, name, 1000.0)) / 1000.0


def write(canvas: Canvas, text: str, font: str, size: float, left: float = 0.0, low: float = 0.0) -> None:
    """A line of text from there on, of letters so high, both in the canvas's own unit."""
    for part in runs(text, font):
        if isinstance(part, Stretch):
            _outline(canvas, part, size, left, low)
        else:
            canvas.setFont(part[0], size)
            canvas.drawString(left, low, part[1])
        left += _wide(part) * size


def _outline(canvas: Canvas, stretch: Stretch, size: float, left: float, low: float) -> None:
    """A stretch as outlines, marked with its text for who reads the file aloud or searches it."""
    path = canvas.beginPath()
    for kind, points in signs(stretch).moves:
        getattr(path, kind)(*(at for x, y in points for at in (left + x * size, low + y * size)))
    canvas.addLiteral(f"/Span <</ActualText <FEFF{stretch.text.encode('utf-16-be').hex().upper()}>>> BDC")
    canvas.drawPath(path, stroke=0, fill=1, fillMode=FILL_NON_ZERO)
    canvas.addLiteral("EMC")
