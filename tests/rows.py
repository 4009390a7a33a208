"""The rows of the whole database, kept and put back: quicker than emptying it and loading the demo again."""

from django.db import connection, transaction
from psycopg.sql import SQL, Identifier

KEPT = {"django_migrations"}
MADE = {"procrastinate_events"}
"""Written by the queue itself as soon as its jobs are."""


class Rows:
    """What the tables hold now. It is put back into the same tables."""

    def __init__(self) -> None:
        self.tables = {
            name: self._read(name) for name in sorted(connection.introspection.table_names()) if name not in KEPT
        }

    @staticmethod
    def _read(table: str) -> bytes:
        with connection.cursor() as cursor, cursor.copy(SQL("copy {} to stdout").format(Identifier(table))) as rows:
            return b"".join(bytes(part) for part in rows)

    @transaction.atomic
    def put_back(self) -> None:
        """Whatever was written since is gone. Never in another database than the tests' own."""
        assert connection.settings_dict["NAME"].startswith("test_")
        with connection.cursor() as cursor:
            cursor.execute("set constraints all deferred")
            for table in self.tables:
                cursor.execute(SQL("delete from {}").format(Identifier(table)))
            for table in [name for name in self.tables if name not in MADE]:
                with cursor.copy(SQL("copy {} from stdin").format(Identifier(table))) as into:
                    into.write(self.tables[table])
