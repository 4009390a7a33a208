"""What can be chosen for a garment as it stands: each choice that is asked now, its rules, and what is usual."""

from collections.abc import Callable
from dataclasses import dataclass, fields
from typing import Any

from cutting.cloth import Cloth
from cutting.kinds import Chosen, GarmentKind
from cutting.lengths import Fixed
from cutting.methods.choices import Choice, holds


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
    now = _now(kind, method, style, chosen, usual, joined)
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


def _now(
    kind: GarmentKind, method: str, style: str, chosen: Chosen, usual: dict[str, Any], joined: bool
) -> Callable[[str], tuple[str, ...]]:
    """What stands for a choice or a fact, as words."""
    facts = kind.facts(style) | {"joined": "yes" if joined else "no", "method": method}

    def now(key: str) -> tuple[str, ...]:
        if key in facts:
            return (facts[key],)
        value = chosen[key] if chosen.get(key) not in (None, "") else usual.get(key)
        if isinstance(value, list | tuple):
            return tuple(map(str, value))
        return ("" if value is None else "a length" if isinstance(value, Fixed) else str(value),)

    return now
