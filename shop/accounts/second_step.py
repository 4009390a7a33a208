"""A second step at the door, for who wants it: the code of an authenticator app, or one of eight written down."""

import secrets
from dataclasses import dataclass

import segno
from django.db import transaction
from django_otp.plugins.otp_static.models import StaticDevice
from django_otp.plugins.otp_totp.models import TOTPDevice

from shop.accounts.models import User
from shop.accounts.refused import PersonRefusedError
from shop.accounts.rights import ROLES
from shop.errors import ShopError

WRITTEN_DOWN = 8


class StepError(ShopError):
    """The password was right; the code of the second step is missing, wrong, or was tried too often."""

    status = 401
    code = "step"


class StepAskedError(ShopError):
    """The workshop asks its owners for a second step, and this one has none yet."""

    status = 403
    code = "step_asked"

    def __init__(self) -> None:
        super().__init__("Your workshop asks its owners for a second step. Turn yours on first, in Settings.")


@dataclass(frozen=True)
class Secret:
    """What an authenticator app is given: by its picture, by its address, or typed."""

    typed: str
    address: str
    picture: str


def is_on(person: User) -> bool:
    """Whether the person is asked for a code."""
    return bool(TOTPDevice.objects.filter(user=person, confirmed=True).exists())


def is_asked(person: User) -> bool:
    """Whether the workshop asks the person for a second step that is not there; at a tablet nobody holds what it
    guards.
    """
    return person.role == ROLES[0] and person.workshop.owners_step and not person.at_tablet and not is_on(person)


def left(person: User) -> int:
    """How many of the codes written down were not used yet."""
    return sum(device.token_set.count() for device in StaticDevice.objects.filter(user=person))


def begin(actor: User) -> Secret:
    """A new secret for one's app; nothing is asked for before its first code was typed. Raises PersonRefusedError."""
    if actor.at_tablet:
        raise PersonRefusedError("code", "This needs your password", "Come in with your user name and password.")
    if is_on(actor):
        raise PersonRefusedError("code", "The second step is on already", "Turn it off first.")
    TOTPDevice.objects.filter(user=actor).delete()
    device = TOTPDevice.objects.create(user=actor, name=actor.username, confirmed=False)
    picture = segno.make(device.config_url, error="m").svg_data_uri(scale=5, border=4)
    typed = _in_fours(device.config_url.partition("secret=")[2].partition("&")[0])
    return Secret(typed, device.config_url, picture)


def confirm(*, actor: User, code: str) -> list[str]:
    """Turn it on with the app's first code; answers the codes to write down, once. Raises PersonRefusedError."""
    with transaction.atomic():
        device = TOTPDevice.objects.select_for_update(no_key=True).filter(user=actor, confirmed=False).first()
        good = device is not None and device.verify_token(_plain(code))
        if device is not None and good:
            device.confirmed = True
            device.save()
            StaticDevice.objects.filter(user=actor).delete()
            written = StaticDevice.objects.create(user=actor, name=actor.username)
            codes = [secrets.token_hex(4) for _ in range(WRITTEN_DOWN)]
            for one in codes:
                written.token_set.create(token=one)
            return codes
    raise PersonRefusedError("code", "This is not the code the app shows now", "Wait for its next one and type that.")


def take_off(person: User) -> None:
    """Nothing is left of the person's second step: no code is asked for any more."""
    for kind in (TOTPDevice, StaticDevice):
        kind.objects.filter(user=person).delete()


def check(person: User, code: str) -> None:
    """Raises StepError where the person has a second step and the code is not right; a code is good once."""
    if not is_on(person):
        return
    if not code.strip():
        raise StepError("Type the code that your app shows now, or one of those you wrote down.")
    # Tries are counted, so what is wrong is said after they are kept: no larger transaction may take them back.
    with transaction.atomic(durable=True):
        device = TOTPDevice.objects.select_for_update(no_key=True).get(user=person, confirmed=True)
        may, _ = device.verify_is_allowed()
        good = may and (device.verify_token(_plain(code)) or _written(person, _plain(code)))
    if not may:
        raise StepError("Too many wrong codes. Wait a little, then type the one your app shows then.")
    if not good:
        raise StepError("This code is not right, or was used before. Type the one your app shows now.")


def _written(person: User, code: str) -> bool:
    """Whether it is one of those written down; it is used up."""
    used, _ = StaticDevice.objects.get(user=person).token_set.filter(token=code).delete()
    if used:
        TOTPDevice.objects.get(user=person, confirmed=True).throttle_reset()
    return bool(used)


def _plain(code: str) -> str:
    return "".join(code.split()).lower()


def _in_fours(text: str) -> str:
    return " ".join(text[at : at + 4] for at in range(0, len(text), 4))
