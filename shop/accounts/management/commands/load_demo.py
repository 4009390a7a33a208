"""`manage.py load_demo`: the invented workshop; loading it twice changes nothing."""

from typing import Any

from django.core.management.base import BaseCommand

from demo.load import load


class Command(BaseCommand):
    help = "Load the invented demo workshop."

    def handle(self, *args: Any, **options: Any) -> None:
        load(season=True)
