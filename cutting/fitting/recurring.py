"""What is found again and again at the fittings of a workshop: a rule of its own in the making."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from statistics import mean

LEAST = 5
"""Nothing is said of fewer fittings. Common practice, no source."""


@dataclass(frozen=True)
class Fitted:
    """One fitting of a garment: its kind and method, and what was changed by how many mm; empty where all was well."""

    kind: str
    method: str
    changes: Mapping[str, float]


@dataclass(frozen=True)
class Recurring:
    """A choice that was changed at `found` of so many fittings: by how many mm in the middle, from the least to the
    most.
    """

    kind: str
    method: str
    choice: str
    found: int
    fittings: int
    middle: float
    least: float
    most: float


def recurring(fittings: Sequence[Fitted]) -> list[Recurring]:
    """What was changed more than once, by kind and method of which there were enough fittings; the commonest first."""
    groups: dict[tuple[str, str], list[Fitted]] = {}
    for one in fittings:
        groups.setdefault((one.kind, one.method), []).append(one)
    found: list[Recurring] = []
    for (kind, method), several in groups.items():
        if len(several) < LEAST:
            continue
        for choice in sorted({key for one in several for key in one.changes}):
            by = [one.changes[choice] for one in several if choice in one.changes]
            if len(by) > 1:
                found.append(Recurring(kind, method, choice, len(by), len(several), mean(by), min(by), max(by)))
    return sorted(found, key=lambda one: (-one.found / one.fittings, one.kind, one.method, one.choice))
