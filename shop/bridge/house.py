"""What a workshop has of its own: its usual seam allowances, and its lengths when its unit changes."""

from typing import Any

from pydantic import BaseModel

from cutting.formats.bare_v1 import LENGTHS, choices_with_units, price_turned, with_unit
from cutting.kinds import KINDS, PAIRS, kind_of
from shop.bridge.drafting import check_part
from shop.bridge.words import as_unit, words
from shop.errors import ShopError

__all__ = [
    "LENGTHS", "allowances_for", "check_allowances", "choices_in", "edges", "halves_with_allowances", "length_in",
    "price_from",
]  # fmt: skip


class NoKindError(ShopError):
    """Allowances of a kind of garment that there is not."""

    code = "no_kind"

    def __init__(self, kind: str):
        super().__init__(f"There is no kind of garment {kind}. Read the page again.")


class AllowanceOut(BaseModel):
    """An edge whose allowance a workshop may have of its own, by its kind of garment."""

    key: str
    name: str
    kind: str
    kind_name: str


def edges() -> list[AllowanceOut]:
    """Every edge of every kind of garment."""
    return [
        AllowanceOut(
            key=edge, name=words().choice_words(name, f"allowances.{edge}", False).legend, kind=name,
            kind_name=words().kind_name(name),
        )
        for name, kind in KINDS.items() for edge in kind.choices["allowances"].offered
    ]  # fmt: skip


def check_allowances(unit: str, house: dict[str, dict[str, str]]) -> None:
    """Raises CoreRefusal where an allowance of a kind of garment cannot be read or is too wide."""
    for kind, given in house.items():
        if kind not in KINDS:
            raise NoKindError(kind)
        style = KINDS[kind].start
        check_part(unit, garment={"id": "house", "style": style, "choices": {"allowances": given}})


def allowances_for(style: str, house: dict[str, dict[str, str]]) -> dict[str, str]:
    """What the workshop's own allowances are for a garment of that style; none for one of two halves."""
    return {} if style in PAIRS else dict(house.get(kind_of(style).name, {}))


def halves_with_allowances(style: str, choices: dict[str, Any], house: dict[str, dict[str, str]]) -> dict[str, Any]:
    """The choices of a garment of two halves: each half that nothing is chosen for with the workshop's own allowances.
    Of any other garment what they are.
    """
    own = {
        kind: {"allowances": dict(house[kind])}
        for kind in (PAIRS[style].halves if style in PAIRS else ())
        if house.get(kind)
    }
    return choices | {
        kind: choices[kind] | {"choices": begun} for kind, begun in own.items()
        if choices.get(kind) and not choices[kind].get("choices")
    }  # fmt: skip


def length_in(typed: str, unit: str) -> str:
    """A length with its unit written out."""
    return with_unit(typed, as_unit(unit))


def price_from(price: str, unit: str) -> str:
    """What a yard cost where lengths were in inches, for a metre; else the other way round."""
    return price_turned(price, as_unit(unit)) if price else price


def choices_in(choices: dict[str, Any], unit: str) -> dict[str, Any]:
    """A garment's lengths with their unit written out."""
    return choices_with_units(choices, as_unit(unit))
