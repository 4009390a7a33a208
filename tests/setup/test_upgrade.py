"""A newer release takes the place of the one that runs, or nothing is as if it had never been tried."""

import os
from pathlib import Path

import pytest

from setup.upgrade import KEPT, checked, exchange, keep_last

OLD = {"plavet": "old", "setup/a.py": "old", "shop/b.py": "old", "cutting/c.py": "old", "web/d.ts": "old",
       "requirements.txt": "old", "gone.txt": "old", ".venv/bin/python": "old", "var/plavet.env": "secret", ".git/HEAD": "x"}  # fmt: skip
NEW = {"plavet": "new", "setup/a.py": "new", "shop/b.py": "new", "cutting/c.py": "new", "web/d.ts": "new",
       "requirements.txt": "new", "added/e.py": "new", "web/node_modules/x": "theirs", "var/plavet.env": "theirs"}  # fmt: skip


def laid_out(root: Path, files: dict[str, str]) -> Path:
    for name, text in files.items():
        (root / name).parent.mkdir(parents=True, exist_ok=True)
        (root / name).write_text(text)
    return root


def found(root: Path) -> dict[str, str]:
    return {str(one.relative_to(root)): one.read_text() for one in root.rglob("*") if one.is_file()}


@pytest.fixture
def here(tmp_path):
    return laid_out(tmp_path / "here", OLD), laid_out(tmp_path / "new", NEW), tmp_path / "here/var/before/1"


def never():
    raise AssertionError("nothing is restored where all went well")


def test_the_new_release_is_there_with_what_belongs_to_the_installation(here):
    root, new, before = here
    seen = []
    assert exchange(new, root, before, lambda: bool(seen.append(found(root)) or True), never)
    now = found(root)
    own = {"var/plavet.env": "secret", ".git/HEAD": "x"}
    release = {name: text for name, text in NEW.items() if not name.startswith(("var/", "web/node_modules"))}
    kept = {f"var/before/1/{name}": text for name, text in OLD.items() if name not in own}
    assert now == own | release | kept
    assert seen == [now], "it is started when all of it is there"


def test_where_it_does_not_start_everything_is_as_it_was(here):
    root, new, before = here
    restored = []

    def restore():
        restored.append(found(root))
        return True

    def starts_badly():
        (root / "web/dist").mkdir()
        (root / ".venv").mkdir()
        return False

    assert not exchange(new, root, before, starts_badly, restore)
    assert found(root) == OLD
    assert not (root / "web/dist").exists()
    assert restored == [OLD], "the database goes back by the code of before"
    assert found(new) == NEW


@pytest.mark.parametrize("at", range(1, 15))
def test_wherever_it_breaks_off_nothing_of_the_old_release_is_lost(here, monkeypatch, at):
    """The disk fills, or a file cannot be moved: at each of all moves once."""
    root, new, before = here
    moves, rename = [], Path.rename

    def breaks(self, target):
        moves.append(target)
        if len(moves) == at:
            raise OSError(28, os.strerror(28))
        return rename(self, target)

    monkeypatch.setattr(Path, "rename", breaks)
    assert not exchange(new, root, before, lambda: True, lambda: True)
    assert len(moves) >= at, "it broke off while things were moved"
    assert found(root) == OLD


def test_what_is_no_release_or_this_one_is_refused(here, tmp_path):
    root, new, _ = here
    assert checked(new, root) == new
    (new / "shop/b.py").unlink()
    (new / "shop").rmdir()
    with pytest.raises(SystemExit, match="is no release of Plavet: shop is not there"):
        checked(new, root)
    for folder in (root, laid_out(root / "inside", NEW)):
        with pytest.raises(SystemExit, match="into a folder of its own"):
            checked(folder, root)


def test_of_the_releases_of_before_the_last_ones_stay(tmp_path):
    for stamp in ("20260101-090000", "20260302-090000", "20260210-090000", "20251231-235959"):
        laid_out(tmp_path / stamp, {"plavet": stamp, "setup/a.py": "x"})
    keep_last(tmp_path)
    assert [one.name for one in sorted(tmp_path.iterdir())] == ["20260210-090000", "20260302-090000"]
    assert KEPT == 2
    keep_last(tmp_path)
    assert len(list(tmp_path.iterdir())) == 2
