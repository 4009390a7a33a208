"""When people work, as it is typed and stored: of each weekday, Monday first, spans such as 08:00 to 12:00."""

from collections.abc import Sequence

from cutting.scheduling import KINDS, Week
from shop.bridge.words import words
from shop.errors import ShopError

Typed = Sequence[Sequence[Sequence[str]]]
SKILLS: dict[str, tuple[str, ...]] = {
    "owner": KINDS, "cutter": ("measure", "cut", "fit", "pack"), "apprentice": ("cut", "pack"),
    "sewer": ("sew", "finish", "pack"),
}  # fmt: skip
"""What somebody does by their role, before it is said otherwise."""
FULL = [["08:00", "12:00"], ["13:00", "17:00"]]
USUAL = [*([FULL] * 5), [], []]
"""When somebody works before it is said otherwise."""
DAYS = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
SPANS = 4
"""So many spans a day at most."""


class HoursError(ShopError):
    """Hours that nobody can work."""

    code = "hours"


def task_kinds() -> list[tuple[str, str]]:
    """The tasks of an order in their order: code and name."""
    return [(kind, words().task_name(kind)) for kind in KINDS]


def check_hours(skills: Sequence[str], week: Typed) -> tuple[list[str], list[list[list[str]]]]:
    """What somebody does, each once in the order of work, and when. Raises HoursError."""
    unknown = [one for one in skills if one not in KINDS]
    if unknown:
        raise HoursError(f"There is no task {unknown[0]}. The tasks are {', '.join(KINDS)}.")
    if len(week) != len(DAYS):
        raise HoursError("A week has seven days: give each its hours, or none.")
    week_of([*week])
    return [kind for kind in KINDS if kind in skills], [[[*span] for span in day] for day in week]


def week_of(week: Typed) -> Week:
    """Typed hours in minutes of each day. Raises HoursError where they are none, or overlap."""
    return tuple(_day(name, day) for name, day in zip(DAYS, week, strict=True))


def _day(name: str, day: Sequence[Sequence[str]]) -> tuple[tuple[int, int], ...]:
    if len(day) > SPANS:
        raise HoursError(f"{name} has more than {SPANS} stretches of work. Join some of them.")
    found: list[tuple[int, int]] = []
    for span in day:
        if len(span) != 2:
            raise HoursError(f"On {name} a stretch of work is from one time to another. Give both.")
        start, end = (_minute(name, one) for one in span)
        if end <= start:
            raise HoursError(f"On {name} work from {span[0]} to {span[1]} ends before it begins. Turn them round.")
        if found and start < found[-1][1]:
            raise HoursError(f"On {name} work from {span[0]} begins before the one before it ends. Mend one of them.")
        found.append((start, end))
    return tuple(found)


def _minute(name: str, text: str) -> int:
    hour, _, minute = text.strip().partition(":")
    if hour.isascii() and minute.isascii() and hour.isdigit() and minute.isdigit() and len(minute) == 2:
        at = int(hour) * 60 + int(minute)
        if int(minute) < 60 and at <= 24 * 60:
            return at
    raise HoursError(f"On {name} {text or 'nothing'} is no time of the day. Write it like 08:30.")
