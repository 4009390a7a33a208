"""The server itself: silent, slow and half-finished connections hold nobody up; a process that dies is made anew."""

import http.client
import os
import signal
import socket
import subprocess
import sys
import time
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[2]
SILENT = 200


@pytest.fixture
def server():
    with socket.socket() as free:
        free.bind(("127.0.0.1", 0))
        there = free.getsockname()[1]
    command = [sys.executable, "-m", "shop.serving", f"127.0.0.1:{there}", "--processes", "2"]
    process = subprocess.Popen(command, cwd=ROOT, env=dict(os.environ), start_new_session=True)
    for _ in range(200):
        try:
            socket.create_connection(("127.0.0.1", there), 1).close()
            break
        except OSError:
            time.sleep(0.1)
    yield there, process.pid
    process.terminate()
    assert process.wait(10) == 0


def asked(port, timeout=30):
    """The status of a request nobody is logged in for, and who answered."""
    line = http.client.HTTPConnection("127.0.0.1", port, timeout=timeout)
    line.request("GET", "/api/session")
    answer = line.getresponse()
    answer.read()
    return answer.status


def test_two_hundred_silent_connections_stop_nobody(server):
    """Some say nothing, some stop within the head, some within the body."""
    beginnings = [
        b"",
        b"GET / HTTP/1.1\r\nHost: x\r\nX-A: ",
        b"POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Length: 900\r\n\r\n{",
    ]
    there, _ = server
    held = []
    for number in range(SILENT):
        line = socket.create_connection(("127.0.0.1", there), 10)
        line.sendall(beginnings[number % 3])
        held.append(line)
    assert [asked(there) for _ in range(20)] == [401] * 20
    for line in held:
        line.close()


def children(pid):
    return {int(one) for one in Path(f"/proc/{pid}/task/{pid}/children").read_text().split()}


def test_a_process_that_dies_is_made_anew(server):
    there, pid = server
    before = children(pid)
    assert len(before) == 2
    for child in before:
        os.kill(child, signal.SIGKILL)
    for _ in range(200):
        now = children(pid)
        if len(now) == 2 and not now & before:
            break
        time.sleep(0.05)
    assert len(now) == 2
    assert not now & before
    assert asked(there) == 401
