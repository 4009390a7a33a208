"""Processes that outlive the command which started them, each known by a pid file in var/run."""

import http.client
import os
import signal
import subprocess
import time
from pathlib import Path

from setup.places import ROOT, RUN, VAR

LARGEST = 20_000_000
"""A log of more bytes is put aside when its process is begun, in the place of the one put aside before."""


def alive(name: str) -> int | None:
    path = RUN / f"{name}.pid"
    if not path.exists():
        return None
    pid = int(path.read_text())
    try:
        command = Path(f"/proc/{pid}/cmdline").read_bytes()
        state = Path(f"/proc/{pid}/stat").read_text().rsplit(")", 1)[1].split()[0]
    except (FileNotFoundError, ProcessLookupError):
        return None
    return pid if state != "Z" and str(ROOT).encode() in command else None


def ensure(name: str, command: list[str], environment: dict[str, str]) -> bool:
    """Start `command` in the background unless it runs already; True if it was started now."""
    if alive(name):
        return False
    RUN.mkdir(parents=True, exist_ok=True)
    path = VAR / f"{name}.log"
    if path.exists() and path.stat().st_size > LARGEST:
        path.rename(path.with_suffix(".log.1"))
    log = path.open("ab")
    process = subprocess.Popen(
        command, cwd=ROOT, env=environment, stdin=subprocess.DEVNULL, stdout=log, stderr=log, start_new_session=True
    )
    (RUN / f"{name}.pid").write_text(str(process.pid))
    for _ in range(100):  # the system shows a new process's command a moment after it was started
        if alive(name) or process.poll() is not None:
            break
        time.sleep(0.01)
    return True


def stop(name: str) -> bool:
    """End the process of that name and its children; True if it was running."""
    pid = alive(name)
    path = RUN / f"{name}.pid"
    if pid is None:
        path.unlink(missing_ok=True)
        return False
    os.killpg(pid, signal.SIGTERM)
    for _ in range(100):
        if alive(name) is None:
            break
        time.sleep(0.1)
    else:
        os.killpg(pid, signal.SIGKILL)
    path.unlink(missing_ok=True)
    return True


def wait_for(host: str, port: int, log: Path, seconds: float = 120) -> None:
    """Wait until the server can serve, long enough for a machine that does much else; give up with the end of `log`."""
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        try:
            connection = http.client.HTTPConnection(host, port, timeout=2)
            connection.request("GET", "/health/ready")
            if connection.getresponse().status == 200:
                return
        except (OSError, http.client.HTTPException):
            pass
        time.sleep(0.1)
    raise SystemExit(f"{host}:{port} does not answer. The end of {log}:\n{log.read_text()[-2000:]}")
