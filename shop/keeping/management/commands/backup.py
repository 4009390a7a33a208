"""`manage.py backup`: a backup now, read back whole."""

from typing import Any

from django.core.management.base import BaseCommand, CommandError

from shop.keeping.backups import make
from shop.keeping.doctor import folder
from shop.keeping.errors import BackupError


class Command(BaseCommand):
    help = "Make a backup of everything and read it back."

    def handle(self, *args: Any, **options: Any) -> None:
        there = folder()
        if there is None:
            raise CommandError("Say in PLAVET_BACKUPS where backups go.")
        try:
            made = make(there)
        except BackupError as error:
            raise CommandError(str(error)) from None
        self.stdout.write(f"{made.path}, {made.size / 1024**2:.1f} MB, read back whole")
