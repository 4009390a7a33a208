"""The scheduling child: a work on standard input as JSON, the best schedule found for it on standard output."""

import json
import resource
import sys
from dataclasses import asdict

from cutting.scheduling.solving import solve
from cutting.scheduling.wire import placed_out, work_in

MEMORY = 2 * 1024**3


def main() -> int:
    """Make one schedule; 0 when it is written."""
    resource.setrlimit(resource.RLIMIT_AS, (MEMORY, MEMORY))
    solved = solve(work_in(json.load(sys.stdin)))
    answer = {
        "placed": placed_out(solved.schedule), "score": asdict(solved.score), "habit": asdict(solved.habit),
        "least": solved.least,
    }  # fmt: skip
    json.dump(answer, sys.stdout, allow_nan=False)
    return 0


if __name__ == "__main__":
    sys.exit(main())
