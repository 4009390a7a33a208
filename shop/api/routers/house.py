"""What a workshop settles for itself, and what a person does."""

from typing import Annotated, Literal
from zoneinfo import available_timezones

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.accounts.models import Workshop
from shop.accounts.rights import allow
from shop.api.auth import person
from shop.api.routers.session import Me, me_of
from shop.bridge.house import AllowanceOut, edges
from shop.orders import house

router = Router(tags=["house"])
Paper = Literal["A4", "Letter"]
Key = Annotated[str, Field(max_length=20)]
Given = Annotated[dict[Key, Annotated[str, Field(max_length=40)]], Field(max_length=20)]


Allowances = Annotated[dict[Key, Given], Field(max_length=5)]


class HouseIn(Schema):
    """What is to change, and nothing else. `heading` is printed over cards; `allowances` are by kind of garment and
    edge, as typed: what a new garment starts from.
    """

    name: Annotated[str, Field(max_length=120)] | None = None
    heading: Annotated[str, Field(max_length=200)] | None = None
    time_zone: Annotated[str, Field(max_length=40)] | None = None
    paper: Paper | None = None
    allowances: Allowances | None = None
    tables: Annotated[int, Field(ge=1, le=99)] | None = None
    machines: Annotated[int, Field(ge=1, le=99)] | None = None
    reminds: bool | None = None
    owners_step: bool | None = Field(None, description="whether its owners have to have a second step")


class HouseOut(Schema):
    """The same as it is settled. `turning_to` is the unit the workshop is being changed to, empty where it is not;
    `edges` and `zones` are what can be chosen.
    """

    id: str = Field(description="what a browser keeps of this workshop's settings it keeps under this")
    name: str
    heading: str
    time_zone: str
    paper: Paper
    allowances: dict[str, dict[str, str]]
    tables: int
    machines: int
    reminds: bool
    owners_step: bool
    unit: Literal["in", "cm"]
    turning_to: str
    edges: list[AllowanceOut]
    zones: list[str]


class HouseUnitIn(Schema):
    unit: Literal["in", "cm"]


class OwnIn(Schema):
    """What one settles for oneself: the light of the screen, and whether a key by itself does something."""

    light: Literal["system", "day", "dim"] | None = None
    single_keys: bool | None = None


def _out(row: Workshop) -> HouseOut:
    return HouseOut(
        id=str(row.id), name=row.name, heading=row.heading, unit="cm" if row.unit == "cm" else "in",
        turning_to=row.turning_to,
        time_zone=row.time_zone, paper="Letter" if row.paper == "Letter" else "A4",
        allowances=row.allowances, tables=row.tables, machines=row.machines, reminds=row.reminds,
        owners_step=row.owners_step, edges=edges(), zones=sorted(zone for zone in available_timezones() if "/" in zone),
    )  # fmt: skip


@router.get("/workshop", response=HouseOut)
def workshop(request: HttpRequest) -> HouseOut:
    """What the workshop has settled."""
    allow(person(request), "workshop")
    return _out(person(request).workshop)


@router.patch("/workshop", response=HouseOut)
def settle(request: HttpRequest, body: HouseIn) -> HouseOut:
    """Change what is given, and nothing else."""
    return _out(house.settle(actor=person(request), **body.dict(exclude_none=True)))


@router.put("/workshop/unit", response=HouseOut)
def turn(request: HttpRequest, body: HouseUnitIn) -> HouseOut:
    """Change the unit of everything that is typed without one from now on. What was typed before gets its unit written
    out, on the queue; until that is done no length is written.
    """
    return _out(house.turn(actor=person(request), unit=body.unit))


@router.patch("/session/own", response=Me)
def put_own(request: HttpRequest, body: OwnIn) -> Me:
    """Change what is given of one's own."""
    return me_of(house.put_own(actor=person(request), **body.dict(exclude_none=True)))
