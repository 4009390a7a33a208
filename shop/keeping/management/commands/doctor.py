"""`manage.py doctor`: what is wrong here, and how to mend it."""

import sys
from typing import Any

from django.core.management.base import BaseCommand

from shop.keeping.doctor import folder, lines, look


class Command(BaseCommand):
    help = "Say what is wrong and how to mend it."
    requires_system_checks: list[str] = []

    def handle(self, *args: Any, **options: Any) -> None:
        found = look(folder())
        for line in lines(found):
            self.stdout.write(line)
        if not all(one.right for one in found):
            sys.exit(1)
