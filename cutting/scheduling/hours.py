"""When somebody works, in minutes of the workshop's own clock from the midnight that a schedule begins at."""

from bisect import bisect_right
from collections.abc import Collection, Sequence
from dataclasses import dataclass

from cutting.cached import cached_property

DAY = 1440
Span = tuple[int, int]
"""From and to a minute."""
Week = tuple[tuple[Span, ...], ...]
"""Of each weekday, Monday first, the minutes of the day that are worked."""


@dataclass(frozen=True)
class Hours:
    """The spans that somebody works, in order and apart.

    Work is counted along them: what is begun before a break goes on after it. So a task has a place among the minutes
    that somebody works, and that is two moments of the clock.
    """

    spans: tuple[Span, ...]

    @cached_property
    def _starts(self) -> list[int]:
        return [start for start, _ in self.spans]

    @cached_property
    def _before(self) -> list[int]:
        """How many minutes are worked before each span, and all of them."""
        found = [0]
        for start, end in self.spans:
            found.append(found[-1] + end - start)
        return found

    @property
    def all(self) -> int:
        """How many minutes are worked in the end."""
        return self._before[-1]

    def worked(self, at: int) -> int:
        """How many minutes are worked up to a moment."""
        k = bisect_right(self._starts, at) - 1
        if k < 0:
            return 0
        start, end = self.spans[k]
        return self._before[k] + min(at, end) - start

    def begins(self, worked: int) -> int:
        """The moment at which the minute after so many worked ones begins."""
        k = min(bisect_right(self._before, worked) - 1, len(self.spans) - 1)
        return self.spans[k][0] + worked - self._before[k]

    def ends(self, worked: int) -> int:
        """The moment at which so many minutes, one at least, are worked."""
        return self.begins(worked - 1) + 1

    def between(self, start: int, end: int) -> tuple[Span, ...]:
        """What is worked from one moment to another."""
        first = max(0, bisect_right(self._starts, start) - 1)
        found = []
        for low, high in self.spans[first:]:
            if low >= end:
                break
            if high > start:
                found.append((max(low, start), min(high, end)))
        return tuple(found)


def hours_of(week: Week, first_weekday: int, days: int, off: Collection[int] = (), begin: int = 0) -> Hours:
    """The hours of so many days by a week's, without the days `off`, by their numbers, and nothing before the minute
    `begin`. The first day is the weekday `first_weekday`, 0 for a Monday.
    """
    spans = []
    for day in range(days):
        if day in off:
            continue
        for low, high in week[(first_weekday + day) % 7]:
            start, end = max(day * DAY + low, begin), day * DAY + high
            if start < end:
                spans.append((start, end))
    return Hours(_joined(spans))


def _joined(spans: Sequence[Span]) -> tuple[Span, ...]:
    """Spans that touch are one."""
    found: list[Span] = []
    for start, end in sorted(spans):
        if found and start <= found[-1][1]:
            found[-1] = found[-1][0], max(end, found[-1][1])
        else:
            found.append((start, end))
    return tuple(found)
