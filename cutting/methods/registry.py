"""The methods on offer, by the name they have in a job file."""

from collections.abc import Callable
from dataclasses import dataclass

from cutting.body import Body
from cutting.drafting import Draft
from cutting.methods import quarter_hip
from cutting.methods.ask import Ask
from cutting.methods.quarter_hip import Sums


@dataclass(frozen=True)
class Method:
    """How a lower garment is drafted: sums first, then the front, then the back from the front."""

    work_out: Callable[[Body, Ask], Sums]
    front: Callable[[Body, Ask, Sums, Draft], None]
    back: Callable[[Body, Ask, Sums, Draft, Draft], None]


METHODS: dict[str, Method] = {"quarter-hip": Method(quarter_hip.work_out, quarter_hip.front, quarter_hip.back)}
LATER = (
    "half-thigh", "twentieth-tenth", "sixteenth-eighth", "centre-crease", "third-hip", "one-piece-leg", "four-layer",
    "quarter-plus-one", "multiplied-quarter", "quarter-bust",
)  # fmt: skip
"""Methods the file format knows and that are not drafted yet."""
