"""What ticks teach: how long an operation takes in this workshop. Common practice, no source."""

from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median

LAST, BREAKS, SLIP, WEIGHT = 20, 3.0, 0.1, 5
"""The last so many times count; what took more than so many times the usual was broken off for something else, what
took less than such a share of it was pressed by mistake; the usual counts like so many times while there are few.
"""


@dataclass(frozen=True)
class OwnTime:
    """The minutes of an operation here, and their sum in numbers: `(3 x 9 + 5 x 8) / 8`, empty where none counted."""

    minutes: float
    summed: str = ""


def own_minutes(usual: float, taken: Sequence[float]) -> OwnTime:
    """The minutes of an operation, the usual ones drawn towards the middle of the times `taken`, last first."""
    counted = [one for one in taken[:LAST] if one > 0 and (not usual or SLIP * usual <= one <= BREAKS * usual)]
    if not counted:
        return OwnTime(usual)
    weight = WEIGHT if usual else 0
    times, middle = len(counted), median(counted)
    summed = f"({times} x {middle:.3g} + {weight} x {usual:g}) / {times + weight}" if weight else ""
    return OwnTime((times * middle + weight * usual) / (times + weight), summed)
