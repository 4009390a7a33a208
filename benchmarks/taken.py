"""When the machine that is measured was not its own: a virtual one waits while its host works for others. Linux counts
that as stolen time.
"""

from pathlib import Path

from benchmarks.beside import Beside

MUCH = 0.1
"""So much of all processors taken is worth being set apart."""


class Taken(Beside):
    """Which share of all processors was taken since the look before."""

    EVERY = 0.5

    def __init__(self) -> None:
        self._before = _ticks()
        super().__init__()

    def within(self, begun: float, ended: float) -> bool:
        """Whether much was taken between two moments, by `time.perf_counter`, or right beside them."""
        return any(share > MUCH for share in self.between(begun, ended))

    def __str__(self) -> str:
        much = sum(share > MUCH for share in self.seen)
        return (
            f"the host took {sum(self.seen) / max(1, len(self.seen)):.0%} of the processors for others, "
            f"more than {MUCH:.0%} in {much / max(1, len(self.seen)):.0%} of the time"
        )

    def look(self) -> float:
        now, before = _ticks(), self._before
        self._before = now
        return (now[0] - before[0]) / max(1, now[1] - before[1])


def _ticks() -> tuple[int, int]:
    """Stolen, and all, of all processors since the machine was started. Source: proc(5), /proc/stat."""
    counted = [int(word) for word in Path("/proc/stat").read_text().split("\n", 1)[0].split()[1:9]]
    return counted[7], sum(counted)
