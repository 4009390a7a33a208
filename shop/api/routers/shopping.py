"""What is to be bought for the orders that wait and are not cut yet."""

from datetime import date
from uuid import UUID

from django.http import HttpRequest
from ninja import Router, Schema

from shop.api.auth import person
from shop.api.bought import ClothBought, NotionBought
from shop.api.incoming import Day
from shop.orders import life, queries
from shop.plans.shopping import rows_of, shopping
from shop.sewing.queries import done_states

router = Router(tags=["shopping"])
MOST = 60
"""So many orders are added up at once, the first promised first."""
BEFORE_CUT = ("asked", "agreed", "measured", "chalked")


class WaitsOut(Schema):
    """An order whose needs are in the list, or not yet where it is not `planned`."""

    id: UUID
    title: str
    client_name: str
    promised_on: date
    planned: bool


class ShoppingOut(Schema):
    """What the `orders` need together; `more` where there are others that are promised by that day."""

    orders: list[WaitsOut]
    more: bool
    cloths: list[ClothBought]
    notions: list[NotionBought]


@router.get("/shopping", response=ShoppingOut)
def to_buy(request: HttpRequest, until: Day) -> ShoppingOut:
    """What is bought for the orders that are promised by a day and not cut: cloth that is on the shelf for them is left
    out.
    """
    actor = person(request)
    waiting = list(queries.on_bench(actor).filter(promised_on__lte=until)[: 2 * MOST + 1])
    done = done_states(actor, [row.id for row in waiting])
    open_ = [row for row in waiting if life.state_of(getattr(row, "step", None), False, done.get(row.id)) in BEFORE_CUT]
    rows = rows_of(actor, open_[:MOST])
    bought = shopping(actor, rows)
    return ShoppingOut(
        orders=[
            WaitsOut(
                id=row.order.id, title=row.order.title, client_name=row.order.client.name,
                promised_on=row.order.promised_on, planned=row.planned,
            ) for row in rows
        ],
        more=len(open_) > MOST or len(waiting) > 2 * MOST,
        cloths=[ClothBought(**one) for one in bought.cloths], notions=[NotionBought(**one) for one in bought.notions],
    )  # fmt: skip
