"""How a child process of the core is started: with what of this environment, and giving way to whoever waits."""

import os
from contextlib import suppress
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2]
PASSED_ON = ("PATH", "NUMBA_CACHE_DIR", "PYTHONPYCACHEPREFIX")
"""What of this process's environment a child has too: without what is compiled it takes seconds to begin."""
LESS = 10
"""How much less of a busy processor a child has, by the system's own numbers: about a tenth of what another has."""


def child_environment() -> dict[str, str]:
    """The environment of a child: one thread in libraries, for it has processes of its own."""
    own = {key: os.environ[key] for key in PASSED_ON if key in os.environ}
    return {"OPENBLAS_NUM_THREADS": "1", "OMP_NUM_THREADS": "1"} | own


def give_way() -> None:
    """Run in a child before it begins: it has less of a busy processor, and so has its session. Where Linux shares the
    processor out by sessions, nothing within one counts for the others.
    """
    os.nice(LESS)
    with suppress(OSError):
        group = os.open("/proc/self/autogroup", os.O_WRONLY)
        os.write(group, str(LESS).encode())
        os.close(group)
