"""Which backups are kept: all of two days, then of the last days one each, then one a week, then one a month."""

from collections.abc import Callable, Hashable, Iterable
from datetime import datetime, timedelta

RECENT = timedelta(days=2)
"""All are kept for so long: one that was made before something was tried is not replaced by the next one."""
DAYS, WEEKS, MONTHS = 7, 4, 12


def kept(made: Iterable[datetime]) -> set[datetime]:
    """Of the moments at which backups were made those that are kept: those within RECENT of the newest, and the newest
    of each of the last DAYS days, WEEKS weeks and MONTHS months on which there is any. Days without one take no place.
    """
    newest_first = sorted(set(made), reverse=True)
    found = {at for at in newest_first if newest_first[0] - at <= RECENT}
    parts: tuple[tuple[int, Callable[[datetime], Hashable]], ...] = (
        (DAYS, lambda at: at.date()),
        (WEEKS, lambda at: at.isocalendar()[:2]),
        (MONTHS, lambda at: (at.year, at.month)),
    )
    for most, part in parts:
        seen = set[Hashable]()
        for at in newest_first:
            if part(at) not in seen and len(seen) < most:
                seen.add(part(at))
                found.add(at)
    return found
