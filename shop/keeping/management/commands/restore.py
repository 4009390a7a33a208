"""`manage.py restore FILE`: everything as it was when a backup was made."""

import os
import sys
from argparse import ArgumentParser
from getpass import getpass
from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from shop.keeping.backups import read, restore
from shop.keeping.errors import BackupError
from shop.keeping.sealing import NAME, passphrase


class Command(BaseCommand):
    help = "Bring a backup back; what is there now is kept beside it."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("file", type=Path)

    def handle(self, *args: Any, file: Path, **options: Any) -> None:
        if file.suffix == ".age" and not passphrase() and sys.stdin.isatty():
            os.environ[NAME] = getpass("The passphrase of this backup: ")
        try:
            about = read(file)
            before = restore(file)
        except BackupError as error:
            raise CommandError(str(error)) from None
        self.stdout.write(f"Everything is as it was at {about['made_at']}.")
        if before:
            self.stdout.write(f"What was here until now is kept as the database {before}.")
