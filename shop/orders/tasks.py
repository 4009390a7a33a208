"""What the queue does for orders: a workshop's lengths written out when its unit changes."""

from uuid import UUID

from procrastinate.contrib.django import app

from shop.orders.unit import write_out


@app.task(name="turn_unit", queue="house", retry=2)
def turn_unit(*, workshop: str) -> None:
    """Write every bare length out, then turn the unit; see unit.py."""
    write_out(UUID(workshop))
