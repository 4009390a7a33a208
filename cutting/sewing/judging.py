"""What a reading on the sewn garment means: whether it agrees, where the difference is given back, the band for it.

Common practice, no source: a quarter of an inch all round is within what sewing is, an eighth between two legs.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Literal

from cutting.sewing.reading import GiveCode, Reading

DoubtCode = Literal["", "swapped", "other_unit", "far"]
WITHIN, ALIKE = 6.35, 3.2
"""All round, and between two that should be alike: no more than so many mm apart is as it should be."""
LEAST, MOST = 0.8, 1.25
"""A reading that is less or more than so many times what it should be is doubted."""
INCH, SAME = 25.4, 0.01
"""So many mm are nothing: a tape that reads a quarter of an inch off is not off by more than that."""


@dataclass(frozen=True)
class Given:
    """At each of so many layers `each` mm: let out, or taken in where it is less than nothing. A dart is one layer."""

    code: GiveCode
    layers: int
    each: float


@dataclass(frozen=True)
class Judged:
    """`off` is by how many mm the reading is more than it should be, or the first of two more than the other: of two
    that give nothing back more than it should be.

    What the seams give by `given`, `left` is what they cannot; `band` how long a band is cut for the reading.
    A doubt is about the reading called `doubted`: nothing else is said then.
    """

    off: float
    agrees: bool
    given: tuple[Given, ...] = ()
    left: float = 0.0
    band: float | None = None
    doubt: DoubtCode = ""
    doubted: str = ""


def judge(readings: Sequence[Reading], read: Mapping[str, float], sure: bool = False) -> Judged:
    """What the mm that were read mean, by the codes of the readings; not doubted where somebody is `sure`."""
    for one in readings:
        doubt = "" if sure else doubt_of(one.wanted.mm, read[one.code])
        if doubt:
            return Judged(read[one.code] - one.wanted.mm, False, doubt=doubt, doubted=one.code)
    first = readings[0]
    if len(readings) == 1:
        off = read[first.code] - first.wanted.mm
        band = None if first.band is None else first.band.mm + off
        return _given(first, off, -off, WITHIN, band)
    other = readings[1]
    off = read[first.code] - read[other.code]
    wanted = first.wanted.mm - other.wanted.mm
    if not first.gives:
        return Judged(off - wanted, abs(off - wanted) <= ALIKE + SAME)
    return _given(first, off, wanted - off, WITHIN, None)


def _given(reading: Reading, off: float, more: float, within: float, band: float | None) -> Judged:
    """Shares what is wanted more (or less) among the seams, in their order, each as far as it can."""
    if abs(more) <= within + SAME:
        return Judged(off, True, band=band)
    given, left = list[Given](), more
    for one in reading.gives:
        limit = one.layers * (one.out if more > 0 else one.into)
        share = min(abs(left), limit) * (1 if more > 0 else -1)
        if abs(share) < SAME:
            continue
        given.append(Given(one.code, one.layers, share / one.layers))
        left -= share
    return Judged(off, False, tuple(given), left if abs(left) > SAME else 0.0, band)


def doubt_of(wanted: float, read: float) -> DoubtCode:
    """Whether a reading cannot be, and what it looks like: its figures swapped, the other unit, or neither."""
    if LEAST * wanted <= read <= MOST * wanted:
        return ""
    for size in (INCH, 10.0):
        was, now = round(wanted // size), round(read // size)
        if 10 <= was < 100 and 10 <= now < 100 and abs(int(str(now)[::-1]) - was) <= 1 and now != was:
            return "swapped"
    if any(LEAST * wanted <= read * factor <= MOST * wanted for factor in (2.54, 1 / 2.54)):
        return "other_unit"
    return "far"
