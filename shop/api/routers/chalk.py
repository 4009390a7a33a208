"""What is chalked: ticks, the plan they froze, and the confirmation that it is cut."""

from datetime import datetime
from typing import Annotated
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Query, Router, Schema

from shop.accounts.writing import own
from shop.api.auth import person
from shop.api.routers.plans import ClothName
from shop.bridge.controls import TapeShape, VerdictShape, verdict
from shop.chalk import actions, queries
from shop.chalk.models import Chalking
from shop.chalk.queries import name_of
from shop.clients import seen
from shop.orders.queries import order

router = Router(tags=["chalk"])


class PlaceOut(Schema):
    """Where somebody is who is at work: the call that was ticked last."""

    who: str
    mine: bool
    call: int
    at: datetime


class ChalkOut(Schema):
    """By which plan a cloth is chalked, how far, and who is at work."""

    id: UUID
    plan: UUID
    stamp: str
    began_at: datetime
    began_by: str
    ticked: list[int] = Field(description="the numbers of the calls that are chalked")
    places: list[PlaceOut]
    newer: bool = Field(description="whether the order as it stands has anything otherwise; the plan says what")
    cut_at: datetime | None
    cut_by: str


class ChalkAnswer(Schema):
    """`chalk` is null where nobody began."""

    chalk: ChalkOut | None
    earlier: int = Field(description="how often it was rubbed out")


class TickIn(Schema):
    """That a call of the plan that the page shows was chalked, or rubbed out."""

    order: UUID
    cloth: ClothName = "main"
    plan: UUID
    stamp: str = Field(max_length=16)
    call: int = Field(ge=1, le=10_000)
    chalked: bool = True
    waited: bool = Field(
        False, description="it was ticked while the line was lost: the plan counts as it was when the page read it"
    )


@router.get("/orders/{id}/chalk", response=ChalkAnswer)
def chalk(request: HttpRequest, id: UUID, cloth: ClothName = "main") -> ChalkAnswer:
    """How far a cloth of an order is chalked, and by which plan. It says nothing of a body, and is asked often."""
    return _answer(request, order(person(request), id).id, cloth)


@router.put("/ticks/{id}", response=ChalkOut)
def tick(request: HttpRequest, id: UUID, body: TickIn) -> ChalkOut:
    """Tick a call, or rub it out. The first tick freezes the plan."""
    made = actions.tick(
        actor=person(request), id=id, order=body.order, cut_from=body.cloth, plan_run=body.plan, stamp=body.stamp,
        call=body.call, chalked=body.chalked, waited=body.waited,
    )  # fmt: skip
    return _out(request, made)


class ControlOut(TapeShape):
    """A control tape, and how it was last read: as typed, empty where it was as called; null where nobody read it."""

    typed: str | None
    off_mm: float
    agrees: bool = Field(description="whether it is off by no more than chalk and eye are")


class ControlsOut(Schema):
    """The control tapes of a piece; `verdict` is null where none is read yet."""

    tapes: list[ControlOut]
    verdict: VerdictShape | None


class TapeReadIn(Schema):
    """What the control tape of that number read, as typed; empty where it was as called."""

    chalk: UUID
    garment: str = Field(max_length=80)
    panel: str = Field(max_length=40)
    tape: int = Field(ge=0, le=20)
    typed: str = Field("", max_length=40)


@router.get("/chalks/{id}/tapes", response=ControlsOut)
def control_tapes(
    request: HttpRequest,
    id: UUID,
    garment: Annotated[str, Query(max_length=80)],
    panel: Annotated[str, Query(max_length=40)],
) -> ControlsOut:
    """The control tapes of a piece that is chalked: tapes that no mark was made with, and what they mean as read."""
    return _controls(request, own(Chalking, person(request), id), garment, panel)


@router.put("/tape-readings/{id}", response=ControlsOut)
def read_control_tape(request: HttpRequest, id: UUID, body: TapeReadIn) -> ControlsOut:
    """Note what a control tape read."""
    row = actions.read_control_tape(
        actor=person(request), id=id, chalking=body.chalk, garment=body.garment, panel=body.panel, tape=body.tape,
        typed=body.typed,
    )  # fmt: skip
    return _controls(request, row, body.garment, body.panel)


def _controls(request: HttpRequest, row: Chalking, garment: str, panel: str) -> ControlsOut:
    actor = person(request)
    made, said = queries.control_tapes(row, garment, panel)
    read = queries.tapes_read(actor, row, garment, panel)
    off = {one.n: read[one.n].off_mm if one.n in read else 0.0 for one in said}
    mm = {tape: one.mm for tape, one in read.items() if tape < len(made)}
    seen.note(actor, [row.order.client_id], "measures")
    return ControlsOut(
        tapes=[
            ControlOut(
                **one.model_dump(), typed=read[one.n].typed if one.n in read else None,
                off_mm=off[one.n], agrees=abs(off[one.n]) <= made[one.n].honest,
            )
            for one in said
        ],
        verdict=verdict(queries.chalked_plan(row), garment, panel, made, mm, actor.workshop.unit) if mm else None,
    )  # fmt: skip


@router.post("/chalks/{id}/rub-out", response=ChalkAnswer)
def rub_out(request: HttpRequest, id: UUID) -> ChalkAnswer:
    """Begin anew by the order as it stands; the ticks are kept with the old plan."""
    gone = actions.rub_out(actor=person(request), chalking=id)
    return _answer(request, gone.order_id, gone.cut_from)


@router.post("/chalks/{id}/cut", response=ChalkOut)
def cut(request: HttpRequest, id: UUID) -> ChalkOut:
    """Confirm that it is cut: what it takes comes off the shelf."""
    return _out(request, actions.cut_it(actor=person(request), chalking=id))


def _answer(request: HttpRequest, order: UUID, cloth: str) -> ChalkAnswer:
    actor = person(request)
    chalking = queries.open_chalking(actor, order, cloth)
    shown = None if chalking is None else _out(request, chalking)
    return ChalkAnswer(chalk=shown, earlier=queries.rubbed_out(actor, order, cloth))


def _out(request: HttpRequest, row: Chalking) -> ChalkOut:
    actor = person(request)
    newer = bool(queries.newer(actor, order(actor, row.order_id), row))
    return ChalkOut(
        id=row.id, plan=row.plan_run_id, stamp=row.stamp, began_at=row.created_at, began_by=name_of(row.changed_by),
        ticked=queries.ticked(actor, row), newer=newer, cut_at=row.cut_at, cut_by=name_of(row.cut_by),
        places=[PlaceOut(**vars(place)) for place in queries.places(actor, row)],
    )  # fmt: skip
