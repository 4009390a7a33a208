"""The schedule that a workshop goes by, worked out once as long as nothing of the question changes: many look at the
week, few move anything.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from datetime import datetime
from functools import lru_cache

from cutting.scheduling import Cure
from shop.bridge.scheduling import Stands, Waiting, Waits, WasPlaced, Works, next_step, standing, work_of

KEPT = 32
"""So many are kept by each process, each of a few hundred kB."""


@dataclass(frozen=True)
class Standing:
    """What waits, the schedule that this goes by, and what was found to keep its broken promises, by order."""

    work: Waits
    stands: Stands
    cures: dict[str, tuple[Cure, ...]] = field(default_factory=dict)


@dataclass(frozen=True)
class _Question:
    """All that a schedule follows from; two with the same text are the same question."""

    text: str
    people: Sequence[Works] = field(compare=False)
    waiting: Sequence[Waiting] = field(compare=False)
    own: Mapping[str, float] = field(compare=False)
    now: datetime = field(compare=False)
    shared: Mapping[str, int] = field(compare=False)
    kept: Mapping[str, WasPlaced] = field(compare=False)


def standing_of(
    people: Sequence[Works], waiting: Sequence[Waiting], own: Mapping[str, float], now: datetime,
    shared: Mapping[str, int], kept: Mapping[str, WasPlaced],
) -> Standing:  # fmt: skip
    """What waits from this moment on, by the workshop's own clock, and the schedule that it goes by."""
    text = repr((people, waiting, own, next_step(now), shared, kept))
    return _answer(_Question(text, people, waiting, own, now, shared, kept))


@lru_cache(KEPT)
def _answer(asked: _Question) -> Standing:
    work = work_of(asked.people, asked.waiting, asked.own, asked.now, asked.shared, asked.kept)
    return Standing(work, standing(work))
