"""What the queue keeps in order by itself: a backup every night."""

import os
from pathlib import Path

from procrastinate.contrib.django import app

from shop.keeping.backups import make


@app.periodic(cron="20 2 * * *")
@app.task(name="backup", queue="lay", queueing_lock="backup", retry=3)
def backup(timestamp: int) -> None:
    """A backup, where this installation keeps any."""
    folder = os.environ.get("PLAVET_BACKUPS")
    if folder:
        make(Path(folder))
