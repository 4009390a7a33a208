"""A worker killed on its way: another takes up what it began, nothing is lost or done twice. Searches: test_two_machines."""

import os
import signal
import subprocess
import sys
import time
from datetime import UTC, datetime
from pathlib import Path
from uuid import uuid4
from zoneinfo import ZoneInfo

import pytest
from asgiref.sync import async_to_sync, sync_to_async
from django.db import connection, connections
from django.utils import timezone

from demo import post
from demo.load import load
from shop.accounts.models import User
from shop.orders.life import put_step
from shop.orders.models import Order
from shop.plans import making, searches
from shop.plans.models import LayRun
from shop.plans.tasks import take_up_again
from shop.reminders.actions import put_reminder
from shop.reminders.models import Reminder

ROOT = Path(__file__).resolve().parents[2]


@pytest.fixture
def workers(transactional_db):
    """Starts real workers on the test's database."""
    database = connection.settings_dict
    url = f"postgresql://{database['USER']}:{database['PASSWORD']}@{database['HOST']}:{database['PORT']}/{database['NAME']}"
    environment = {**os.environ, "DATABASE_URL": url}
    quiet = {"stdout": subprocess.DEVNULL, "stderr": subprocess.DEVNULL}
    started = []

    def start(queue="lay", **more):
        command = [sys.executable, "manage.py", "procrastinate", "worker", "--queues", queue]
        started.append(subprocess.Popen(command, cwd=ROOT, env=environment | more, **quiet))
        return started[-1]

    yield start
    for process in started:
        process.kill()
        process.wait()


def until(true, what, seconds=300):
    """Wait for something that must come, however busy the machine is with others; its last value."""
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        if value := true():
            return value
        time.sleep(0.05)
    raise AssertionError(f"never: {what}")


def children(pid):
    found = subprocess.run(["pgrep", "-P", str(pid), "-f", "cutting.search_child"], capture_output=True, text=True)
    return [int(line) for line in found.stdout.split()]


async def take_up():
    await take_up_again.func(timestamp=0, silent=1)
    await sync_to_async(connections.close_all)()  # this thread's own, or the test's database cannot be dropped


def test_a_reminder_whose_worker_is_killed_on_the_way_is_delivered_once(workers, settings):
    """The gateway has taken it and is slow to say so; the worker is killed; another sends it again, with its own id."""
    with connection.cursor() as cursor:
        cursor.execute("truncate procrastinate_jobs, procrastinate_workers cascade")
    load()
    gateway, server = post.start(0)
    place = {"PLAVET_POST": f"127.0.0.1:{server.server_address[1]}"}
    owner = User.objects.get(username="ebba")
    # It is noon in the workshop whenever this is run: nobody is written to at night.
    zone = f"Etc/GMT{datetime.now(UTC).hour - 12:+d}"
    owner.workshop.time_zone = zone
    owner.workshop.save()
    order = Order.of(owner.workshop).select_related("client").order_by("promised_on").first()
    type(order.client).of(owner.workshop).filter(pk=order.client_id).update(takes_reminders=True)
    put_step(actor=owner, id=uuid4(), order=order.pk, state="ready")
    gateway.slow = 4
    with timezone.override(ZoneInfo(zone)):
        made = put_reminder(actor=owner, id=uuid4(), order=order.pk, kind="ready")
    rows = Reminder._base_manager.filter(pk=made.id)
    worker = workers("post", **place)
    until(lambda: rows.get().tries == 1, "it is on its way")
    time.sleep(0.5)
    os.kill(worker.pid, signal.SIGKILL)
    worker.wait()
    until(lambda: gateway.sent, "the gateway has it")
    assert rows.get().state == Reminder.WAITING
    gateway.slow = 0
    time.sleep(1.1)
    async_to_sync(take_up)()
    workers("post", **place)
    until(lambda: rows.get().state == Reminder.SENT, "another worker sends it")
    assert gateway.sent == {str(made.id): 2}
    assert len(gateway.delivered) == 1
    server.shutdown()
    server.server_close()


@pytest.mark.django_db(transaction=True)
def test_a_search_without_a_worker_can_be_stopped_at_once():
    load()
    owner = User.objects.get(username="ebba")
    order = Order.of(owner.workshop).order_by("promised_on").first()
    run = searches.start_lay_run(actor=owner, id=uuid4(), plan_run=making.plan_order(actor=owner, order=order).id)
    LayRun._base_manager.filter(pk=run.id).update(state=LayRun.RUNNING, changed_at="2026-01-01T00:00Z")
    assert searches.stop_lay_run(actor=owner, id=run.id).state == LayRun.STOPPED
