"""The cloth shelf."""

from typing import Literal, cast
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.api.auth import person
from shop.api.routers.orders import ClothIn, OrderOut, order_out
from shop.cloths import actions, queries
from shop.cloths.actions import SHELF
from shop.cloths.models import ShelfCloth
from shop.orders import queries as orders
from shop.orders import shelf as reserved
from shop.orders.models import Order
from shop.plans.lays import cut_plan

router = Router(tags=["shelf"])
Form = Literal["bolt", "length", "off-cut"]


class ShelfIn(ClothIn):
    """A bolt, a length or an off-cut; `fold` and `sections` are not the shelf's."""

    fold: str = "auto"
    name: str = Field(min_length=1, max_length=80)
    form: Form
    removed: bool = False


class KeptFor(Schema):
    order: UUID
    title: str


class ShelfOut(ShelfIn):
    id: UUID
    kept_for: list[KeptFor]


class ReserveIn(Schema):
    shelf: UUID | None


def _out(row: ShelfCloth, kept: list[Order]) -> ShelfOut:
    return ShelfOut(
        id=row.id, version=row.version, name=row.name, form=cast(Form, row.form), removed=row.removed,
        kept_for=[KeptFor(order=one.id, title=one.title) for one in kept], **{key: getattr(row, key) for key in SHELF},
    )  # fmt: skip


@router.get("/shelf", response=list[ShelfOut])
def shelf(request: HttpRequest) -> list[ShelfOut]:
    """Every cloth on the shelf, the newest first, with the orders it is kept for."""
    kept = orders.kept_for(person(request))
    return [_out(row, kept.get(row.id, [])) for row in queries.shelf(person(request))]


@router.put("/shelf/{id}", response=ShelfOut)
def put(request: HttpRequest, id: UUID, body: ShelfIn) -> ShelfOut:
    row = actions.put_shelf_cloth(actor=person(request), id=id, **body.dict(exclude={"fold", "sections"}))
    return _out(row, orders.kept_for(person(request)).get(row.id, []))


@router.put("/orders/{id}/shelf", response=OrderOut)
def reserve(request: HttpRequest, id: UUID, body: ReserveIn) -> OrderOut:
    """Keep a cloth of the shelf for the order; its own cloth becomes like it."""
    row = reserved.reserve(actor=person(request), order=id, shelf=body.shelf)
    return order_out(request, orders.order(person(request), row.id))


class CutIn(Schema):
    """A plan that was cut as its lay stands; `id` is the cut's own."""

    id: UUID


@router.put("/plans/{id}/cut", response=OrderOut)
def cut(request: HttpRequest, id: UUID, body: CutIn) -> OrderOut:
    """The plan is cut: what its lay takes is taken off the cloth that is kept for its order."""
    row = cut_plan(actor=person(request), id=body.id, plan_run=id)
    return order_out(request, orders.order(person(request), row.order_id))


@router.post("/cuts/{id}/undo", response=OrderOut)
def undo(request: HttpRequest, id: UUID) -> OrderOut:
    """It was not cut after all: the cloth is as long as before."""
    row = reserved.put_back(actor=person(request), id=id)
    return order_out(request, orders.order(person(request), row.order_id))
