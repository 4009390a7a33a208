"""When a row was made: never before one that was made earlier on this machine, also where its clock was set back.

What counts is often the last that was said of something: the last tick, the last reading. With a clock that was set
back what is newer would be taken for older.
"""

import time
from datetime import UTC, datetime
from typing import Any

from django.db import models


class Clock:
    """The machine's own time where it runs on; where it is set back, as far as it had come and what has gone by since.
    Each process has its own: all of a machine see the same.
    """

    def __init__(self) -> None:
        self.ahead = time.time() - time.monotonic()

    def now(self) -> datetime:
        """The moment."""
        gone_by = time.monotonic()
        self.ahead = max(self.ahead, time.time() - gone_by)
        return datetime.fromtimestamp(gone_by + self.ahead, UTC)


CLOCK = Clock()


class Moment(models.DateTimeField):  # type: ignore[type-arg]  # only the stubs have arguments
    """When the row was made."""

    def pre_save(self, model_instance: models.Model, add: bool) -> Any:
        if not add:
            return super().pre_save(model_instance, add)
        setattr(model_instance, self.attname, CLOCK.now())
        return getattr(model_instance, self.attname)

    def deconstruct(self) -> Any:
        """To the database it is a moment as any other."""
        name, _, words, more = super().deconstruct()
        return name, "django.db.models.DateTimeField", words, more
