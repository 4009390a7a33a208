"""
Figures for who watches over many machines: requests by room and status, how long they take, in the text format of
Prometheus. A process beside those of the server serves them, on loopback; the application itself never does.
"""

import os
import shutil
import socket
from pathlib import Path
from typing import Any
from wsgiref.simple_server import WSGIRequestHandler, WSGIServer, make_server

LOOPBACK = ("127.0.0.1", "localhost")
SHARED = "PROMETHEUS_MULTIPROC_DIR"
"""The variable that the package reads."""


def checked(address: str) -> str:
    """The address. Raises ValueError where others than this machine could read there."""
    if address.rpartition(":")[0] not in LOOPBACK:
        raise ValueError(f"Figures are for this machine alone: {address} is open to others.")
    return address


def share(folder: Path) -> None:
    """Where the processes of a server put their figures together; emptied before any of them begins."""
    shutil.rmtree(folder, ignore_errors=True)
    folder.mkdir(parents=True)
    os.environ[SHARED] = str(folder)


def serve(bound: socket.socket) -> None:
    """Serve the figures of all processes until this one is ended."""
    from prometheus_client import CollectorRegistry, make_wsgi_app
    from prometheus_client.multiprocess import MultiProcessCollector

    class Bound(WSGIServer):
        def server_bind(self) -> None:
            self.socket.close()
            self.socket = bound
            self.server_name, self.server_port = bound.getsockname()
            self.setup_environ()

    class Silent(WSGIRequestHandler):
        def log_message(self, format: str, *args: Any) -> None:
            """Who asks for figures is not logged."""

    registry = CollectorRegistry()
    MultiProcessCollector(registry)  # type: ignore[no-untyped-call]  # the package has no types here
    make_server("", 0, make_wsgi_app(registry), Bound, Silent).serve_forever()
