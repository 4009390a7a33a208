"""What another choice would change: every rule on offer, worked out on this client, against the draft as it stands."""

from collections.abc import Callable
from dataclasses import dataclass, fields
from functools import partial
from typing import Any

from cutting.body import Body
from cutting.cloth import Cloth
from cutting.errors import CuttingError, Problem
from cutting.lengths import Length
from cutting.methods import METHODS, methods_for, resolve
from cutting.methods.choices import LOWER
from cutting.methods.darts import Darts
from cutting.methods.sums import Sums
from cutting.methods.upper import TOPS, TopSums, draw_top, resolve_top
from cutting.methods.upper.choices import TOP

UNSEEN = 1.0
"""A change under so many mm is none."""
SILENT = (
    "girth",
    "waist_girth",
    "waist_round",
    "front_gathers",
    "back_gathers",
    "thigh_depth",
    "ankle_depth",
    "crotch_width",
)


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
    """Every rule of every choice of a lower garment, or of a top. `joined` where it is half of a jumpsuit.

    Raises CuttingError where the draft as it stands cannot be made.
    """
    if style in TOPS:
        return _of_top(body, style, chosen, cloth, joined)
    how = METHODS[method]

    def sums_of(choices: dict[str, Any], by: str = method) -> dict[str, float]:
        ask = resolve(by, style, choices, cloth, joined)
        return _sizes(METHODS[by].sums(body, ask)) | {"centre_seam": ask.allowances.centre.mm}

    now = sums_of(chosen)
    found: list[Effect] = []
    tries = [("method", name, chosen, name) for name in methods_for(style)]
    alone = () if joined else ("waist_join",)
    for key, choice in LOWER.items():
        if choice.kind in ("rule", "rule-or-length") and key not in (*how.unused, *alone):
            tries += [(key, rule, chosen | {key: rule}, method) for rule in choice.offered]
    for key, rule, choices, by in tries:
        kept = {name: value for name, value in choices.items() if name not in METHODS[by].unused}
        found.append(_effect(key, rule, now, partial(sums_of, kept, by)))
    return found


def _of_top(body: Body, style: str, chosen: dict[str, Any], cloth: Cloth, joined: bool) -> list[Effect]:
    def sums_of(choices: dict[str, Any]) -> dict[str, float]:
        drawn = draw_top(body, resolve_top(style, choices, cloth, joined))
        sizes = _sizes(drawn.sums)
        return sizes | ({"sleeve_length": drawn.sleeve.length.mm} if drawn.sleeve else {"sleeve_length": 0.0})

    now = sums_of(chosen)
    return [
        _effect(key, rule, now, partial(sums_of, chosen | {key: rule}))
        for key, choice in TOP.items()
        if choice.kind == "rule"
        for rule in choice.offered
    ]


def _effect(key: str, rule: str, now: dict[str, float], other: Callable[[], dict[str, float]]) -> Effect:
    try:
        then = other()
    except CuttingError as error:
        return Effect(key, rule, {}, error.problems)
    changes = {name: then[name] - now[name] for name in now.keys() & then.keys()}
    large = sorted((pair for pair in changes.items() if abs(pair[1]) > UNSEEN), key=lambda pair: -abs(pair[1]))
    return Effect(key, rule, dict(large[:3]))


def _sizes(sums: Sums | TopSums) -> dict[str, float]:
    sizes: dict[str, float] = {}
    for field in fields(sums):
        value = getattr(sums, field.name)
        if isinstance(value, Length) and field.name not in SILENT:
            sizes[field.name] = value.mm
        elif isinstance(value, Darts):
            sizes[field.name] = value.all.mm
    return sizes
