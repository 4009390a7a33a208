"""Where things that are never committed live, and the secrets made once at set-up."""

import os
import secrets
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
VAR = ROOT / "var"
RUN = VAR / "run"


def secret(name: str) -> str:
    """The secret of that name, made at first use and kept in var/ readable by its owner only."""
    path = VAR / "secrets" / name
    if not path.exists():
        path.parent.mkdir(parents=True, exist_ok=True, mode=0o700)
        handle = os.open(path, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600)
        with os.fdopen(handle, "w") as out:
            out.write(secrets.token_urlsafe(40))
    return path.read_text()
