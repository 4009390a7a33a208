"""`manage.py take_out OWNER FILE`: all of a workshop as one file of open formats."""

from argparse import ArgumentParser
from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from shop.accounts.models import User
from shop.archive.errors import ArchiveError
from shop.archive.whole import take_out


class Command(BaseCommand):
    help = "Write the archive of an owner's workshop."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("owner", help="the user name of an owner")
        parser.add_argument("file")

    def handle(self, *args: Any, owner: str, file: str, **options: Any) -> None:
        found = User.objects.filter(username=owner, role="owner").select_related("workshop").first()
        if found is None:
            raise CommandError(f"No owner has the user name {owner}.")
        try:
            with Path(file).open("xb") as out:
                take_out(found.workshop, out)
        except FileExistsError:
            raise CommandError(f"{file} is there already. Name another file.") from None
        except ArchiveError as error:
            raise CommandError(str(error)) from None
        self.stdout.write(f"{file}, {Path(file).stat().st_size / 1024**2:.1f} MB: all of {found.workshop.name}")
