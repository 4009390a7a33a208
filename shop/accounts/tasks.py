"""What the queue does by its own clock for people and their sessions."""

from procrastinate.contrib.django import app

from shop.accounts.sessions import SessionStore


@app.periodic(cron="47 3 * * *")
@app.task(name="forget_ended_sessions", queue="lay", queueing_lock="forget_ended_sessions")
def forget_ended_sessions(timestamp: int) -> None:
    """Every night: sessions that nobody used for long are taken off."""
    SessionStore.clear_expired()
