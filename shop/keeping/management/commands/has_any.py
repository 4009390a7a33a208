"""`manage.py has_any`: whether there is a workshop in the database; ends with 1 where there is none."""

import sys
from typing import Any

from django.core.management.base import BaseCommand

from shop.keeping.backups import is_empty


class Command(BaseCommand):
    help = "End with 0 where there is a workshop in the database, of whatever release."
    requires_system_checks: list[str] = []

    def handle(self, *args: Any, **options: Any) -> None:
        sys.exit(1 if is_empty() else 0)
