"""
The workers of the queues: one that searches, schedules and backs up, which can take ten minutes, and one for what
somebody waits for. Each does one thing after the other.
"""

from setup import processes
from setup.places import ROOT

QUEUES = {"worker": ("lay",), "worker-quick": ("house", "plan", "plot", "post")}
"""The queues of each worker; together all that there are."""


def names(prefix: str = "") -> list[str]:
    return [prefix + name for name in QUEUES]


def ensure(python: str, environment: dict[str, str], prefix: str = "") -> None:
    """Start those that do not run."""
    for name, queues in QUEUES.items():
        command = [python, str(ROOT / "manage.py"), "procrastinate", "worker", "--queues", ",".join(queues)]
        processes.ensure(prefix + name, command, environment)
