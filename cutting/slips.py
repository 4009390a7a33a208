"""A number worked out by hand, compared with the draft's: what the difference does, and the slip that it looks like.

The slips are common practice, no source: half for a quarter, a seam left out or counted twice, an extension counted for
one panel, 4 1/2 written as 4.05, centimetres for inches.
"""

from collections.abc import Callable
from dataclasses import dataclass
from fractions import Fraction
from math import floor
from typing import Literal

from cutting.lengths import INCH_MM, Fixed, Length, Measured, Scaled, Sum, Unit, total

SlipCode = Literal[
    "half",
    "quarter",
    "double",
    "fourfold",
    "in_cm",
    "in_inches",
    "decimals",
    "left_out",
    "twice",
    "no_seams",
    "seams_twice",
    "share_once",
]
EffectCode = Literal[
    "right", "waist", "hip", "bust", "leg", "band", "crotch_line", "hem_level", "fold", "elastic", "plain"
]
WITHIN = 0.8
"""A thirty-second of an inch: a hand's number this near is the same."""
SEEN = 3.0
"""A term under so many mm is not looked for."""


@dataclass(frozen=True)
class Slip:
    """What may have been done; `term` is the part of the sum that was left out or counted twice."""

    code: SlipCode
    term: Length | None = None


@dataclass(frozen=True)
class Answer:
    """`differs` is the hand's less the draft's, `by` what that does to the garment, in mm; the likeliest slip first."""

    right: Length
    typed: float
    differs: float
    effect: EffectCode
    by: float
    slips: tuple[Slip, ...]


EFFECTS: tuple[tuple[str, EffectCode, float], ...] = (
    ("waist_width", "waist", 2), ("dart_intake", "waist", -2), ("hip_width", "hip", 2), ("front.width", "bust", 2),
    ("back.width", "bust", 2), ("crotch_width", "leg", 1), ("thigh_width", "leg", 1), ("knee_width", "leg", 1),
    ("hem_width", "leg", 1), ("crotch_extension", "leg", 1), ("band.cut_length", "band", 1),
    ("crotch_depth", "crotch_line", 1), ("cut_length", "hem_level", 1), ("length", "hem_level", 1),
    ("fold.needed", "fold", 1), ("elastic.length", "elastic", 1),
)  # fmt: skip
"""By the end of a number's key: what it changes, and how often it counts in that (a waist has two of each panel)."""


def compared(key: str, spoken: Length, net: Length, typed: float, unit: Unit) -> Answer:
    """The hand's number of `typed` mm against the one of that key as it is spoken; `net` is between sewing lines."""
    differs = typed - spoken.mm
    if abs(differs) <= WITHIN:
        return Answer(spoken, typed, differs, "right", 0.0, ())
    effect, times = next(((code, n) for end, code, n in EFFECTS if key.endswith(end)), ("plain", 1.0))
    slips = tuple(dict.fromkeys(_like(spoken, net, typed, unit)))
    return Answer(spoken, typed, differs, effect, differs * times, slips[:2])


def _like(right: Length, net: Length, typed: float, unit: Unit) -> list[Slip]:
    """Every slip that gives the number that was typed, the commonest first."""

    def near(size: float) -> bool:
        return abs(size - typed) <= WITHIN

    found: list[Slip] = []
    seams = right.mm - net.mm
    if abs(seams) > SEEN:
        several: list[tuple[SlipCode, float]] = [("no_seams", -seams), ("seams_twice", seams)]
        found += [Slip(code) for code, change in several if near(right.mm + change)]
    for term in _terms(right):
        if abs(term.mm) > SEEN:
            changes: list[tuple[SlipCode, float]] = [
                ("left_out", -term.mm),
                ("twice", term.mm),
                ("share_once", -term.mm / 2),
            ]
            found += [Slip(code, term) for code, change in changes if near(right.mm + change)]
    times: list[tuple[SlipCode, float]] = [("half", 0.5), ("double", 2), ("quarter", 0.25), ("fourfold", 4)]
    found += [Slip(code) for code, factor in times if near(right.mm * factor)]
    for term in _terms(right):
        if isinstance(term, Scaled):
            found += [Slip(code, term) for code, factor in times if near(right.mm + term.mm * (factor - 1))]
    misread = _with(right, lambda size: _misread(size, unit))
    if abs(misread - right.mm) > WITHIN and near(misread):
        found.append(Slip("decimals"))
    found += [Slip("in_inches")] if near(right.mm * float(INCH_MM) / 10) else []
    found += [Slip("in_cm")] if near(right.mm * 10 / float(INCH_MM)) else []
    return found


def _terms(length: Length) -> tuple[Length, ...]:
    """The parts of a sum; several seams among them also together."""
    if not isinstance(length, Sum):
        return (length,)
    named = [term for term in length.terms if isinstance(term, Fixed) and term.label.startswith("allowance.")]
    return (*length.terms, *([total(*named)] if 1 < len(named) < len(length.terms) else []))


def _misread(size: Fraction, unit: Unit) -> Fraction:
    """A mixed number whose half was written as a decimal: 4 1/2 as 4.05, 3 1/4 as 3.025."""
    one = INCH_MM if unit == "in" else Fraction(10)
    whole = floor(size / one)
    return (whole + (size / one - whole) / 10) * one


def _with(length: Length, change: Callable[[Fraction], Fraction]) -> float:
    """The sum's value with every amount and measurement in it changed, in mm."""
    if isinstance(length, Sum):
        return sum(_with(term, change) for term in length.terms)
    if isinstance(length, Scaled):
        return _with(length.of, change) * float(length.factor)
    return float(change(length.size)) if isinstance(length, Measured | Fixed) else length.mm
