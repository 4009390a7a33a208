"""The least time of published job shops is reached, and proved, by a schedule whose people are its machines."""

import pytest

from cutting.scheduling import Hours, Task, Work, Worker
from cutting.scheduling.solving import solve
from tests.outside.job_shops import SHOPS


@pytest.mark.parametrize("name", SHOPS)
def test_all_jobs_are_done_in_the_published_time_and_none_sooner(name):
    least, jobs = SHOPS[name]
    hours = Hours(((0, sum(long for job in jobs for _, long in job)),))
    workers = tuple(Worker(f"m{k}", frozenset([f"m{k}"]), hours) for k in range(len(jobs[0])))
    tasks = tuple(
        Task(f"{j}.{k}", f"{j}", f"m{machine}", long, (f"{j}.{k - 1}",) if k else ())
        for j, job in enumerate(jobs) for k, (machine, long) in enumerate(job)
    )  # fmt: skip
    in_time = solve(Work(workers, tasks, dict.fromkeys(map(str, range(len(jobs))), least)))
    assert in_time.score.broken == 0
    assert max(one.end for one in in_time.schedule.placed.values()) <= least
    sooner = solve(Work(workers, tasks, dict.fromkeys(map(str, range(len(jobs))), least - 1)))
    assert sooner.least == 1
