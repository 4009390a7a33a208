"""
./plavet benchmark load [people] [minutes] [slower]: so many people of one workshop at work at once, reading and writing
as a workshop does, each with a few seconds between what is done, or so many times as long: how long they wait, what
failed, and what memory the server took. It writes into the demo: its ticks and readings are not what they were.
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
from statistics import median
from typing import Any
from urllib.parse import quote, urlsplit
from uuid import uuid4

from benchmarks.pace import Pace
from benchmarks.taken import Taken
from demo import people
from setup import processes
from setup.__main__ import PYTHON, environment, must, serve

ROLES = (
    ("bench", 6.0), ("measure", 6.0), ("design", 6.0), *[("mark", 10.0)] * 3, *[("sew", 30.0)] * 4,
)  # fmt: skip
"""What each of ten people does over and over, as the pages do it (they were listened to), and after how many seconds in
the middle: in a hurry. A hand at work takes about three times as long (a reading, a choice 18 s, a mark 30): no source.
"""
OTHERWISE = 0.05
"""In so many of these one looks at the bench besides."""
GOAL = 200.0
"""Nineteen of twenty answers come within so many ms."""
MAKE = """
from shop.accounts.models import User
ebba = User.objects.get(username="ebba")
for k in range({people}):
    person = dict(workshop=ebba.workshop, role="cutter", password=ebba.password)
    User.objects.get_or_create(username="load-" + str(k), defaults=person)
"""
DRAFTED = ("plan, made", "panels drawn", "choices", "what one would move")
"""What is drafted for: a processor works at it for a twentieth to a third of a second; all else is read and written."""
IN_SIGHT = 3
"""So many choices are in sight at once; what each would move is drawn."""
CALLS = 40
"""So many calls of a plan are ticked and rubbed out again."""


Answer = tuple[float, float]
"""When it was asked and when it was there, by `time.perf_counter`."""


class Person:
    """One browser of somebody who is logged in; keeps how long each answer took, by what was asked."""

    def __init__(self, address: str, number: int):
        self.line = http.client.HTTPConnection(urlsplit(address).netloc, timeout=60)
        self.cookies: dict[str, str] = {}
        # Others at each run: what was typed in one before has its plan already.
        self.chance = random.Random()  # noqa: S311  # chance, no secret
        self.took = defaultdict[str, list[Answer]](list)
        self.failed: list[str] = []
        self.number, self.call = number, 0
        self.plan: dict[str, Any] = {}
        self.seen = 0
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
        self.took[what].append((begun, time.perf_counter()))
        for cookie in answer.headers.get_all("Set-Cookie") or []:
            key, _, value = cookie.split(";")[0].partition("=")
            self.cookies[key] = value
        if answer.status >= 400:
            self.failed.append(f"{what}: {answer.status}")
        return _read(text, answer) if path.startswith("/api") and answer.status < 400 else {}

    def _answer(self, method: str, path: str, sent: str | None, headers: dict[str, str]) -> http.client.HTTPResponse:
        self.line.request(method, path, sent, headers)
        return self.line.getresponse()

    def open(self, chalked: bool = False) -> dict[str, Any]:
        """An order's page: what every station of it asks for."""
        self.order = self.ask("GET", f"/api/orders/{self.order['id']}", "order") or self.order
        self.ask("GET", f"/api/orders/{self.order['id']}/chalk", "chalk")
        query = "?chalked=true" if chalked else ""
        return self.ask("POST", f"/api/orders/{self.order['id']}/plan{query}", "plan, stored") or {}

    def bench(self) -> None:
        """The bench; then a name, the week, or an order's page."""
        self.ask("GET", "/api/orders", "bench")
        self.ask("GET", "/api/ends", "when all is ready")
        more = self.chance.random()
        if more < 0.2:
            self.ask("GET", f"/api/clients?find={quote(self.chance.choice(['ma', 'sundal', 'mrit']))}", "find a client")
        elif more < 0.4:
            self.ask("GET", "/api/week", "week")
        elif more < 0.7:
            self.open()

    def measure(self) -> None:
        """A reading; then what Measure shows of it."""
        sheet = self.order["sheet"]["id"]
        # So many sizes that hardly one is typed again: each asks for a plan that was not made before.
        typed = f"{self.chance.uniform(38, 44):.2f}"
        self.ask("PUT", f"/api/readings/{uuid4()}", "a reading", {"sheet": sheet, "key": "hip", "typed": typed})
        self.ask("GET", f"/api/orders/{self.order['id']}", "order")
        for what in ("readings", "advice"):
            self.ask("GET", f"/api/sheets/{sheet}/{what}", what)
        self.ask("POST", f"/api/orders/{self.order['id']}/plan", "plan, made")

    def design(self) -> None:
        """A choice; then what Design shows of it."""
        self.order = self.ask("GET", f"/api/orders/{self.order['id']}", "order") or self.order
        garment = self.order["garments"][0]
        choices = dict(garment["choices"])
        halves = "lower" in choices
        own = dict(choices["lower"]["choices"]) if halves else choices
        own["allowances"] = {"side": f"{self.chance.uniform(0.5, 1.5):.2f} in"}
        if halves:
            choices["lower"] = choices["lower"] | {"choices": own}
        body = {key: garment[key] for key in ("version", "order", "name", "style", "method")} | {"choices": choices}
        self.ask("PUT", f"/api/garments/{garment['id']}", "a choice", body)
        at, of = f"/api/orders/{self.order['id']}", f"garment={garment['name']}{'&half=lower' * halves}"
        self.ask("GET", f"{at}/drawn", "panels drawn")
        self.ask("POST", f"{at}/plan", "plan, made")
        asked = self.ask("GET", f"{at}/design?{of}", "choices")
        rows = [row for group in asked.get("groups", ()) for row in group["rows"]]
        first = self.chance.randrange(max(1, len(rows) - IN_SIGHT))
        for row in rows[first : first + IN_SIGHT]:
            self.ask("GET", f"{at}/design/moves?{of}&choice={row['key']}&of={row['of']}", "what one would move")

    def chalked_plan(self) -> dict[str, Any]:
        """The plan that the order is chalked by; read again where something was refused."""
        if len(self.failed) > self.seen:
            self.seen, self.plan = len(self.failed), {}
        self.plan = self.plan or self.open(chalked=True)
        return self.plan

    def mark(self) -> None:
        """A call that was chalked, or is rubbed out; who else is at it is asked now and then."""
        plan = self.chalked_plan()
        if not plan:
            return
        self.call = self.call % CALLS + 1
        body = {"order": self.order["id"], "plan": plan["id"], "stamp": plan["stamp"], "call": self.call,
                "chalked": self.chance.random() < 0.8}  # fmt: skip
        self.ask("PUT", f"/api/ticks/{uuid4()}", "a tick", body)
        self.ask("GET", f"/api/orders/{self.order['id']}/chalk", "chalk")

    def sew(self) -> None:
        """A step that was sewn, or is unpicked."""
        plan = self.chalked_plan()
        if not plan:
            return
        step = next(one["id"] for one in plan["plan"]["sewing"] if not one["needs"] and not one["readings"])
        body = {"order": self.order["id"], "plan": plan["id"], "operation": step, "sewn": self.chance.random() < 0.6}
        self.ask("PUT", f"/api/sewn/{uuid4()}", "a step sewn", body)

    def work(self, until: float, slower: float) -> None:
        does, rest = ROLES[self.number % len(ROLES)]
        while (rests := self.chance.expovariate(1 / rest / slower)) < until - time.monotonic():
            time.sleep(rests)
            if self.chance.random() < OTHERWISE:
                self.bench()
            getattr(self, does)()


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


def main(count: int = 30, minutes: float = 2.0, slower: float = 1.0) -> tuple[int, dict[str, list[float]]]:
    """How many answers there were; how long each took, ms, by what was asked, while the machine was its own. Printed,
    with what failed and the memory. `slower` is how many times as long as in ROLES everybody rests.
    """
    address = serve()
    must([PYTHON, "manage.py", "shell", "--verbosity", "0", "-c", MAKE.format(people=count)], environment())
    crowd = [Person(address, number) for number in range(count)]
    for one in crowd:
        one.open()
        one.took.clear()
    before, until, taken, pace = memory(), time.monotonic() + 60 * minutes, Taken(), Pace()
    threads = [threading.Thread(target=one.work, args=(until, slower)) for one in crowd]
    for thread in threads:
        thread.start()
    half = None
    while any(thread.is_alive() for thread in threads):
        time.sleep(1)
        if half is None and time.monotonic() > until - 30 * minutes:
            half = memory()
    taken.end()
    pace.end()
    took = defaultdict[str, list[Answer]](list)
    for one in crowd:
        for what, answers in one.took.items():
            took[what] += answers
    every = [answer for answers in took.values() for answer in answers]
    a_second = len(every) / 60 / minutes
    print(f"{count} people, {minutes:g} min, {slower:g} times as slow, {len(every)} answers, {a_second:.1f} a second")
    plain = [answer for what, answers in took.items() if what not in DRAFTED for answer in answers]
    rows = [*sorted(took.items(), key=lambda one: -len(one[1])), ("all but what is drafted", plain), ("all", every)]
    for what, answers in rows:
        _say(what, answers)
    print(f"{taken}; without the answers that fell into that:")
    for what, answers in rows[-2:]:
        _say(what, [answer for answer in answers if not taken.within(*answer)])
    print(f"{pace}; without the answers of that time too:")
    for what, answers in rows[-2:]:
        _say(what, [answer for answer in answers if not (taken.within(*answer) or pace.slow(*answer))])
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
    own = {what: [_ms(one) for one in answers if not taken.within(*one)] for what, answers in took.items()}
    return len(every), own


def _ms(answer: Answer) -> float:
    return 1000 * (answer[1] - answer[0])


def _say(what: str, answers: list[Answer]) -> None:
    if not answers:
        print(f"{what:24}   none")
        return
    times = sorted(map(_ms, answers))
    print(f"{what:24}{len(answers):7}  middle {median(times):7.0f} ms   of twenty nineteen within"
          f" {times[int(0.95 * (len(times) - 1))]:7.0f}   longest {times[-1]:7.0f}")  # fmt: skip


def _sizes(found: dict[int, float]) -> str:
    return " ".join(f"{size:.0f}" for size in found.values())


if __name__ == "__main__":
    main(*(kind(word) for kind, word in zip((int, float, float), sys.argv[1:], strict=False)))
