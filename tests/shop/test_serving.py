"""The server itself: silent, slow and half-finished connections hold nobody up; a process that dies is made anew."""

import http.client
import json
import os
import signal
import socket
import subprocess
import sys
import time
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

import pytest
from axes.models import AccessAttempt

from demo import people
from demo.load import load
from shop.accounts.hashers import Argon2
from shop.accounts.models import User
from shop.serving import NEW
from tests.servers import database, served
from tests.shop.conftest import Caller

SILENT = 200


FIRST, ALL = (500, 10_000) if os.environ.get("PLAVET_DEEP") else (40, 104)
"""A process has taken what it needs after the first requests; after all of them it holds hardly more."""


@pytest.fixture
def server():
    with served(2) as made:
        yield made


def asked(port, timeout=30):
    """The status of a request nobody is logged in for, and who answered."""
    line = http.client.HTTPConnection("127.0.0.1", port, timeout=timeout)
    line.request("GET", "/api/session")
    answer = line.getresponse()
    answer.read()
    return answer.status


def test_what_is_loaded_is_out_of_the_collectors_way_before_the_first_request():
    told = """
import gc, socket, waitress
from shop import serving
waitress.serve = lambda *_, **__: print(gc.get_freeze_count(), gc.get_threshold()[0])
serving.serve(socket.socket())
"""
    said = subprocess.run([sys.executable, "-c", told], check=True, capture_output=True, text=True).stdout
    frozen, new = map(int, said.split())
    assert frozen > 100_000
    assert new == NEW


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


def held_by(pid):
    """How many kB of memory a process holds."""
    return int(Path(f"/proc/{pid}/status").read_text().partition("VmRSS:")[2].split()[0])


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


@pytest.mark.parametrize("words", [(), ("--proxy", "127.0.0.1")])
def test_where_a_request_came_from_is_believed_of_the_proxy_alone(transactional_db, words):
    """A wrong password is counted for the address it came from: the proxy says which, if there is one."""
    with served(1, *words, DATABASE_URL=database(), DJANGO_SETTINGS_MODULE="shop.settings.demo") as (port, _):
        line = http.client.HTTPConnection("127.0.0.1", port, timeout=30)
        head = {
            "Cookie": f"csrftoken={'c' * 32}", "X-CSRFToken": "c" * 32, "Content-Type": "application/json",
            "X-Forwarded-For": "10.1.2.3",
        }  # fmt: skip
        line.request("POST", "/api/session", b'{"user_name": "nobody", "password": "no"}', head)
        assert line.getresponse().status == 401
    assert AccessAttempt.objects.get().ip_address == ("10.1.2.3" if words else "127.0.0.1")


def test_a_process_holds_hardly_more_after_many_requests(transactional_db):
    """Pages, plans, drafts and refused writes, one after another."""
    load()
    there = database()
    caller = Caller(User.objects.get(username="ebba"))
    cookies = {"csrftoken": "c" * 32} | {key: one.value for key, one in caller.http.cookies.items()}
    head = {
        "Cookie": "; ".join(f"{key}={value}" for key, value in cookies.items()), "X-CSRFToken": "c" * 32,
        "Content-Type": "application/json",
    }  # fmt: skip
    order = caller.get("/orders")[0]["id"]
    sheet = caller.get(f"/orders/{order}")["sheet"]["id"]
    asked = [
        ("GET", "/orders"), ("GET", f"/orders/{order}"), ("POST", f"/orders/{order}/plan"), ("GET", f"/sheets/{sheet}/advice"),
        ("GET", f"/orders/{order}/design"), ("GET", "/drafts/quarter-hip"), ("GET", "/clients?find=ma"), ("PUT", "/clients/none"),
    ]  # fmt: skip
    with served(1, DATABASE_URL=there) as (port, keeper):
        (worker,) = children(keeper)
        held = []
        for count in range(ALL):
            method, path = asked[count % len(asked)]
            line = http.client.HTTPConnection("127.0.0.1", port, timeout=30)
            line.request(method, f"/api{path}", b"{}" if method != "GET" else None, head)
            assert line.getresponse().status in (200, 404, 422), path
            line.close()
            if count + 1 in (FIRST, ALL):
                held.append(held_by(worker))
    assert held[1] <= 1.3 * held[0], held


def test_what_a_password_takes_to_look_at_is_given_back(transactional_db):
    """Each takes 19 MB for a moment; four threads that have looked at some hold none of it."""
    load()
    by_argon = Argon2().encode(people.OWNER_PASSWORD, "a salt of the test")
    User.objects.filter(username=people.OWNER_NAME).update(password=by_argon)
    head = {"Cookie": f"csrftoken={'c' * 32}", "X-CSRFToken": "c" * 32, "Content-Type": "application/json"}
    body = json.dumps({"user_name": people.OWNER_NAME, "password": people.OWNER_PASSWORD})

    def come_in(_):
        line = http.client.HTTPConnection("127.0.0.1", port, timeout=60)
        line.request("POST", "/api/session", body, head)
        return line.getresponse().status

    real = {"DATABASE_URL": database(), "DJANGO_SETTINGS_MODULE": "shop.settings.demo"}
    with served(1, **real) as (port, keeper), ThreadPoolExecutor(24) as together:
        (worker,) = children(keeper)
        assert come_in(0) == 200
        first = held_by(worker)
        for _ in range(3):
            assert set(together.map(come_in, range(24))) == {200}
        assert held_by(worker) - first < 30_000
