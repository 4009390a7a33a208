"""What a client is reminded of."""

REMINDERS = {
    "fitting": "{workshop}: your fitting is tomorrow, {day} ({title}).",
    "ready": "{workshop}: your order is ready to be fetched ({title}).",
    "ready_to_pay": "{workshop}: your order is ready to be fetched ({title}). To be paid then: {amount}.",
    "balance": "{workshop}: still to be paid of your order ({title}): {amount}.",
}


def say_reminder(code: str, **params: str) -> str:
    """A message to a client."""
    return REMINDERS[code].format(**params)
