"""A sum for the ear: at most four terms, where the whole sum has more.

What cancels out is left out, the same measure twice is said once, a measure is said with its ease, seams and a rule's
own amounts are added up; where that is not enough, what the measures give is said as one number. The size stays what it
is.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction

from cutting.lengths import Exact, Fixed, Found, Length, Measured, Scaled, Sum, total

MOST = 4
"""So many terms can be followed with chalk in hand. Common practice, no source."""
SEAMS, SEAM = ("allowance.", "seam", "two_seams"), "seams"
EASE, DRAWN = "_ease", "drawn"


@dataclass(frozen=True)
class Given(Length):
    """What measures give, as one number that was worked out before: `eased` one measure and its ease, else all that was
    made of those.
    """

    keys: tuple[str, ...]
    size: Exact
    eased: bool = False

    @property
    def value(self) -> Exact:
        return self.size


def in_few_terms(length: Length) -> Length:
    """The same length in fewer terms, step by step until there are at most four of them."""
    for step in (_like_terms, _eased, _alike, _shares, _measures, _drawn):
        if terms(length) <= MOST:
            break
        length = step(length)
    return length


def terms(length: Length) -> int:
    """How many numbers are added up."""
    if isinstance(length, Sum):
        return sum(terms(term) for term in length.terms)
    return terms(length.of) if isinstance(length, Scaled) else 1


def _like_terms(length: Length) -> Length:
    """Without what cancels out; what is added up twice is said once."""
    if isinstance(length, Scaled):
        return Scaled(_like_terms(length.of), length.factor)
    if not isinstance(length, Sum):
        return length
    found: dict[tuple[Length, Fraction], Fraction] = {}
    for of, factor in _flat(length, Fraction(1)):
        same = of, abs(factor)
        found[same] = found.get(same, Fraction(0)) + factor
    return _added([_times(of, factor) for (of, _), factor in found.items() if factor])


def _flat(length: Length, factor: Fraction) -> Iterator[tuple[Length, Fraction]]:
    """Every term with its share; a share of a sum stays together, what is only added or taken away is opened."""
    if isinstance(length, Sum):
        for term in length.terms:
            yield from _flat(term, factor)
    elif isinstance(length, Scaled) and (abs(length.factor) == 1 or not isinstance(length.of, Sum)):
        yield from _flat(length.of, factor * length.factor)
    elif isinstance(length, Scaled):
        yield _like_terms(length.of), factor * length.factor
    else:
        yield length, factor


def _times(of: Length, factor: Fraction) -> Length:
    if isinstance(of, Fixed):
        return Fixed(of.size * factor, of.label)
    if isinstance(of, Found):
        return Found(of.size * float(factor), of.label)
    return of if factor == 1 else Scaled(of, factor)


def _added(parts: list[Length]) -> Length:
    """Never a minus first."""
    return total(*sorted(parts, key=lambda part: part.value < 0))


def _eased(length: Length) -> Length:
    """A measure and its ease as one."""
    if isinstance(length, Scaled):
        return Scaled(_eased(length.of), length.factor)
    if not isinstance(length, Sum):
        return length
    first, *rest = length.terms
    if isinstance(first, Measured) and all(isinstance(one, Fixed) and one.label.endswith(EASE) for one in rest):
        return Given((first.key,), length.value, eased=True)
    return total(*(_eased(term) for term in length.terms))


def _alike(length: Length) -> Length:
    """All seams of a sum as one, and all amounts that a rule just has."""
    if isinstance(length, Scaled):
        return Scaled(_alike(length.of), length.factor)
    if not isinstance(length, Sum):
        return length
    found: dict[str, Length] = {}
    for n, term in enumerate(length.terms):
        label = _kind(term)
        known = found.get(label) if label is not None else None
        if label is None or known is None:
            found[label if label is not None else str(n)] = _alike(term)
        elif isinstance(known, Fixed) and isinstance(term, Fixed):
            found[label] = Fixed(known.size + term.size, label)
    return _added(list(found.values()))


def _kind(term: Length) -> str | None:
    """The name under which amounts are added up; None for what stays by itself."""
    if not isinstance(term, Fixed):
        return None
    return SEAM if term.label.startswith(SEAMS) else "" if term.label == "" else None


def _shares(length: Length) -> Length:
    """A share of a sum as a share of one number."""
    if isinstance(length, Scaled):
        of = _given(length.of) if isinstance(length.of, Sum) else None
        return Scaled(of or _shares(length.of), length.factor)
    return total(*(_shares(term) for term in length.terms)) if isinstance(length, Sum) else length


def _measures(length: Length) -> Length:
    """What comes from measures as one number, with as much of what the rule adds to them as there has to be."""
    if isinstance(length, Scaled):
        return Scaled(_measures(length.of), length.factor)
    if not isinstance(length, Sum):
        return length
    rest = [one for one in length.terms if isinstance(one, Found) or _kind(one) == SEAM]
    added = [one for one in length.terms if one not in rest]
    added.sort(key=lambda one: 0 if any(_keys(one)) else 1 if _kind(one) == "" else 2)
    short: Length = length
    for size in range(1, len(added) + 1):
        given = _given(Sum(tuple(added[:size])))
        short = total(*([given] if given is not None else added[:size]), *added[size:], *rest)
        if terms(short) <= MOST:
            return short
    return short


def _drawn(length: Length) -> Length:
    """What was found on the draft as one."""
    if not isinstance(length, Sum):
        return length
    found = [one for one in length.terms if isinstance(one, Found)]
    rest = [one for one in length.terms if one not in found]
    return total(*rest, Found(sum(one.size for one in found), DRAWN)) if len(found) > 1 else length


def _given(length: Sum) -> Given | None:
    keys = tuple(dict.fromkeys(_keys(length)))
    return Given(keys, length.value) if keys else None


def _keys(length: Length) -> Iterator[str]:
    """The measures in a length."""
    if isinstance(length, Measured):
        yield length.key
    elif isinstance(length, Given):
        yield from length.keys
    elif isinstance(length, Scaled):
        yield from _keys(length.of)
    elif isinstance(length, Sum):
        for term in length.terms:
            yield from _keys(term)
