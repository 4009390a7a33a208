"""A stand-in for a gateway that delivers messages: listens on loopback, shows what came, has a gateway's troubles.

./plavet post                   start it; what it delivers is printed
./plavet post down              it answers that it is down
./plavet post slow 8            it answers after so many seconds
./plavet post refuse 0555       it refuses numbers that begin so
./plavet post twice             it takes the next message and breaks off, so that it is sent a second time
./plavet post mend              all of that is over
./plavet post state             what it delivered and how often each was sent, as JSON

A message is PUT at /messages/<id> as {"to", "text"}: the same id again is the same message, and is delivered once.
"""

import argparse
import json
import sys
import threading
import time
from contextlib import suppress
from dataclasses import dataclass, field
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from urllib.error import URLError
from urllib.parse import quote, unquote
from urllib.request import urlopen

MOST = 10_000
"""A message is no longer, in bytes."""


@dataclass
class Gateway:
    """What came, by id; how often each was sent; what goes wrong."""

    delivered: dict[str, dict[str, str]] = field(default_factory=dict)
    sent: dict[str, int] = field(default_factory=dict)
    down: bool = False
    twice: bool = False
    slow: float = 0.0
    refuses: str = ""
    lock: threading.Lock = field(default_factory=threading.Lock)

    def take(self, id: str, message: dict[str, str]) -> int:
        """The status that a message is answered by; 0 where the line breaks off."""
        time.sleep(self.slow)
        with self.lock:
            self.sent[id] = self.sent.get(id, 0) + 1
            if self.down:
                return 503
            if self.refuses and message["to"].startswith(self.refuses):
                return 422
            if id not in self.delivered:
                self.delivered[id] = message
                print(f"To {message['to']}: {message['text']}", flush=True)
            if self.twice:
                self.twice = False
                return 0
            return 200

    def asked(self, verb: str, word: str) -> dict[str, object]:
        """A command from beside the gateway."""
        with self.lock:
            if verb == "mend":
                self.down, self.twice, self.slow, self.refuses = False, False, 0.0, ""
            elif verb == "slow":
                self.slow = float(word or 8)
            elif verb == "refuse":
                self.refuses = word
            elif verb in ("down", "twice"):
                setattr(self, verb, True)
            return {"delivered": self.delivered, "sent": self.sent, "down": self.down, "refuses": self.refuses}


class _Door(BaseHTTPRequestHandler):
    gateway: Gateway

    def do_PUT(self) -> None:
        id = self.path.rpartition("/")[2]
        try:
            message = json.loads(self.rfile.read(min(int(self.headers.get("Content-Length", 0)), MOST)))
            status = self.gateway.take(id, {"to": str(message["to"]), "text": str(message["text"])})
        except (ValueError, KeyError, TypeError):
            status = 400
        if status:
            self._answer(status, {})

    def do_GET(self) -> None:
        verb, _, word = self.path.removeprefix("/say/").partition("/")
        self._answer(200, self.gateway.asked(verb, unquote(word)))

    def _answer(self, status: int, body: dict[str, object]) -> None:
        data = json.dumps(body).encode()
        # Whoever waited no longer does not hear it.
        with suppress(OSError):
            self.send_response(status)
            self.send_header("Content-Length", str(len(data)))
            self.end_headers()
            self.wfile.write(data)

    def log_message(self, format: str, *args: object) -> None:
        """What comes is printed as a message, not as a line of a log."""


def start(port: int) -> tuple[Gateway, ThreadingHTTPServer]:
    """The gateway, listening at a port; at any free one where it is 0."""
    gateway = Gateway()
    server = ThreadingHTTPServer(("127.0.0.1", port), type("Door", (_Door,), {"gateway": gateway}))
    server.daemon_threads = True
    threading.Thread(target=server.serve_forever, daemon=True).start()
    return gateway, server


VERBS = ("down", "slow", "refuse", "twice", "mend", "state")


def main(words: list[str]) -> int:
    """Start the gateway, or say something to the one that runs."""
    parser = argparse.ArgumentParser(prog="plavet post", description="A stand-in for a gateway that delivers messages.")
    parser.add_argument("say", nargs="*", help=f"to the gateway that runs: {', '.join(VERBS)}")
    parser.add_argument("--port", type=int, default=9125)
    asked = parser.parse_args(words)
    if asked.say:
        if asked.say[0] not in VERBS:
            print(f"A gateway knows no '{asked.say[0]}': {', '.join(VERBS)}.", file=sys.stderr)
            return 2
        path = "/".join(quote(word, safe="") for word in asked.say[:2])
        try:
            with urlopen(f"http://127.0.0.1:{asked.port}/say/{path}", timeout=30) as answer:  # our own address
                print(json.dumps(json.load(answer), indent=1, ensure_ascii=False))
        except URLError:
            print("No gateway runs here. Start it: ./plavet post", file=sys.stderr)
            return 1
        return 0
    try:
        start(asked.port)
    except OSError:
        print(
            f"Port {asked.port} is taken: a gateway may run here already. Ask it: ./plavet post state", file=sys.stderr
        )
        return 1
    print(f"The gateway listens at 127.0.0.1:{asked.port}; what it delivers is printed. Ctrl+C ends it.", flush=True)
    with suppress(KeyboardInterrupt):
        threading.Event().wait()
    return 0
