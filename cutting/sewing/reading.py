"""What is measured on a garment as it is sewn: what it should read, and which seams can give a difference back.

Common practice, no source: sides first, then the back centre, then the darts, each as far as its
allowance can spare.
"""

from collections.abc import Iterable
from dataclasses import dataclass
from fractions import Fraction
from typing import Literal

from cutting.garments import Lower, Top, spare
from cutting.geometry import distance
from cutting.ledger import Row, ledger
from cutting.lengths import Fixed, Length, found, total

ReadingCode = Literal["hip", "waist", "left_leg", "right_leg", "cap", "armhole", "lower_waist", "top_waist"]
GiveCode = Literal["side", "back_centre", "darts", "underarm"]
DEEPER = 12.7
"""A seam is taken in, and a dart made deeper, by so many mm at most: more of it pulls the others out of shape."""


@dataclass(frozen=True)
class Give:
    """Seams of one kind, or darts, that can give: `layers` of cloth in them all round, each by `out` mm at most when
    let out and `into` when taken in; a dart counts as one.
    """

    code: GiveCode
    layers: int
    out: float
    into: float = DEEPER


@dataclass(frozen=True)
class Reading:
    """A tape on the sewn garment: what it should read. `band` is how long the band was cut for that."""

    code: ReadingCode
    wanted: Length
    gives: tuple[Give, ...] = ()
    band: Length | None = None


def waist_reading(garment: Lower) -> tuple[Reading, ...]:
    """The waist round before its band: the ledger's, flat."""
    band = garment.numbers.get("band.cut_length")
    wanted = _sewn(_row(garment, "waist"))
    gives = (*_sides(garment), *_back_centre(garment), *_darts(garment))
    return (Reading("waist", wanted, gives, band.cut if band is not None else None),)


def hip_reading(garment: Lower) -> tuple[Reading, ...]:
    """The hip round after the sides: the ledger's."""
    return (Reading("hip", _sewn(_row(garment, "hip")), _sides(garment)),)


def leg_readings(garment: Lower) -> tuple[Reading, ...]:
    """The inner seam of each leg, from the fork to the edge below: the hem is still to be turned."""
    panel = garment.panels[garment.main[0]]
    length = total(_amount(panel.edges["inner_leg"].path.length, "inner_seam"), Fixed(garment.ask.hem_turn.size, "hem"))
    return (Reading("left_leg", length), Reading("right_leg", length))


def cap_readings(garment: Top) -> tuple[Reading, ...]:
    """A sleeve's cap and the armhole that it is set in, flat."""
    panels = garment.panels
    cap = sum(panels["sleeve"].edges[key].path.length for key in ("cap", "back_cap"))
    armhole = sum(panels[key].edges["armhole"].path.length for key in ("front", "back"))
    gives = _of_edge(garment, "underarm", 2, ("sleeve", "underarm"))
    return (Reading("cap", found(cap, "on_the_draft"), gives), Reading("armhole", found(armhole, "on_the_draft")))


def join_readings(top: Top, lower: Lower) -> tuple[Reading, ...]:
    """The waist of a jumpsuit's halves before they are joined, both flat: what is fuller is drawn in to the other."""
    gives = (*_sides(lower), *_back_centre(lower), *_darts(lower))
    flat = _row(top, "waist")
    lean = flat.gathers - top.gathered
    above = total(_sewn(flat), found(-lean, "lean")) if abs(lean) > 0.0005 else _sewn(flat)
    return (Reading("lower_waist", _sewn(_row(lower, "waist")), gives), Reading("top_waist", above))


def _row(garment: Lower | Top, level: str) -> Row:
    return next(row for row in ledger(garment) if row.level == level)


def _sewn(row: Row) -> Length:
    """A row as a sum: what is cut all round, less seams and darts. Gathers are drawn in later."""
    parts = ((row.cut, "cut_round"), (-row.seams, "in_seams"), (-row.darts, "in_darts"))
    return total(*(_amount(mm, label) for mm, label in parts if abs(mm) > 0.0005))


def _amount(mm: float, label: str) -> Fixed:
    """What was measured on the draft, to a thousandth of a mm, so that it shows in the sum."""
    return Fixed(Fraction(round(mm * 1000), 1000), label)


def _sides(garment: Lower) -> tuple[Give, ...]:
    return _of_edge(garment, "side", 4, ("front", "side"))


def _back_centre(garment: Lower) -> tuple[Give, ...]:
    return _of_edge(garment, "back_centre", 2, ("back", "crotch"), ("leg", "back_crotch"))


def _of_edge(garment: Lower | Top, code: GiveCode, layers: int, *places: tuple[str, str]) -> tuple[Give, ...]:
    out = spare(garment, *places)
    return () if out is None else (Give(code, layers, max(0.0, out.mm)),)


def _darts(garment: Lower) -> tuple[Give, ...]:
    """A dart can be let out altogether."""
    darts = [dart for name in garment.main for dart in garment.panels[name].darts if dart.edge == "waist"]
    if not darts:
        return ()
    return (Give("darts", 2 * len(darts), min(_mouths(garment))),)


def _mouths(garment: Lower) -> Iterable[float]:
    for name in garment.main:
        for dart in garment.panels[name].darts:
            if dart.edge == "waist":
                yield distance(dart.near, dart.far)
