"""What another choice would change: every rule on offer, worked out on this client, against the draft as it stands."""

from dataclasses import dataclass, fields
from typing import Any

from cutting.body import Body
from cutting.cloth import Cloth
from cutting.errors import CuttingError, Problem
from cutting.lengths import Length
from cutting.methods import METHODS, Ask, methods_for, resolve
from cutting.methods.choices import LOWER
from cutting.methods.darts import Darts
from cutting.methods.sums import Sums

UNSEEN = 1.0
"""A change under so many mm is none."""
SILENT = ("waist_girth", "waist_round", "front_gathers", "back_gathers", "thigh_depth", "ankle_depth", "crotch_width")


@dataclass(frozen=True)
class Effect:
    """One rule of one choice: by how many mm each sum would change, or why it cannot be chosen."""

    choice: str
    rule: str
    by: dict[str, float]
    refused: tuple[Problem, ...] = ()


def effects(body: Body, method: str, style: str, chosen: dict[str, Any], cloth: Cloth) -> list[Effect]:
    """Every rule of every choice. Raises CuttingError where the draft as it stands cannot be made."""
    how = METHODS[method]

    def sums_of(choices: dict[str, Any], by: str = method) -> dict[str, float]:
        ask = resolve(by, style, choices, cloth)
        return _sizes(METHODS[by].sums(body, ask), ask)

    now = sums_of(chosen)
    found: list[Effect] = []
    tries = [("method", name, chosen, name) for name in methods_for(style)]
    for key, choice in LOWER.items():
        if choice.kind in ("rule", "rule-or-length") and key not in (*how.unused, "waist_join"):
            tries += [(key, rule, chosen | {key: rule}, method) for rule in choice.offered]
    for key, rule, choices, by in tries:
        kept = {name: value for name, value in choices.items() if name not in METHODS[by].unused}
        try:
            other = sums_of(kept, by)
        except CuttingError as error:
            found.append(Effect(key, rule, {}, error.problems))
            continue
        changes = {name: other[name] - now[name] for name in now.keys() & other.keys()}
        large = sorted((pair for pair in changes.items() if abs(pair[1]) > UNSEEN), key=lambda pair: -abs(pair[1]))
        found.append(Effect(key, rule, dict(large[:3])))
    return found


def _sizes(sums: Sums, ask: Ask) -> dict[str, float]:
    sizes: dict[str, float] = {"centre_seam": ask.allowances.centre.mm}
    for field in fields(sums):
        value = getattr(sums, field.name)
        if isinstance(value, Length) and field.name not in SILENT:
            sizes[field.name] = value.mm
        elif isinstance(value, Darts):
            sizes[field.name] = value.all.mm
    return sizes
