"""Reading lengths as typed and showing them as a tape does.

The browser's twin is web/src/lengths/units.ts; both run the cases of tests/shared/lengths.json.
"""

import re
from fractions import Fraction
from math import gcd
from typing import Literal, NamedTuple

from cutting.errors import refuse

Unit = Literal["in", "cm"]

MM: dict[str, Fraction] = {
    "in": Fraction(254, 10), "yd": Fraction(9144, 10), "cm": Fraction(10), "mm": Fraction(1), "m": Fraction(1000),
}  # fmt: skip
MARKS: dict[str, Fraction] = {"in": MM["in"] / 16, "cm": Fraction(1)}
"""The distance between two marks of the tape, in mm: sixteenths of an inch, or millimetres."""

GLYPHS = {
    "½": "1/2", "¼": "1/4", "¾": "3/4", "⅛": "1/8", "⅜": "3/8", "⅝": "5/8", "⅞": "7/8", "⅓": "1/3", "⅔": "2/3",
}  # fmt: skip
NAMES = {
    "in": "in", "inch": "in", "inches": "in", '"': "in", "''": "in",
    "cm": "cm", "centimetre": "cm", "centimetres": "cm", "centimeter": "cm", "centimeters": "cm",
    "mm": "mm", "millimetre": "mm", "millimetres": "mm", "m": "m", "yd": "yd", "yard": "yd", "yards": "yd",
}  # fmt: skip

_FEET = re.compile(r"^([0-9]{1,2}) ?(?:'(?!')|ft|feet|foot) ?(.*)$")
_SIZE = re.compile(
    r"^(?:(?P<whole>[0-9]{1,9})(?:[ -]|$))?(?P<over>[0-9]{1,4})/(?P<under>[0-9]{1,4})$"
    r"|^(?P<decimal>[0-9]{1,9}(?:[.,][0-9]{1,9})?|[.,][0-9]{1,9})$"
)
TAPES = (2, 3, 4, 8, 16, 32, 64)
"""The parts of an inch that a tape has, and thirds, which the trade says."""
_LETTER = re.compile(r"(?<![a-z])(?=[ol]*[0-9])[0-9ol]*[ol][0-9ol]*(?![a-z])")
"""The letter o or l among digits."""
_LESS = re.compile(r"^(?P<whole>.+?) (?P<sign>less|-) (?P<ease>.+)$")
_PART = re.compile(r"^[0-9]{1,4}/")
"""After ` - ` a fraction alone could as well belong to the number before it."""
_UNIT = re.compile(r"^(.*?) ?([a-z]+|\"|'')$")


def _size(text: str) -> Fraction:
    """`38 1/2`, `38-1/2`, `1/2`, `38.5`, `38,5` as a number."""
    match = _SIZE.match(text)
    if not match:
        raise refuse("length.unreadable")
    if match["decimal"]:
        return Fraction(match["decimal"].replace(",", "."))
    over, under = int(match["over"]), int(match["under"])
    if under not in TAPES or over >= under:
        raise refuse("length.fraction")
    return int(match["whole"] or 0) + Fraction(over, under)


def read(typed: str, unit: Unit) -> Fraction:
    """The exact millimetres of a length as typed; bare numbers are in `unit`.

    `38 less 2` and `38 - 2` are a reading and the ease that is in it: what is left is read. A number without a unit has
    the other one's there. Raises CuttingError: length.empty, length.unreadable, length.fraction, length.letter,
    length.negative, length.unit, length.feet, length.less, length.less_or_half.
    """
    text = typed.strip().lower().replace("\u00a0", " ").replace("″", '"').replace("”", '"').replace("’", "'")
    text = text.replace("′", "'").replace("\u2044", "/").replace("\u2212", "-")
    for glyph, plain in GLYPHS.items():
        text = text.replace(glyph, " " + plain)
    text = re.sub(r"\s+", " ", re.sub(r" ?/ ?", "/", text)).strip()
    if not text:
        raise refuse("length.empty")
    if len(text) > 40:
        raise refuse("length.unreadable")
    if _LETTER.search(text):
        raise refuse("length.letter")
    if re.match(r"^- ?[0-9.,]", text):
        raise refuse("length.negative")
    less = _LESS.match(text)
    if less is None:
        return _one(text, unit)
    if less["sign"] == "-" and _PART.match(less["ease"]):
        raise refuse("length.less_or_half")
    parts = less["whole"], less["ease"]
    there = next(filter(None, map(_unit_of, parts)), unit)
    left = _one(parts[0], there) - _one(parts[1], there)
    if left <= 0:
        raise refuse("length.less")
    return left


def read_signed(typed: str, unit: Unit) -> Fraction:
    """The same of a length that may be less than nothing: one sign, then a length. Raises CuttingError as `read`."""
    text = typed.strip().replace("\u2212", "-")
    size = read(text[1:].strip() if text[:1] in ("+", "-") else text, unit)
    return -size if text[:1] == "-" else size


def _unit_of(text: str) -> str | None:
    """The unit that one length has of its own; feet are of inches."""
    if _FEET.match(text):
        return "in"
    own = _UNIT.match(text)
    return NAMES.get(own[2]) if own else None


def _one(text: str, unit: str) -> Fraction:
    """One length: feet and inches, a number and its unit, or a bare number in `unit`."""
    feet = _FEET.match(text)
    if feet:
        rest = feet[2].removesuffix("inches").removesuffix("inch").removesuffix("in").removesuffix("''")
        rest = rest.removesuffix('"').strip()
        inches = _size(rest) if rest else Fraction(0)
        if inches >= 12:
            raise refuse("length.feet")
        return (int(feet[1]) * 12 + inches) * MM["in"]
    own = _UNIT.match(text)
    if own:
        if own[2] not in NAMES:
            raise refuse("length.unit" if own[1] and own[1][0].isdigit() else "length.unreadable", word=own[2])
        return _size(own[1]) * MM[NAMES[own[2]]]
    return _size(text) * MM[unit]


class Shown(NamedTuple):
    """A length as a tape shows it: whole units and a fraction, and whether that is exact."""

    unit: Unit
    negative: bool
    whole: int
    over: int
    under: int
    exact: bool

    @property
    def text(self) -> str:
        """`11 3/4 in`, `29.8 cm`."""
        sign = "-" if self.negative else ""
        if self.unit == "cm":
            return f"{sign}{self.whole}.{self.over} cm" if self.over else f"{sign}{self.whole} cm"
        if not self.over:
            return f"{sign}{self.whole} in"
        fraction = f"{self.over}/{self.under}"
        return f"{sign}{self.whole} {fraction} in" if self.whole else f"{sign}{fraction} in"

    @property
    def bare(self) -> str:
        """The same without its unit."""
        return self.text.rsplit(" ", 1)[0]


def show(mm: float | Fraction, unit: Unit) -> Shown:
    """`mm` at the nearest mark of the tape; halfway goes away from zero. Exact within 0.01 mm."""
    mark = MARKS[unit]
    # In whole numbers, since this is asked for every number of every page: mm is above / below exactly.
    above, below = mm.as_integer_ratio()
    size, each = abs(above) * mark.denominator, below * mark.numerator
    marks = (2 * size + each) // (2 * each)
    exact = abs(size - marks * each) * 100 <= below * mark.denominator
    whole, rest = divmod(marks, 16 if unit == "in" else 10)
    if unit == "cm":
        return Shown(unit, above < 0 < marks, whole, rest, 10, exact)
    shared = gcd(rest, 16)
    return Shown(unit, above < 0 < marks, whole, rest // shared, 16 // shared, exact)
