"""A server of its own process beside the tests, on the tests' own database where it is asked for."""

import os
import socket
import subprocess
import sys
import time
from contextlib import contextmanager
from pathlib import Path

from django.db import connection

ROOT = Path(__file__).parents[1]
STARTS = 240
"""So many seconds a server may take to begin on a machine that is busy with other tests."""


def database():
    """The address of the tests' own database."""
    settings = connection.settings_dict
    return f"postgresql://{settings['USER']}:{settings['PASSWORD']}@{settings['HOST']}:{settings['PORT']}/{settings['NAME']}"


def free_port():
    with socket.socket() as free:
        free.bind(("127.0.0.1", 0))
        return free.getsockname()[1]


@contextmanager
def served(processes, *words, port=None, **more):
    """The port of a server of so many processes, and the process that keeps them; ended afterwards."""
    there = port or free_port()
    command = [sys.executable, "-m", "shop.serving", f"127.0.0.1:{there}", "--processes", str(processes), *words]
    process = subprocess.Popen(command, cwd=ROOT, env=dict(os.environ) | more, start_new_session=True)
    end = time.monotonic() + STARTS
    while True:
        try:
            socket.create_connection(("127.0.0.1", there), 1).close()
            break
        except OSError:
            assert process.poll() is None, "the server ended by itself"
            assert time.monotonic() < end, "the server does not begin"
            time.sleep(0.1)
    try:
        yield there, process.pid
    finally:
        process.terminate()
        assert process.wait(60) == 0
