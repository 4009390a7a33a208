"""When work is done: what its tasks are called, what waits for whom, what would keep a promise."""

from collections.abc import Sequence
from datetime import date

TASKS = {
    "measure": "measure", "cut": "mark and cut", "sew": "sew", "fit": "fitting", "finish": "finish",
    "pack": "press and pack",
}  # fmt: skip
LEFT = {
    "nobody": "Nobody here does this: {task}. Let somebody do it, under Hours.",
    "hours": "Nobody who does this has so many hours: {task}. Give somebody more, under Hours.",
    "before": "It waits for what comes before it: {task}.",
}
CURES = {
    "hours": "{minutes} more of {who} on {day} would do.",
    "hand": "{who} could do this once: {task}.",
    "day": "{day} can be promised.",
}


def task_name(kind: str) -> str:
    """What a task of an order is called."""
    return TASKS[kind]


def say_left(why: str, kind: str) -> str:
    """Why a task is on nobody's day, and what to do."""
    return LEFT[why].format(task=TASKS[kind])


def say_missed(kind: str, day: date) -> str:
    """That something is not ready on the day its client comes."""
    return f"The client comes on {day_name(day)}, and what is before that is not done by then: {TASKS[kind]}."


def say_waits(kind: str, who: str, day: date) -> str:
    """What an order waits for longest."""
    return f"It waits longest for {who}, who comes to it on {day_name(day)}: {TASKS[kind]}."


def say_cure(code: str, kinds: Sequence[str], who: str, minutes: int, day: date | None) -> str:
    """What would keep a promise."""
    return CURES[code].format(
        task=", ".join(TASKS[kind] for kind in kinds),
        who=who,
        minutes=duration(minutes),
        day="" if day is None else day_name(day),
    )


def say_rest(left_over: int) -> str:
    """How much time is left between the end of an order and its promise."""
    return f"{duration(left_over)} of work are left over then." if left_over else "Nothing is left over then."


def duration(minutes: int) -> str:
    """A time as it is spoken."""
    hours, rest = divmod(minutes, 60)
    return " ".join(
        part for part in (f"{hours} h" if hours else "", f"{rest} min" if rest or not hours else "") if part
    )


def day_name(day: date) -> str:
    """A day with its weekday."""
    return f"{day:%A} {day.day} {day:%B}"
