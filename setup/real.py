"""Real use on one's own machine: what Plavet runs by is in var/plavet.env; `./plavet start` makes what it can."""

import os
import secrets
import subprocess
import sys
from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path
from urllib.parse import urlsplit

from setup import postgres, processes, workers
from setup.pages import collected
from setup.places import ROOT, VAR

PYTHON = str(ROOT / ".venv/bin/python")
FILE = VAR / "plavet.env"
BACKUPS = VAR / "backups"
LOOPBACK = ("127.0.0.1", "localhost")
REAL = "real-"
SERVER = f"{REAL}server"
PROCESSES = [SERVER, *workers.names(REAL)]
NAMES = {
    "PLAVET_ADDRESS": "where people open it: http://127.0.0.1:8600 for this machine alone, else https://...",
    "PLAVET_SECRET_KEY": "made by chance; who has it can pretend to be anybody",
    "DATABASE_URL": "another PostgreSQL than the one that is kept in var/real",
    "PLAVET_BIND": "where the server listens, if not at the address: such as 127.0.0.1:8600 behind a proxy",
    "PLAVET_PROXY": "the address of the proxy in front, whose word is taken of where a request came from",
    "PLAVET_BACKUPS": "the folder of backups, if not var/backups",
    "PLAVET_ARCHIVES": "the folder where owners' archives wait a day to be taken, if not var/archives",
    "PLAVET_BACKUP_PASSPHRASE": "what backups are sealed by, 12 letters or more; keep it elsewhere too",
    "PLAVET_PLOTTER": "where a pen plotter listens",
    "PLAVET_POST": "where a gateway of messages listens",
    "PLAVET_METRICS": "where its figures are served to this machine, such as 127.0.0.1:8601",
}
"""What may be said in var/plavet.env."""
HEAD = """# What Plavet runs by: NAME=value, a line each. `./plavet start` reads it anew.
"""


@dataclass(frozen=True)
class Real:
    """An installation: what is said of it, the address people open, where the server listens."""

    said: dict[str, str]
    address: str
    host: str
    bind: str


def read(text: str) -> dict[str, str]:
    """What a settings file says. Raises SystemExit, which names the line, where that is nothing known."""
    found = {}
    for number, line in enumerate(text.splitlines(), 1):
        if not line.strip() or line.lstrip().startswith("#"):
            continue
        name, is_said, value = (part.strip() for part in line.partition("="))
        if not is_said or name not in NAMES:
            raise SystemExit(f"{FILE.name}, line {number}: write NAME=value with one of {', '.join(NAMES)}.")
        if value:
            found[name] = value
    return found


def checked(said: dict[str, str]) -> Real:
    """An installation of what is said. Raises SystemExit, in words, where it would be unsafe or cannot be."""
    address = said.get("PLAVET_ADDRESS", "").rstrip("/")
    parts = urlsplit(address)
    try:
        host, port = parts.hostname or "", parts.port
    except ValueError:
        host, port = "", None
    if parts.scheme not in ("http", "https") or not host or parts.path or parts.query:
        raise SystemExit("PLAVET_ADDRESS is what people open, such as http://127.0.0.1:8600 or https://plavet.example.")
    if parts.scheme == "http" and host not in LOOPBACK:
        raise SystemExit(
            f"At {address} everybody on the line could read what is sent, passwords too. Put a proxy with TLS in front "
            "(docs/operations.md) and give its address, https://..."
        )
    bind = said.get("PLAVET_BIND") or (f"127.0.0.1:{port or 8600}" if host in LOOPBACK else "127.0.0.1:8600")
    if bind.rpartition(":")[0] not in LOOPBACK and not said.get("PLAVET_PROXY"):
        raise SystemExit("PLAVET_BIND is open to other machines: say in PLAVET_PROXY which of them is the proxy.")
    if said.get("PLAVET_METRICS", "127.0.0.1:").rpartition(":")[0] not in LOOPBACK:
        raise SystemExit("PLAVET_METRICS is for this machine alone, such as 127.0.0.1:8601.")
    return Real(said, address, host, bind)


def known() -> Real:
    """This installation; what can be made is made at first. Raises SystemExit."""
    if not FILE.exists():
        VAR.mkdir(exist_ok=True)
        secret = secrets.token_urlsafe(60)
        lines = [f"# {name}: {what}\n{_first(name, secret)}\n" for name, what in NAMES.items()]
        handle = os.open(FILE, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600)
        with os.fdopen(handle, "w") as out:
            out.write("\n".join([HEAD, *lines]))
    if FILE.stat().st_mode & 0o077:
        raise SystemExit(f"Others can read {FILE}, and its secret: chmod 600 {FILE}")
    return checked(read(FILE.read_text()))


def _first(name: str, secret: str) -> str:
    made = {"PLAVET_ADDRESS": "http://127.0.0.1:8600", "PLAVET_SECRET_KEY": secret}
    return f"{name}={made[name]}" if name in made else f"#{name}="


def environment(real: Real) -> dict[str, str]:
    """The environment that all its processes run in; starts its own PostgreSQL where it has one."""
    return {
        **os.environ, **real.said,
        "PATH": f"{ROOT / '.venv/bin'}:{os.environ.get('PATH', '')}",
        "DJANGO_SETTINGS_MODULE": "shop.settings.production",
        "DATABASE_URL": real.said.get("DATABASE_URL") or postgres.ensure_running(postgres.REAL),
        "PLAVET_HOSTS": real.host,
        "PLAVET_PLAIN": "1" if real.address.startswith("http:") else "",
        "PLAVET_BACKUPS": real.said.get("PLAVET_BACKUPS") or str(BACKUPS),
        "PLAVET_ARCHIVES": real.said.get("PLAVET_ARCHIVES") or str(VAR / "archives"),
        "PYTHONPYCACHEPREFIX": str(VAR / "pycache"),
        "NUMBA_CACHE_DIR": str(VAR / "numba"),
    }  # fmt: skip


def start(_arguments: list[str]) -> int:
    """Start the server and the worker of this installation; at first a link by which its owner comes in."""
    real = known()
    env = environment(real)
    if _manage("migrate", "--check", env=env).returncode and _manage("has_any", env=env).returncode == 0:
        # The database is of a release before: what it holds is safe before it is changed.
        made = manage_said("backup", env=env)
        print(f"A backup before the database is brought to this release: {made.strip()}")
    manage_said("migrate", "--verbosity", "0", env=env)
    collected(lambda: manage_said("collectstatic", "--noinput", "--verbosity", "0", env=env))
    for process in PROCESSES:
        processes.stop(process)  # it is begun anew by what is said now
    proxy = ["--proxy", real.said["PLAVET_PROXY"]] if real.said.get("PLAVET_PROXY") else []
    figures = ["--metrics", real.said["PLAVET_METRICS"]] if real.said.get("PLAVET_METRICS") else []
    count = str(max(2, os.cpu_count() or 2))
    server = [PYTHON, "-m", "shop.serving", real.bind, "--processes", count, *proxy, *figures]
    processes.ensure(SERVER, server, env)
    workers.ensure(PYTHON, env, REAL)
    host, _, port = real.bind.rpartition(":")
    processes.wait_for(host, int(port), VAR / "real-server.log")
    print(f"Plavet is open at {real.address}")
    _first_owner(real, env)
    print("What it runs by is in var/plavet.env; ./plavet doctor says what is wrong; ./plavet stop closes it.")
    return 0


def _first_owner(real: Real, env: dict[str, str]) -> None:
    done = _manage("first_owner", "--address", f"{real.address}/", env=env)
    if done.stdout.strip():
        print(f"Nobody works here yet. The owner comes in by this link, good for a week:\n  {done.stdout.strip()}")


def manage(name: str) -> Callable[[list[str]], int]:
    """A verb that is a command of the shop, in this installation."""

    def verb(arguments: list[str]) -> int:
        env = environment(known())
        return subprocess.run([PYTHON, "manage.py", name, *arguments], cwd=ROOT, env=env, check=False).returncode

    return verb


def restore(arguments: list[str]) -> int:
    """Bring a backup back while nothing runs, then start again."""
    if len(arguments) != 1 or not Path(arguments[0]).is_file():
        print("Say which: ./plavet restore var/backups/plavet-....tar", file=sys.stderr)
        return 2
    real = known()
    for process in PROCESSES:
        processes.stop(process)
    file = str(Path(arguments[0]).resolve())
    done = subprocess.run([PYTHON, "manage.py", "restore", file], cwd=ROOT, env=environment(real), check=False)
    return done.returncode or start([])


def bring_in(arguments: list[str]) -> int:
    """A workshop from its archive; its owners' links lead to where this installation answers."""
    return manage("bring_in")([*arguments, "--address", f"{known().address}/"])


def _manage(*words: str, env: dict[str, str]) -> subprocess.CompletedProcess[str]:
    return subprocess.run([PYTHON, "manage.py", *words], cwd=ROOT, env=env, text=True, capture_output=True, check=False)


def manage_said(*words: str, env: dict[str, str]) -> str:
    """What a command of the shop says. Raises SystemExit, with what it said, where it fails."""
    done = _manage(*words, env=env)
    if done.returncode:
        sys.exit(f"{words[0]} failed:\n{done.stdout}{done.stderr}")
    return done.stdout
