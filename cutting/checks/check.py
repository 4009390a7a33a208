"""One fact with its two numbers."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from typing import Any

from cutting.codes import CheckCode
from cutting.finding import Finding, Weight
from cutting.where import Where


@dataclass(frozen=True)
class Check:
    """`left` is what is wanted, `right` what was measured, in mm; their words are `words.checks[code]`.

    `mend` is the choice of the garment that mends it, where one does.
    """

    code: CheckCode
    where: Where
    left: float
    right: float
    tolerance: float
    ok: bool
    weight: Weight = "stop"
    params: dict[str, Any] = field(default_factory=dict)
    mend: tuple[str, ...] = ()


def findings_of(checks: list[Check], asked: Mapping[str, Where] | None = None) -> list[Finding]:
    """A finding for every check that failed, of the same code; at the choice that mends it, where its garment is in
    `asked` with its place in the job.
    """
    found: list[Finding] = []
    for one in checks:
        where = (asked or {}).get(one.where.garment) if one.mend else None
        at = replace(where, path=("choices", *one.mend)) if where is not None else one.where
        if not one.ok:
            found.append(Finding(one.code, one.weight, at, {"left": one.left, "right": one.right, **one.params}))
    return found
