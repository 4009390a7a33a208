"""Reading the tape: what a typed length means, which points a session asks for, what is doubtful, second ways."""

from collections.abc import Collection, Mapping, Sequence
from dataclasses import asdict
from decimal import Decimal
from fractions import Fraction
from typing import Any, TypeAlias

from cutting.body import (
    CATALOGUE,
    FLAT,
    NEEDED,
    WAYS,
    Body,
    doubts,
    fits,
    from_flat,
    other_unit,
    session,
    usual,
    ways_to,
)
from cutting.errors import CuttingError, refuse
from cutting.formats.values_v1 import read_measure
from cutting.lengths import Unit as CoreUnit
from cutting.lengths import read, show
from cutting.where import measure
from cutting.words import with_numbers
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, words

Unit: TypeAlias = CoreUnit


def _kept(size: Fraction) -> Decimal:
    return (Decimal(size.numerator) / Decimal(size.denominator)).quantize(Decimal("0.000001"))


def read_reading(key: str, typed: str, unit: Unit) -> Decimal:
    """The millimetres of one reading, to a millionth. Raises CoreRefusal with the field's place."""
    try:
        size = read_measure(key, typed, unit, measure(key))
    except CuttingError as error:
        raise CoreRefusal(error, unit) from None
    return _kept(size)


def read_tape(typed: str, unit: str) -> float:
    """The mm of a tape on cloth or a sewn garment. Raises CoreRefusal where it is no length."""
    try:
        return float(read(typed, as_unit(unit)))
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(unit)) from None


TAKEN_BY = ("tape", "flat", *(way.code for way in WAYS))
"""How a reading was come by: off the tape, off trousers laid flat, or by the code of a second way."""


def check_key(key: str, unit: Unit) -> None:
    """Raise CoreRefusal for a point there is none of."""
    if key not in CATALOGUE:
        read_reading(key, "1", unit)


def is_bare(typed: str) -> bool:
    """True for a length without a unit of its own: it reads differently in inches and in centimetres."""
    try:
        return read(typed, "in") != read(typed, "cm")
    except CuttingError:
        return False


def points(name: str, needed: Collection[str] = ()) -> list[dict[str, Any]]:
    """The points of a session in the order of taking; those that are `needed` stand for the session's own."""
    say = words()
    asked = {p.key for p in session(name)} | set(needed)
    needs = set(needed) or set(NEEDED[name])
    return [
        {
            "key": p.key, **asdict(say.taking(p.key)), "least_mm": p.least, "most_mm": p.most,
            "needed": p.key in needs, "view": p.view, "posture": say.posture(p.view), "tape": list(p.tape),
            "flat": FLAT.get(p.key),
        }
        for p in session("full") if p.key in asked
    ]  # fmt: skip


def flat_reading(key: str, typed: str, unit: Unit) -> str:
    """What trousers that fit, measured flat, say of a point: a text to be kept as its reading. Raises CoreRefusal."""
    try:
        if key not in FLAT:
            raise refuse("measure.flat", measure(key), key=key)
        size = from_flat(key, read(typed, unit))
    except CuttingError as error:
        raise CoreRefusal(error, unit) from None
    return _text(size, unit)


def _text(size: Fraction, unit: Unit) -> str:
    """A length as one would type it: the tape's mark where it is exact, else millimetres."""
    shown = show(size, unit)
    return shown.text if shown.exact else f"{float(size):.2f} mm"


Taken: TypeAlias = Sequence[tuple[str, str, Decimal, str]]


def advice(taken: Taken, last: Mapping[str, Decimal], unit: Unit, upheld: set[tuple[str, Decimal]]) -> dict[str, Any]:
    """What there is to say of a sheet's readings (key, typed, mm, way). `upheld` are values that are right."""
    say = words()
    sizes = {key: Fraction(mm) for key, _, mm, _ in taken}
    measured = Body({key: Fraction(mm) for key, _, mm, way in taken if way == "tape"})
    before = {key: Fraction(mm) for key, mm in last.items()}
    bare = {key: read(typed, "cm") / 10 for key, typed, _, _ in taken if is_bare(typed)}
    sure = {key for key, _, mm, _ in taken if (key, mm) in upheld}
    said = []
    for doubt in doubts(sizes, before, sure):
        key = doubt.where.measure
        said.append(
            {
                "key": key, "code": doubt.code, "again": doubt.weight == "warn", "words": say.say_finding(doubt, unit),
                "upheld": key in sure,
            }
        )  # fmt: skip
    ways = []
    for key in CATALOGUE:
        body = Body({one: size for one, size in measured.sizes.items() if one != key})
        for way, length in ways_to(key, body):
            off = None if key not in measured.sizes else float(sizes[key]) - length.mm
            ways.append(
                {
                    "key": key, "code": way.code, "formula": say.formula(length, unit),
                    "with": with_numbers(length, unit),
                    "typed": _text(Fraction(length.value), unit), "mm": length.mm, "about": say.about_way(way.code),
                    "differs_mm": off,
                }
            )  # fmt: skip
    return {
        "doubts": said, "ways": ways, "last": [{"key": key, "mm": float(mm)} for key, mm in last.items()],
        "expected": [
            {"key": fit.key, "low_mm": fit.low, "high_mm": fit.high} for fit in [*fits(sizes), *usual(measured.sizes)]
        ],
        "other_unit": other_unit(bare, unit),
    }  # fmt: skip
