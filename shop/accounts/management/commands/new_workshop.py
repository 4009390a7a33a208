"""`manage.py new_workshop NAME OWNER`: a workshop of its own, and the link by which its owner comes in."""

from argparse import ArgumentParser
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from shop.accounts.links import new_workshop


class Command(BaseCommand):
    help = "Make a workshop, and a link, good for a week, by which its owner chooses a user name and a password."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("name", help="what the workshop is called")
        parser.add_argument("owner", help="the owner's own name")
        parser.add_argument("--unit", choices=("in", "cm"), default="in")
        parser.add_argument("--address", default="/", help="what Plavet answers at, such as https://plavet.example/")

    def handle(self, *args: Any, name: str, owner: str, unit: str, address: str, **options: Any) -> None:
        called, theirs = " ".join(name.split()), " ".join(owner.split())
        if not (0 < len(called) <= 120 and 0 < len(theirs) <= 60):
            raise CommandError("Give the workshop a name of up to 120 letters, and the owner one of up to 60.")
        link = new_workshop(name=called, owner=theirs, unit=unit)
        self.stdout.write(f"{address}join/{link.token}")
