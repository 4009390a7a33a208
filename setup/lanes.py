"""Steps run side by side: what each said, and how long it took.

One more at a time than there are cores: browsers and queues wait most of their time.
"""

import os
import queue
import subprocess
import threading
import time
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from setup.places import ROOT

MOST = 4


@dataclass(frozen=True)
class Step:
    """A command in a folder of the checkout; `more` is added to its environment."""

    name: str
    command: Sequence[str]
    cwd: str = "."
    more: Mapping[str, str] = field(default_factory=dict)


@dataclass(frozen=True)
class Done:
    """How a step ended, and after how many seconds."""

    step: Step
    code: int
    seconds: float


def run_side_by_side(steps: Sequence[Step], environment: Mapping[str, str]) -> list[Done]:
    """Run every step, the first ones first; the output of each is printed whole when it has ended."""
    waiting: queue.SimpleQueue[Step] = queue.SimpleQueue()
    for step in steps:
        waiting.put(step)
    done: list[Done] = []
    said = threading.Lock()

    def lane() -> None:
        while True:
            try:
                step = waiting.get_nowait()
            except queue.Empty:
                return
            began = time.monotonic()
            run = subprocess.run(
                step.command, cwd=ROOT / step.cwd, env={**environment, **step.more}, check=False, text=True,
                stdout=subprocess.PIPE, stderr=subprocess.STDOUT, errors="replace",
            )  # fmt: skip
            ended = Done(step, run.returncode, time.monotonic() - began)
            with said:
                done.append(ended)
                words = " ".join(part.removeprefix(f"{ROOT}/") for part in step.command)
                print(f"$ {words}\n{run.stdout}", flush=True)

    lanes = [threading.Thread(target=lane) for _ in range(min(MOST, (os.cpu_count() or 1) + 1))]
    for one in lanes:
        one.start()
    for one in lanes:
        one.join()
    return done


def table(done: Sequence[Done]) -> str:
    """The seconds of each step, the longest first."""
    rows = sorted(done, key=lambda one: -one.seconds)
    return "\n".join(f"{one.seconds:6.0f} s  {one.step.name}{'' if one.code == 0 else '  FAILED'}" for one in rows)
