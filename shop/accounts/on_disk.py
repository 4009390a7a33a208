"""What is written without waiting until it is on the disk: what can be made again, and how often something was looked
at. Everybody sees it at once; where the power fails within a second, it may be gone. Nothing else can be by that: what
is waited for takes along to the disk all that was written before it.

A busy disk takes tenths of a second; nobody who only reads should wait for that.
"""

from collections.abc import Iterator
from contextlib import contextmanager

from django.db import connection, transaction


@contextmanager
def soon_on_disk() -> Iterator[None]:
    """Written together, and on the disk within a second. Within somebody else's writing it is as theirs is.

    Source: PostgreSQL 15, chapter 30.4, asynchronous commit: at most three times wal_writer_delay later, in order.
    """
    by_itself = not connection.in_atomic_block
    with transaction.atomic():
        if by_itself:
            with connection.cursor() as cursor:
                cursor.execute("set local synchronous_commit to off")
        yield
