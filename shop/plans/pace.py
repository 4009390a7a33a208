"""How many drafts a minute one person may ask for, so that nobody takes the machine from the others."""

from time import time

from django.core.cache import cache

from shop.accounts.models import User
from shop.errors import ShopError

MOST_A_MINUTE = 480
"""A choice asks for two, ten methods side by side for ten, the drawings of a group of choices for DRAWN: a hand comes
to a quarter of it. Each process of the server counts its own.
"""
DRAWN = 3
"""The drawings of a group of choices are up to 25 drafts without marks or a lay: 0.1 to 0.4 s, so many whole ones."""
MINUTE = 60


class TooOftenError(ShopError):
    """Somebody asked for more drafts within a minute than one person may; it may be tried again when it is over."""

    status = 429
    code = "pace"

    def __init__(self, again_in: int):
        super().__init__(
            f"More than {MOST_A_MINUTE} drafts were asked for within a minute. Wait {again_in} s, then go on: nothing "
            "that was typed is lost."
        )
        self.again_in = again_in


def check_pace(actor: User, drafts: int = 1) -> None:
    """Count so many drafts more of the actor's. Raises TooOftenError."""
    minute, second = divmod(int(time()), MINUTE)
    key = f"drafts:{actor.pk}:{minute}"
    cache.add(key, 0, 2 * MINUTE)
    if cache.incr(key, drafts) > MOST_A_MINUTE:
        raise TooOftenError(MINUTE - second)
