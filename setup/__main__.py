"""The verbs of ./plavet that need Python. Set-up (packages, pages) was done by the shell part."""

import hashlib
import os
import subprocess
import sys
import time
from collections.abc import Callable

from setup import postgres, processes, real, workers
from setup.lanes import Step, run_side_by_side, table
from setup.pages import collected
from setup.places import ROOT, RUN, VAR, secret
from setup.upgrade import upgrade

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
        "PYTHONPYCACHEPREFIX": str(VAR / "pycache"),
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
    collected(lambda: must([PYTHON, "manage.py", "collectstatic", "--noinput", "--clear", "--verbosity", "0"], env))
    must([PYTHON, "manage.py", "load_demo"], env)
    port_file = RUN / "port"
    _stop_if_changed()
    running = processes.alive("server")
    port = int(port_file.read_text()) if running else postgres.free_port(int(os.environ.get("PLAVET_PORT", "8640")))
    port_file.write_text(str(port))
    processes.ensure(
        "server",
        [PYTHON, "-m", "shop.serving", f"127.0.0.1:{port}", "--processes", "2"],
        env,
    )
    workers.ensure(PYTHON, env)
    address = f"http://127.0.0.1:{port}/"
    processes.wait_for("127.0.0.1", port, VAR / "server.log")
    return address


def _stop_if_changed() -> None:
    """End the server and the worker where the code or the pages are not those they were started with."""
    parts = [path for folder in ("cutting", "shop", "demo", "web/dist") for path in (ROOT / folder).rglob("*")]
    seen = "".join(f"{p}{p.stat().st_mtime_ns}" for p in sorted(parts) if p.suffix in (".py", ".html", ".js", ".css"))
    now = hashlib.sha256(seen.encode()).hexdigest()
    stamp = RUN / "code"
    if not stamp.exists() or stamp.read_text() != now:
        for name in ("server", *workers.names()):
            processes.stop(name)
    RUN.mkdir(parents=True, exist_ok=True)
    stamp.write_text(now)


def demo(_: list[str]) -> int:
    address = serve()
    from demo.people import OWNER_NAME, OWNER_PASSWORD

    print(f"\nPlavet's demo workshop is open at {address}")
    print(f"  user name  {OWNER_NAME}\n  password   {OWNER_PASSWORD}\n./plavet stop closes it.")
    return 0


def stop(_: list[str]) -> int:
    ended = [name for name in ("server", *workers.names(), *real.PROCESSES) if processes.stop(name)]
    ended += ["PostgreSQL" for place in (postgres.DEMO, postgres.REAL) if postgres.stop(place)]
    print(f"Ended: {', '.join(ended)}." if ended else "Nothing was running.")
    return 0


def lint_steps() -> list[Step]:
    """Style, types, layers and generated files."""
    binary = ROOT / ".venv/bin"
    return [
        Step("mypy", [str(binary / "mypy")]),
        Step("generated files", [PYTHON, "-m", "setup.generated", "--check"]),
        Step("tsc", [NPM, "run", "--silent", "types"], "web"),
        Step("eslint and prettier", [NPM, "run", "--silent", "lint"], "web"),
        Step("layers", [str(binary / "lint-imports"), "--no-cache"]),
        Step("ruff", [str(binary / "ruff"), "check", "."]),
        Step("ruff format", [str(binary / "ruff"), "format", "--check", "."]),
    ]


def test_steps() -> list[Step]:
    """Every step of the tests, the longest first and none very long, so that the lanes end at about the same time."""

    def pytest(name: str, *words: str) -> Step:
        # Each has a database of its own: they run side by side.
        command = [PYTHON, "-m", "pytest", "-q", "--durations=12", *words]
        return Step(name, command, more={"PLAVET_TEST_DATABASE": f"test_{name}"})

    slow, whole = ([f"tests/cutting/{name}" for name in names] for names in (SLOW, WHOLE))
    found = sorted((ROOT / "tests/cutting").rglob("test_*.py"))
    core = [path for path in (str(one.relative_to(ROOT)) for one in found) if path not in slow + whole]
    shop = sorted(str(one.relative_to(ROOT)) for one in (ROOT / "tests/shop").rglob("test_*.py"))
    return [
        pytest("shop1", *shop[::2], "tests/setup"),
        pytest("e2e", "tests/e2e"),
        pytest("shop2", *shop[1::2], "tests/outside"),
        pytest("plans", *whole),
        *(pytest(f"core{part + 1}", *core[part::PARTS]) for part in range(PARTS)),
        pytest("search", *slow),
        Step("pages", [NPM, "run", "--silent", "test"], "web"),
        *lint_steps(),
    ]


PARTS = 3
WHOLE = (
    "test_controls.py", "test_calls.py", "test_choices_are_read.py", "test_no_false_alarm.py", "test_invariants.py",
    "test_cli.py",
)  # fmt: skip
"""Tests of the core that make whole plans by the hundred: so that no lane is left alone with all of the core."""

SLOW = (
    "test_search.py", "test_lay.py", "test_sections.py", "test_together.py", "test_pins.py", "test_enough.py",
    "test_relaxed.py",
)  # fmt: skip
"""Tests of the core that lay and search: a step of their own."""


def lint(_: list[str]) -> int:
    done = run_side_by_side(lint_steps(), environment("test"))
    return max(one.code for one in done)


def test(arguments: list[str]) -> int:
    began = time.monotonic()
    deep = "--deep" in arguments
    env = environment("test") | {"PLAVET_DEEP": "1" if deep else ""}
    done = run_side_by_side(test_steps(), env)
    failed = [one.step.name for one in done if one.code != 0]
    print(f"{table(done)}\n\n{time.monotonic() - began:.0f} s")
    if failed:
        print("Failed:", ", ".join(failed))
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


def plotter(arguments: list[str]) -> int:
    from demo.plotter import main

    return main(arguments, VAR / "plotter")


def post(arguments: list[str]) -> int:
    from demo.post import main

    return main(arguments)


def command(name: str) -> Callable[[list[str]], int]:
    """A command of the shop that answers a link, with the address of the demo, or with `--real` of one's own."""

    def verb(arguments: list[str]) -> int:
        if "--real" in arguments:
            own = real.known()
            env, address = real.environment(own), f"{own.address}/"
        else:
            port = (RUN / "port").read_text() if (RUN / "port").exists() else "8640"
            env, address = environment(), f"http://127.0.0.1:{port}/"
        must([PYTHON, "manage.py", "migrate", "--verbosity", "0"], env)
        words = [word for word in arguments if word != "--real"]
        line = [PYTHON, "manage.py", name, *words, "--address", address]
        return subprocess.run(line, cwd=ROOT, env=env, check=False).returncode

    return verb


def benchmark(arguments: list[str]) -> int:
    env = environment()
    if arguments[:1] == ["lay"]:
        return run([PYTHON, "-m", "benchmarks.lay", *arguments[1:]], env)
    if arguments[:1] in (["load"], ["scale"]):
        return run([PYTHON, "-m", f"benchmarks.{arguments[0]}", *arguments[1:]], env)
    must([PYTHON, "manage.py", "migrate", "--verbosity", "0"], env)
    return run([PYTHON, "-m", "benchmarks"], env)


def lock(_: list[str]) -> int:
    flags = ["--universal", "--python-version", "3.11", "--generate-hashes", "--no-header", "--no-annotate"]
    # What the tests need on top is locked at the versions Plavet runs on.
    for name, more in (("requirements", []), ("requirements-dev", ["-c", "requirements.txt"])):
        must(
            [str(ROOT / ".venv/bin/uv"), "pip", "compile", "-q", *flags, *more, f"{name}.in", "-o", f"{name}.txt"],
            {**os.environ},
        )
    return 0


VERBS: dict[str, Callable[[list[str]], int]] = {
    "demo": demo, "stop": stop, "test": test, "lint": lint, "shots": shots, "benchmark": benchmark, "lock": lock,
    "tape": tape, "plotter": plotter, "post": post,
    "start": real.start, "backup": real.manage("backup"), "restore": real.restore, "doctor": real.manage("doctor"),
    "upgrade": upgrade, "take-out": real.manage("take_out"), "bring-in": real.bring_in,
    "new-workshop": command("new_workshop"), "owner-link": command("owner_link"),
}  # fmt: skip

if __name__ == "__main__":
    sys.exit(VERBS[sys.argv[1]](sys.argv[2:]))
