"""The line to a pen plotter: what it drew, and one piece after the other. It says nothing of orders or plans."""

import socket
from urllib.parse import urlsplit

from django.conf import settings

ANSWERS_IN = 120.0
"""A piece is drawn within so many seconds, or the line is taken to be broken."""
READY = 16
TROUBLES = {1: "jam", 2: "empty"}
"""What a plotter answers where it stopped, and what that is called here; `line` where it answers nothing."""
LINE = "line"


def there() -> bool:
    """Whether this workshop's machine has a plotter."""
    return bool(settings.PLAVET_PLOTTER)


class Plotter:
    """A line that is open as long as it is used (`with`). Raises OSError where nobody answers."""

    def __init__(self) -> None:
        place = urlsplit(f"//{settings.PLAVET_PLOTTER}")
        self.line = socket.create_connection((place.hostname or "127.0.0.1", place.port or 9100), timeout=5)
        self.line.settimeout(ANSWERS_IN)

    def __enter__(self) -> "Plotter":
        return self

    def __exit__(self, *_: object) -> None:
        self.line.close()

    def drawn(self, job: str) -> int:
        """How many pieces of a job it has drawn, as it says. Raises OSError, ValueError."""
        return self._ask(f"\x1b.J{job}:")

    def draw(self, piece: str) -> str:
        """Draw a piece and wait until it is: empty, or the trouble that it stopped for. Raises OSError, ValueError."""
        if self._ask(piece) == READY:
            return ""
        return TROUBLES.get(self._ask("OE;"), LINE)

    def _ask(self, text: str) -> int:
        self.line.sendall(text.encode("latin-1", "replace"))
        answer = b""
        while not answer.endswith(b"\r"):
            more = self.line.recv(64)
            if not more or len(answer) > 20:
                raise ConnectionError("the plotter broke off")
            answer += more
        return int(answer)
