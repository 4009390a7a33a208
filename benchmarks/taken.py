"""When the machine that is measured was not its own: a virtual one waits while its host works for others. Linux counts
that as stolen time.
"""

import threading
import time
from bisect import bisect_right
from pathlib import Path

EVERY = 0.5
"""Seconds between two looks."""
MUCH = 0.1
"""So much of all processors taken is worth being set apart."""


class Taken:
    """Looks at the machine while something is measured, until it is ended."""

    def __init__(self) -> None:
        self.at: list[float] = []
        self.share: list[float] = []
        self._over = threading.Event()
        self._thread = threading.Thread(target=self._look, daemon=True)
        self._thread.start()

    def end(self) -> None:
        self._over.set()
        self._thread.join()

    def within(self, begun: float, ended: float) -> bool:
        """Whether much was taken between two moments, by `time.perf_counter`, or right beside them."""
        first = max(0, bisect_right(self.at, begun) - 1)
        return any(share > MUCH for share in self.share[first : bisect_right(self.at, ended) + 1])

    def __str__(self) -> str:
        much = sum(share > MUCH for share in self.share)
        return (
            f"the host took {sum(self.share) / max(1, len(self.share)):.0%} of the processors for others, "
            f"more than {MUCH:.0%} in {much / max(1, len(self.share)):.0%} of the time"
        )

    def _look(self) -> None:
        before = _ticks()
        while not self._over.wait(EVERY):
            now = _ticks()
            self.at.append(time.perf_counter())
            self.share.append((now[0] - before[0]) / max(1, now[1] - before[1]))
            before = now


def _ticks() -> tuple[int, int]:
    """Stolen, and all, of all processors since the machine was started. Source: proc(5), /proc/stat."""
    counted = [int(word) for word in Path("/proc/stat").read_text().split("\n", 1)[0].split()[1:9]]
    return counted[7], sum(counted)
