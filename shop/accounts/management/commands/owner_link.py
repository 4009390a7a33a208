"""`manage.py owner_link NAME`: a link by which an owner who forgot the password chooses another."""

from argparse import ArgumentParser
from typing import Any
from uuid import uuid4

from django.core.management.base import BaseCommand, CommandError

from shop.accounts.links import password_link
from shop.accounts.models import User


class Command(BaseCommand):
    help = "Make a link, good for a day, by which an owner chooses a new password."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("user_name")
        parser.add_argument("--address", default="/", help="what Plavet answers at, such as https://plavet.example/")

    def handle(self, *args: Any, user_name: str, address: str, **options: Any) -> None:
        owner = User.objects.filter(username=user_name, role="owner", is_active=True).first()
        if owner is None:
            raise CommandError(f"No owner has the user name {user_name}. Others ask their owner for a link.")
        link = password_link(owner, uuid4())
        link.save(force_insert=True)
        self.stdout.write(f"{address}join/{link.token}")
