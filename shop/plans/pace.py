"""How often a minute one person may ask for a draft or send a file, or a plan be looked at by its link, so that nobody
takes the machine from the others. Each process of the server counts its own.
"""

from time import time
from uuid import UUID

from django.core.cache import cache

from shop.accounts.models import User
from shop.errors import ShopError

MOST_A_MINUTE, MOST_OF_ALL = 240, 1200
"""Drafts of one person, and of all of a workshop. A choice asks for three, and for the drawings of the eight or so in
sight, each of a few drafts without marks or a lay; ten methods side by side for ten: a hand comes to half of it.
"""
MOST_LOOKS = 60
"""So often a minute a link's plan may be opened by everybody who has the link."""
MOST_FILES, MOST_FILES_OF_ALL = 60, 240
"""So many files a minute one person may send, and all of a workshop: a table of a choir is one, its photos some."""
MINUTE = 60


class TooOftenError(ShopError):
    """More was asked for within a minute than may be; it may be tried again when it is over."""

    status = 429
    code = "pace"

    def __init__(self, most: int, what: str, again_in: int):
        super().__init__(
            f"More than {most} {what} were asked for within a minute. Wait {again_in} s, then go on: nothing that was "
            "typed is lost."
        )
        self.again_in = again_in


def check_pace(actor: User, drafts: int = 1) -> None:
    """Count so many drafts more of the actor's. Raises TooOftenError."""
    _count(f"drafts:{actor.pk}", drafts, MOST_A_MINUTE, "drafts")
    _count(f"drafts:{actor.workshop_id}", drafts, MOST_OF_ALL, "drafts of this workshop")


def check_files(actor: User) -> None:
    """Count one more file that the actor sends. Raises TooOftenError."""
    _count(f"files:{actor.pk}", 1, MOST_FILES, "files")
    _count(f"files:{actor.workshop_id}", 1, MOST_FILES_OF_ALL, "files of this workshop")


def check_looks(plan_run: UUID) -> None:
    """Count one look more at a plan by its link. Raises TooOftenError."""
    _count(f"looks:{plan_run}", 1, MOST_LOOKS, "looks at this plan")


def _count(key: str, more: int, most: int, what: str) -> None:
    minute, second = divmod(int(time()), MINUTE)
    key = f"{key}:{minute}"
    cache.add(key, 0, 2 * MINUTE)
    if cache.incr(key, more) > most:
        raise TooOftenError(most, what, MINUTE - second)
