"""How fast the machine is while something is measured: a virtual one is slowed down by its neighbours without any time
being taken from it that Linux could count. A fixed loop is timed again and again, by what it takes of the processor.
"""

import threading
import time
from bisect import bisect_right
from statistics import median

EVERY = 2.0
"""Seconds between two looks."""
TURNS = 20_000
SLOW = 1.4
"""It is slow where the loop takes so many times the least it took."""


class Pace:
    """Times the loop until it is ended."""

    def __init__(self) -> None:
        self.at: list[float] = []
        self.took: list[float] = []
        self._over = threading.Event()
        self._thread = threading.Thread(target=self._look, daemon=True)
        self._thread.start()

    def end(self) -> None:
        self._over.set()
        self._thread.join()

    def slow(self, begun: float, ended: float) -> bool:
        """Whether it was slow at any look between two moments, by `time.perf_counter`, or right beside them."""
        least = SLOW * min(self.took)
        first = max(0, bisect_right(self.at, begun) - 1)
        return any(took > least for took in self.took[first : bisect_right(self.at, ended) + 1])

    def __str__(self) -> str:
        slow = sum(took > SLOW * min(self.took) for took in self.took) / len(self.took)
        return (
            f"a loop of {TURNS} turns took {min(self.took):.2f} ms of the processor at least, "
            f"{median(self.took):.2f} in the middle, more than {SLOW:g} times the least in {slow:.0%} of the time"
        )

    def _look(self) -> None:
        while True:
            begun = time.thread_time()
            sum(k * k % 7 for k in range(TURNS))
            self.took.append(1000 * (time.thread_time() - begun))
            self.at.append(time.perf_counter())
            if self._over.wait(EVERY):
                return
