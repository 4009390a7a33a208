"""Work that somebody gives to another person, or puts on another day, by hand."""

from collections.abc import Collection
from dataclasses import replace

from cutting.scheduling.hours import DAY
from cutting.scheduling.judging import done_on
from cutting.scheduling.placing import Schedule, as_before
from cutting.scheduling.task import Before, Work


def by_hand(work: Work, stands: Schedule, tasks: Collection[str], worker: str, day: int) -> Schedule:
    """A schedule with some tasks done by a worker, on a day before all else that they would begin on it; everything
    else as it stands, moved on only where it must. They come after the day where what they need does, or where that
    day has no room; by others where the worker cannot do them. That they are not done sooner is for their `earliest`.
    """
    was = {id: Before(one.worker, done_on(one), one.start) for id, one in stands.placed.items()}
    was |= {id: Before(worker, day, day * DAY) for id in tasks}
    return as_before(replace(work, was=was))
