"""Whether the database is of this release."""

from functools import cache

from django.db import connection
from django.db.migrations.loader import MigrationLoader
from django.db.migrations.recorder import MigrationRecorder


def steps_behind() -> int:
    """How many migrations of this release the database has not taken. Two queries."""
    return len(_of_this_release() - MigrationRecorder(connection).applied_migrations().keys())


@cache
def _of_this_release() -> frozenset[tuple[str, str]]:
    """Every migration by its app and its name; read from the files once, which no running process sees change."""
    return frozenset(MigrationLoader(None, ignore_no_migrations=True).disk_migrations)
