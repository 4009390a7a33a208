"""
`./plavet upgrade FOLDER`: the release in a folder takes the place of this one. A backup first; the code of before is
kept beside; where the new one does not start, or is not ready, all goes back to what it was, the database too.

What is in use while it happens is imported before: the code it came from is moved away under it.
"""

import subprocess
import sys
from collections.abc import Callable
from datetime import UTC, datetime
from pathlib import Path
from shutil import copytree, ignore_patterns, rmtree

from setup import processes
from setup.places import ROOT, VAR
from setup.real import PROCESSES, environment, known, manage_said

STAYS = {"var", ".git"}
"""What belongs to the installation, not to a release."""
KEPT = 2
"""So many releases of before stay in var/before, the last ones."""
NEEDED = ("plavet", "setup", "shop", "cutting", "web", "requirements.txt")
MADE = ignore_patterns("var", ".git", ".venv", "node_modules", "__pycache__")


def checked(folder: Path, root: Path) -> Path:
    """The folder of a release. Raises SystemExit where it is none, or is this one."""
    missing = [name for name in NEEDED if not (folder / name).exists()]
    if missing:
        raise SystemExit(f"{folder} is no release of Plavet: {', '.join(missing)} is not there.")
    if folder.resolve() == root.resolve() or root.resolve() in folder.resolve().parents:
        raise SystemExit("Unpack the new release into a folder of its own, beside this one.")
    return folder


def swap(new: Path, root: Path, before: Path) -> None:
    """Move this release to `before`, and the new one, copied whole before anything is moved, to its place."""
    coming = before.with_name(f"{before.name}-coming")
    copytree(new, coming, ignore=MADE, symlinks=True)
    before.mkdir(parents=True)
    for one in _of_release(root):
        one.rename(before / one.name)
    for one in sorted(coming.iterdir()):
        one.rename(root / one.name)
    coming.rmdir()


def put_back(root: Path, before: Path, names: set[str]) -> None:
    """The release of before, which is of these names, in its place again; what is left of the other one is removed: its
    folder still has it.
    """
    rmtree(before.with_name(f"{before.name}-coming"), ignore_errors=True)
    for one in _of_release(root):
        if one.name not in names or (before / one.name).exists():
            rmtree(one) if one.is_dir() and not one.is_symlink() else one.unlink()
    if before.exists():
        for one in sorted(before.iterdir()):
            one.rename(root / one.name)
        before.rmdir()


def _of_release(root: Path) -> list[Path]:
    return [one for one in sorted(root.iterdir()) if one.name not in STAYS]


def exchange(new: Path, root: Path, before: Path, start: Callable[[], bool], restore: Callable[[], bool]) -> bool:
    """The new release, if it starts; else everything as it was. True where it is the new one."""
    names = {one.name for one in _of_release(root)}
    try:
        swap(new, root, before)
        if start():
            return True
        print("It does not start. Going back to the release of before.", file=sys.stderr)
    except OSError as error:
        print(f"It cannot be put here: {error}. Going back to the release of before.", file=sys.stderr)
    put_back(root, before, names)
    if not restore():
        print("The database is not as it was: ./plavet restore with the backup above.", file=sys.stderr)
    return False


def keep_last(folder: Path) -> None:
    """Of the releases of before the last KEPT stay: their folders are named by the moment."""
    for one in sorted(folder.iterdir())[:-KEPT]:
        rmtree(one)


def upgrade(arguments: list[str]) -> int:
    if len(arguments) != 1:
        print("Say where the new release is: ./plavet upgrade ../plavet-new", file=sys.stderr)
        return 2
    new, env = checked(Path(arguments[0]), ROOT), environment(known())
    for process in PROCESSES:
        processes.stop(process)
    backup = manage_said("backup", env=env).split(",")[0]
    print(f"A backup of everything: {backup}")
    before = VAR / "before" / f"{datetime.now(UTC):%Y%m%d-%H%M%S}"

    def run(*words: str) -> bool:
        return subprocess.run([str(ROOT / "plavet"), *words], check=False).returncode == 0

    def restore() -> bool:
        return run("stop") and run("restore", str(ROOT / backup))

    if not exchange(new, ROOT, before, lambda: run("start"), restore):
        return 1
    keep_last(before.parent)
    print(f"This is the new release. The code of before is in {before.relative_to(ROOT)}.")
    return 0
