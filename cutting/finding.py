"""A finding: something to look at in a draft that was made. Not an error."""

from dataclasses import dataclass, field
from typing import Any, Literal

Weight = Literal["stop", "warn", "note"]


@dataclass(frozen=True)
class Finding:
    """`code` names the sentence in `words`; `where` a place in the job or the plan."""

    code: str
    weight: Weight
    where: str
    params: dict[str, Any] = field(default_factory=dict)
