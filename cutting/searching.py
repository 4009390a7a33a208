"""Giving a plan a shorter lay: the search with its clock, for the search child and for the command line."""

import time
from collections.abc import Callable, Iterator

from cutting.cloth import fold_depth
from cutting.lay import items_for
from cutting.lay.search import Step, improve
from cutting.plan import Plan, with_lay


def search(made: Plan, seconds: float, seed: int, wanted: Callable[[], bool] = lambda: True) -> Iterator[Step]:
    """Tries for a shorter lay until `seconds` are over, all were tried, or it is no longer `wanted`.

    The order of the tries depends on `seed` alone; how many are made in the time, on the machine.
    """
    if made.lays is None:
        return
    cloth = made.job.cloth
    items = items_for(list(made.pieces), made.fold, cloth.one_way)
    end = time.monotonic() + seconds
    for step in improve(items, made.fold, fold_depth(cloth, made.fold), made.lays.lay.length, seed):
        yield step
        if time.monotonic() > end or not wanted():
            return


def shortened(made: Plan, seconds: float, seed: int) -> Plan:
    """The plan on the shortest lay found in that time; on its own where there is none, or no time is given."""
    found = [step.lay for step in search(made, seconds, seed) if step.lay is not None] if seconds > 0 else []
    return with_lay(made, found[-1]) if found else made
