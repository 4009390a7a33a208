"""Second ways to a point that is missing or unwelcome: an estimate with its sum, never a measurement."""

from collections.abc import Callable
from dataclasses import dataclass
from fractions import Fraction

from cutting.body.body import Body
from cutting.lengths import Length, inch


@dataclass(frozen=True)
class Way:
    """Another way to `key` from the points it `needs`; `off` is how far it may miss, in mm, where that is known."""

    key: str
    code: str
    needs: tuple[str, ...]
    sum: Callable[[Body], Length]
    off: float | None = None


# Lengths: common practice, no source. Girths: the middle share of 507 adults' hips (bdims), with twice its spread.
# Knee level: half of crotch to ankle, up 1 1/2 in: within 1.8 cm on five people (yeadon samples).
WAYS: tuple[Way, ...] = (
    Way("body_rise", "outseam_less_inseam", ("outseam", "inseam"), lambda b: b.outseam - b.inseam),
    Way("body_rise", "quarter_of_hip", ("hip",), lambda b: b.hip / 4, 38.1),
    Way("inseam", "outseam_less_rise", ("outseam", "body_rise"), lambda b: b.outseam - b.body_rise),
    Way("outseam", "inseam_and_rise", ("inseam", "body_rise"), lambda b: b.inseam + b.body_rise),
    Way(
        "waist_to_knee", "knee_by_halves", ("outseam", "inseam"),
        lambda b: b.outseam - b.inseam / 2 - inch(1.5, "lift"), 18,
    ),
    Way("thigh", "thigh_from_hip", ("hip",), lambda b: b.hip * Fraction(59, 100), 46),
    Way("knee", "knee_from_hip", ("hip",), lambda b: b.hip * Fraction(3, 8), 40),
    Way("low_waist", "low_waist_between", ("waist", "hip"), lambda b: (b.waist + b.hip) / 2),
    Way("neck_to_waist", "front_from_back", ("nape_to_waist",), lambda b: b.nape_to_waist + inch(1.5, "over_the_bust")),
)  # fmt: skip

FLAT = {
    "waist": 2, "hip": 2, "thigh": 2, "knee": 2, "outseam": 1, "inseam": 1,
}  # fmt: skip
"""Trousers that fit, laid flat: what a width across counts for. A girth so found holds the trousers' own ease."""


def ways_to(key: str, body: Body) -> list[tuple[Way, Length]]:
    """The second ways to a point that this body's measures allow, best first, each with its length."""
    return [(way, way.sum(body)) for way in WAYS if way.key == key and all(body.has(need) for need in way.needs)]


def from_flat(key: str, flat: Fraction) -> Fraction:
    """What trousers that fit say of a point: `flat` mm across or along them. KeyError where they say nothing of it."""
    return flat * FLAT[key]
