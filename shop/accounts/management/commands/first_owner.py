"""`manage.py first_owner`: where nobody works yet, the link by which the first owner comes in; else nothing."""

from argparse import ArgumentParser
from typing import Any

from django.core.management.base import BaseCommand

from shop.accounts.links import first_owner


class Command(BaseCommand):
    help = "Answer the link by which the first owner comes in, good for a week; nothing where somebody works here."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("--address", default="/", help="what Plavet answers at, such as https://plavet.example/")

    def handle(self, *args: Any, address: str, **options: Any) -> None:
        link = first_owner()
        if link is not None:
            self.stdout.write(f"{address}join/{link.token}")
