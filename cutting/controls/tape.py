"""One control tape: where it is, what it reads, by how much it may be off.

How sure a tape is read is common practice, no source: a sixteenth of an inch.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from math import sqrt

from cutting.calls import Name

FEWEST, MOST = 3, 6
"""So many tapes a piece."""
SHORTEST, LONGEST = 100.0, 1500.0
"""What one tape reaches, in mm: a tape measure is 60 in long."""
HONEST = 1.6
"""A tape is read to a sixteenth of an inch, in mm."""
ROUNDED = HONEST / sqrt(12)
"""A mark that is rounded to a sixteenth is off by so many mm as a rule: the spread of an even chance."""
RARELY = 3.5
"""Honest marks come to more than so many times their spread about once in two thousand tapes."""
NOT_CUT = 6.35
"""Off by more than a quarter of an inch it is not cut: CALLS 13."""
SHOWS = 0.6
"""A mark shows in a tape that reads so many mm more or less for each mm it is off: 3/8 in is seen then."""
NAMED = 3
"""No more marks than these are named."""


@dataclass(frozen=True)
class Tape:
    """One control tape, between two chalked points; `mm` what it reads, `slopes` by how much more for each mm that the
    call of that number is off.
    """

    one: Name
    other: Name
    mm: float
    slopes: Mapping[int, float]

    @property
    def honest(self) -> float:
        """A reading that is off by no more, in mm, has nothing wrong: every mark it depends on was rounded to the
        tape, and it is read to a sixteenth itself.
        """
        rounded = sqrt(sum(slope * slope for slope in self.slopes.values())) * ROUNDED
        return min(HONEST + RARELY * rounded, NOT_CUT)
