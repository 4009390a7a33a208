"""What the queue does: make a schedule in a supervised child process."""

from uuid import UUID

from procrastinate.contrib.django import app

from shop.bridge.making_schedule import make_schedule
from shop.scheduling.models import Schedule


@app.task(name="make_schedule", queue="lay", queueing_lock=None, retry=2)
def make(*, schedule: str) -> None:
    """Make a schedule once; a child that breaks off has failed."""
    # The queue carries no workshop: it serves all of them, and reads just the row it was given.
    rows = Schedule._base_manager.filter(pk=UUID(schedule), state=Schedule.QUEUED)
    row = rows.first()
    if row is None:
        return
    made = make_schedule(row.asked)
    # What was asked is of no use any more.
    state = Schedule.FAILED if made is None else Schedule.DONE
    rows.update(state=state, made=made or {}, asked={}, version=row.version + 1)
