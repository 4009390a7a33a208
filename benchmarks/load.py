"""
./plavet benchmark load [people] [minutes]: so many people of one workshop at work at once, reading and writing as a
workshop does, each with a few seconds between what is done: how long they wait, what failed, and what memory the server
took. It writes into the demo: its ticks and readings are not what they were.
"""

import gzip
import http.client
import json
import random
import subprocess
import sys
import threading
import time
from collections import defaultdict
from collections.abc import Callable
from statistics import median
from typing import Any
from urllib.parse import quote, urlsplit
from uuid import uuid4

from demo import people
from setup import processes
from setup.__main__ import PYTHON, environment, must, serve

REST = 4.0
"""Seconds between what one person does, in the middle."""
GOAL = 200.0
"""Nineteen of twenty answers come within so many ms."""
MAKE = """
from shop.accounts.models import User
ebba = User.objects.get(username="ebba")
for k in range({people}):
    person = dict(workshop=ebba.workshop, role="cutter", password=ebba.password)
    User.objects.get_or_create(username="load-" + str(k), defaults=person)
"""
CALLS = 40
"""So many calls of a plan are ticked and rubbed out again."""


class Person:
    """One browser of somebody who is logged in; keeps how long each answer took, by what was asked."""

    def __init__(self, address: str, number: int):
        self.line = http.client.HTTPConnection(urlsplit(address).netloc, timeout=60)
        self.cookies: dict[str, str] = {}
        self.chance = random.Random(number)  # noqa: S311  # chance, no secret
        self.took = defaultdict[str, list[float]](list)
        self.failed: list[str] = []
        self.call = 0
        self.ask("GET", "/", "log in")
        self.ask("POST", "/api/session", "log in", {"user_name": f"load-{number}", "password": people.OWNER_PASSWORD})
        orders = self.ask("GET", "/api/orders", "bench")
        self.order = self.ask("GET", f"/api/orders/{orders[number % len(orders)]['id']}", "order")

    def ask(self, method: str, path: str, what: str, body: object = None) -> Any:
        headers = {
            "Cookie": "; ".join(f"{key}={value}" for key, value in self.cookies.items()),
            "X-CSRFToken": self.cookies.get("csrftoken", ""), "Content-Type": "application/json",
            "Accept-Encoding": "gzip",
        }  # fmt: skip
        begun = time.perf_counter()
        sent = json.dumps(body) if body is not None else None
        try:
            try:
                answer = self._answer(method, path, sent, headers)
            except (http.client.RemoteDisconnected, ConnectionResetError, BrokenPipeError):
                # The server closed a line that was silent: a browser opens it anew.
                self.line.close()
                answer = self._answer(method, path, sent, headers)
            text = answer.read()
        except (OSError, http.client.HTTPException) as error:
            self.line.close()
            self.failed.append(f"{what}: {type(error).__name__}")
            return {}
        self.took[what].append(1000 * (time.perf_counter() - begun))
        for cookie in answer.headers.get_all("Set-Cookie") or []:
            key, _, value = cookie.split(";")[0].partition("=")
            self.cookies[key] = value
        if answer.status >= 400:
            self.failed.append(f"{what}: {answer.status}")
        return _read(text, answer) if path.startswith("/api") and answer.status < 400 else {}

    def _answer(self, method: str, path: str, sent: str | None, headers: dict[str, str]) -> http.client.HTTPResponse:
        self.line.request(method, path, sent, headers)
        return self.line.getresponse()

    def bench(self) -> None:
        self.ask("GET", "/api/orders", "bench")
        self.ask("GET", "/api/ends", "when all is ready")

    def look(self) -> None:
        self.ask("GET", f"/api/orders/{self.order['id']}", "order")
        self.ask("POST", f"/api/orders/{self.order['id']}/plan", "plan, stored")

    def chalk(self) -> None:
        plan = self.ask("POST", f"/api/orders/{self.order['id']}/plan", "plan, stored")
        if not plan:
            return
        self.call = self.call % CALLS + 1
        body = {"order": self.order["id"], "plan": plan["id"], "stamp": plan["stamp"], "call": self.call,
                "chalked": self.chance.random() < 0.8}  # fmt: skip
        self.ask("PUT", f"/api/ticks/{uuid4()}", "a tick", body)

    def measure(self) -> None:
        typed = f"{self.chance.randint(38, 44)} {self.chance.randint(1, 7)}/8"
        body = {"sheet": self.order["sheet"]["id"], "key": "hip", "typed": typed}
        self.ask("PUT", f"/api/readings/{uuid4()}", "a reading", body)
        self.ask("POST", f"/api/orders/{self.order['id']}/plan", "plan, made")

    def find(self) -> None:
        self.ask(
            "GET", f"/api/clients?find={quote(self.chance.choice(['ma', 'sundal', 'mrit', 'u']))}", "find a client"
        )

    def week(self) -> None:
        self.ask("GET", "/api/week", "week")

    def work(self, until: float) -> None:
        ways: list[Callable[[], None]] = [self.bench, self.look, self.chalk, self.measure, self.find, self.week]
        weights = [25, 25, 30, 8, 8, 4]
        while time.monotonic() < until:
            time.sleep(self.chance.expovariate(1 / REST))
            self.chance.choices(ways, weights)[0]()


def _read(text: bytes, answer: http.client.HTTPResponse) -> Any:
    plain = gzip.decompress(text) if answer.headers.get("Content-Encoding") == "gzip" else text
    return json.loads(plain) if plain else {}


def memory() -> dict[int, float]:
    """MB of each process of the server."""
    keeper = processes.alive("server")
    listed = subprocess.run(
        ["ps", "-o", "pid=,rss=", "--ppid", str(keeper)], text=True, capture_output=True, check=True
    )
    return {int(pid): int(size) / 1024 for pid, size in (line.split() for line in listed.stdout.splitlines())}


def main(count: int = 30, minutes: float = 2.0) -> dict[str, list[float]]:
    """How long each answer took, ms, by what was asked; printed, with what failed and the memory."""
    address = serve()
    must([PYTHON, "manage.py", "shell", "--verbosity", "0", "-c", MAKE.format(people=count)], environment())
    crowd = [Person(address, number) for number in range(count)]
    for one in crowd:
        one.look()
        one.took.clear()
    before, until = memory(), time.monotonic() + 60 * minutes
    threads = [threading.Thread(target=one.work, args=(until,)) for one in crowd]
    for thread in threads:
        thread.start()
    half = None
    while any(thread.is_alive() for thread in threads):
        time.sleep(1)
        if half is None and time.monotonic() > until - 30 * minutes:
            half = memory()
    took = defaultdict[str, list[float]](list)
    for one in crowd:
        for what, times in one.took.items():
            took[what] += times
    every = sorted(ms for times in took.values() for ms in times)
    print(f"{count} people, {minutes:g} min, {len(every)} answers, {len(every) / 60 / minutes:.1f} a second")
    for what, times in [*sorted(took.items(), key=lambda one: -len(one[1])), ("all", every)]:
        times = sorted(times)
        print(f"{what:22}{len(times):7}  middle {median(times):7.0f} ms   of twenty nineteen within"
              f" {times[int(0.95 * (len(times) - 1))]:7.0f}   longest {times[-1]:7.0f}")  # fmt: skip
    print(f"goal: all, nineteen of twenty within {GOAL:g} ms")
    failed = [what for one in crowd for what in one.failed]
    print(f"failed: {len(failed)} {sorted(set(failed))}")
    print(
        "memory of each process, MB: at first",
        _sizes(before),
        "half way",
        _sizes(half or {}),
        "at the end",
        _sizes(memory()),
    )
    return took


def _sizes(found: dict[int, float]) -> str:
    return " ".join(f"{size:.0f}" for size in found.values())


if __name__ == "__main__":
    main(*(kind(word) for kind, word in zip((int, float), sys.argv[1:], strict=False)))
