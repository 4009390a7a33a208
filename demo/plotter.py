"""A stand-in for a pen plotter: listens on loopback, takes HPGL, draws what it got, has a plotter's troubles on demand.

./plavet plotter                start it; what it draws is in var/plotter, a drawing a job
./plavet plotter jam            the paper jams in the middle of the next piece
./plavet plotter empty          there is no paper any more
./plavet plotter slow 0.5       half a second for each stroke
./plavet plotter drop           the line breaks after the next piece is drawn, before that is answered
./plavet plotter mend           paper is there, nothing jams, the line holds
./plavet plotter state          what it is doing, as JSON

Besides HPGL it takes two questions. `OS;` is answered when all before it is drawn: 16 where it was, 48 where it was
not, and `OE;` then why: 1 a jam, 2 no paper. `ESC .J<job>:` is answered by how many pieces of a job it has drawn,
counted by their comments `CO "<job> <piece>";`. (16 ready and 32 error are HPGL's bits, from memory.)
"""

import argparse
import json
import re
import socket
import socketserver
import sys
import threading
import time
from contextlib import suppress
from dataclasses import dataclass, field
from pathlib import Path

from demo.plotted import Drawn, Pen, to_png, to_svg

READY, ERROR = 16, 48
JAM, EMPTY = 1, 2
BEGIN = re.compile(r'CO "([0-9a-f-]{1,60}) (\d{1,4})";')
ASK = re.compile(r"\x1b\.J([0-9a-f-]{1,60}):|OS;|OE;")
GAP, JAMMED = 20.0, 10
"""Between two pieces along the paper, mm; a jam comes after so small a part of a piece."""
MOST = 4_000_000
"""What a piece may be long, in letters: no memory holds more."""


@dataclass
class Troubles:
    """What goes wrong next, and how long a stroke takes, s."""

    jam: bool = False
    empty: bool = False
    drop: bool = False
    slow: float = 0.0


@dataclass
class Job:
    """What was drawn of a job: its paper, how many pieces are whole."""

    drawn: Drawn = field(default_factory=Drawn)
    pieces: int = 0
    up: float = 0.0


class Plotter:
    """The device itself."""

    def __init__(self, folder: Path):
        self.folder, self.troubles, self.jobs = folder, Troubles(), dict[str, Job]()
        self.trouble, self.at_work = 0, ""
        self.lock = threading.Lock()

    def draw(self, text: str) -> None:
        """What came since the last question. What comes while something is wrong is lost, as paper is."""
        begun = BEGIN.search(text)
        with self.lock:
            if begun is None or self.trouble:
                return
            name, number = begun[1], int(begun[2])
            job = self.jobs.setdefault(name, Job())
            self.at_work = f"{name} {number}"
            if self.troubles.empty:
                self.trouble = EMPTY
                return
            self._piece(job, text, number)
            self._keep(name, job)

    def _piece(self, job: Job, text: str, number: int) -> None:
        before = len(job.drawn.strokes)
        whole = not self.troubles.jam
        pen = Pen(job.drawn, job.up) if whole else Pen(job.drawn, job.up, text.count(",") // JAMMED)
        pen.follow(text)
        time.sleep(self.troubles.slow * (len(job.drawn.strokes) - before))
        job.up = job.drawn.length + GAP
        if whole:
            job.pieces = max(job.pieces, number)
        else:
            self.trouble, self.troubles.jam = JAM, False

    def _keep(self, name: str, job: Job) -> None:
        self.folder.mkdir(parents=True, exist_ok=True)
        (self.folder / f"{name}.svg").write_text(to_svg(job.drawn))
        to_png(job.drawn, self.folder / f"{name}.png")

    def asked(self, words: list[str]) -> str:
        """A command from beside the device."""
        verb, number = words[0], float(words[1]) if len(words) > 1 else 0.5
        with self.lock:
            if verb == "mend":
                self.troubles, self.trouble = Troubles(), 0
            elif verb == "slow":
                self.troubles.slow = number
            elif verb in ("jam", "empty", "drop"):
                setattr(self.troubles, verb, True)
            return json.dumps(self.state())

    def state(self) -> dict[str, object]:
        return {
            "trouble": {0: "", JAM: "jam", EMPTY: "empty"}[self.trouble], "at_work": self.at_work,
            "jobs": {
                name: {
                    "pieces": job.pieces, "drawn_mm": round(job.drawn.drawn_mm), "lifted_mm": round(job.drawn.lifted_mm)
                } for name, job in self.jobs.items()
            },
        }  # fmt: skip


class _Line(socketserver.StreamRequestHandler):
    """One sender: HPGL and questions, each answered when all before it is done."""

    server: "_Server"

    def handle(self) -> None:
        plotter, came = self.server.plotter, ""
        while len(came) < MOST and (more := self.request.recv(65536)):
            came += more.decode("latin-1")
            while found := ASK.search(came):
                asked, text, came = found, came[: found.start()], came[found.end() :]
                if text.strip():
                    plotter.draw(text)
                    if plotter.troubles.drop:
                        plotter.troubles.drop = False
                        return
                self.wfile.write(f"{self._answer(plotter, asked)}\r".encode())

    def _answer(self, plotter: Plotter, asked: re.Match[str]) -> int:
        if asked[1]:
            return plotter.jobs.get(asked[1], Job()).pieces
        if asked[0] == "OE;":
            return plotter.trouble
        return ERROR if plotter.trouble else READY


class _Beside(socketserver.StreamRequestHandler):
    """Somebody beside the device."""

    server: "_Server"

    def handle(self) -> None:
        words = self.rfile.readline(200).decode("latin-1").split()
        if words:
            self.wfile.write(self.server.plotter.asked(words).encode())


class _Server(socketserver.ThreadingTCPServer):
    allow_reuse_address = True
    daemon_threads = True

    def __init__(self, port: int, handler: type[socketserver.StreamRequestHandler], plotter: Plotter):
        self.plotter = plotter
        super().__init__(("127.0.0.1", port), handler)


def start(port: int, folder: Path) -> tuple[Plotter, list[_Server]]:
    """The device, listening: at `port` for HPGL, at the next for commands; at any free ones where it is 0."""
    plotter = Plotter(folder)
    servers = [_Server(port, _Line, plotter), _Server(port + 1 if port else 0, _Beside, plotter)]
    for server in servers:
        threading.Thread(target=server.serve_forever, daemon=True).start()
    return plotter, servers


VERBS = ("jam", "empty", "slow", "drop", "mend", "state")


def main(words: list[str], folder: Path) -> int:
    """Start the device, or say something to the one that runs."""
    parser = argparse.ArgumentParser(prog="plavet plotter", description="A pen plotter's stand-in.")
    parser.add_argument("say", nargs="*", help=f"to the plotter that runs: {', '.join(VERBS)}")
    parser.add_argument("--port", type=int, default=9100)
    asked = parser.parse_args(words)
    if asked.say:
        if asked.say[0] not in VERBS:
            print(f"A plotter knows no '{asked.say[0]}': {', '.join(VERBS)}.", file=sys.stderr)
            return 2
        try:
            with socket.create_connection(("127.0.0.1", asked.port + 1), timeout=30) as line:
                line.sendall(f"{' '.join(asked.say)}\n".encode())
                print(line.makefile().read())
        except OSError:
            print("No plotter runs here. Start it: ./plavet plotter", file=sys.stderr)
            return 1
        return 0
    start(asked.port, folder)
    print(f"The plotter listens at 127.0.0.1:{asked.port}; what it draws is in {folder}. Ctrl+C ends it.", flush=True)
    with suppress(KeyboardInterrupt):
        threading.Event().wait()
    return 0
