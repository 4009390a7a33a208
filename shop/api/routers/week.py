"""The week of a workshop: who does what when, what can be promised, schedules made and kept."""

from datetime import date, datetime, timedelta
from typing import Annotated, Any, Literal
from uuid import UUID, uuid4

from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from ninja import Field, Query, Router, Schema

from shop.accounts.models import User
from shop.accounts.rights import rights_of
from shop.api.auth import person
from shop.api.incoming import Day, Version
from shop.bridge.hours import task_kinds
from shop.bridge.making_schedule import was_placed
from shop.bridge.scheduling import Waiting, schedule_of
from shop.bridge.week import (
    BrokenOut,
    Called,
    EndOut,
    PromiseOut,
    TaskMovedOut,
    WeekRowOut,
    broken_of,
    ends_of,
    moved,
    promise,
    rows_of,
)
from shop.orders import queries as orders
from shop.scheduling import actions, feeds
from shop.scheduling.models import Away, ClientDay, Hours, Schedule
from shop.scheduling.queries import WaitingWork, client_days, one_waiting, people_of, waiting_work

router = Router(tags=["week"])
Kind = Literal["measure", "cut", "sew", "fit", "finish", "pack"]
Clock = Annotated[str, Field(max_length=5)]
Span = Annotated[list[Clock], Field(max_length=4)]
WeekIn = Annotated[list[Annotated[list[Span], Field(max_length=8)]], Field(max_length=14)]
FAR = timedelta(days=100)
"""So far ahead a week is shown."""


class HoursIn(Schema):
    """What somebody does, and of each weekday, Monday first, from and to when they work."""

    version: Version = 0
    skills: list[Kind] = Field(max_length=6)
    week: WeekIn


class AwayOut(Schema):
    id: UUID
    version: int
    person: UUID
    first: date
    last: date
    reason: str


class HoursOut(Schema):
    """Somebody's hours; `version` is 0 where they are as usual for the role."""

    person: UUID
    name: str
    version: int
    skills: list[str]
    week: list[list[list[str]]]
    feed: bool = Field(description="whether a calendar program can read the person's week by a secret address")


class FeedOut(Schema):
    """The secret address of somebody's week; it is shown this once."""

    address: str


class TaskName(Schema):
    kind: str
    name: str


class TeamHoursOut(Schema):
    """Everybody's hours and the days they are away; `kinds` are the tasks that somebody can do."""

    people: list[HoursOut]
    away: list[AwayOut]
    kinds: list[TaskName]


class AwayIn(Schema):
    version: Version = 0
    person: UUID
    first: Day
    last: Day
    reason: str = Field("", max_length=60)
    removed: bool = False


class ClientDayIn(Schema):
    version: Version = 0
    order: UUID
    kind: Literal["measure", "fit"]
    day: Day
    removed: bool = False


class ClientDayOut(Schema):
    id: UUID
    version: int
    kind: str
    day: date


class OrderTaskOut(Schema):
    """A task of an order: how long it takes with its sum in numbers (empty where that is one), and who begins and ends
    it when, by the workshop's own clock, as 2026-12-03T08:15.
    """

    kind: str
    name: str
    minutes: int
    summed: str
    by: str
    start: str | None
    end: str | None


class OrderTasksOut(Schema):
    """What is still to be done of an order, and on which days its client comes."""

    order: UUID
    title: str
    client_name: str
    promised_on: date
    done_on: date | None
    tasks: list[OrderTaskOut]
    days: list[ClientDayOut]


class WeekOut(Schema):
    """A row a person, the days across. `broken` are promises that are not kept so, with why; `kept_at` is when the
    schedule was kept that this goes by, none where what is promised first is done first.
    """

    today: date
    first: date
    rows: list[WeekRowOut]
    broken: list[BrokenOut]
    kept_at: datetime | None
    more: bool


class PromiseIn(Schema):
    """An order, or garments by their styles that are not ordered yet; the day, and that of a fitting."""

    order: UUID | None = None
    styles: list[Annotated[str, Field(max_length=40)]] = Field(default_factory=list, max_length=8)
    day: Day
    fitting: Day | None = None


class AwayMovesIn(Schema):
    first: Day
    last: Day


class AwayMovesOut(Schema):
    """What moves where somebody is away, and what is not kept then that is kept now."""

    moves: list[TaskMovedOut]
    broken: list[BrokenOut]


class ScheduleOut(Schema):
    """A schedule that is made on the queue; when it is, promises broken by it, by the one that stands, by what is
    promised first being done first, and at least by any; what it moves and what it does not keep.
    """

    id: UUID
    state: Literal["queued", "done", "failed"]
    kept: bool
    breaks: int = 0
    stands_breaks: int = 0
    habit_breaks: int = 0
    least: int = 0
    moves: list[TaskMovedOut] = []
    broken: list[BrokenOut] = []


@router.get("/week", response=WeekOut)
def week(request: HttpRequest, first: Day | None = None, days: Annotated[int, Query(ge=1, le=14)] = 7) -> WeekOut:
    """The days from one on, today where none is said, by the schedule the workshop goes by."""
    waiting = waiting_work(person(request))
    begin = min(max(first or waiting.today, waiting.today), waiting.today + FAR)
    return WeekOut(
        today=waiting.today, first=begin,
        rows=rows_of(
            waiting.work, waiting.stands, waiting.people, waiting.called, waiting.today, begin, days
        ),
        broken=_broken(waiting),
        kept_at=None if waiting.kept is None else waiting.kept.kept_at, more=waiting.more,
    )  # fmt: skip


@router.get("/hours", response=TeamHoursOut)
def hours(request: HttpRequest) -> TeamHoursOut:
    """Everybody's hours and days away."""
    return _team(person(request))


@router.put("/hours/{id}", response=TeamHoursOut)
def put_hours(request: HttpRequest, id: UUID, body: HoursIn) -> TeamHoursOut:
    """Say what somebody does and when, by their own id."""
    actor = person(request)
    actions.put_hours(actor=actor, person=id, version=body.version, skills=body.skills, week=body.week)
    return _team(actor)


@router.post("/hours/{id}/feed", response=FeedOut)
def renew_feed(request: HttpRequest, id: UUID) -> FeedOut:
    """A secret address at which a calendar program reads somebody's week; the one before ends."""
    secret = feeds.renew_feed(actor=person(request), person=id)
    return FeedOut(address=request.build_absolute_uri(f"/api/calendar/{secret}.ics"))


@router.delete("/hours/{id}/feed", response={204: None})
def end_feed(request: HttpRequest, id: UUID) -> tuple[int, None]:
    """Nobody reads somebody's week by its address any more."""
    feeds.end_feed(actor=person(request), person=id)
    return 204, None


@router.get("/calendar/{secret}", auth=None)
def calendar(request: HttpRequest, secret: str) -> Any:
    """Somebody's week, for a calendar program that has its secret address."""
    return HttpResponse(feeds.read_feed(secret.removesuffix(".ics")), content_type="text/calendar; charset=utf-8")


@router.put("/away/{id}", response=TeamHoursOut)
def put_away(request: HttpRequest, id: UUID, body: AwayIn) -> TeamHoursOut:
    """Say from and to which day somebody does not work."""
    actor = person(request)
    actions.put_away(actor=actor, id=id, **body.dict())
    return _team(actor)


@router.post("/hours/{id}/moves", response=AwayMovesOut)
def away_moves(request: HttpRequest, id: UUID, body: AwayMovesIn) -> AwayMovesOut:
    """What would move if somebody were away from one day to another; nothing is stored."""
    actor = person(request)
    actions.check_away(body.first, body.last)
    whose = str(actions.own_person(actor, id).id)
    now, then = waiting_work(actor), waiting_work(actor, away={whose: (body.first, body.last)})
    return AwayMovesOut(
        moves=moved(then.work, now.stands, then.stands, then.names, then.called, then.today),
        broken=broken_of(then.work, then.stands, then.names, then.called, then.today, without=now.broken),
    )


@router.get("/ends", response=list[EndOut])
def ends(request: HttpRequest) -> list[EndOut]:
    """When each order that waits is ready, by the schedule that stands."""
    waiting = waiting_work(person(request))
    return ends_of(waiting.work, waiting.stands, waiting.today)


@router.get("/orders/{id}/tasks", response=OrderTasksOut)
def tasks(request: HttpRequest, id: UUID) -> OrderTasksOut:
    """What is still to be done of an order, by whom and when."""
    return order_tasks(person(request), id)


@router.put("/client-days/{id}", response=OrderTasksOut)
def put_client_day(request: HttpRequest, id: UUID, body: ClientDayIn) -> OrderTasksOut:
    """Say on which day the client comes to be fitted, or measured."""
    actor = person(request)
    actions.put_client_day(actor=actor, id=id, **body.dict())
    return order_tasks(actor, body.order)


@router.post("/promises", response=PromiseOut)
def could_promise(request: HttpRequest, body: PromiseIn) -> PromiseOut:
    """Whether a day can be promised, as things stand; nothing is stored."""
    actor = person(request)
    days = {"fit": body.fitting} if body.fitting else {}
    waiting = waiting_work(actor, body.order)
    if body.order is not None:
        row, was = one_waiting(actor, body.order)
        asked = Waiting(was.id, body.day, was.done, was.styles, was.operations, was.pieces, {**was.days, **days})
        called = Called(row.title, row.client.name, body.day)
    else:
        known = actions.known_styles(body.styles)
        asked = Waiting(str(uuid4()), body.day, (), known, days=days)
        called = Called("", "", body.day)
    for day in (body.day, *([body.fitting] if body.fitting else [])):
        actions.check_day(day)
    return promise(
        waiting.work, waiting.stands, asked, waiting.own, waiting.names, {**waiting.called, asked.id: called},
        waiting.today,
    )  # fmt: skip


@router.put("/schedules/{id}", response=ScheduleOut)
def put_schedule(request: HttpRequest, id: UUID) -> ScheduleOut:
    """Have a schedule made of what waits now."""
    actor = person(request)
    return _schedule(actor, actions.ask_schedule(actor=actor, id=id))


@router.get("/schedules/{id}", response=ScheduleOut)
def get_schedule(request: HttpRequest, id: UUID) -> ScheduleOut:
    """A schedule: whether it is made, and what it moves."""
    actor = person(request)
    return _schedule(actor, actions.schedule(actor, id))


@router.post("/schedules/{id}/keep", response=ScheduleOut)
def keep_schedule(request: HttpRequest, id: UUID) -> ScheduleOut:
    """Go by a schedule from now on."""
    actor = person(request)
    return _schedule(actor, actions.keep_schedule(actor=actor, id=id))


def _team(actor: User) -> TeamHoursOut:
    said = {row.person_id: row.version for row in Hours.of(actor.workshop)}
    read = feeds.who_has_one(actor)
    # Why somebody is away is for who plans with it, and for themselves.
    may = "orders" in rights_of(actor)
    away = Away.of(actor.workshop).filter(removed=False, last__gte=timezone.localdate()).order_by("first", "id")
    return TeamHoursOut(
        people=[
            HoursOut(person=UUID(one.id), name=one.name, version=said.get(UUID(one.id), 0), skills=[*one.skills],
                     week=[[[*span] for span in day] for day in one.week], feed=UUID(one.id) in read)
            for one in people_of(actor)
        ],
        away=[
            AwayOut(id=row.id, version=row.version, person=row.person_id, first=row.first, last=row.last,
                    reason=row.reason if may or row.person_id == actor.id else "")
            for row in away
        ],
        kinds=[TaskName(kind=kind, name=name) for kind, name in task_kinds()],
    )  # fmt: skip


def order_tasks(actor: User, id: UUID) -> OrderTasksOut:
    """What is still to be done of an order, by whom and when."""
    row = orders.order(actor, id)
    waiting = waiting_work(actor)
    when = schedule_of(waiting.work, waiting.stands, str(id), waiting.today)
    names = dict(task_kinds())
    return OrderTasksOut(
        order=row.id, title=row.title, client_name=row.client.name, promised_on=row.promised_on,
        done_on=max((one.end.date() for one in when if one.end), default=None),
        tasks=[
            OrderTaskOut(kind=one.kind, name=names[one.kind], minutes=one.minutes,
                    summed=waiting.summed.get((str(id), one.kind), ""), by=waiting.names.get(one.worker, ""),
                    start=_clock(one.start), end=_clock(one.end)) for one in when
        ],
        days=[_day(one) for one in client_days(actor, [id])[id]],
    )  # fmt: skip


def _broken(waiting: WaitingWork) -> list[BrokenOut]:
    known = waiting.standing.cures
    return broken_of(waiting.work, waiting.stands, waiting.names, waiting.called, waiting.today, known=known)


def _clock(at: datetime | None) -> str | None:
    return None if at is None else f"{at:%Y-%m-%dT%H:%M}"


def _day(row: ClientDay) -> ClientDayOut:
    return ClientDayOut(id=row.id, version=row.version, kind=row.kind, day=row.day)


def _schedule(actor: User, row: Schedule) -> ScheduleOut:
    if row.state != Schedule.DONE:
        return ScheduleOut(id=row.id, state="queued" if actions.is_under_way(row) else "failed", kept=False)
    waiting = waiting_work(actor)
    now = waiting.by(was_placed(row.made, row.first))
    return ScheduleOut(
        id=row.id, state="done", kept=row.kept_at is not None, least=row.made["least"],
        breaks=waiting.breaks(now), stands_breaks=waiting.breaks(waiting.stands),
        habit_breaks=row.made["habit"]["broken"],
        moves=moved(waiting.work, waiting.stands, now, waiting.names, waiting.called, waiting.today),
        broken=broken_of(waiting.work, now, waiting.names, waiting.called, waiting.today),
    )  # fmt: skip
