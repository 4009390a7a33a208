"""A length that keeps the sum it came from: a small tree, never text.

Leaves are measurements, fixed amounts and lengths found on the draft; branches are sums, shares and choices.
`words.formula` shows the tree with names or with the client's numbers.
"""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache

from cutting.cached import cached_property

Exact = Fraction | float
INCH_MM = Fraction(254, 10)


@dataclass(frozen=True)
class Length:
    """A length; `value` in mm, exact where every leaf is."""

    @property
    def value(self) -> Exact:
        raise NotImplementedError

    @cached_property
    def mm(self) -> float:
        """Millimetres."""
        return float(self.value)

    def __add__(self, other: Length) -> Length:
        return total(self, other)

    def __sub__(self, other: Length) -> Length:
        return total(self, -other)

    def __mul__(self, factor: int | Fraction) -> Length:
        return Scaled(self, Fraction(factor))

    def __truediv__(self, factor: int) -> Length:
        return Scaled(self, Fraction(1, factor))

    def __neg__(self) -> Length:
        return self * -1


@dataclass(frozen=True)
class Measured(Length):
    """A measurement of the client, by its key."""

    key: str
    size: Fraction

    @property
    def value(self) -> Exact:
        return self.size


@dataclass(frozen=True)
class Fixed(Length):
    """An amount given by a rule or chosen; `label` says what it is for, empty where the sum says it."""

    size: Fraction
    label: str = ""

    @property
    def value(self) -> Exact:
        return self.size


@dataclass(frozen=True)
class OfCorrection(Length):
    """What a correction adds, or takes away; `since` is the day of the fitting that it comes from, as 2026-12-03, or
    other words for it.
    """

    size: Fraction
    since: str

    @property
    def value(self) -> Exact:
        return self.size


@dataclass(frozen=True)
class Corrected(Fixed):
    """A chosen or usual length with corrections in it: `size` is all of it, `parts` its sum."""

    own: Length = Fixed(Fraction(0))
    by: tuple[OfCorrection, ...] = ()

    @staticmethod
    def of(own: Length, by: tuple[OfCorrection, ...]) -> Corrected:
        """A length and its corrections."""
        size = Fraction(own.value) + sum((one.size for one in by), Fraction(0))
        return Corrected(size, "", own, by)

    @property
    def parts(self) -> Length:
        """What it is, and what each correction makes of it."""
        return total(self.own, *self.by)


@dataclass(frozen=True)
class Found(Length):
    """A length worked out on the draft, such as one that makes two seams agree."""

    size: float
    label: str

    @property
    def value(self) -> Exact:
        return self.size


@dataclass(frozen=True)
class Scaled(Length):
    """A share or a multiple of a length."""

    of: Length
    factor: Fraction

    @cached_property
    def value(self) -> Exact:
        return self.of.value * self.factor


@dataclass(frozen=True)
class Sum(Length):
    """Lengths added up; what is taken away is a Scaled by -1."""

    terms: tuple[Length, ...]

    @cached_property
    def value(self) -> Exact:
        return sum((term.value for term in self.terms), Fraction(0))


def total(*terms: Length) -> Length:
    """The sum of `terms`, sums among them opened; amounts of nothing are left out."""
    flat: list[Length] = []
    for term in terms:
        opened = term.parts if isinstance(term, Corrected) else term
        flat.extend(opened.terms if isinstance(opened, Sum) else [opened])
    kept = [term for term in flat if not _nothing(term)] or flat[:1]
    return kept[0] if len(kept) == 1 else Sum(tuple(kept))


def _nothing(term: Length) -> bool:
    return _nothing(term.of) if isinstance(term, Scaled) else isinstance(term, Fixed) and term.size == 0


HALF_CM = 5
_TAPE: ContextVar[str] = ContextVar("tape", default="in")


@contextmanager
def on_tape(unit: str) -> Iterator[None]:
    """While a job is read and drafted in `unit`: on a metric tape a rule's inches are whole half centimetres."""
    token = _TAPE.set(unit)
    try:
        yield
    finally:
        _TAPE.reset(token)


def unit_of_tape() -> str:
    """The unit of the tape in use."""
    return _TAPE.get()


def as_marked(length: Fixed) -> Fixed:
    """A rule's own amount as the tape in use is marked: on a metric one the nearest half centimetre.

    So 1/2 in is 1.5 cm, 1 in 2.5, 1 1/2 in 4, 2 in 5, 3 in 7.5.
    """
    if _TAPE.get() != "cm":
        return length
    halves = length.size / HALF_CM
    whole = (abs(halves) + Fraction(1, 2)).__floor__()
    return Fixed(Fraction(HALF_CM * (whole if halves >= 0 else -whole)), length.label)


def inch(amount: int | float | Fraction, label: str = "") -> Fixed:
    """`amount` inches, as a rule has them: `as_marked` on the tape in use."""
    return _inch(amount, label, _TAPE.get())


@lru_cache(2048)
def _inch(amount: int | float | Fraction, label: str, _tape: str) -> Fixed:
    """The same rules are asked for thousands of times in one draft."""
    return as_marked(Fixed(Fraction(amount) * INCH_MM, label))


@dataclass(frozen=True)
class Rule:
    """An amount of a rule in inches, named before it is known which tape is in use; `now` is what that has.

    `metric` is what a metric tape has in cm where it is not the nearest half centimetre.
    """

    amount: int | float | Fraction
    label: str = ""
    metric: int | float | None = None

    @property
    def now(self) -> Fixed:
        """The amount on the tape in use."""
        if self.metric is not None and _TAPE.get() == "cm":
            return cm(self.metric, self.label)
        return inch(self.amount, self.label)


def cm(amount: int | float | Fraction, label: str = "") -> Fixed:
    """`amount` centimetres."""
    return Fixed(Fraction(amount) * 10, label)


def mm(amount: int | float | Fraction, label: str = "") -> Fixed:
    """`amount` millimetres."""
    return Fixed(Fraction(amount), label)


def found(amount: float, label: str) -> Found:
    """A length of `amount` mm worked out on the draft."""
    return Found(amount, label)


def named(length: Length, label: str) -> Length:
    """A fixed length with what it is for."""
    if isinstance(length, Corrected):
        return total(named(length.own, label), *length.by)
    return Fixed(length.size, label) if isinstance(length, Fixed) else length
