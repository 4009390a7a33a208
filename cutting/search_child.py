"""The search child: a job on the first line of standard input, better lays as JSON lines on standard output.

It ends by itself: when the time is over, when every order was tried, or when its standard input is closed.
Each line holds tried and to_try; a better lay adds `lay`; the last line holds the whole `plan` where one was found.
"""

import json
import os
import resource
import select
import sys
import time
from typing import Any

from cutting.formats import plan_to_wire, read_job
from cutting.formats.plan_v1 import lay_to_wire
from cutting.lay import Lay
from cutting.plan import plan, with_lay
from cutting.searching import search

MEMORY = 2 * 1024**3
EVERY = 0.3


def _say(**line: Any) -> None:
    sys.stdout.write(json.dumps(line, allow_nan=False) + "\n")
    sys.stdout.flush()


def _left_alone() -> bool:
    """True once whoever started the search has gone."""
    ready, _, _ = select.select([sys.stdin], [], [], 0)
    return bool(ready) and os.read(sys.stdin.fileno(), 1) == b""


def main() -> int:
    """Run one search; 0 when it ended by itself."""
    resource.setrlimit(resource.RLIMIT_AS, (MEMORY, MEMORY))
    asked = json.loads(sys.stdin.buffer.readline())
    first = plan(read_job(asked["job"]), by_width=False)
    if first.lays is None:
        return 0
    best: Lay | None = None
    spoke, step = 0.0, None
    for step in search(first, asked["seconds"], asked["seed"], wanted=lambda: not _left_alone()):
        now = time.monotonic()
        if step.lay is not None:
            best = step.lay
            wire = lay_to_wire(with_lay(first, best).lays or first.lays, first.open_length).model_dump()
            _say(tried=step.tried, to_try=step.to_try, lay=wire)
            spoke = now
        elif now - spoke > EVERY:
            _say(tried=step.tried, to_try=step.to_try)
            spoke = now
    if step is not None:
        found = plan_to_wire(with_lay(first, best)) if best is not None else None
        _say(tried=step.tried, to_try=step.to_try, plan=found)
    return 0


if __name__ == "__main__":
    sys.exit(main())
