"""`manage.py bring_in FILE`: a workshop from its archive, with the links by which its owners come in."""

from argparse import ArgumentParser
from pathlib import Path
from typing import Any
from uuid import uuid4

from django.core.management.base import BaseCommand, CommandError

from shop.accounts.links import password_link
from shop.archive.errors import ArchiveError
from shop.archive.whole import bring_in


class Command(BaseCommand):
    help = "Bring a workshop in from its archive: all of it or nothing."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("file")
        parser.add_argument("--address", default="/", help="what Plavet answers at, such as https://plavet.example/")

    def handle(self, *args: Any, file: str, address: str, **options: Any) -> None:
        try:
            with Path(file).open("rb") as read:
                workshop, owners = bring_in(read)
        except OSError:
            raise CommandError(f"{file} cannot be read. Say which: ./plavet bring-in workshop.zip") from None
        except ArchiveError as error:
            raise CommandError(str(error)) from None
        self.stdout.write(f"{workshop.name} is here. Each owner chooses a password by a link, good for a day:")
        for owner in owners:
            link = password_link(owner, uuid4())
            link.save(force_insert=True)
            self.stdout.write(f"  {owner.username}: {address}join/{link.token}")
