"""
Text in a script whose letters change with their neighbours or that is read from the right: in which order it stands on
the line (the Unicode bidirectional algorithm, by python-bidi), and its signs as outlines (HarfBuzz).

A script is named by its code of ISO 15924. Its font is in fonts/scripts.zip under that code; what has none there is
written letter by letter by letters.py.
"""

from functools import lru_cache
from itertools import groupby
from pathlib import Path as FilePath
from string import digits
from typing import NamedTuple
from unicodedata import bidirectional
from zipfile import ZipFile

import uharfbuzz as harfbuzz
from bidi import algorithm as bidi
from fontTools import unicodedata
from fontTools.pens.basePen import BasePen

FONTS = FilePath(__file__).parent / "fonts/scripts.zip"
JOINERS = "\u200c\u200d"
"""Zero-width joiner and non-joiner: they say how two letters of a script meet."""
ORDERS = dict.fromkeys([*range(0x202A, 0x202F), *range(0x2066, 0x206A)])
"""Signs that turn what follows them round: a name with one would turn the rest of its line."""

Move = tuple[str, tuple[tuple[float, float], ...]]
"""`moveTo`, `lineTo`, `curveTo` or `close` with its points, y upwards, times the height of the letters."""


class Stretch(NamedTuple):
    """A part of a line in one script, `""` where it needs no font of a script."""

    script: str
    text: str
    """From the first letter that is read to the last; of a part without a script from the left to the right."""


class Signs(NamedTuple):
    """A stretch as it is drawn; lengths times the height of the letters."""

    width: float
    moves: tuple[Move, ...]


@lru_cache(1)
def scripts() -> frozenset[str]:
    with ZipFile(FONTS) as fonts:
        return frozenset(name.removesuffix(".ttf") for name in fonts.namelist())


@lru_cache(5_000)
def script(letter: str) -> str:
    """The script of a letter that has a font of its own, or `""`."""
    code = unicodedata.script(letter)
    return code if code in scripts() else ""


def needed(text: str) -> bool:
    return any(script(letter) for letter in text)


def stretches(text: str) -> list[Stretch]:
    """
    A line of text in parts, in the order in which they stand on it from the left. A line with any letter from the
    left runs from the left: what is in it from the right is a name among the product's own words. Figures count as
    letters from the left, or a number after such a name would change places with it and leave its unit.
    """
    text = text.translate(ORDERS)
    line = bidi.get_empty_storage()
    right = not any(bidirectional(letter) == "L" for letter in text)
    line.update(base_level=int(right), base_dir="R" if right else "L")
    bidi.get_embedding_levels(text, line)
    for (at, letter), of in zip(enumerate(line["chars"]), _scripts(text), strict=True):
        letter.update(at=at, script=of)
        if letter["ch"] in digits:
            letter.update(type="L", orig="L")
    bidi.explicit_embed_and_overrides(line)
    bidi.resolve_weak_types(line)
    bidi.resolve_neutral_types(line, False)
    bidi.resolve_implicit_levels(line, False)
    bidi.reorder_resolved_levels(line, False)
    bidi.apply_mirroring(line, False)
    made = []
    for (of, _), letters in groupby(line["chars"], key=lambda letter: (letter["script"], letter["level"])):
        part = list(letters)
        if of:
            # HarfBuzz puts the signs of a script from the right in their places itself, and is given the joiners
            # that the algorithm leaves out.
            places = [letter["at"] for letter in part]
            made.append(Stretch(of, text[min(places) : max(places) + 1]))
        else:
            made.append(Stretch("", "".join(letter["ch"] for letter in part)))
    return made


def _scripts(text: str) -> list[str]:
    """Of each letter; a mark or a stop that several scripts share is of the one before it."""
    found: list[str] = []
    for letter in text:
        before = found[-1] if found else ""
        own = unicodedata.script(letter)
        shared = own in ("Zyyy", "Zinh") and (letter in JOINERS or own == "Zinh" or _extends(letter, before))
        found.append(before if shared else script(letter))
    return found


def _extends(letter: str, code: str) -> bool:
    return bool(code) and code in unicodedata.script_extension(letter)


@lru_cache(2_000)
def signs(stretch: Stretch) -> Signs:
    """The outlines of a stretch in a script; its first sign stands at 0, its line at 0."""
    font = _font(stretch.script)
    high = font.face.upem
    buffer = harfbuzz.Buffer()
    buffer.add_str(stretch.text)
    buffer.guess_segment_properties()
    harfbuzz.shape(font, buffer)
    pen, left = _Pen(high), 0.0
    for sign, place in zip(buffer.glyph_infos, buffer.glyph_positions, strict=True):
        pen.left, pen.low = left + place.x_offset, place.y_offset
        font.draw_glyph_with_pen(sign.codepoint, pen)
        left += place.x_advance
    return Signs(left / high, tuple(pen.moves))


@lru_cache(8)
def _font(code: str) -> harfbuzz.Font:
    with ZipFile(FONTS) as fonts:
        return harfbuzz.Font(harfbuzz.Face(fonts.read(f"{code}.ttf")))


class _Pen(BasePen):
    """Takes down the outlines that it is led along."""

    def __init__(self, high: float) -> None:
        super().__init__(None)
        self.high, self.left, self.low = high, 0.0, 0.0
        self.moves: list[Move] = []

    def _to(self, kind: str, *points: tuple[float, float]) -> None:
        placed = tuple(((x + self.left) / self.high, (y + self.low) / self.high) for x, y in points)
        self.moves.append((kind, placed))

    def _moveTo(self, point: tuple[float, float]) -> None:
        self._to("moveTo", point)

    def _lineTo(self, point: tuple[float, float]) -> None:
        self._to("lineTo", point)

    def _curveToOne(self, *points: tuple[float, float]) -> None:
        self._to("curveTo", *points)

    def _closePath(self) -> None:
        self._to("close")
