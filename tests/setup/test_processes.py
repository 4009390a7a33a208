"""What the start command leaves running is known by pid file, started once, and ended whole."""

import os
import subprocess
import sys
from pathlib import Path

import pytest

from setup import postgres, processes
from setup.__main__ import VERBS, write_green
from setup.places import ROOT

SLEEPER = [sys.executable, "-c", f"# {ROOT}\nimport subprocess; subprocess.run(['sleep', '60'])"]


@pytest.fixture
def run(tmp_path, monkeypatch):
    monkeypatch.setattr(processes, "RUN", tmp_path / "run")
    monkeypatch.setattr(processes, "VAR", tmp_path)
    return tmp_path / "run"


def test_a_process_is_started_once_and_ended_with_its_children(run):
    assert processes.ensure("sleeper", SLEEPER, dict(os.environ))
    pid = processes.alive("sleeper")
    assert not processes.ensure("sleeper", SLEEPER, dict(os.environ))
    assert processes.alive("sleeper") == pid
    assert processes.stop("sleeper")
    assert processes.alive("sleeper") is None
    left = subprocess.run(["pgrep", "-g", str(pid)], capture_output=True, text=True).stdout
    assert all(Path(f"/proc/{one}/stat").read_text().rsplit(")", 1)[1].split()[0] == "Z" for one in left.split())
    assert not processes.stop("sleeper")


@pytest.mark.parametrize("pid", [1, os.getpid() + 100_000])
def test_a_pid_file_left_from_before_is_nobody_of_ours(run, pid):
    run.mkdir()
    (run / "server.pid").write_text(str(pid))
    assert processes.alive("server") is None
    assert not processes.stop("server")
    assert not (run / "server.pid").exists()


def test_a_server_that_does_not_come_up_is_said_with_its_log(tmp_path):
    log = tmp_path / "server.log"
    log.write_text("ImportError: no such module")
    with pytest.raises(SystemExit, match="no such module"):
        processes.wait_for("127.0.0.1", postgres.free_port(48000), log, seconds=0.3)


def test_a_port_somebody_listens_on_is_left_to_them():
    import socket

    with socket.socket() as taken:
        taken.bind(("127.0.0.1", postgres.free_port(48100)))
        taken.listen()
        port = taken.getsockname()[1]
        assert postgres.free_port(port) > port


def test_the_database_is_on_loopback_and_asks_for_its_password():
    import psycopg

    url = postgres.ensure_running()
    assert postgres.ensure_running() == url
    with psycopg.connect(url) as connection:
        assert connection.execute("show listen_addresses").fetchone() == ("127.0.0.1",)
    user, rest = url.split("@")
    with pytest.raises(psycopg.OperationalError, match="password"):
        psycopg.connect(user.rsplit(":", 1)[0] + ":wrong@" + rest)


def test_only_a_clean_tree_is_called_green(tmp_path, monkeypatch):
    monkeypatch.setattr("setup.__main__.ROOT", tmp_path)
    monkeypatch.setattr("setup.__main__.VAR", tmp_path / ".git")

    def git(*words):
        words = ["git", "-c", "user.name=t", "-c", "user.email=t@localhost", *words]
        return subprocess.run(words, cwd=tmp_path, check=True, capture_output=True, text=True).stdout.strip()

    git("init", "-q")
    (tmp_path / "a").write_text("1")
    git("add", "a")
    git("commit", "-q", "-m", "one")
    (tmp_path / "a").write_text("2")
    write_green()
    assert not (tmp_path / ".git/green").exists()
    git("commit", "-q", "-a", "-m", "two")
    write_green()
    assert (tmp_path / ".git/green").read_text().strip() == git("rev-parse", "HEAD^{tree}")


def test_every_verb_is_in_the_help_and_an_unknown_one_is_refused_with_it():
    said = subprocess.run(["./plavet", "help"], cwd=ROOT, capture_output=True, text=True).stdout
    assert {line.split()[1] for line in said.splitlines()} == set(VERBS) | {"plan"}
    wrong = subprocess.run(["./plavet", "dance"], cwd=ROOT, capture_output=True, text=True)
    assert wrong.returncode == 2
    assert "no 'dance'" in wrong.stderr
