"""
The letters of a PDF: the fonts that ship with the product, and which letter is of which. What the first two do not have
is of another: Chinese and Japanese, Korean, in one weight only.
"""

from functools import lru_cache
from itertools import groupby
from pathlib import Path as FilePath

from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.pdfgen.canvas import Canvas

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
def runs(text: str, font: str) -> tuple[tuple[str, str], ...]:
    """The text in parts that one font has: `(font, part)`. What none has is left to the first, which draws a box."""
    if all(has(font, letter) for letter in text):
        return ((font, text),)

    def of(letter: str) -> str:
        return next((one for one in (font, *OTHERS) if has(one, letter)), font)

    return tuple((name, "".join(part)) for name, part in groupby(text, key=of))


@lru_cache(20_000)
def width(text: str, font: str) -> float:
    """How long a text is, times the height of its letters."""
    return sum(float(pdfmetrics.stringWidth(part, name, 1000.0)) for name, part in runs(text, font)) / 1000.0


def write(canvas: Canvas, text: str, font: str, size: float, left: float = 0.0, low: float = 0.0) -> None:
    """A line of text from there on, of letters so high, both in the canvas's own unit."""
    for name, part in runs(text, font):
        canvas.setFont(name, size)
        canvas.drawString(left, low, part)
        left += width(part, name) * size
