"""Private PostgreSQL clusters on loopback: one of the demo and the tests, one of real use. The application owns its
databases and is no superuser: KEEPER is.
"""

import hashlib
import os
import pwd
import shutil
import socket
import subprocess
import sys
import tempfile
from pathlib import Path

from psycopg.sql import SQL, Identifier, Literal

from setup.places import ROOT, VAR, secret

USER, KEEPER = "plavet", "keeper"
DEMO, REAL = "postgres", "real"
"""Where the one of the demo and the tests is, and the one of real use."""


def free_port(wanted: int) -> int:
    """The first port from `wanted` upwards that nobody listens on."""
    for port in range(wanted, wanted + 200):
        with socket.socket() as probe:
            probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            try:
                probe.bind(("127.0.0.1", port))
            except OSError:
                continue
            return port
    raise SystemExit(f"No free port between {wanted} and {wanted + 200}.")


def _as_server(*command: str) -> subprocess.CompletedProcess[str]:
    """Run a server command; root hands over to the user postgres, as PostgreSQL asks."""
    prefix = ["runuser", "-u", "postgres", "--"] if os.geteuid() == 0 else []
    return subprocess.run([*prefix, *command], cwd="/", text=True, capture_output=True, check=False)


def _binaries() -> Path:
    found = sorted(Path("/usr/lib/postgresql").glob("*/bin"))
    if not found:
        raise SystemExit("PostgreSQL is not installed; setup/apt.txt lists the packages.")
    return found[-1]


def _home(place: str) -> Path:
    """var/postgres or the like, or a folder elsewhere where the user postgres cannot enter the checkout."""
    home = VAR / place
    if os.geteuid() != 0:
        home.mkdir(parents=True, exist_ok=True)
        return home
    VAR.mkdir(exist_ok=True)
    if _as_server("test", "-x", str(VAR)).returncode != 0:
        name = hashlib.sha256(str(ROOT).encode()).hexdigest()[:12]
        home = Path("/var/lib/postgresql") / "-".join(("plavet", name, *([] if place == DEMO else [place])))
        print(f"The user postgres cannot enter this checkout: its data are in {home}.")
    home.mkdir(parents=True, exist_ok=True)
    shutil.chown(home, "postgres", "postgres")
    return home


def ensure_running(place: str = DEMO) -> str:
    """Start the cluster at a place under var/ if it is not running; the URL of its database `plavet`."""
    home, binaries = _home(place), _binaries()
    data, port_file = home / "data", home / "port"
    if not (data / "PG_VERSION").exists():
        with tempfile.NamedTemporaryFile("w", suffix=".pw") as handle:
            handle.write(_password(place, KEEPER))
            handle.flush()
            if os.geteuid() == 0:
                owner = pwd.getpwnam("postgres")
                os.chown(handle.name, owner.pw_uid, owner.pw_gid)
            made = _as_server(
                str(binaries / "initdb"), "-D", str(data), "-U", KEEPER, "-A", "scram-sha-256",
                f"--pwfile={handle.name}", "-E", "UTF8", "--locale=C.UTF-8", "-N",
            )  # fmt: skip
        if made.returncode != 0:
            sys.exit(f"initdb failed:\n{made.stdout}{made.stderr}")
    control = str(binaries / "pg_ctl")
    if _as_server(control, "-D", str(data), "status").returncode != 0:
        port = free_port(int(port_file.read_text()) if port_file.exists() else 55432)
        port_file.write_text(str(port))
        options = f"-p {port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c fsync=on"
        # What a statement holds are people's names and measures: the server's log keeps none of it.
        quiet = ("log_min_error_statement=panic", "log_parameter_max_length_on_error=0", "log_error_verbosity=terse")
        options += "".join(f" -c {one}" for one in quiet)
        started = _as_server(control, "-w", "-D", str(data), "-l", str(data / "server.log"), "-o", options, "start")
        if started.returncode != 0:
            sys.exit(f"PostgreSQL did not start:\n{started.stdout}{started.stderr}")
    there = port_file.read_text()
    _roles_and_database(place, there)
    return _url(place, there, USER, "plavet")


def _password(place: str, role: str) -> str:
    name = "database" if role == USER else "keeper"
    return secret(name if place == DEMO else f"{place}-{name}")


def _url(place: str, port: str, role: str, database: str) -> str:
    return f"postgresql://{role}:{_password(place, role)}@127.0.0.1:{port}/{database}"


def _roles_and_database(place: str, port: str) -> None:
    """The application's role, which may make databases (the tests do) and nothing more, and its own database."""
    import psycopg

    try:
        connection = psycopg.connect(_url(place, port, KEEPER, "postgres"), autocommit=True)
    except psycopg.OperationalError:
        print("This PostgreSQL is of before, its only role a superuser: move var/postgres away for a new one.")
        return
    with connection:
        if not connection.execute("select 1 from pg_roles where rolname = %s", [USER]).fetchone():
            made = SQL("create role {} with login createdb password {}")
            connection.execute(made.format(Identifier(USER), Literal(_password(place, USER))))
        if not connection.execute("select 1 from pg_database where datname = 'plavet'").fetchone():
            connection.execute("create database plavet owner plavet")


def stop(place: str = DEMO) -> bool:
    """Stop the cluster; True if it was running."""
    if not (VAR / place).exists() and place != DEMO:
        return False
    data = _home(place) / "data"
    if not (data / "postmaster.pid").exists():
        return False
    return _as_server(str(_binaries() / "pg_ctl"), "-D", str(data), "-m", "fast", "stop").returncode == 0
