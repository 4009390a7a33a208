"""
The database of the release before, as its backup: what the migrations of this one are tried on. It is made anew when a
release is out: `python -m tests.release_before`, with the database server of the tests running.
"""

from pathlib import Path

import django

FILE = Path(__file__).parent / "data/release-before.tar"
DATABASE = "release_before"


def main() -> None:
    django.setup()
    import psycopg
    from django.core.management import call_command
    from django.db import connection

    from demo.load import load
    from shop.keeping.backups import make

    to = connection.settings_dict
    where = {"host": to["HOST"], "port": to["PORT"], "user": to["USER"], "password": to["PASSWORD"]}
    with psycopg.connect(**where, dbname="postgres", autocommit=True) as line:
        line.execute(f"drop database if exists {DATABASE}")
        line.execute(f"create database {DATABASE}")
        to["NAME"] = DATABASE
        call_command("migrate", verbosity=0)
        load()
        made = make(FILE.parent)
        made.path.rename(FILE)
        connection.close()
        line.execute(f"drop database {DATABASE}")


if __name__ == "__main__":
    main()
