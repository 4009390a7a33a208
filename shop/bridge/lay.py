"""Supervising the search child: started in a session of its own, fed a job, read line by line, always ended."""

import json
import os
import select
import signal
import subprocess
import sys
from collections.abc import Generator
from contextlib import suppress
from typing import Any

from shop.bridge.child import ROOT, child_environment, give_way

Lines = Generator[dict[str, Any] | None, None, None]


def search_lay(job: dict[str, Any], seconds: float, seed: int, hand: dict[str, Any] | None = None) -> Lines:
    """Look for a shorter lay, with a `hand` from where its placements are and without moving its pins; see `_run`."""
    return _run({"job": job, "seconds": seconds, "seed": seed, "hand": hand})


def try_savings(job: dict[str, Any], seconds: float, seed: int, known_mm: float | None) -> Lines:
    """Try what would make the cloth in hand enough, a search of `seconds` for each saving, compared with the shortest
    lay that is known of the job as it stands; see `_run`.
    """
    return _run({"job": job, "seconds": seconds, "seed": seed, "savings": True, "known_mm": known_mm})


def _run(asked: dict[str, Any]) -> Lines:
    """Run a search child; yields its lines, and None at least twice a second while it says nothing.

    Closing the iterator ends the child. It also ends by itself when this process dies, since its input closes.
    """
    child = subprocess.Popen(
        [sys.executable, "-m", "cutting.search_child"], cwd=ROOT, stdin=subprocess.PIPE, stdout=subprocess.PIPE,
        stderr=subprocess.DEVNULL, start_new_session=True, preexec_fn=give_way, env=child_environment(),
    )  # fmt: skip
    assert child.stdin is not None
    assert child.stdout is not None
    try:
        child.stdin.write(json.dumps(asked).encode() + b"\n")
        child.stdin.flush()
        held = b""
        while True:
            ready, _, _ = select.select([child.stdout], [], [], 0.4)
            if not ready:
                yield None
                continue
            part = os.read(child.stdout.fileno(), 1 << 16)
            if not part:
                break
            *lines, held = (held + part).split(b"\n")
            for line in lines:
                yield json.loads(line)
    finally:
        child.stdin.close()
        with suppress(ProcessLookupError):
            os.killpg(child.pid, signal.SIGKILL)
        child.wait()
        child.stdout.close()
