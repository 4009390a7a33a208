"""Somebody's week for a calendar program: read by icalendar and by vobject, the same as the week shows."""

from datetime import UTC, date, datetime, timedelta
from uuid import uuid4
from zoneinfo import ZoneInfo

import pytest
import vobject
from django.core.cache import cache
from django.test import Client as Http
from django.utils import timezone
from icalendar import Calendar

from shop.accounts.models import User
from shop.scheduling.feeds import AHEAD, read_feed, renew_feed
from shop.scheduling.models import Away, Feed
from tests.shop.conftest import Caller

LISBON = ZoneInfo("Europe/Lisbon")


@pytest.fixture(autouse=True)
def _nothing_kept():
    cache.clear()


@pytest.fixture
def ebba(owner):
    return User.objects.get(username="ebba")


def read(data):
    """The events as both libraries read them: summary, start, end."""
    own = sorted((str(one["summary"]), one.decoded("dtstart"), one.decoded("dtend"))
                 for one in Calendar.from_ical(data).walk("VEVENT"))  # fmt: skip
    second = sorted((one.summary.value, one.dtstart.value, one.dtend.value)
                    for one in vobject.readOne(data.decode()).contents.get("vevent", []))  # fmt: skip
    assert [(name, as_utc(start), as_utc(end)) for name, start, end in own] == [
        (name, as_utc(start), as_utc(end)) for name, start, end in second
    ]
    return own


def as_utc(at):
    return at.astimezone(UTC) if isinstance(at, datetime) and at.tzinfo else at


def test_a_calendar_program_reads_what_the_week_shows_and_no_clients_name(owner, ebba):
    """Every ticket of eight weeks, at the address that is given once."""
    address = owner("POST", f"/hours/{ebba.id}/feed")[1]["address"]
    answer = Http().get(address)
    assert answer["Content-Type"].startswith("text/calendar")
    shown = []
    for k in range(0, AHEAD, 14):
        week = owner.get("/week", first=str(timezone.localdate() + timedelta(days=k)), days=14)
        row = next(one for one in week["rows"] if one["person"] == str(ebba.id))
        for day in row["days"]:
            for one in day["tickets"]:
                start, end = (datetime.fromisoformat(f"{day['day']}T{one[key]}") for key in ("start", "end"))
                shown.append((f"{', '.join(one['names'])}: {one['title']}", start, end))
    assert read(answer.content) == sorted(shown)
    assert shown
    for client in owner.get("/clients"):
        assert client["name"] not in answer.content.decode()


def test_days_away_are_whole_days_without_their_reason(owner, ebba, new_id):
    first, last = (str(timezone.localdate() + timedelta(days=k)) for k in (3, 5))
    owner("PUT", f"/away/{new_id()}", {"person": str(ebba.id), "first": first, "last": last, "reason": "toothache"})
    data = read_feed(renew_feed(actor=ebba, person=ebba.id))
    assert ("away", date.fromisoformat(first), date.fromisoformat(last) + timedelta(days=1)) in read(data)
    assert b"toothache" not in data
    # Nor does somebody who plans nothing see it.
    sewer = Caller(User.objects.create(username="s", workshop=ebba.workshop, role="sewer"))
    assert [one["reason"] for one in sewer.get("/hours")["away"]] == [""]
    assert [one["reason"] for one in owner.get("/hours")["away"]] == ["toothache"]


@pytest.mark.parametrize(
    ("today", "free_from", "hour"),
    [
        (date(2027, 3, 22), date(2027, 3, 29), 7),  # summer time began on the 28th: 8 in Lisbon is 7 in UTC
        (date(2027, 3, 22), date(2027, 3, 22), 8),
        (date(2026, 12, 28), date(2027, 1, 4), 8),  # across new year
        (date(2028, 2, 28), date(2028, 2, 29), 8),  # a leap day
    ],
)  # fmt: skip
def test_eight_in_the_morning_is_eight_before_and_after_the_clocks_change(ebba, monkeypatch, today, free_from, hour):
    ebba.workshop.time_zone = "Europe/Lisbon"
    ebba.workshop.save()
    if free_from > today:
        for person in User.objects.filter(workshop=ebba.workshop):
            Away(id=uuid4(), workshop=ebba.workshop, person=person, first=today,
                 last=free_from - timedelta(days=1)).save(force_insert=True)  # fmt: skip
    monkeypatch.setattr(timezone, "now", lambda: datetime(today.year, today.month, today.day, 6, 0, tzinfo=LISBON))
    events = read(read_feed(renew_feed(actor=ebba, person=ebba.id)))
    starts = sorted(as_utc(start) for _, start, _ in events if isinstance(start, datetime))
    assert starts[0] == datetime(free_from.year, free_from.month, free_from.day, hour, 0, tzinfo=UTC)


def test_a_renewed_address_ends_the_one_before_and_one_that_is_ended_leads_nowhere(owner, ebba):
    first, second = (owner("POST", f"/hours/{ebba.id}/feed")[1]["address"] for _ in range(2))
    assert Http().get(first).status_code == 404
    assert Http().get(second).status_code == 200
    # Of the secret nothing is kept.
    assert second.rpartition("/")[2].removesuffix(".ics") not in str(Feed._base_manager.values())
    assert owner("DELETE", f"/hours/{ebba.id}/feed")[0] == 204
    assert Http().get(second).status_code == 404
    assert Http().get("/api/calendar/x.ics").status_code == 404


def test_one_makes_ones_own_and_an_owner_everybodys_but_not_of_who_was_let_go(owner, ebba):
    user = User.objects.create(username="s", workshop=ebba.workshop, role="sewer")
    sewer = Caller(user)
    assert sewer("POST", f"/hours/{user.id}/feed")[0] == 200
    assert sewer("POST", f"/hours/{ebba.id}/feed")[0] == 403
    address = owner("POST", f"/hours/{user.id}/feed")[1]["address"]
    assert {one["name"]: one["feed"] for one in owner.get("/hours")["people"]}["s"]
    User.objects.filter(pk=user.pk).update(is_active=False)
    assert Http().get(address).status_code == 404
