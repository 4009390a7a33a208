"""Giving a plan a shorter lay: the search with its clock, in several processes."""

import multiprocessing
import os
import threading
import time
from collections.abc import Callable, Iterator, Sequence
from contextlib import suppress
from dataclasses import dataclass
from functools import partial
from multiprocessing.connection import Connection, wait

from cutting.cloth import Folded
from cutting.lay import Bound, BoundStep, Item, Laid, Lay, Section
from cutting.lay.bound import ENOUGH, best_of
from cutting.lay.search import improve, load
from cutting.lay.search.bounds import proved
from cutting.lay.search.model import Model
from cutting.plan import Plan, with_lays

PROCESSES = 2
FINER = (1.25, 0.8)
"""Each process has a raster and a seed of its own: one finds what the other does not."""
REPORTS = 0.2
WORTH_SAYING = 0.5
"""A better proof by less than so many mm is none for a tape."""


@dataclass(frozen=True)
class Progress:
    """How far the search has come: tries, seconds, and for each section the shortest lay so far and the proven
    bound.

    `news` where a lay is a new one; `done` where none can be shorter.
    """

    tried: int
    gone: float
    lays: tuple[Lay, ...]
    bounds: tuple[Bound, ...]
    news: bool = False
    done: bool = False

    @property
    def length(self) -> float:
        return sum(lay.length for lay in self.lays)

    @property
    def bound(self) -> float:
        return sum(one.length for one in self.bounds)


def search(
    laid: Laid,
    seconds: float,
    seed: int,
    wanted: Callable[[], bool] = lambda: True,
    processes: int = PROCESSES,
    proves: bool = True,
) -> Iterator[Progress]:
    """Look for a shorter lay until `seconds` are over, it is proved the shortest, or it is no longer `wanted`. Beside
    it another process `proves` how short a lay can be at all.

    Sections are searched one after the other, each with its share of the time that is left. What each process tries
    depends on `seed`, its number and what the others report; how much of it in the time, on the machine.
    """
    if not laid.fits or seconds <= 0:
        return
    begun = time.monotonic()
    lays, bounds = list(laid.lays), list(laid.bounds)
    proved_: list[bool] = []
    tried = 0
    for number, section in enumerate(laid.sections):
        left = seconds - (time.monotonic() - begun)
        if number and not wanted():
            return
        step = None
        for step in _section(section, left / (len(lays) - number), seed, wanted, processes, proves):
            lays[number], bounds[number] = step.lay or lays[number], step.bound
            ends = number == len(lays) - 1 and all(proved_) and step.done
            gone = time.monotonic() - begun
            yield Progress(tried + step.tried, gone, tuple(lays), tuple(bounds), step.news, ends)
        tried += step.tried if step is not None else 0
        proved_.append(step is not None and step.done)


def shortened(made: Plan, seconds: float, seed: int) -> Plan:
    """The plan on the shortest lay found in that time; on its own where there is none, or no time is given."""
    steps = list(search(made.laid, seconds, seed))
    return with_lays(made, steps[-1].lays, steps[-1].bounds) if steps else made


@dataclass(frozen=True)
class _Step:
    """How far one section has come."""

    tried: int
    lay: Lay | None
    bound: Bound
    news: bool
    done: bool


def _section(
    section: Section, seconds: float, seed: int, wanted: Callable[[], bool], processes: int, proves: bool
) -> Iterator[_Step]:
    assert section.best is not None
    begun = time.monotonic()
    start, items = section.best.lay, section.items
    least = section.best.bound
    load()
    workers = _Workers(items, start, least.reach, seed, processes)
    best: Lay | None = None
    prover: _Prover | None = None
    try:
        least = best_of([least, proved(Model.of(items, start.table))])
        prover = _Prover(items, start.table, least.reach, start.reach) if proves else None
        while True:
            if prover is not None and prover.reach() > least.reach + WORTH_SAYING:
                least = Bound((BoundStep("counted", prover.reach()),), start.table.times)
            found = workers.news(REPORTS)
            news = found is not None and found.reach < (best or start).reach - 1e-3
            best = found if news else best
            done = (best or start).reach <= least.reach + ENOUGH
            over = done or time.monotonic() - begun > seconds or not workers.left or not wanted()
            yield _Step(workers.tried, best, least.within((best or start).reach), news, done)
            if over:
                return
    finally:
        workers.end()
        if prover is not None:
            prover.end()


class _Prover:
    """A process that proves, better and better, what no lay can be under; it ends with this one.

    Beside two that search on two cores it has a third of the time.
    """

    def __init__(self, items: Sequence[Item], table: Folded, least: float, most: float):
        context = multiprocessing.get_context("fork")
        self._here, there = context.Pipe()
        self._reach = least
        self._process = context.Process(
            target=_prove, args=(there, os.getpid(), items, table, least, most), daemon=True
        )
        self._process.start()
        there.close()

    def reach(self) -> float:
        """What is proved so far, in mm along the table."""
        with suppress(EOFError, OSError):
            while self._here.poll():
                self._reach = max(self._reach, self._here.recv())
        return self._reach

    def end(self) -> None:
        self._process.kill()
        self._process.join()


def _prove(there: Connection, parent: int, items: Sequence[Item], table: Folded, least: float, most: float) -> None:
    # Loaded here, since it takes a second: the search has begun by then.
    from cutting.lay.search.relaxed import proved_by_model

    def watch() -> None:
        while os.getppid() == parent:
            time.sleep(REPORTS)
        os._exit(0)

    # The solver looks at nothing while it works.
    threading.Thread(target=watch, daemon=True).start()
    with suppress(BrokenPipeError):
        proved_by_model(Model.of(items, table), least, most, told=there.send)


class _Workers:
    """Processes that report every better lay and receive what the others found; they end with this one."""

    def __init__(self, items: Sequence[Item], start: Lay, least: float, seed: int, count: int):
        context = multiprocessing.get_context("fork")
        self.ends: list[Connection] = []
        self.tries: dict[Connection, int] = {}
        self.unsent: dict[Connection, Lay] = {}
        self.all = []
        self.best: Lay | None = None
        for number in range(count):
            here, there = context.Pipe()
            finer = FINER[number % len(FINER)]
            process = context.Process(
                target=_work, args=(there, os.getpid(), items, start, least, seed * count + number, finer), daemon=True
            )
            process.start()
            there.close()
            self.ends.append(here)
            self.all.append(process)

    @property
    def left(self) -> bool:
        return bool(self.ends)

    @property
    def tried(self) -> int:
        return sum(self.tries.values())

    def news(self, seconds: float) -> Lay | None:
        """The shortest lay that was reported, or None where nothing was for so long."""
        best: Lay | None = None
        for end in wait(self.ends, seconds):
            assert isinstance(end, Connection)
            try:
                tried, lay = end.recv()
            except (EOFError, OSError):
                self.ends.remove(end)
                continue
            self.tries[end] = tried
            if lay is not None and (self.best is None or lay.reach < self.best.reach):
                best = self.best = lay
                self.unsent = dict.fromkeys([other for other in self.ends if other is not end], lay)
            if end in self.unsent:
                # It has just read what was sent before, so that no message waits for it in vain.
                with suppress(OSError):
                    end.send(self.unsent.pop(end))
        return best

    def end(self) -> None:
        for process in self.all:
            process.kill()
            process.join()


def _received(there: Connection) -> Lay | None:
    """The last lay that was received since."""
    lay: Lay | None = None
    while there.poll():
        lay = there.recv()
    return lay


def _work(
    there: Connection, parent: int, items: Sequence[Item], start: Lay, least: float, seed: int, finer: float
) -> None:
    reported = 0.0
    with suppress(BrokenPipeError):
        for step in improve(items, start, least, seed, finer, partial(_received, there)):
            now = time.monotonic()
            if step.lay is not None or step.proved or now - reported > REPORTS:
                there.send((step.tried, step.lay))
                reported = now
            if step.proved or os.getppid() != parent:
                return
