"""`manage.py restore FILE`: everything as it was when a backup was made."""

from argparse import ArgumentParser
from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from shop.keeping.backups import BackupError, read, restore


class Command(BaseCommand):
    help = "Bring a backup back; what is there now is kept beside it."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("file", type=Path)

    def handle(self, *args: Any, file: Path, **options: Any) -> None:
        try:
            about = read(file)
            before = restore(file)
        except BackupError as error:
            raise CommandError(str(error)) from None
        self.stdout.write(f"Everything is as it was at {about['made_at']}.")
        if before:
            self.stdout.write(f"What was here until now is kept as the database {before}.")
