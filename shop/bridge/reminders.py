"""What a client is reminded of, in words."""

from datetime import date
from decimal import Decimal

from shop.bridge.money import said_amount, written
from shop.bridge.words import words


def fitting_text(workshop: str, title: str, day: date) -> str:
    """That a fitting is tomorrow."""
    return words().say_reminder("fitting", workshop=workshop, title=title, day=words().day_name(day))


def ready_text(workshop: str, title: str, left: Decimal, currency: str) -> str:
    """That it is ready, and what is to be paid where that is known."""
    code = "ready_to_pay" if left > 0 else "ready"
    return words().say_reminder(code, workshop=workshop, title=title, amount=said_amount(left, currency))


def balance_text(workshop: str, title: str, left: Decimal, currency: str) -> str:
    """That something is to be paid still."""
    return words().say_reminder("balance", workshop=workshop, title=title, amount=said_amount(left, currency))


def about_money(left: Decimal, currency: str) -> str:
    """What a reminder of money is about: another one where the amount is another."""
    return f"{written(left, currency)} {currency}".strip()
