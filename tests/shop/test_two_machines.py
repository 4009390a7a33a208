"""Two workers, each reaching the database at an address of its own: one is killed, one is cut off in the middle of a
search and comes back when the other has ended it. Nothing is done twice over, nothing that was found is lost.

Each worker is in a network namespace of its own, joined to the database's by a cable, which is what is cut. Only root
may make such: for anybody else the addresses are of the loopback, and a relay is cut that lets no byte through.
"""

import os
import signal
import socket
import subprocess
import sys
import threading
import time
from contextlib import suppress
from pathlib import Path
from uuid import uuid4

import pytest
from asgiref.sync import async_to_sync
from django.db import connection

from demo.load import load
from shop.accounts.models import User
from shop.orders.models import Order
from shop.plans import making, searches
from shop.plans.models import LayRun
from tests.servers import ROOT
from tests.shop.test_killed_worker import children, take_up, until


class Line:
    """A line from an address to the database, that can be cut and mended; what was sent meanwhile comes then."""

    within = ()
    """What a command begins with, so that it runs at the other end of the line."""

    def __init__(self, address):
        to = connection.settings_dict
        self.database = (to["HOST"], int(to["PORT"]))
        self.open = threading.Event()
        self.open.set()
        self.bound = socket.create_server((address, 0))
        self.url = f"postgresql://{to['USER']}:{to['PASSWORD']}@{address}:{self.bound.getsockname()[1]}/{to['NAME']}"
        threading.Thread(target=self._accept, daemon=True).start()

    def _accept(self):
        with suppress(OSError):
            while True:
                near, _ = self.bound.accept()
                self.open.wait()
                far = socket.create_connection(self.database)
                for one, other in ((near, far), (far, near)):
                    threading.Thread(target=self._pass_on, args=(one, other), daemon=True).start()

    def _pass_on(self, one, other):
        with suppress(OSError):
            while data := one.recv(65536):
                self.open.wait()
                other.sendall(data)
        for end in (one, other):
            with suppress(OSError):
                end.shutdown(socket.SHUT_RDWR)
                end.close()

    def cut(self):
        self.open.clear()

    def mend(self):
        self.open.set()

    def close(self):
        self.mend()
        self.bound.close()


def ip(*words):
    subprocess.run(["ip", *words], check=True, capture_output=True)


class Cable(Line):
    """A line to a network namespace, by a pair of network devices; what is sent while it is cut is lost and sent anew."""

    def __init__(self, number):
        self.name, self.here, there = f"plavet-{os.getpid()}-{number}", f"plv{os.getpid()}-{number}", "there"
        self.net = f"10.{os.getpid() % 200}.{number}"
        self.within = ("ip", "netns", "exec", self.name)
        ip("netns", "add", self.name)
        ip("link", "add", self.here, "type", "veth", "peer", "name", there, "netns", self.name)
        ip("address", "add", f"{self.net}.1/24", "dev", self.here)
        ip("link", "set", self.here, "up")
        ip("-n", self.name, "address", "add", f"{self.net}.2/24", "dev", there)
        for device in (there, "lo"):
            ip("-n", self.name, "link", "set", device, "up")
        super().__init__(f"{self.net}.1")

    def cut(self):
        ip("link", "set", self.here, "down")

    def mend(self):
        ip("link", "set", self.here, "up")

    def close(self):
        super().close()
        ip("link", "delete", self.here)
        ip("netns", "delete", self.name)


def may_have_cables():
    """Whether this machine lets us make a network namespace."""
    return subprocess.run(["unshare", "--net", "ip", "link"], capture_output=True, check=False).returncode == 0


@pytest.fixture
def two(transactional_db):
    """A line at each of two addresses, and what starts a worker at one."""
    with connection.cursor() as cursor:
        cursor.execute("truncate procrastinate_jobs, procrastinate_workers cascade")
    load()
    lines = [Cable(1), Cable(2)] if may_have_cables() else [Line("127.0.0.2"), Line("127.0.0.3")]
    started = []

    def start(line):
        command = [*line.within, sys.executable, "manage.py", "procrastinate", "worker", "--queues", "lay"]
        environment = os.environ | {"DATABASE_URL": line.url}
        quiet = {"stdout": subprocess.DEVNULL, "stderr": subprocess.DEVNULL}
        started.append(subprocess.Popen(command, cwd=ROOT, env=environment, **quiet))
        return started[-1]

    yield *lines, start
    for process in started:
        process.kill()
        process.wait()
    for line in lines:
        line.close()


def searching(seconds):
    """A search of the demo's first order, and its row."""
    owner = User.objects.get(username="ebba")
    order = Order.of(owner.workshop).order_by("promised_on").first()
    plan = making.plan_order(actor=owner, order=order)
    run = searches.start_lay_run(actor=owner, id=uuid4(), plan_run=plan.id, seconds=seconds)
    return plan, LayRun._base_manager.filter(pk=run.id)


def length(row, plan):
    return ((row.plan or {}).get("lay") or row.lay or plan.plan["lay"])["length_mm"]


def test_what_the_one_that_is_killed_began_the_other_ends(two):
    here, there, start = two
    first = start(here)
    plan, rows = searching(120)
    until(lambda: rows.get().state == LayRun.RUNNING and rows.get().tried > 0, "the search speaks")
    child = until(lambda: children(first.pid), "the search child")[0]
    os.kill(first.pid, signal.SIGKILL)
    first.wait()
    until(lambda: not Path(f"/proc/{child}").exists(), "the child ends by itself")
    left = rows.get()
    assert left.state == LayRun.RUNNING
    rows.update(seconds=2)
    time.sleep(1.1)
    async_to_sync(take_up)()
    start(there)
    until(lambda: rows.get().state == LayRun.DONE, "the other ends it")
    done = rows.get()
    assert done.seq > left.seq
    assert length(done, plan) <= length(left, plan)


def test_who_was_cut_off_and_comes_back_changes_nothing_of_what_the_other_ended(two):
    here, there, start = two
    first = start(here)
    plan, rows = searching(25)
    until(lambda: rows.get().state == LayRun.RUNNING and rows.get().tried > 0, "the search speaks")
    here.cut()
    left = rows.get()
    rows.update(seconds=2)
    time.sleep(2)
    assert rows.get().seq in (left.seq, left.seq + 1), "no byte comes through"
    async_to_sync(take_up)()
    start(there)
    until(lambda: rows.get().state == LayRun.DONE, "the other ends it")
    done = rows.get()
    assert length(done, plan) <= length(left, plan)
    here.mend()
    until(lambda: not children(first.pid), "the first one's search is over", 120)
    time.sleep(2)
    after = rows.get()
    assert (after.state, after.seq, after.lay, after.plan) == (LayRun.DONE, done.seq, done.lay, done.plan)
    with connection.cursor() as cursor:
        cursor.execute(
            "select status from procrastinate_jobs where task_name = 'improve_lay' and args ->> 'lay_run' = %s",
            [str(after.id)],
        )
        assert cursor.fetchall() == [("succeeded",)]
    # Both are at work: the next search is taken by one of them.
    _, next_ = searching(1)
    until(lambda: next_.get().state == LayRun.DONE, "the next search ends")
