"""Orders, garments and cloth."""

from datetime import date, datetime
from typing import Annotated, Any, Literal, cast
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Query, Router, Schema

from shop.accounts.reading import page_of
from shop.accounts.rights import rights_of
from shop.api.auth import person
from shop.api.incoming import Day, Version
from shop.api.routers.clients import ClientOut, client_out
from shop.api.routers.sheets import SheetOut, sheet_out
from shop.bridge.trade import session_of
from shop.chalk.queries import name_of
from shop.clients import seen
from shop.clients.queries import counting, how_many_of
from shop.cloths import actions as cloths
from shop.cloths.models import Cloth
from shop.orders import actions, life, queries
from shop.orders.group import members
from shop.orders.models import Cut, Garment, Order
from shop.orders.patterns import MOST_OF_AN_ORDER, set_patterns
from shop.orders.whole import whole_order
from shop.plans.job import needs_of_order
from shop.sewing.queries import done_states

router = Router(tags=["orders"])
State = life.State


class NewGarmentIn(Schema):
    """A garment that is made with its order; without a method by its style's own."""

    id: UUID
    name: str = Field(min_length=1, max_length=40)
    style: str = Field(max_length=40)
    method: str = Field("", max_length=40)
    choices: dict[str, Any] = Field(default_factory=dict, max_length=120)


class OrderIn(Schema):
    """`garments` are made with the order, all of it or nothing; those that are there already stay as they are."""

    version: Version = 0
    client: UUID
    sheet: UUID
    cloth: UUID
    title: str = Field(min_length=1, max_length=120)
    promised_on: Day
    garments: list[NewGarmentIn] = Field(default_factory=list, max_length=8)
    reason: str = Field("", max_length=120, description="why the promised day is moved")


class GarmentIn(Schema):
    version: Version = 0
    order: UUID
    name: str = Field(max_length=40)
    style: str = Field(max_length=40)
    method: str = Field(max_length=40)
    choices: dict[str, Any] = Field(max_length=120)
    removed: bool = False


class OutfitRowIn(NewGarmentIn):
    """A garment made, changed or taken off with others of its order."""

    version: Version = 0
    removed: bool = False


class OutfitIn(Schema):
    """What an outfit is made of, changed at once: all of it or nothing, in this order."""

    garments: list[OutfitRowIn] = Field(max_length=8)


class GarmentOut(Schema):
    id: UUID
    version: int
    order: UUID
    name: str
    style: str
    method: str
    choices: dict[str, Any]
    removed: bool
    from_another_cloth: bool


class ClothIn(Schema):
    version: Version = 0
    kind: str = Field(max_length=40)
    colour: str = Field(pattern=r"^#[0-9A-Fa-f]{6}$")
    width: str = Field(max_length=40)
    length: str = Field("", max_length=40)
    fold: str = Field(max_length=24)
    sections: dict[str, str] = Field(default_factory=dict, max_length=8)
    one_way: bool = False
    shrink_percent: str = Field("", max_length=8)
    stretch_percent: str = Field("", max_length=8)
    thickness: str = Field("usual", max_length=8)
    pleated: bool = False
    selvedge: str = Field("", max_length=40)
    trim: str = Field("", max_length=40)
    spare: str = Field("", max_length=40)
    repeat: str = Field("", max_length=40)
    unit_of_sale: str = Field("", max_length=16)
    price: str = Field("", max_length=16)


class ClothOut(ClothIn):
    id: UUID


class GivenIn(Schema):
    """A state given to an order by hand."""

    order: UUID
    state: State


class GivenOut(Schema):
    """A state that was given by hand: by whom and when."""

    id: UUID
    state: State
    by: str
    at: datetime


class PassedIn(Schema):
    """A station where somebody chose, or looked and went on."""

    station: Literal["measure", "design", "cloth", "lay", "mark", "check", "sewing", "fitting"]


class TicketOut(Schema):
    """One order on the bench. Those of the same outfit for several clients have one `group`."""

    id: UUID
    version: int
    title: str
    client: UUID
    client_name: str
    group: UUID | None
    promised_on: date
    moved_from: date | None = Field(description="the day it was promised for before it was moved")
    moved_because: str
    measured: int
    styles: list[str]
    state: State
    passed: list[str] = Field(description="the stations where somebody chose, or looked and went on")


class CutOut(Schema):
    """So much was cut off a cloth of the shelf, and what is left of it as text, where its length was known."""

    id: UUID
    name: str
    length_mm: float
    was: str
    left: str


class NamedPatternOut(Schema):
    """A house pattern of an order, and how many pieces are cut of it."""

    id: UUID
    name: str
    pieces: int


class PatternsIn(Schema):
    """The house patterns that are cut with an order's garments."""

    patterns: list[UUID] = Field(max_length=MOST_OF_AN_ORDER)


class OrderOut(Schema):
    id: UUID
    version: int
    title: str
    promised_on: date
    client: ClientOut
    sheet: SheetOut
    cloth: ClothOut
    other_cloth: ClothOut | None
    shelf: UUID | None
    cut: CutOut | None
    garments: list[GarmentOut]
    patterns: list[NamedPatternOut] = Field(description="the house patterns that are cut with its garments")
    session: str = Field(description="what its garments ask to be measured")
    needs: list[str] = Field(description="the points they cannot be drafted without")
    group: int = Field(description="how many orders it is one of that share an outfit; 1 where it is alone")
    state: State
    measured: bool = Field(description="enough is read to be drafted, mostly")
    steps: list[GivenOut] = Field(description="the states that were given by hand, the last first")
    passed: list[str] = Field(description="the stations where somebody chose, or looked and went on")


def _garment(row: Garment) -> GarmentOut:
    return GarmentOut(
        id=row.id, version=row.version, order=row.order_id, name=row.name, style=row.style, method=row.method,
        choices=row.choices, removed=row.removed, from_another_cloth=queries.from_another_cloth(row.choices),
    )  # fmt: skip


def _cloth(row: Cloth) -> ClothOut:
    return ClothOut(
        id=row.id, version=row.version, kind=row.kind, colour=row.colour, width=row.width, length=row.length,
        fold=row.fold, sections=row.sections, one_way=row.one_way, shrink_percent=row.shrink_percent,
        stretch_percent=row.stretch_percent, thickness=row.thickness, pleated=row.pleated, selvedge=row.selvedge,
        trim=row.trim, spare=row.spare, repeat=row.repeat, unit_of_sale=row.unit_of_sale, price=row.price,
    )  # fmt: skip


def _cut(row: Cut | None) -> CutOut | None:
    if row is None:
        return None
    return CutOut(id=row.id, name=row.shelf.name, length_mm=row.length_mm, was=row.was, left=row.left)


def order_out(request: HttpRequest, row: Order) -> OrderOut:
    """An order whole, as its pages have it."""
    actor = person(request)
    whole = whole_order(actor, row)
    other = whole.other_cloth
    shown: list[seen.What] = ["measures", "contacts"] if "contacts" in rights_of(actor) else ["measures"]
    seen.note(actor, [row.client_id], *shown)
    steps = life.steps(actor, row.id)
    measured = len(counting(whole.readings)) >= life.MEASURED
    return OrderOut(
        id=row.id, version=row.version, title=row.title, promised_on=row.promised_on,
        client=client_out(request, row.client), sheet=sheet_out(request, row.sheet, whole.readings),
        cloth=_cloth(row.cloth), other_cloth=_cloth(other) if other else None, shelf=row.shelf_id,
        cut=_cut(queries.cut_for(actor, row.id)), garments=[_garment(garment) for garment in whole.garments],
        patterns=[
            NamedPatternOut(id=one.id, name=one.name, pieces=sum(piece["count"] for piece in one.pieces))
            for one in whole.patterns
        ],
        session=session_of([garment.style for garment in whole.garments]),
        needs=needs_of_order(actor, whole), passed=row.passed,
        state=life.state_of(steps[0].state if steps else None, measured, done_states(actor, [row.id]).get(row.id)),
        measured=measured,
        steps=[
            GivenOut(id=one.id, state=cast(State, one.state), by=name_of(one.changed_by), at=one.created_at)
            for one in steps
        ],
        group=members(actor, row).count() if row.group else 1,
    )  # fmt: skip


@router.get("/orders", response=list[TicketOut])
def bench(
    request: HttpRequest,
    page: Annotated[int, Query(ge=1, le=10_000)] = 1,
    find: Annotated[str, Query(max_length=80)] = "",
) -> list[TicketOut]:
    """A page of the bench, of up to 40 orders that wait, by their promised day; with `find` of all orders that have
    those letters, the last promised first.
    """
    actor = person(request)
    rows = list(page_of(queries.on_bench(actor, find.strip()), page, queries.ON_BENCH))
    done = done_states(actor, [row.id for row in rows])
    measures = how_many_of(actor, {row.sheet_id for row in rows})
    worn = queries.styles_of(actor, [row.id for row in rows])
    tickets = []
    for row in rows:
        measured = measures[row.sheet_id]
        state = life.state_of(getattr(row, "step", None), measured >= life.MEASURED, done.get(row.id))
        tickets.append(TicketOut(
            id=row.id, version=row.version, title=row.title, client=row.client_id, client_name=row.client.name,
            group=row.group, promised_on=row.promised_on, measured=measured,
            moved_from=getattr(row, "moved_from", None), moved_because=getattr(row, "moved_because", None) or "",
            styles=worn[row.id], state=state, passed=row.passed,
        ))  # fmt: skip
    return tickets


@router.put("/steps/{id}", response=OrderOut)
def put_step(request: HttpRequest, id: UUID, body: GivenIn) -> OrderOut:
    """Give an order a state by hand."""
    life.put_step(actor=person(request), id=id, order=body.order, state=body.state)
    return order_out(request, queries.order(person(request), body.order))


@router.delete("/steps/{id}", response=OrderOut)
def undo_step(request: HttpRequest, id: UUID) -> OrderOut:
    """Take the last state that was given by hand back."""
    gone = life.undo_step(actor=person(request), id=id)
    return order_out(request, queries.order(person(request), gone.order_id))


@router.post("/orders/{id}/passed", response=list[str])
def passed(request: HttpRequest, id: UUID, body: PassedIn) -> list[str]:
    """Note that somebody chose at a station, or looked there and went on; the stations that are passed."""
    return life.note_passed(actor=person(request), order=id, station=body.station)


@router.get("/orders/{id}", response=OrderOut)
def order(request: HttpRequest, id: UUID) -> OrderOut:
    return order_out(request, queries.order(person(request), id))


@router.put("/orders/{id}", response=OrderOut)
def put_order(request: HttpRequest, id: UUID, body: OrderIn) -> OrderOut:
    row = actions.put_order(actor=person(request), id=id, **body.dict())
    return order_out(request, queries.order(person(request), row.id))


@router.put("/orders/{id}/patterns", response=OrderOut)
def put_patterns(request: HttpRequest, id: UUID, body: PatternsIn) -> OrderOut:
    """Which house patterns are cut with the garments, in this order."""
    set_patterns(actor=person(request), order=id, patterns=body.patterns)
    return order_out(request, queries.order(person(request), id))


@router.put("/orders/{id}/outfit", response=OrderOut)
def put_outfit(request: HttpRequest, id: UUID, body: OutfitIn) -> OrderOut:
    """Garments added to an order, changed or taken off it, all of it or nothing."""
    actions.put_outfit(actor=person(request), order=id, garments=[one.dict() for one in body.garments])
    return order_out(request, queries.order(person(request), id))


@router.put("/garments/{id}", response=GarmentOut)
def put_garment(request: HttpRequest, id: UUID, body: GarmentIn) -> GarmentOut:
    return _garment(actions.put_garment(actor=person(request), id=id, **body.dict()))


@router.put("/cloths/{id}", response=ClothOut)
def put_cloth(request: HttpRequest, id: UUID, body: ClothIn) -> ClothOut:
    return _cloth(cloths.put_cloth(actor=person(request), id=id, **body.dict()))
