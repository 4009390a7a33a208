"""An installation of one's own: what it may be told, what it makes itself, what it refuses in words."""

import pytest

from setup import real
from setup.real import checked, known, read


@pytest.mark.parametrize(("said", "host", "bind"), [
    ({"PLAVET_ADDRESS": "http://127.0.0.1:8600"}, "127.0.0.1", "127.0.0.1:8600"),
    ({"PLAVET_ADDRESS": "http://localhost:9000/"}, "localhost", "127.0.0.1:9000"),
    ({"PLAVET_ADDRESS": "https://plavet.example"}, "plavet.example", "127.0.0.1:8600"),
    ({"PLAVET_ADDRESS": "https://plavet.example", "PLAVET_BIND": "0.0.0.0:80", "PLAVET_PROXY": "10.0.0.2"},
     "plavet.example", "0.0.0.0:80"),
])  # fmt: skip
def test_where_people_open_it_and_where_it_listens(said, host, bind):
    made = checked(said)
    assert (made.host, made.bind) == (host, bind)


@pytest.mark.parametrize(("said", "says"), [
    ({}, "PLAVET_ADDRESS is what people open"),
    ({"PLAVET_ADDRESS": "plavet.example"}, "PLAVET_ADDRESS is what people open"),
    ({"PLAVET_ADDRESS": "http://127.0.0.1:port"}, "PLAVET_ADDRESS is what people open"),
    ({"PLAVET_ADDRESS": "https://plavet.example/tailors"}, "PLAVET_ADDRESS is what people open"),
    ({"PLAVET_ADDRESS": "http://192.168.1.7:8600"}, "everybody on the line could read what is sent, passwords too"),
    ({"PLAVET_ADDRESS": "https://plavet.example", "PLAVET_BIND": "0.0.0.0:80"}, "say in PLAVET_PROXY which of them"),
    ({"PLAVET_ADDRESS": "http://127.0.0.1:8600", "PLAVET_METRICS": "0.0.0.0:8601"}, "for this machine alone"),
])  # fmt: skip
def test_what_would_be_unsafe_is_refused_with_how_to_mend_it(said, says):
    with pytest.raises(SystemExit, match=says):
        checked(said)


def test_a_line_that_says_nothing_known_is_named():
    assert read("# a note\n\nPLAVET_ADDRESS = http://127.0.0.1:8600\nPLAVET_POST=\n") == {
        "PLAVET_ADDRESS": "http://127.0.0.1:8600"
    }
    for wrong in ("PLAVET_ADRESS=http://127.0.0.1", "https://plavet.example"):
        with pytest.raises(SystemExit, match=r"plavet\.env, line 2: write NAME=value with one of PLAVET_ADDRESS,"):
            read(f"# a note\n{wrong}\n")


def test_at_first_a_file_with_a_secret_of_its_own_is_made_that_nobody_else_reads(tmp_path, monkeypatch):
    monkeypatch.setattr(real, "VAR", tmp_path)
    monkeypatch.setattr(real, "FILE", tmp_path / "plavet.env")
    first = known()
    assert len(first.said["PLAVET_SECRET_KEY"]) > 60
    assert (tmp_path / "plavet.env").stat().st_mode & 0o777 == 0o600
    assert known() == first
    (tmp_path / "plavet.env").chmod(0o644)
    with pytest.raises(SystemExit, match=r"Others can read .*: chmod 600"):
        known()
