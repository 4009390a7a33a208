"""What waits, and the answer, as plain data that goes from one process to another."""

from collections.abc import Mapping
from dataclasses import asdict
from typing import Any

from cutting.scheduling.hours import Hours
from cutting.scheduling.placing import Schedule
from cutting.scheduling.task import Before, Task, Work, Worker


def work_out(work: Work) -> dict[str, Any]:
    """Plain data of a work."""
    return {
        "workers": [
            {"id": one.id, "skills": sorted(one.skills), "spans": [list(span) for span in one.hours.spans]}
            for one in work.workers
        ],
        "tasks": [asdict(one) for one in work.tasks], "due": dict(work.due), "shared": dict(work.shared),
        "was": {id: asdict(one) for id, one in work.was.items()},
    }  # fmt: skip


def work_in(data: Mapping[str, Any]) -> Work:
    """A work of its plain data. Raises ScheduleError."""
    return Work(
        tuple(
            Worker(one["id"], frozenset(one["skills"]), Hours(tuple((low, high) for low, high in one["spans"])))
            for one in data["workers"]
        ),
        tuple(Task(**one | {"needs": tuple(one["needs"]), "uses": tuple(one["uses"])}) for one in data["tasks"]),
        data["due"], data["shared"], {id: Before(**one) for id, one in data["was"].items()},
    )  # fmt: skip


def placed_out(schedule: Schedule) -> dict[str, dict[str, Any]]:
    """By task who does it, from and to which moment."""
    return {
        id: {"worker": one.worker, "start": one.start, "end": one.end} for id, one in sorted(schedule.placed.items())
    }
