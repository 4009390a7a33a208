"""A schedule made in a child process: started, given what waits, always ended."""

import json
import subprocess
import sys
from collections.abc import Mapping
from dataclasses import asdict
from datetime import date
from typing import Any

from cutting.scheduling import earliest_promise_first, score
from cutting.scheduling.wire import placed_out, work_out
from shop.bridge.child import ROOT, child_environment, give_way
from shop.bridge.scheduling import Stands, Waits, WasPlaced, clock_of

SECONDS = 60
"""A child that has not answered by then is ended."""


def as_asked(work: Waits) -> dict[str, Any]:
    """What waits, as it is put on the queue."""
    return work_out(work)


def make_schedule(asked: Mapping[str, Any]) -> dict[str, Any] | None:
    """Who does each task from and to which moment, with its score, that of promise after promise, and how many promises
    are broken by any; None where the child broke off.
    """
    try:
        done = subprocess.run(
            [sys.executable, "-m", "cutting.schedule_child"], cwd=ROOT, input=json.dumps(asked).encode(),
            stdout=subprocess.PIPE, stderr=subprocess.DEVNULL, timeout=SECONDS, start_new_session=True, check=False,
            preexec_fn=give_way, env=child_environment(),
        )  # fmt: skip
    except subprocess.TimeoutExpired:
        return None
    return None if done.returncode else json.loads(done.stdout)


def made_by_hand(work: Waits, schedule: Stands) -> dict[str, Any]:
    """A schedule that somebody made by moving a ticket, as one of the child's; nothing is proved by it."""
    habit = score(work, earliest_promise_first(work))
    return {
        "placed": placed_out(schedule), "score": asdict(score(work, schedule)), "habit": asdict(habit), "least": 0,
    }  # fmt: skip


def was_placed(made: Mapping[str, Any], first: date) -> dict[str, WasPlaced]:
    """The tasks of a schedule by their ids, on the workshop's own clock."""
    return {
        id: WasPlaced(one["worker"], clock_of(one["start"], first), clock_of(one["end"], first))
        for id, one in made.get("placed", {}).items()
    }
