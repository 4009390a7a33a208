"""What the queue does by its own clock for the client book."""

from procrastinate.contrib.django import app

from shop.clients.seen import forget_old


@app.periodic(cron="17 3 * * *")
@app.task(name="forget_old_seen", queue="lay", queueing_lock="forget_old_seen")
def forget_old_seen(timestamp: int) -> None:
    """Every night: who saw what is kept for a little over a year."""
    forget_old()
