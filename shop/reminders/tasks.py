"""What the queue does by itself: remind where a workshop wants that, and take up what lost its place."""

from datetime import timedelta
from zoneinfo import ZoneInfo

from django.utils import timezone
from procrastinate.contrib.django import app

from shop.accounts.models import User, Workshop
from shop.reminders.actions import put_all_due
from shop.reminders.models import Reminder
from shop.reminders.sending import send

LOST = timedelta(minutes=15)
"""What should have been sent so long ago lost its place on the queue."""


@app.periodic(cron="*/10 * * * *")
@app.task(name="remind", queue="post", queueing_lock="remind")
def remind(timestamp: int) -> None:
    """Where a workshop reminds by itself, what is due goes to the outbox; what lost its place on the queue gets one."""
    for row in Reminder._base_manager.filter(state=Reminder.WAITING, next_at__lt=timezone.now() - LOST):
        send.defer(reminder=str(row.id))
    for workshop in Workshop.objects.filter(reminds=True):
        owner = User.objects.filter(workshop=workshop, role="owner", is_active=True).order_by("id").first()
        if owner is not None:
            with timezone.override(ZoneInfo(workshop.time_zone) if workshop.time_zone else None):
                put_all_due(owner)
