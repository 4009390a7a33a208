"""How far orders are by what was done: chalked and cut, sewn, fitted."""

from collections.abc import Collection
from uuid import UUID

from shop.accounts.models import User
from shop.chalk.queries import chalk_states
from shop.orders.life import State
from shop.sewing.queries import work_states


def done_states(actor: User, orders: Collection[UUID]) -> dict[UUID, State]:
    """The furthest state of each order that follows from what was done; none where nothing was. Three queries."""
    return {**chalk_states(actor, orders), **work_states(actor, orders)}
