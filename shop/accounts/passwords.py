"""Passwords: which are taken, and a new one for oneself."""

from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.db import transaction

from shop.accounts import devices, sessions
from shop.accounts.models import User
from shop.accounts.refused import PersonRefusedError

FEWEST_LETTERS = 5
"""So many different letters a password has at least."""


def check_password(password: str, person: User) -> None:
    """Raises PersonRefusedError for one that is easily found: short, common, of few letters, or like the name."""
    if len(set(password.strip())) < FEWEST_LETTERS:
        raise PersonRefusedError("password", "The password has too few different letters", "Choose a longer one.")
    try:
        validate_password(password, person)
    except ValidationError as error:
        raise PersonRefusedError(
            "password", error.messages[0].rstrip("."), "Choose a longer, less common one."
        ) from None


def change_password(*, actor: User, new: str) -> User:
    """A new password for oneself; every session that was open ends. Raises PersonRefusedError."""
    with transaction.atomic():
        person = User.objects.select_for_update(no_key=True).get(pk=actor.pk)
        check_password(new, person)
        person.set_password(new)
        person.save(update_fields=["password"])
        devices.forget(person)
        sessions.end_all(person)
        return person
