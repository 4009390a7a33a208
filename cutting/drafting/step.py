"""One chalk mark as data: what is marked, from where, how far, and which edges the tape crosses."""

from dataclasses import dataclass

from cutting.geometry import Point
from cutting.lengths import Length

EdgeRef = str | tuple[str, str]
"""An edge of the panel (`side`), an edge of the other panel (`front.inner_leg`), or the corner of two edges."""


@dataclass(frozen=True)
class Step:
    """A mark on net lines. `opens` and `closes` say which cut edges the tape starts and ends at, if any."""

    panel: str
    stage: str
    code: str
    start: Point
    end: Point
    length: Length
    from_code: str
    along: str
    opens: EdgeRef | None = None
    closes: EdgeRef | None = None
    waits: str = ""
