"""Somebody's week as a calendar that other programs read (iCalendar, RFC 5545, by icalendar)."""

from collections.abc import Sequence
from datetime import date, datetime, timedelta
from zoneinfo import ZoneInfo

from icalendar import Calendar, Event

from shop.bridge.scheduling import Works
from shop.bridge.week import WeekRowOut

MAKER = "-//Plavet//Week//EN"


def calendar_of(row: WeekRowOut, person: Works, workshop: str, zone: str, now: datetime) -> bytes:
    """What somebody does on which day from when to when, and the days they are away, in the time `zone` of the
    workshop; without one as each device's own time. It says what is made, and nobody's name but the person's own.
    """
    made = Calendar()
    made.add("prodid", MAKER)
    made.add("version", "2.0")
    made.add("name", f"{row.name}, {workshop}")
    made.add("x-wr-calname", f"{row.name}, {workshop}")
    at = ZoneInfo(zone) if zone else None
    for day in row.days:
        counts = dict[str, int]()
        for ticket in day.tickets:
            counts[ticket.order] = counts.get(ticket.order, 0) + 1
            event = Event()
            event.add("uid", f"{ticket.order}-{day.day}-{counts[ticket.order]}-{row.person}@plavet")
            event.add("dtstamp", now)
            event.add("dtstart", _clock(day.day, ticket.start, at))
            event.add("dtend", _clock(day.day, ticket.end, at))
            event.add("summary", f"{', '.join(ticket.names)}: {ticket.title}")
            made.add_component(event)
    for first, last in _within(person.away, row.days[0].day, row.days[-1].day):
        event = Event()
        event.add("uid", f"away-{first}-{last}-{row.person}@plavet")
        event.add("dtstamp", now)
        event.add("dtstart", first)
        event.add("dtend", last + timedelta(days=1))
        event.add("summary", "away")
        event.add("transp", "TRANSPARENT")
        made.add_component(event)
    if at is not None:
        # Of the years around alone: programs that read only a few changes of the clock read the right ones.
        year = row.days[0].day.year
        made.add_missing_timezones(first_date=date(year, 1, 1), last_date=date(year + 2, 1, 1))
    return bytes(made.to_ical())


def _clock(day: date, time: str, zone: ZoneInfo | None) -> datetime:
    """A time of a day; 24:00 is the midnight after it."""
    hour, minute = (int(part) for part in time.split(":"))
    return datetime.combine(day, datetime.min.time(), zone) + timedelta(hours=hour, minutes=minute)


def _within(away: Sequence[tuple[date, date]], first: date, last: date) -> list[tuple[date, date]]:
    """The days away that are among others."""
    return sorted({(start, end) for start, end in away if start <= last and end >= first})
