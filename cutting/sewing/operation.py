"""One thing that is done at the machine or the iron: what is sewn, how, in how long, what has to be done before."""

from dataclasses import dataclass
from typing import Literal

from cutting.garments import Seam
from cutting.lengths import Length
from cutting.sewing.reading import Reading

OperationCode = Literal[
    "fuse", "darts", "patch", "piping", "front_pocket", "in_seam_pocket", "baste_pocket", "strips", "fly",
    "front_centre", "back_centre", "crotch", "side", "zip", "inner_leg", "measure_hip", "measure_waist", "measure_legs",
    "measure_join", "measure_inner_legs", "measure_cap",
    "ring", "band", "tie", "channel", "casing", "elastic", "loops", "turn_up", "hem", "fastening",
    "opening", "shoulder", "neck_facing", "neck_binding", "sleeves", "sides_and_sleeves", "armhole_facing",
    "armhole_binding", "shield", "cuffs", "join", "house", "other",
]  # fmt: skip
Stitch = Literal["", "301", "504", "304", "103"]
"""Lockstitch, overedge, zigzag, blind hem: numbers of ISO 4915, from memory; empty where nothing is stitched."""
Overlock = Literal["", "before", "after"]


SeamClass = Literal[0, 1, 2, 3, 5, 6, 7, 8]
"""Superimposed, lapped, binding, (4: flat), decorative, edge finishing, a piece on an edge, of one ply: classes
of ISO 4916, from memory; 0 where no seam is made.
"""
Tool = Literal["machine", "overlock", "iron", "pad", "needle", "shears", "tape"]


@dataclass(frozen=True)
class How:
    """How an operation is done: its stitch, the minutes it takes somebody with practice, the class of its seam, and
    what is used besides the machine (common practice, no source).
    """

    stitch: Stitch
    minutes: float
    seam: SeamClass = 0
    tools: tuple[Tool, ...] = ()


HOW: dict[OperationCode, How] = {
    "fuse": How("", 4, 0, ("iron",)), "darts": How("301", 3, 1, ("iron", "pad")), "patch": How("301", 14, 5, ("iron",)),
    "piping": How("301", 8, 3, ("iron",)), "front_pocket": How("301", 16, 1, ("iron", "shears")),
    "in_seam_pocket": How("301", 12, 1, ("iron",)), "baste_pocket": How("301", 3, 1),
    "strips": How("301", 8, 2, ("iron",)), "fly": How("301", 30, 1, ("iron", "shears")),
    "front_centre": How("301", 4, 1, ("shears", "iron", "pad")),
    "back_centre": How("301", 5, 1, ("shears", "iron", "pad")), "crotch": How("301", 8, 1, ("shears", "iron", "pad")),
    "side": How("301", 8, 1, ("iron", "pad")), "zip": How("301", 15, 7, ("iron",)),
    "inner_leg": How("301", 7, 1, ("iron",)), "measure_hip": How("", 2, 0, ("tape",)),
    "measure_waist": How("", 2, 0, ("tape",)),
    "measure_join": How("", 3, 0, ("tape",)), "measure_legs": How("", 2, 0, ("tape",)),
    "measure_inner_legs": How("", 2, 0, ("tape",)), "measure_cap": How("", 2, 0, ("tape",)),
    "ring": How("301", 3, 1, ("iron",)), "band": How("301", 20, 3, ("iron",)), "tie": How("301", 12, 1, ("iron",)),
    "channel": How("301", 8, 7, ("iron",)), "casing": How("301", 10, 6, ("iron",)), "elastic": How("304", 8, 1),
    "loops": How("301", 10, 8, ("iron", "shears")), "turn_up": How("301", 15, 7, ("iron",)),
    "hem": How("103", 12, 6, ("iron", "needle")), "fastening": How("", 6, 0, ("needle",)),
    "opening": How("301", 15, 1, ("shears", "iron")), "shoulder": How("301", 4, 1, ("iron",)),
    "neck_facing": How("301", 15, 1, ("shears", "iron")), "neck_binding": How("301", 12, 3, ("iron",)),
    "sleeves": How("301", 14, 1, ("iron", "pad")), "sides_and_sleeves": How("301", 9, 1, ("iron", "pad")),
    "armhole_facing": How("301", 14, 1, ("shears", "iron")), "armhole_binding": How("301", 12, 3, ("iron",)),
    "shield": How("301", 5, 7, ("iron",)), "cuffs": How("301", 14, 3, ("iron",)), "join": How("301", 12, 1, ("iron",)),
    "house": How("301", 0), "other": How("301", 5, 1),
}  # fmt: skip
VARIANTS: dict[OperationCode, tuple[str, ...]] = {
    "inner_leg": ("each", "from_fork"),
    "zip": ("invisible-zip",),
    "elastic": ("half",),
    "measure_legs": ("sides",),
    "measure_inner_legs": ("sides",),
    "hem": ("sides",),
    "turn_up": ("sides",),
}
"""Operations that are done otherwise where the way or what is bought asks for it."""


ALONG: dict[OperationCode, tuple[str, ...]] = {
    "darts": ("darts",), "hem": ("hem",), "join": ("waist", "hem"), "measure_waist": ("waist",),
    "measure_join": ("waist", "hem"),
    "measure_legs": ("inner_leg", "back_inner_leg"), "measure_inner_legs": ("inner_leg", "back_inner_leg"),
    "measure_cap": ("cap", "back_cap", "armhole"),
}  # fmt: skip
"""What is sewn, or measured along, by operations that no seam says."""


@dataclass(frozen=True)
class Operation:
    """`seams` are sewn by it, `panels` what lies under the needle or the iron, as `garment.panel`; `allowance` how wide
    they are, where one width is; `readings` what is measured: such a step is done by what the tape reads.

    `needs` are the ids of operations that come before; `variant` is one of VARIANTS, empty for the usual; `amounts` are
    lengths that are said, by their names: how far an opening stays open, how long an elastic is cut.
    """

    id: str
    garment: str
    code: OperationCode
    seams: tuple[Seam, ...]
    panels: tuple[str, ...]
    needs: tuple[str, ...]
    allowance: Length | None = None
    overlock: Overlock = ""
    readings: tuple[Reading, ...] = ()
    variant: str = ""
    amounts: tuple[tuple[str, Length], ...] = ()
    other_side: tuple[tuple[str, str], ...] = ()

    @property
    def tools(self) -> tuple[Tool, ...]:
        """What is used, in the order it is taken up."""
        sewn: tuple[Tool, ...] = ("machine",) if self.how.stitch in ("301", "304") else ()
        return (*sewn, *(("overlock",) if self.overlock else ()), *self.how.tools)

    @property
    def how(self) -> How:
        return HOW[self.code]

    @property
    def edges(self) -> tuple[tuple[str, str], ...]:
        """What is sewn, or measured along: a panel as `garment.panel`, and an edge or a line of it; `darts` for all of
        those.
        """
        places = (place.partition(".") for seam in self.seams for place in (*seam.one, *seam.other))
        sewn = ((f"{self.garment}.{panel}", edge) for panel, _, edge in places)
        along = ((panel, edge) for panel in self.panels for edge in ALONG.get(self.code, ()))
        return tuple(dict.fromkeys((*sewn, *along, *self.other_side)))
