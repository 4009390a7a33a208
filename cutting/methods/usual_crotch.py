"""How long the crotch usually is on such a body, where it was not measured: from trousers that are drafted for it.

Source: the sewn crotch seam of a quarter-hip draft was compared with the crotch of 93 adult bodies of a general
parametric body model, cut along their middle plane: by the measured rise it is 2.5 cm longer than the body, sd 2.1; by
a quarter of the hip 1.4 cm longer, sd 6.8.
"""

from contextlib import suppress
from fractions import Fraction
from functools import lru_cache
from typing import Literal

from cutting.body import Body, Correction
from cutting.errors import CuttingError
from cutting.lengths import inch, unit_of_tape
from cutting.methods.fit import crotch_seam
from cutting.methods.registry import METHODS, resolve

LONGER = {"rise": (25.0, 21.0), "hip": (14.0, 68.0)}
"""How much longer the draft's seam is than the body in the middle, and the standard deviation, in mm."""
LENGTH = inch(40)
"""Any length of leg: the crotch seam is the same."""


def usual_crotch(body: Body) -> tuple[float, float, str] | None:
    """From and to, in mm: two standard deviations either way; by "rise" or "hip". None without waist or hip."""
    if not (body.has("waist") and body.has("hip")):
        return None
    return _of(unit_of_tape(), tuple(body.sizes.items()), body.corrections, body.side)


@lru_cache(64)
def _of(
    _unit: str, sizes: tuple[tuple[str, Fraction], ...], corrections: tuple[Correction, ...],
    side: Literal["right", "left"],
) -> tuple[float, float, str] | None:  # fmt: skip
    """The same of all that it follows from: one body is drafted for many times, as often as a choice is looked at."""
    body = Body(dict(sizes), corrections, side)
    if body.has("body_rise"):
        depth, by = "seated", "rise"
    elif body.has("outseam") and body.has("inseam"):
        depth, by = "outseam-inseam", "rise"
    else:
        depth, by = "hip/4", "hip"
    how = METHODS["quarter-hip"]
    ask = resolve("quarter-hip", "straight-trousers", {"crotch_depth": depth, "length": LENGTH})
    longer, deviation = LONGER[by]
    with suppress(CuttingError):
        middle = crotch_seam(ask, how.draw(body, ask, how.seats)) - longer
        return middle - 2 * deviation, middle + 2 * deviation, by
    return None
