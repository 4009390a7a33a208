"""The pages are collected once, and again when they are others."""

import pytest

from setup import places
from setup.pages import collected


@pytest.fixture
def built(tmp_path, monkeypatch):
    monkeypatch.setattr(places, "ROOT", tmp_path)
    monkeypatch.setattr(places, "VAR", tmp_path / "var")
    folder = tmp_path / "web/dist/assets"
    folder.mkdir(parents=True)
    (folder / "main-1.js").write_text("1")
    return folder


def test_the_same_pages_are_collected_once_and_others_again(built):
    times = []

    def collect():
        times.append(len(times))
        (places.VAR / "static").mkdir(parents=True, exist_ok=True)

    def broken():
        raise SystemExit("No room is left.")

    with pytest.raises(SystemExit):
        collected(broken)
    for _ in range(2):
        collected(collect)
    assert len(times) == 1, "what failed was tried again, what went through was not"
    (built / "main-1.js").write_text("12")
    for _ in range(2):
        collected(collect)
    assert len(times) == 2
    (built / "more-1.js").write_text("")
    collected(collect)
    (places.VAR / "static").rmdir()
    collected(collect)
    assert len(times) == 4
