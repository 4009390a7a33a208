"""Orders with all they are planned from, in a fixed number of queries however many they are."""

from collections.abc import Sequence
from dataclasses import dataclass
from uuid import UUID

from shop.accounts.models import User
from shop.clients.corrections import corrections_of
from shop.clients.house_corrections import house_corrections
from shop.clients.models import Correction, HouseCorrection, Reading
from shop.clients.queries import last_readings_of
from shop.cloths.models import Cloth
from shop.orders.models import Garment, Order, Pattern
from shop.orders.patterns import patterns_of
from shop.orders.queries import from_another_cloth


@dataclass(frozen=True)
class WholeOrder:
    """An order, its garments as they were added, the last reading of each point of its sheet, the house patterns
    that are cut with its garments, what holds of its client's fittings and of the house's.
    """

    order: Order
    garments: list[Garment]
    readings: list[Reading]
    patterns: list[Pattern]
    corrections: list[Correction]
    house: list[HouseCorrection]

    @property
    def other_cloth(self) -> Cloth | None:
        """The order's other cloth, where something is cut from it."""
        used = any(from_another_cloth(one.choices) for one in self.garments)
        return self.order.other_cloth if used else None


def whole_orders(actor: User, orders: Sequence[Order]) -> list[WholeOrder]:
    """Each order whole, in their order."""
    worn: dict[UUID, list[Garment]] = {order.id: [] for order in orders}
    among = Garment.of(actor.workshop).filter(order_id__in=worn, removed=False)
    for garment in among.order_by("created_at", "id"):
        worn[garment.order_id].append(garment)
    read = last_readings_of(actor, {order.sheet_id for order in orders})
    kept = patterns_of(actor, orders)
    clients = {order.client_id for order in orders}
    fitted = corrections_of(actor, clients)
    house = list(house_corrections(actor))
    return [
        WholeOrder(
            order, worn[order.id], read[order.sheet_id], [kept[id] for id in order.patterns if id in kept],
            [one for one in fitted[order.client_id] if not one.only or one.order == order.id], house,
        ) for order in orders
    ]  # fmt: skip


def whole_order(actor: User, order: Order) -> WholeOrder:
    """One order whole."""
    return whole_orders(actor, [order])[0]
