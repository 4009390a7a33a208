"""What another choice would change: every rule on offer, worked out on this client, against the draft as it stands."""

from collections.abc import Callable
from dataclasses import dataclass
from functools import partial
from typing import Any

from cutting.body import Body
from cutting.choosing import asked
from cutting.cloth import Cloth
from cutting.errors import CuttingError, Problem
from cutting.kinds import kind_of
from cutting.lengths import Fixed

UNSEEN = 1.0
"""A change under so many mm is none."""
LEFT_OUT = ""
"""The rule of a choice that is not made: the usual one is taken."""
NAMED = 3
"""How many sums a rule is said to change, the most first."""


@dataclass(frozen=True)
class Effect:
    """One rule of one choice: by how many mm each sum would change, or why it cannot be chosen."""

    choice: str
    rule: str
    by: dict[str, float]
    refused: tuple[Problem, ...] = ()


def effects(
    body: Body, method: str, style: str, chosen: dict[str, Any], cloth: Cloth, joined: bool = False
) -> list[Effect]:
    """Every other rule of every choice that is asked, every method that makes the style, every typed length left out.

    `joined` where it is half of a jumpsuit.

    Raises CuttingError where the draft as it stands cannot be made.
    """
    kind = kind_of(style)

    def asks(choices: dict[str, Any], by: str) -> Any:
        kept = {name: value for name, value in choices.items() if name not in kind.unused(by)}
        return kind.resolve(by, style, kept, cloth, joined)

    def sums_of(choices: dict[str, Any], by: str) -> dict[str, float]:
        return kind.sums(body, by, asks(choices, by))

    ask = asks(chosen, method)
    now = kind.sums(body, method, ask)
    makes = kind.methods_for(style)
    tries = [("method", name, chosen, name) for name in makes] if len(makes) > 1 else []
    for row in asked(kind, method, style, chosen, cloth, joined):
        if row.choice.kind in ("rule", "rule-or-length"):
            # The rule that stands changes nothing.
            others = [rule for rule in row.rules if rule != getattr(ask, row.key)]
            tries += [(row.key, rule, chosen | {row.key: rule}, method) for rule in others]
        if isinstance(chosen.get(row.key), Fixed) and not row.of:
            tries.append((row.key, LEFT_OUT, {key: value for key, value in chosen.items() if key != row.key}, method))
    return [_effect(key, rule, now, partial(sums_of, choices, by)) for key, rule, choices, by in tries]


def _effect(key: str, rule: str, now: dict[str, float], other: Callable[[], dict[str, float]]) -> Effect:
    try:
        then = other()
    except CuttingError as error:
        return Effect(key, rule, {}, error.problems)
    changes = {name: then[name] - now[name] for name in now if name in then}
    # To a millionth: equal changes stay in the order of the sums.
    large = sorted(
        (pair for pair in changes.items() if abs(pair[1]) > UNSEEN), key=lambda pair: -round(abs(pair[1]), 6)
    )
    return Effect(key, rule, dict(large[:NAMED]))
