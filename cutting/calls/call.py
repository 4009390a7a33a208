"""One call as data: what is chalked, from where, along what, and by which name it is known afterwards."""

from dataclasses import dataclass
from typing import Literal, NamedTuple

from cutting.geometry import Point
from cutting.lengths import Length

Kind = Literal["line", "point", "meet", "join", "curve", "notch", "slit", "write"]
"""A line of its own; a point by a tape; a point where two lines meet; a straight stroke or a curve through points; a
notch on the edge; a fold to be cut open; what is written on the piece.
"""


class Name(NamedTuple):
    """What something chalked is known by within its piece: a code, the edges it is of, which of several it is.

    `panel` names another panel whose chalk can be seen, such as the front that a back is laid out from.
    """

    code: str
    of: tuple[str, ...] = ()
    nth: int = 0
    panel: str = ""


Way = Literal[
    "line", "grain", "level", "diagonal", "meets", "half", "quarter", "edge", "inside", "across_cloth", "along_cloth"
]


class Along(NamedTuple):
    """How the tape runs: the code of a way, and the lines or points it is said by.

    `line` along a line that is chalked; `grain` straight up or down; `level` square to the grain; `diagonal` at half a
    right angle; `meets` swung until it meets a line; `half` or `quarter` square to the straight line between two
    points, halfway or a quarter of the way from the first; `edge` along the chalked edge; `inside` square to the edge,
    into the piece; `across_cloth` straight across it, `along_cloth` along the selvedge.
    """

    code: Way
    of: tuple[Name, ...] = ()


@dataclass(frozen=True)
class Call:
    """One call on a piece, in the draft frame. A stroke has no tape: it goes `through` what is chalked.

    `bends` says of each stretch between two of those whether it is curved; stretches beside each other are one curve.
    `inside` where the point is on the sewing line and not on the line that is cut, `aside` where it is only measured
    from, and no edge passes there; `towards` which way the tape goes on
    the cloth. `hollows` says of each curve of a stroke where its hollow side is; nothing of one that bends to both.
    """

    panel: str
    stage: str
    kind: Kind
    name: Name
    end: Point
    start: Point | None = None
    length: Length | None = None
    source: Name | None = None
    along: Along | None = None
    through: tuple[Name, ...] = ()
    bends: tuple[bool, ...] = ()
    inside: bool = False
    aside: bool = False
    waits: str = ""
    towards: tuple[str, ...] = ()
    hollows: tuple[tuple[str, ...], ...] = ()


GUIDE = Name("guide")
FOLD_LINE = Name("fold")
TOP = Name("top_line")
