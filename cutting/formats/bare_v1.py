"""Lengths that were typed without a unit, with the one they are in written out: so they stay what they are when the
workshop's unit changes.
"""

from decimal import Decimal, InvalidOperation
from typing import Any

from cutting.errors import CuttingError
from cutting.kinds import KINDS
from cutting.lengths import Unit, read_signed

LENGTHS = ("width", "length", "selvedge", "trim", "spare", "repeat")
"""The lengths of a cloth."""
_KIND = {key: choice.kind for kind in KINDS.values() for key, choice in kind.choices.items()}
_OFFERED = {(key, rule) for kind in KINDS.values() for key, choice in kind.choices.items() for rule in choice.offered}
HALVES = ("top", "lower")
MOST = 40
"""No length that is typed is longer."""


def with_unit(typed: str, unit: Unit) -> str:
    """The length with its unit, which is `unit` where it has none; what is no length stays as it is."""
    text = typed.strip()
    try:
        size = read_signed(text, unit)
        bare = size != read_signed(text, "cm" if unit == "in" else "in")
    except CuttingError:
        return typed
    if not bare:
        return typed
    said = f"{text} {unit}"
    return said if len(said) <= MOST else f"{float(size) / 10:.3f} cm"


def price_turned(price: str, unit: Unit) -> str:
    """The price of a yard as that of a metre where `unit` is inches, else the other way round; to the hundredth."""
    try:
        was = Decimal(price.strip().replace(",", "."))
    except InvalidOperation:
        return price
    per_metre = Decimal("0.9144")
    return str((was / per_metre if unit == "in" else was * per_metre).quantize(Decimal("0.01")))


def choices_with_units(choices: dict[str, Any], unit: Unit) -> dict[str, Any]:
    """What was chosen for a garment, or both its halves: the lengths with their unit, rules and numbers as they are."""
    made: dict[str, Any] = {}
    for key, value in choices.items():
        kind = _KIND.get(key)
        if key in HALVES and isinstance(value, dict):
            made[key] = value | {"choices": choices_with_units(value.get("choices") or {}, unit)}
        elif kind == "allowances" and isinstance(value, dict):
            made[key] = {edge: with_unit(str(size), unit) for edge, size in value.items()}
        elif kind in ("length", "rule-or-length") and (key, value) not in _OFFERED and not isinstance(value, bool):
            made[key] = with_unit(str(value), unit)
        else:
            made[key] = value
    return made
