"""The web server: a few processes on one address. Each takes whole requests off many connections before a thread works
at one, so that slow and silent clients hold none.

`python -m shop.serving 127.0.0.1:8640 --processes 2`; behind a proxy with `--proxy` and its address: what that says of
where a request came from is then believed, of nobody else, so that a guesser is not taken for everybody.
"""

import argparse
import ctypes
import gc
import os
import signal
import socket
import sys
import time
from collections.abc import Callable, Sequence
from functools import partial
from pathlib import Path
from types import FrameType

from shop.seeing import metrics

FIGURES = Path("var/metrics")
THREADS = 4
PAUSE = 0.2
"""So many seconds are waited before a process that ended is made anew."""
WAITED_FOR = 20
"""A connection on which nothing comes for so many seconds is closed."""
CONNECTIONS = 1000
TURN = 0.001
"""A thread that works gives way to the others of its process after so many seconds (five times as long where nothing is
said): an answer asks the database a dozen times, and after each would wait so long for a draft that is worked out.
"""
LARGE = 1_000_000
"""A block of memory over so many bytes is given back to the machine when it is free."""
NEW = 5000
"""After so many new objects those that nothing refers to any more are looked for among them."""
M_MMAP_THRESHOLD = -3
"""What glibc's malloc.h calls the setting of that (from memory)."""
PROXY_SAYS = {"x-forwarded-for", "x-forwarded-proto"}
LARGEST = 2_000_000
"""No larger body is read at all; what is over the application's own limit is refused in words."""


def listening(address: str) -> socket.socket:
    """A socket bound to `host:port`. Raises OSError where it is taken, ValueError where it is none."""
    host, _, port = address.rpartition(":")
    made = socket.socket(socket.AF_INET, socket.SOCK_STREAM)
    made.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    made.bind((host, int(port)))
    made.set_inheritable(True)
    return made


def serve(bound: socket.socket, proxy: str | None = None) -> None:
    """Serve the application in this process until it is ended; `proxy` is the address whose word is taken."""
    from django.urls import get_resolver
    from waitress import serve as run

    from shop.wsgi import application

    # The rooms are loaded now, not by the first request: what is loaded settles.
    assert get_resolver().url_patterns
    sys.setswitchinterval(TURN)
    give_back()
    settle()
    said = {"trusted_proxy": proxy, "trusted_proxy_headers": PROXY_SAYS, "clear_untrusted_proxy_headers": True}
    run(
        application, sockets=[bound], threads=THREADS, channel_timeout=WAITED_FOR, cleanup_interval=5,
        connection_limit=CONNECTIONS, max_request_body_size=LARGEST, ident=None, asyncore_use_poll=True, _quiet=True,
        **(said if proxy else {}),
    )  # fmt: skip


def give_back() -> None:
    """Have large blocks given back when they are free. By itself the C library keeps those of the size that it has seen
    once, for each thread: 20 MB for each that has looked at a password.
    """
    if set_to := getattr(ctypes.CDLL(None), "mallopt", None):
        set_to(M_MMAP_THRESHOLD, LARGE)


def settle() -> None:
    """What is loaded by now stays, and is not looked through for what nothing refers to any more: that is 200,000
    objects and took a tenth of a second or two, once in some twenty plans, in the middle of an answer.
    """
    gc.collect()
    gc.freeze()
    gc.set_threshold(NEW, *gc.get_threshold()[1:])


def _child(work: Callable[[], None]) -> int:
    pid = os.fork()
    if pid == 0:
        signal.signal(signal.SIGTERM, signal.SIG_DFL)
        work()
        os._exit(0)
    return pid


def keep(works: Sequence[Callable[[], None]]) -> None:
    """A process for each, made anew where it ends by itself; all end with this one."""
    children = {_child(work): work for work in works}

    def end(_: int, __: FrameType | None) -> None:
        for pid in children:
            os.kill(pid, signal.SIGTERM)
        sys.exit(0)

    signal.signal(signal.SIGTERM, end)
    while True:
        pid, _ = os.wait()
        if work := children.pop(pid, None):
            time.sleep(PAUSE)
            children[_child(work)] = work


def main() -> None:
    asked = argparse.ArgumentParser(prog="shop.serving")
    asked.add_argument("address")
    asked.add_argument("--processes", type=int, default=2)
    asked.add_argument("--proxy", help="the address of the proxy in front, such as 127.0.0.1")
    asked.add_argument("--metrics", help="where its figures are served, on loopback, such as 127.0.0.1:8601")
    given = asked.parse_args()
    bound = listening(given.address)
    works = [partial(serve, bound, given.proxy)] * given.processes
    if given.metrics:
        metrics.share(FIGURES)
        works.append(partial(metrics.serve, listening(metrics.checked(given.metrics))))
    keep(works)


if __name__ == "__main__":
    main()
