"""The archives that owners ask for: made on the queue, gone a day later."""

from procrastinate.contrib.django import app

from shop.accounts.models import Workshop
from shop.archive import taking_along


@app.task(name="archive", queue="lay")
def archive(workshop: str) -> None:
    """All of a workshop as one file."""
    taking_along.make(Workshop.objects.get(pk=workshop))


@app.periodic(cron="35 * * * *")
@app.task(name="forget_archives", queue="lay", queueing_lock="forget_archives")
def forget_archives(timestamp: int) -> None:
    """What was not taken within a day."""
    taking_along.forget()
