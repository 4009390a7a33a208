"""A length's sum as text, in any language: with the names it gives the leaves, or with the client's numbers."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache

from cutting.lengths import Corrected, Fixed, Found, Length, Measured, OfCorrection, Scaled, Sum, Unit, show
from cutting.lengths.units import MM
from cutting.words.few import Given

UNSEEN_MM = 0.4
"""A lean under a quarter of a sixteenth of an inch is left out of the words; the number holds it."""


@dataclass(frozen=True)
class Names:
    """What a language calls the leaves of a sum: measurements, what a fixed amount is for, what was
    found how, what measures give, from when a correction is."""

    measure: Callable[[str], str]
    fixed: Mapping[str, str]
    found: Mapping[str, str]
    given: Callable[[Given], str]
    since: Callable[[str], str]


@lru_cache(maxsize=4096)
def number_text(mm: float | Fraction, unit: Unit) -> str:
    """A bare number in `unit`: as tape fractions where exact, else with two decimals."""
    shown = show(mm, unit)
    if shown.exact:
        return shown.bare
    return f"{float(mm) / float(MM[unit]):.2f}".rstrip("0").rstrip(".")


SIGNS = (" + ", " - ", " x ", " / ")


def with_sum(length: Length, unit: Unit) -> str:
    """A length as a tape shows it, with its sum in brackets where it has several terms: `28 1/2 in (31 1/2 - 4 + 1)`."""
    shown, summed = show(length.value, unit).text, with_numbers(length, unit)
    return f"{shown} ({summed})" if is_sum(summed) else shown


def is_sum(summed: str) -> bool:
    """Whether a length in numbers has several terms, or is a share of one."""
    return any(sign in summed for sign in SIGNS)


def with_numbers(length: Length, unit: Unit) -> str:
    """The sum with the client's numbers: `41 / 4 + 1 + 1/2`."""
    return sum_text(length, unit, None)


def sum_text(length: Length, unit: Unit, names: Names | None) -> str:
    """The sum with names, or without any as `with_numbers`."""
    if isinstance(length, Corrected):
        return sum_text(length.parts, unit, names)
    if isinstance(length, Sum):
        return _sum(length, unit, names)
    if isinstance(length, Scaled):
        return _scaled(length, unit, names)
    return _leaf(length, unit, names)


def _fixed(length: Fixed, unit: Unit, names: Names) -> str:
    text = f"{number_text(length.size, unit)} {unit}"
    return f"{text} {names.fixed[length.label]}" if length.label else text


def _leaf(length: Length, unit: Unit, names: Names | None) -> str:
    if isinstance(length, Given):
        return names.given(length) if names else number_text(length.size, unit)
    if isinstance(length, OfCorrection):
        text = number_text(length.size, unit)
        return f"{text} {unit} {names.since(length.since)}" if names else text
    if isinstance(length, Measured):
        return names.measure(length.key) if names else number_text(length.size, unit)
    if isinstance(length, Fixed):
        return _fixed(length, unit, names) if names else number_text(length.size, unit)
    if isinstance(length, Found):
        return names.found[length.label] if names else number_text(length.size, unit)
    raise TypeError(type(length).__name__)


def _grouped(length: Length, unit: Unit, names: Names | None) -> str:
    text = sum_text(length, unit, names)
    plain = isinstance(length, Measured | Found | Fixed | Given | OfCorrection) and not isinstance(length, Corrected)
    return text if plain and not (names is None and " " in text and "/" in text) else f"({text})"


def _scaled(length: Scaled, unit: Unit, names: Names | None) -> str:
    over, under = length.factor.numerator, length.factor.denominator
    if length.factor == -1:
        return f"- {_grouped(length.of, unit, names)}"
    if over < 0:
        return f"- {_scaled(Scaled(length.of, -length.factor), unit, names)}"
    chain = isinstance(length.of, Scaled) and length.of.factor > 0
    text = sum_text(length.of, unit, names) if chain else _grouped(length.of, unit, names)
    if names and (isinstance(length.of, Given) or (isinstance(length.of, Fixed) and length.of.label)):
        text = f"({text})"
    if over != 1:
        text = f"{text} x {over}"
    return f"{text} / {under}" if under != 1 else text


def _sum(length: Sum, unit: Unit, names: Names | None) -> str:
    parts: list[str] = []
    for term in length.terms:
        if isinstance(term, Found) and term.label == "lean" and abs(term.size) < UNSEEN_MM:
            continue
        minus, text = _term(term, unit, names)
        sign = "- " if minus else "+ " if parts else ""
        parts.append(sign + text)
    return " ".join(parts)


def _term(term: Length, unit: Unit, names: Names | None) -> tuple[bool, str]:
    """A term of a sum without its sign, and whether it is taken away."""
    minus, size = _signed(term)
    text = sum_text(size, unit, names)
    return minus, f"({text})" if minus and isinstance(size, Sum) else text


def _signed(term: Length) -> tuple[bool, Length]:
    """Whether a term is taken away, and the term without its sign: less a share of -1/4 in is a share of 1/4 in more."""
    if isinstance(term, OfCorrection) and term.size < 0:
        return True, OfCorrection(-term.size, term.since)
    if isinstance(term, Fixed) and not isinstance(term, Corrected) and term.size < 0:
        return True, Fixed(-term.size, term.label)
    if isinstance(term, Found) and term.size < 0:
        return True, Found(-term.size, term.label)
    if isinstance(term, Scaled):
        minus, of = _signed(term.of)
        factor = abs(term.factor)
        return minus != (term.factor < 0), of if factor == 1 else Scaled(of, factor)
    return False, term
