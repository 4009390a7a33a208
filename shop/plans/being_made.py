"""What takes longer than a request may is made on the queue: who asks for it asks again until it is there."""

from django.db import transaction
from procrastinate.contrib.django import app
from procrastinate.exceptions import AlreadyEnqueued

from shop.errors import ShopError

QUEUE = "plan"
AT_ONCE = 3
"""So many outfits on one cloth are planned in a request, no more: each takes a quarter of a second, and lays on other
widths as long again.
"""


class BeingMadeError(ShopError):
    """It is on the queue; it is asked for again in `again_in` seconds."""

    status = 409
    code = "being_made"
    again_in = 2

    def __init__(self, outfits: int):
        super().__init__(f"{outfits} outfits on one cloth take a while: they are being planned. Ask again in a moment.")


def make_later(task: str, **what: str) -> None:
    """Put a task on the queue, where it does not wait there already."""
    lock = " ".join((task, *what.values()))
    try:
        with transaction.atomic():
            app.configure_task(task, queue=QUEUE, queueing_lock=lock).defer(**what)
    except AlreadyEnqueued:
        pass
