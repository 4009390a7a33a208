"""How many drafts a minute one person may ask for, so that nobody takes the machine from the others."""

from time import time

from django.core.cache import cache

from shop.accounts.models import User
from shop.errors import ShopError

MOST_A_MINUTE = 240
"""A choice asks for two, ten methods side by side for ten: a hand comes to a quarter of it. Each process of the server
counts its own.
"""
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


def check_pace(actor: User) -> None:
    """Count one more draft of the actor's. Raises TooOftenError."""
    minute, second = divmod(int(time()), MINUTE)
    key = f"drafts:{actor.pk}:{minute}"
    cache.add(key, 0, 2 * MINUTE)
    if cache.incr(key) > MOST_A_MINUTE:
        raise TooOftenError(MINUTE - second)
