"""What the work has shown: minutes, readings, what recurs at fittings, and the rules of the house from that."""

from datetime import date
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.accounts.models import User
from shop.api.auth import person
from shop.bridge.fitting import method_name, said_choice
from shop.bridge.sewing import reading_name
from shop.clients.corrections import recurring_corrections
from shop.clients.house_corrections import drop_rule, house_corrections, keep_recurring
from shop.sewing import queries
from shop.sewing.months import months

router = Router(tags=["work"])


class MinutesOut(Schema):
    """How long an operation takes here; `usual` is somebody's with practice, `times` how often it was timed,
    `summed` the sum in numbers."""

    code: str
    title: str
    usual: float
    minutes: float
    times: int
    summed: str


class ReadByOut(Schema):
    """By how many mm what was measured differed from what it should be: by whom, on which cloth, how often."""

    name: str
    by: str
    cloth: str
    times: int
    mean: float
    least: float
    most: float


class RecurringOut(Schema):
    """A choice that fittings changed again and again, at `found` of so many `fittings`, in mm."""

    kind: str
    method: str
    choice: str
    name: str
    method_name: str
    found: int
    fittings: int
    middle: float
    least: float
    most: float


class HouseCorrectionOut(Schema):
    """A rule of the house from its fittings: what every client's drafts have who has no correction of it."""

    id: UUID
    kind: str
    method: str
    choice: str
    name: str
    method_name: str
    by_mm: float
    found: int
    fittings: int


class MonthOut(Schema):
    """A month by its first day: orders handed over, of which in time; minutes of timed steps as they are usual and as
    they were; mm of cloth bought for what was cut, and taken by its lays.
    """

    first: date
    handed_over: int
    in_time: int
    usual: float
    taken: float
    bought_mm: float
    used_mm: float


class WorkOut(Schema):
    """What the work of a workshop has shown."""

    minutes: list[MinutesOut]
    readings: list[ReadByOut]
    corrections: list[RecurringOut]
    house: list[HouseCorrectionOut]
    months: list[MonthOut]


class RecurringIn(Schema):
    """What recurs, by kind of garment, method and choice."""

    kind: str = Field(max_length=12)
    method: str = Field(max_length=40)
    choice: str = Field(max_length=40)


@router.get("/minutes", response=list[MinutesOut])
def minutes(request: HttpRequest) -> list[MinutesOut]:
    """How long each operation takes here, where it was timed."""
    return [MinutesOut(**vars(one)) for one in queries.own_minutes(person(request))]


@router.get("/work", response=WorkOut)
def work(request: HttpRequest) -> WorkOut:
    """What the work has shown, for an owner."""
    return _out(person(request))


@router.put("/house-corrections/{id}", response=WorkOut)
def keep_house_correction(request: HttpRequest, id: UUID, body: RecurringIn) -> WorkOut:
    """Make what recurs a rule of the house, by its middle."""
    keep_recurring(actor=person(request), id=id, **body.dict())
    return _out(person(request))


@router.delete("/house-corrections/{id}", response=WorkOut)
def drop_house_correction(request: HttpRequest, id: UUID) -> WorkOut:
    """Drop such a rule: drafts are what they were without it."""
    drop_rule(actor=person(request), id=id)
    return _out(person(request))


def _out(actor: User) -> WorkOut:
    return WorkOut(
        minutes=[MinutesOut(**vars(one)) for one in queries.own_minutes(actor)],
        readings=[
            ReadByOut(name=reading_name(one.code), **{key: value for key, value in vars(one).items() if key != "code"})
            for one in queries.readings_by(actor)
        ],
        corrections=[
            RecurringOut(name=said_choice(one.kind, one.choice), method_name=method_name(one.method), **vars(one))
            for one in recurring_corrections(actor)
        ],
        house=[
            HouseCorrectionOut(
                id=one.id, kind=one.kind, method=one.method, choice=one.choice, name=said_choice(one.kind, one.choice),
                method_name=method_name(one.method), by_mm=float(one.by), found=one.found, fittings=one.fittings,
            ) for one in house_corrections(actor)
        ],
        months=[MonthOut(**vars(one)) for one in months(actor)],
    )  # fmt: skip
