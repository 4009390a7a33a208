"""What comes in with a request, whoever sends it: JSON of a bounded size and depth, its texts trimmed and clean.

This is the one place where every text and number of a body passes; what a field may hold is said at the field.
"""

import json
import math
import unicodedata
from datetime import date
from typing import Annotated, Any, NoReturn, cast

from django.http import HttpRequest
from django.utils import timezone
from ninja import Field
from ninja.parser import Parser
from pydantic import AfterValidator

from shop.errors import ShopError

DEEPEST = 16
LONGEST_INTEGER = 2**53
AS_TYPED = ("password", "old_password")
"""Fields whose text is taken as it was typed: a space may belong to them."""
NOT_WRITTEN = ("Cc", "Cs", "Zl", "Zp")
TURNING = range(0x202A, 0x202F), range(0x2066, 0x206A)
"""Characters that turn the direction of what is written after them."""


class WrongTypeError(ShopError):
    """A body that does not say that it is JSON: a form of another site can send one of those."""

    status = 415
    code = "request.type"

    def __init__(self) -> None:
        super().__init__("This address takes JSON. Send it as application/json.")


class UnreadableError(ShopError):
    """A body or an address that cannot be read."""

    status = 400
    code = "request.body"


class Incoming(Parser):
    """Reads the body of a request. Raises WrongTypeError, UnreadableError."""

    def parse_body(self, request: HttpRequest) -> dict[str, Any]:
        """The body as plain data."""
        if request.content_type != "application/json":
            raise WrongTypeError
        try:
            data = json.loads(request.body, parse_constant=_no_number, parse_float=_finite, parse_int=_bounded)
        except (ValueError, RecursionError):
            raise UnreadableError("This is not JSON that can be read. Correct it and send it again.") from None
        return cast(dict[str, Any], clean(data))


def _no_number(word: str) -> NoReturn:
    raise ValueError(word)


def _finite(text: str) -> float:
    number = float(text)
    if not math.isfinite(number):
        raise ValueError(text)
    return number


def _bounded(text: str) -> int:
    if len(text) > 17 or abs(int(text)) > LONGEST_INTEGER:
        raise ValueError(text)
    return int(text)


def is_clean(text: str) -> bool:
    """Whether a text is of characters that can be written, stored and read again; line ends and tabs are."""
    return not any(
        (unicodedata.category(one) in NOT_WRITTEN and one not in "\n\r\t") or any(ord(one) in turn for turn in TURNING)
        for one in text
    )


def clean(value: Any, key: str = "", deep: int = 0) -> Any:
    """Plain data with every text trimmed and in its composed form. Raises UnreadableError."""
    if deep > DEEPEST:
        raise UnreadableError("This is nested too deeply to be read.")
    if isinstance(value, str):
        if not is_clean(value):
            raise UnreadableError("A text holds characters that cannot be written. Type it anew and send it again.")
        return value if key in AS_TYPED else unicodedata.normalize("NFC", value).strip()
    if isinstance(value, dict):
        return {clean(name): clean(one, name, deep + 1) for name, one in value.items()}
    return [clean(one, key, deep + 1) for one in value] if isinstance(value, list) else value


FIRST_YEAR, YEARS_AHEAD = 1900, 10


def _near(day: date) -> date:
    if not FIRST_YEAR <= day.year <= timezone.localdate().year + YEARS_AHEAD:
        raise ValueError(f"is not between {FIRST_YEAR} and {YEARS_AHEAD} years from now")
    return day


Day = Annotated[date, AfterValidator(_near)]
"""A day somebody measures or promises something."""
Version = Annotated[int, Field(ge=0, le=1_000_000_000)]
