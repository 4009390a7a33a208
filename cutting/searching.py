"""Giving a plan a shorter lay: the search with its clock, in several processes."""

import multiprocessing
import os
import time
from collections.abc import Callable, Iterator, Sequence
from contextlib import suppress
from dataclasses import dataclass
from multiprocessing.connection import Connection, wait

from cutting.lay import Item, Lay
from cutting.lay.search import ENOUGH, improve
from cutting.lay.search.bounds import proved
from cutting.lay.search.model import Model
from cutting.laying import Laying
from cutting.plan import Plan, with_lay

PROCESSES = 2
FINER = (1.0, 0.75)
"""Each process has a raster and a seed of its own: one finds what the other does not."""
TELLS = 0.2


@dataclass(frozen=True)
class Progress:
    """How far the search has come: tries, seconds, the shortest lay so far where one was found, the proven bound in mm.

    `news` where the lay is a new one; `done` where none can be shorter.
    """

    tried: int
    gone: float
    lay: Lay | None
    bound: float
    news: bool = False
    done: bool = False


def search(
    made: Plan, seconds: float, seed: int, wanted: Callable[[], bool] = lambda: True, processes: int = PROCESSES
) -> Iterator[Progress]:
    """Look for a shorter lay until `seconds` are over, the lay is proved the shortest, or it is no longer `wanted`.

    What each process tries depends on `seed` and its number alone; how much of it in the time, on the machine.
    """
    if made.lays is None or seconds <= 0:
        return
    items = Laying(made.job, made.garments).items(made.table, made.job.cloth.one_way)
    yield from search_items(items, made.lays.lay, made.lays.bound, seconds, seed, wanted, processes)


def search_items(
    items: Sequence[Item],
    start: Lay,
    bound: float,
    seconds: float,
    seed: int,
    wanted: Callable[[], bool] = lambda: True,
    processes: int = PROCESSES,
) -> Iterator[Progress]:
    """The same for items that lie as `start` has them; `bound` in mm is what is known of the least."""
    begun = time.monotonic()
    times = start.table.times
    least = bound / times
    workers = _Workers(items, start, least, seed, processes)
    best: Lay | None = None
    try:
        least = max(least, proved(Model.of(items, start.table)))
        while True:
            found = workers.news(TELLS)
            news = found is not None and found.reach < (best or start).reach - 1e-3
            best = found if news else best
            gone = time.monotonic() - begun
            done = (best or start).reach <= least + ENOUGH
            over = done or gone > seconds or not workers.left or not wanted()
            yield Progress(workers.tried, gone, best, min(least, (best or start).reach) * times, news, done)
            if over:
                return
    finally:
        workers.end()


def shortened(made: Plan, seconds: float, seed: int) -> Plan:
    """The plan on the shortest lay found in that time; on its own where there is none, or no time is given."""
    told = list(search(made, seconds, seed))
    return with_lay(made, told[-1].lay, told[-1].bound) if told else made


class _Workers:
    """Processes that each search by themselves and tell of every better lay; they end with this one."""

    def __init__(self, items: Sequence[Item], start: Lay, least: float, seed: int, count: int):
        context = multiprocessing.get_context("fork")
        self.ends: list[Connection] = []
        self.tries: dict[Connection, int] = {}
        self.all = []
        for number in range(count):
            here, there = context.Pipe(duplex=False)
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
        """The shortest lay told of, or None where nothing was for so long."""
        best: Lay | None = None
        for end in wait(self.ends, seconds):
            assert isinstance(end, Connection)
            try:
                tried, lay = end.recv()
            except (EOFError, OSError):
                self.ends.remove(end)
                continue
            self.tries[end] = tried
            if lay is not None and (best is None or lay.reach < best.reach):
                best = lay
        return best

    def end(self) -> None:
        for process in self.all:
            process.kill()
            process.join()


def _work(
    there: Connection, parent: int, items: Sequence[Item], start: Lay, least: float, seed: int, finer: float
) -> None:
    told = 0.0
    with suppress(BrokenPipeError):
        for step in improve(items, start, least, seed, finer):
            now = time.monotonic()
            if step.lay is not None or step.proved or now - told > TELLS:
                there.send((step.tried, step.lay))
                told = now
            if step.proved or os.getppid() != parent:
                return
