"""
./plavet benchmark scale: how many people one machine serves, by a simulation that replays measured answers. Those of
one person at work alone, which have no waiting in them, come as often as many people would ask, to so many cores, first
come first served.
"""

import heapq
import random

from benchmarks.load import GOAL, REST
from benchmarks.load import main as at_work

CORES = (2, 4, 8, 16, 32)
ANSWERS = 20_000
"""So many answers are replayed for each count of people."""
MINUTES = 3.0


def waited(times: list[float], a_second: float, cores: int) -> float:
    """Within how many ms nineteen of twenty are answered when so many a second come to so many cores."""
    chance, now = random.Random(1), 0.0  # noqa: S311  # chance, no secret
    free = [0.0] * cores
    took = []
    for _ in range(ANSWERS):
        now += chance.expovariate(a_second)
        begins = max(now, heapq.heappop(free))
        ends = begins + chance.choice(times) / 1000
        heapq.heappush(free, ends)
        took.append(1000 * (ends - now))
    return sorted(took)[int(0.95 * ANSWERS)]


def most(times: list[float], each: float, cores: int) -> int:
    """How many people may be at work, each asking so often a second, until the goal is no longer met."""
    low, high = 1, 100_000
    while low < high:
        middle = (low + high + 1) // 2
        if waited(times, middle * each, cores) <= GOAL:
            low = middle
        else:
            high = middle - 1
    return low


def main() -> None:
    times = [ms for some in at_work(1, MINUTES).values() for ms in some]
    each = len(times) / 60 / MINUTES
    busy = sum(times) / len(times)
    print(f"one person asks {each:.2f} times a second ({REST:g} s between what is done), {busy:.0f} ms each time")
    for cores in CORES:
        people = most(times, each, cores)
        print(f"{cores:3} cores: {people:6} people at work at once, nineteen of twenty within {GOAL:g} ms")


if __name__ == "__main__":
    main()
