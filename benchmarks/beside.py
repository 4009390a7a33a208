"""What is looked at again and again beside a measurement, by a thread of its own."""

import threading
import time
from abc import ABC, abstractmethod
from bisect import bisect_right


class Beside(ABC):
    """Looks every so many seconds, at first after those, until it is ended; `seen` is what it saw, `at` when."""

    EVERY: float

    def __init__(self) -> None:
        self.at: list[float] = []
        self.seen: list[float] = []
        self._over = threading.Event()
        self._thread = threading.Thread(target=self._watch, daemon=True)
        self._thread.start()

    def end(self) -> None:
        self._over.set()
        self._thread.join()

    def between(self, begun: float, ended: float) -> list[float]:
        """What was seen between two moments, by `time.perf_counter`, and right beside them."""
        first = max(0, bisect_right(self.at, begun) - 1)
        return self.seen[first : bisect_right(self.at, ended) + 1]

    @abstractmethod
    def look(self) -> float:
        """What is seen now."""

    def _watch(self) -> None:
        while not self._over.wait(self.EVERY):
            saw = self.look()
            self.at.append(time.perf_counter())
            self.seen.append(saw)
