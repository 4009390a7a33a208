"""A finding: something to look at in a draft that was made. Not an error."""

from dataclasses import dataclass, field
from typing import Any, Literal

from cutting.codes import CheckCode, FaultCode, FindingCode
from cutting.where import Where

Weight = Literal["stop", "warn", "note"]


@dataclass(frozen=True)
class Finding:
    """`code` names the sentence in `words`; `where` a place in the job or the plan."""

    code: FindingCode | CheckCode | FaultCode
    weight: Weight
    where: Where
    params: dict[str, Any] = field(default_factory=dict)
