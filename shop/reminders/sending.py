"""Sending what waits in the outbox, on the queue: with growing pauses where the gateway is down."""

from datetime import datetime, timedelta
from uuid import UUID
from zoneinfo import ZoneInfo

from django.db.models import F, QuerySet
from django.utils import timezone
from procrastinate.contrib.django import app

from shop.reminders import gateway
from shop.reminders.models import Reminder
from shop.reminders.queries import by_day

PAUSES = tuple(timedelta(minutes=minutes) for minutes in (1, 5, 15, 60, 240, 720))
"""After each time that the gateway was down; when they are over, it is given up."""


@app.task(name="send_reminder", queue="post", queueing_lock=None, retry=2)
def send(*, reminder: str) -> None:
    """Send a reminder once. A worker that is killed on the way is taken up again, with the same id: the gateway takes
    it once.
    """
    rows = Reminder._base_manager.filter(pk=UUID(reminder), state=Reminder.WAITING)
    row = rows.select_related("order__client", "workshop").first()
    if row is None:
        return
    zone = row.workshop.time_zone
    with timezone.override(ZoneInfo(zone) if zone else None):
        now = timezone.now()
        if row.next_at > now:
            return  # It has another place on the queue, then.
        if by_day(now) > now:
            _later(rows, row, by_day(now))
            return
        if not row.order.client.takes_reminders:
            rows.update(state=Reminder.HELD_BACK, version=F("version") + 1)
            return
        # Of two workers one goes on.
        if not rows.filter(version=row.version).update(version=F("version") + 1, tries=F("tries") + 1):
            return
        answer = gateway.put(row.id, row.to, row.text)
        if answer == "taken":
            rows.update(state=Reminder.SENT, sent_at=timezone.now(), trouble="")
        elif answer == "refused":
            rows.update(state=Reminder.REFUSED, trouble=answer)
        elif row.tries >= len(PAUSES):
            rows.update(state=Reminder.GIVEN_UP, trouble=answer)
        else:
            rows.update(trouble=answer)
            _later(rows, row, by_day(timezone.now() + PAUSES[row.tries]))


def _later(rows: QuerySet[Reminder], row: Reminder, at: datetime) -> None:
    rows.update(next_at=at)
    send.configure(schedule_at=at).defer(reminder=str(row.id))
