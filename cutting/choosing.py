"""What can be chosen for a garment as it stands: each choice that is asked now, its rules, and what is usual."""

import re
from collections.abc import Callable
from dataclasses import dataclass, fields, replace
from fractions import Fraction
from typing import Any

from cutting.cloth import Cloth
from cutting.kinds import Chosen, GarmentKind
from cutting.lengths import Fixed
from cutting.methods.choices import Choice, Need, holds

SUM_OF = {"hem_width": "hem_round", "back_neck_depth": "back_neck", "top_length": "back_length"}
"""Where a style's own size is what is usual: the sum that says how large that is on a client."""


@dataclass(frozen=True)
class Row:
    """A choice that is asked. `of` is the set it belongs to where it is one of several (an allowance).

    `rules` are those offered now; `usual` is what is taken where nothing is chosen, None where a rule's own figure is,
    and `source` where that comes from: method, style, cloth, or empty for what Plavet takes everywhere.
    """

    key: str
    of: str
    choice: Choice
    rules: tuple[str, ...]
    usual: Any
    source: str


def asked(kind: GarmentKind, method: str, style: str, chosen: Chosen, cloth: Cloth, joined: bool) -> list[Row]:
    """The rows of Design in its order. `chosen` as a garment keeps it: read or as typed; only words are looked at."""
    known = kind.resolve(method, style, {}, cloth, joined)
    usual = {one.name: getattr(known, one.name) for one in fields(known)}
    sources = kind.sources(method, style, cloth)
    now = _now(kind, method, style, _standing(kind, known, chosen), joined)
    rows: list[Row] = []
    for key, choice in kind.choices.items():
        if not choice.group or key in kind.unused(method) or not holds(choice.needs, now):
            continue
        if choice.kind == "allowances":
            seams = usual[key]
            rows += [
                Row(edge, key, choice, (), getattr(seams, edge), sources.get(key, ""))
                for edge in choice.offered if holds(kind.edge_needs.get(edge, ()), now)
            ]  # fmt: skip
            continue
        rules = tuple(one for one in choice.offered if holds(choice.rule_needs.get(one, ()), now))
        rows.append(Row(key, "", choice, rules, usual.get(key), sources.get(key, "")))
    return rows


def idle(kind: GarmentKind, method: str, style: str, ask: Any, joined: bool) -> list[tuple[str, Need]]:
    """The choices that were made and change nothing as the garment stands, each with the need that is not met."""
    now = _now(kind, method, style, ask, joined)
    unmet = [
        (key, next((one for one in kind.choices[key].needs if not holds((one,), now)), None))
        for key in ask.chosen if key in kind.choices
    ]  # fmt: skip
    found = [(key, one) for key, one in unmet if one is not None]
    if "allowances" in ask.chosen:
        usual = kind.allowances()
        for edge, needs in kind.edge_needs.items():
            changed = getattr(ask.allowances, edge) != getattr(usual, edge)
            found += [(f"allowances.{edge}", one) for one in needs if changed and not holds((one,), now)][:1]
    return found


def _standing(kind: GarmentKind, known: Any, chosen: Chosen) -> Any:
    """What is asked as it stands: what is usual, and the words and lengths chosen over it."""
    own = {one.name for one in fields(known)}
    typed = {
        key: _read(value, getattr(known, key))
        for key, value in chosen.items()
        if key in own and value not in (None, "")
    }
    return replace(known, **{key: value for key, value in typed.items() if key != "allowances"})


def _read(value: Any, usual: Any) -> Any:
    """A choice as it was typed, as far as a need looks at it: words, lists, numbers, and any length as one."""
    if isinstance(value, list | tuple):
        return tuple(map(str, value))
    if not isinstance(value, str) or not value[:1].isnumeric():
        return value
    if isinstance(usual, Fraction):
        return usual
    return Fixed(Fraction(0 if re.fullmatch(r"[0.,]+ ?(in|cm|mm)?", value.strip()) else 1))


def _now(kind: GarmentKind, method: str, style: str, ask: Any, joined: bool) -> Callable[[str], tuple[str, ...]]:
    """What stands for a choice or a fact, as words."""
    facts = kind.facts(style, method, ask) | {"joined": "yes" if joined else "no", "method": method}

    def now(key: str) -> tuple[str, ...]:
        if key in facts:
            return (facts[key],)
        value = getattr(ask, key, None)
        if isinstance(value, list | tuple):
            return tuple(map(str, value))
        if isinstance(value, Fixed):
            return ("a length" if value.size else "0",)
        return ("" if value is None else str(value),)

    return now
