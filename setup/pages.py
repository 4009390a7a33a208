"""What is built for the browser is collected, with its compressed twins, once as long as it is the same."""

import hashlib
from collections.abc import Callable

from setup import places


def collected(collect: Callable[[], object]) -> None:
    """Collect what is served to var/static, where the pages are not those that were collected last."""
    built, stamp = places.ROOT / "web/dist", places.VAR / "stamps/collected"
    files = sorted(path for path in built.rglob("*") if path.is_file())
    seen = "".join(f"{path.relative_to(built)} {path.stat().st_size} {path.stat().st_mtime_ns}\n" for path in files)
    now = hashlib.sha256(seen.encode()).hexdigest()
    if (places.VAR / "static").is_dir() and stamp.exists() and stamp.read_text() == now:
        return
    collect()
    stamp.parent.mkdir(parents=True, exist_ok=True)
    stamp.write_text(now)
