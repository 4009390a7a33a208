"""The verbs of ./plavet that need Python. Set-up (packages, pages) was done by the shell part."""

import hashlib
import os
import subprocess
import sys
import time
from collections.abc import Callable

from setup import postgres, processes
from setup.places import ROOT, RUN, VAR, secret

PYTHON = str(ROOT / ".venv/bin/python")
NPM = str(ROOT / ".venv/bin/npm")


def environment(settings: str = "demo") -> dict[str, str]:
    """The environment every Django process of this checkout runs in; starts PostgreSQL."""
    return {
        **os.environ,
        "PATH": f"{ROOT / '.venv/bin'}:{os.environ.get('PATH', '')}",
        "DJANGO_SETTINGS_MODULE": f"shop.settings.{settings}",
        "DATABASE_URL": postgres.ensure_running(),
        "PLAVET_SECRET_KEY": secret("django"),
        "PYTHONDONTWRITEBYTECODE": "1",
        "NUMBA_CACHE_DIR": str(VAR / "numba"),
    }


def run(command: list[str], env: dict[str, str], cwd: str = ".") -> int:
    print(f"$ {' '.join(part.removeprefix(str(ROOT) + '/') for part in command)}", flush=True)
    return subprocess.run(command, cwd=ROOT / cwd, env=env, check=False).returncode


def must(command: list[str], env: dict[str, str], cwd: str = ".") -> None:
    done = subprocess.run(command, cwd=ROOT / cwd, env=env, text=True, capture_output=True, check=False)
    if done.returncode != 0:
        sys.exit(f"{' '.join(command)} failed:\n{done.stdout}{done.stderr}")


def serve() -> str:
    """Migrate, load the demo workshop, start the server and the worker; the address they answer at."""
    env = environment()
    must([PYTHON, "manage.py", "migrate", "--verbosity", "0"], env)
    must([PYTHON, "manage.py", "collectstatic", "--noinput", "--verbosity", "0"], env)
    must([PYTHON, "manage.py", "load_demo"], env)
    port_file = RUN / "port"
    _stop_if_changed()
    running = processes.alive("server")
    port = int(port_file.read_text()) if running else postgres.free_port(int(os.environ.get("PLAVET_PORT", "8640")))
    port_file.write_text(str(port))
    gunicorn = str(ROOT / ".venv/bin/gunicorn")
    processes.ensure(
        "server",
        [PYTHON, gunicorn, "shop.wsgi:application", "-b", f"127.0.0.1:{port}", "-w", "2", "--threads", "4"],
        env,
    )
    processes.ensure("worker", [PYTHON, str(ROOT / "manage.py"), "procrastinate", "worker"], env)
    address = f"http://127.0.0.1:{port}/"
    processes.wait_for("127.0.0.1", port, VAR / "server.log")
    return address


def _stop_if_changed() -> None:
    """End the server and the worker where the code or the pages are not those they were started with."""
    parts = [path for folder in ("cutting", "shop", "demo", "web/dist") for path in (ROOT / folder).rglob("*")]
    told = "".join(f"{p}{p.stat().st_mtime_ns}" for p in sorted(parts) if p.suffix in (".py", ".html", ".js", ".css"))
    now = hashlib.sha256(told.encode()).hexdigest()
    stamp = RUN / "code"
    if not stamp.exists() or stamp.read_text() != now:
        processes.stop("server")
        processes.stop("worker")
    RUN.mkdir(parents=True, exist_ok=True)
    stamp.write_text(now)


def demo(_: list[str]) -> int:
    address = serve()
    from demo.people import OWNER_NAME, OWNER_PASSWORD

    print(f"\nPlavet's demo workshop is open at {address}")
    print(f"  user name  {OWNER_NAME}\n  password   {OWNER_PASSWORD}\n./plavet stop closes it.")
    return 0


def stop(_: list[str]) -> int:
    ended = [name for name in ("server", "worker") if processes.stop(name)]
    if postgres.stop():
        ended.append("PostgreSQL")
    print(f"Ended: {', '.join(ended)}." if ended else "Nothing was running.")
    return 0


def lint_steps() -> list[tuple[list[str], str]]:
    binary = ROOT / ".venv/bin"
    return [
        ([str(binary / "ruff"), "check", "."], "."),
        ([str(binary / "ruff"), "format", "--check", "."], "."),
        ([str(binary / "lint-imports"), "--no-cache"], "."),
        ([str(binary / "mypy")], "."),
        ([PYTHON, "-m", "setup.generated", "--check"], "."),
        ([NPM, "run", "--silent", "types"], "web"),
        ([NPM, "run", "--silent", "lint"], "web"),
    ]


def lint(_: list[str]) -> int:
    env = environment("test")
    return max(run(command, env, cwd) for command, cwd in lint_steps())


def test(arguments: list[str]) -> int:
    started = time.monotonic()
    deep = "--deep" in arguments
    env = environment("test") | {"PLAVET_DEEP": "1" if deep else ""}
    steps = [
        *lint_steps(),
        ([NPM, "run", "--silent", "test"], "web"),
        ([PYTHON, "-m", "pytest", "-q", "tests", "--ignore=tests/e2e"], "."),
        ([PYTHON, "-m", "pytest", "-q", "tests/e2e"], "."),
    ]
    failed = [command for command, cwd in steps if run(command, env, cwd) != 0]
    print(f"\n{time.monotonic() - started:.0f} s")
    if failed:
        print("Failed:", *(" ".join(c).replace(str(ROOT) + "/", "") for c in failed), sep="\n  ")
        return 1
    write_green()
    return 0


def write_green() -> None:
    """Note the hash of the tested tree, if the work tree holds nothing but what is committed."""

    def git(*words: str) -> str:
        return subprocess.run(["git", *words], cwd=ROOT, text=True, capture_output=True, check=False).stdout.strip()

    tree = git("rev-parse", "HEAD^{tree}")
    if tree and not git("status", "--porcelain"):
        (VAR / "green").write_text(tree + "\n")


def shots(_: list[str]) -> int:
    address = serve()
    return run([PYTHON, "-m", "setup.shots", address], environment())


def tape(arguments: list[str]) -> int:
    from demo.tape import main

    port = (RUN / "port").read_text() if (RUN / "port").exists() else "8640"
    return main(arguments, f"http://127.0.0.1:{port}")


def benchmark(arguments: list[str]) -> int:
    env = environment()
    if arguments[:1] == ["lay"]:
        return run([PYTHON, "-m", "benchmarks.lay", *arguments[1:]], env)
    must([PYTHON, "manage.py", "migrate", "--verbosity", "0"], env)
    return run([PYTHON, "-m", "benchmarks"], env)


def lock(_: list[str]) -> int:
    flags = ["--universal", "--python-version", "3.11", "--generate-hashes", "--no-header", "--no-annotate"]
    for name in ("requirements", "requirements-dev"):
        must(
            [str(ROOT / ".venv/bin/uv"), "pip", "compile", "-q", *flags, f"{name}.in", "-o", f"{name}.txt"],
            {**os.environ},
        )
    return 0


VERBS: dict[str, Callable[[list[str]], int]] = {
    "demo": demo, "stop": stop, "test": test, "lint": lint, "shots": shots, "benchmark": benchmark, "lock": lock,
    "tape": tape,
}  # fmt: skip

if __name__ == "__main__":
    sys.exit(VERBS[sys.argv[1]](sys.argv[2:]))
