"""
./plavet benchmark scale: how many people and workshops one machine serves, by a simulation that replays measured
answers. Those of ten people at work, one of each sort, who hardly wait for one another, come as often as many would
ask, to so many cores, first come first served.
"""

import heapq
import random

from benchmarks.load import DRAFTED, GOAL, ROLES
from benchmarks.load import main as at_work

CORES = (2, 4, 8, 16, 32)
ANSWERS = 20_000
"""So many answers are replayed for each count of people."""
MINUTES = 3.0
FEW = len(ROLES)
AN_ORDER = {"25 readings": 25 * 5, "12 choices": 12 * 8, "120 calls": 120 * 2, "40 steps": 40, "100 looks": 260}
"""How many answers an order asks for from its first reading to its last payment, by what is done: reckoned."""
ORDERS_A_WEEK, PEAK = 10, 3.0
"""A workshop's orders; so many times the mean of forty hours a week is asked for in its busiest hour. No source."""
A_WORKSHOP = PEAK * ORDERS_A_WEEK * sum(AN_ORDER.values()) / (40 * 3600)
"""So many answers a second a workshop asks for in its busiest hour."""

Answer = tuple[float, bool]
"""How many ms it took, and whether it counts."""


def waited(answers: list[Answer], a_second: float, cores: int) -> float:
    """Within how many ms nineteen of twenty that count are answered when so many a second come to so many cores."""
    chance, now = random.Random(1), 0.0  # noqa: S311  # chance, no secret
    free = [0.0] * cores
    took = []
    for _ in range(ANSWERS):
        now += chance.expovariate(a_second)
        begins, (ms, counts) = max(now, heapq.heappop(free)), chance.choice(answers)
        ends = begins + ms / 1000
        heapq.heappush(free, ends)
        if counts:
            took.append(1000 * (ends - now))
    return sorted(took)[int(0.95 * len(took))]


def most(answers: list[Answer], each: float, cores: int) -> int:
    """How many people may be at work, each asking so often a second, until the goal is no longer met."""
    low, high = 0, 100_000
    while low < high:
        middle = (low + high + 1) // 2
        if waited(answers, middle * each, cores) <= GOAL:
            low = middle
        else:
            high = middle - 1
    return low


def main() -> None:
    count, took = at_work(FEW, MINUTES)
    each = count / 60 / MINUTES / FEW
    busy = sum(map(sum, took.values())) / sum(map(len, took.values()))
    print(f"one person asks {each:.2f} times a second, {busy:.0f} ms each time")
    for name, left_out in (("all", ()), ("all but what is drafted", DRAFTED)):
        answers = [(ms, what not in left_out) for what, some in took.items() for ms in some]
        for cores in CORES:
            people = most(answers, each, cores)
            print(
                f"{cores:3} cores: {people:6} people at work at once, {people * each / A_WORKSHOP:6.0f} workshops, of"
                f" {name} nineteen of twenty within {GOAL:g} ms"
            )


if __name__ == "__main__":
    main()
