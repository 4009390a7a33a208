"""How fast the machine is while something is measured: a virtual one is slowed down by its neighbours without any time
being taken from it that Linux could count. A fixed loop is timed again and again, by what it takes of the processor.
"""

import time
from statistics import median

from benchmarks.beside import Beside

TURNS = 20_000
SLOW = 1.4
"""It is slow where the loop takes so many times the least it took."""


class Pace(Beside):
    """How many ms of the processor the loop takes."""

    EVERY = 2.0

    def slow(self, begun: float, ended: float) -> bool:
        """Whether the machine was slow at any look between two moments, by `time.perf_counter`."""
        return any(took > SLOW * min(self.seen) for took in self.between(begun, ended))

    def __str__(self) -> str:
        if not self.seen:
            return "its speed was not looked at"
        slow = sum(took > SLOW * min(self.seen) for took in self.seen) / len(self.seen)
        return (
            f"a loop of {TURNS} turns took {min(self.seen):.2f} ms of the processor at least, "
            f"{median(self.seen):.2f} in the middle, more than {SLOW:g} times the least in {slow:.0%} of the time"
        )

    def look(self) -> float:
        begun = time.thread_time()
        sum(k * k % 7 for k in range(TURNS))
        return 1000 * (time.thread_time() - begun)
