"""Reads about cloth; each starts from the workshop."""

from django.db.models import QuerySet

from shop.accounts.models import User
from shop.cloths.models import ShelfCloth


def shelf(actor: User) -> QuerySet[ShelfCloth]:
    """The cloths on the shelf, the newest first."""
    return ShelfCloth.of(actor.workshop).filter(removed=False).order_by("-created_at", "id")
