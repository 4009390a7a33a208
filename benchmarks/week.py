"""How fast a promise is answered and a schedule made, with sixty open orders and five people. Nothing is asserted."""

import random
import time
from statistics import median

from cutting.scheduling import (
    DAY,
    Task,
    Work,
    Worker,
    could_promise,
    earliest_promise_first,
    hours_of,
    rest_of,
    tasks_of,
)

FULL = ((480, 720), (780, 1020))
SKILLS = (
    {"measure", "cut", "sew", "fit", "finish", "pack"}, {"measure", "cut", "fit"}, {"sew", "finish"},
    {"sew", "finish", "pack"}, {"cut", "finish", "pack"},
)  # fmt: skip
ORDERS = 60


def workshop(seed: int, far: int) -> Work:
    """Sixty orders by chance, promised within so many days."""
    r = random.Random(seed)  # noqa: S311  # invented orders, no secrets
    workers = tuple(
        Worker(f"p{k}", frozenset(can), hours_of(tuple(() if day > 4 else FULL for day in range(7)), 0, 90))
        for k, can in enumerate(SKILLS)
    )
    tasks, due = list[Task](), dict[str, int]()
    for k in range(ORDERS):
        sewn = [("side", r.randrange(30, 160)), ("hem", r.randrange(20, 70))]
        rest = rest_of(sewn, r.randrange(3, 12), r.choice([(), ("measure",), ("measure", "cut")]), False)
        tasks += tasks_of(f"o{k:02}", rest)
        due[f"o{k:02}"] = DAY * (1 + r.randrange(3, far))
    return Work(workers, tuple(tasks), due, {"table": 2, "machine": 3})


def week_times() -> list[tuple[str, float, str, float | None]]:
    """Rows of the benchmark: how long it takes, and what comes of it."""
    from cutting.scheduling.solving import solve

    asked = tasks_of("new", rest_of([("side", 200), ("hem", 60)], 8, (), True))
    promised, placed, made, before, after = [], [], [], 0, 0
    for seed in range(5):
        work = workshop(seed, 8)
        start = time.perf_counter()
        stands = earliest_promise_first(work)
        placed.append(1000 * (time.perf_counter() - start))
        start = time.perf_counter()
        could_promise(work, stands, asked, 4 * DAY)
        promised.append(1000 * (time.perf_counter() - start))
        start = time.perf_counter()
        solved = solve(work)
        made.append(time.perf_counter() - start)
        before, after = before + solved.habit.broken, after + solved.score.broken
    return [
        ("sixty orders, first promised first", median(placed), "ms", None),
        ("could we promise it, sixty orders", median(promised), "ms", 1000),
        ("a new schedule of sixty orders", median(made), "s", 3),
        ("promises broken by first promised first", before, "of 300", None),
        ("promises broken by the new schedules", after, "of 300", None),
    ]
