"""One fact with its two numbers."""

from dataclasses import dataclass, field
from typing import Any

from cutting.codes import CheckCode
from cutting.finding import Finding, Weight
from cutting.where import Where


@dataclass(frozen=True)
class Check:
    """`left` is what is wanted, `right` what was measured, in mm; their words are `words.checks[code]`."""

    code: CheckCode
    where: Where
    left: float
    right: float
    tolerance: float
    ok: bool
    weight: Weight = "stop"
    params: dict[str, Any] = field(default_factory=dict)


def findings_of(checks: list[Check]) -> list[Finding]:
    """A finding for every check that failed, of the same code."""
    return [
        Finding(c.code, c.weight, c.where, {"left": c.left, "right": c.right, **c.params}) for c in checks if not c.ok
    ]
