"""One thing that is done at the machine or the iron: what is sewn, how, in how long, what has to be done before."""

from dataclasses import dataclass
from typing import Literal

from cutting.garments import Seam
from cutting.lengths import Length
from cutting.sewing.reading import Reading

OperationCode = Literal[
    "fuse", "darts", "patch", "piping", "front_pocket", "in_seam_pocket", "baste_pocket", "strips", "fly",
    "front_centre", "back_centre", "crotch", "side", "zip", "inner_leg", "measure_hip", "measure_waist", "measure_legs",
    "measure_inner_legs", "measure_cap",
    "ring", "band", "tie", "channel", "casing", "elastic", "loops", "turn_up", "hem", "fastening",
    "opening", "shoulder", "neck_facing", "neck_binding", "sleeves", "sides_and_sleeves", "armhole_facing",
    "armhole_binding", "shield", "cuffs", "join", "house", "other",
]  # fmt: skip
Stitch = Literal["", "301", "504", "304", "103"]
"""Lockstitch, overedge, zigzag, blind hem: numbers of ISO 4915, from memory; empty where nothing is stitched."""
Overlock = Literal["", "before", "after"]


@dataclass(frozen=True)
class How:
    """How an operation is done: its stitch, and the minutes it takes somebody with practice (common practice, no
    source).
    """

    stitch: Stitch
    minutes: float


HOW: dict[OperationCode, How] = {
    "fuse": How("", 4), "darts": How("301", 3), "patch": How("301", 14), "piping": How("301", 8),
    "front_pocket": How("301", 16), "in_seam_pocket": How("301", 12), "baste_pocket": How("301", 3),
    "strips": How("301", 8), "fly": How("301", 30), "front_centre": How("301", 4), "back_centre": How("301", 5),
    "crotch": How("301", 8), "side": How("301", 8), "zip": How("301", 15), "inner_leg": How("301", 7),
    "measure_hip": How("", 2), "measure_waist": How("", 2), "measure_legs": How("", 2),
    "measure_inner_legs": How("", 2), "measure_cap": How("", 2), "ring": How("301", 3),
    "band": How("301", 20), "tie": How("301", 12), "channel": How("301", 8), "casing": How("301", 10),
    "elastic": How("304", 8), "loops": How("301", 10), "turn_up": How("301", 15), "hem": How("103", 12),
    "fastening": How("", 6), "opening": How("301", 15), "shoulder": How("301", 4), "neck_facing": How("301", 15),
    "neck_binding": How("301", 12), "sleeves": How("301", 14), "sides_and_sleeves": How("301", 9),
    "armhole_facing": How("301", 14), "armhole_binding": How("301", 12), "shield": How("301", 5),
    "cuffs": How("301", 14), "join": How("301", 12), "house": How("301", 0), "other": How("301", 5),
}  # fmt: skip


ALONG: dict[OperationCode, tuple[str, ...]] = {
    "darts": ("darts",), "hem": ("hem",), "join": ("waist", "hem"), "measure_waist": ("waist",),
    "measure_legs": ("inner_leg", "back_inner_leg"), "measure_inner_legs": ("inner_leg", "back_inner_leg"),
    "measure_cap": ("cap", "back_cap", "armhole"),
}  # fmt: skip
"""What is sewn, or measured along, by operations that no seam says."""


@dataclass(frozen=True)
class Operation:
    """`seams` are sewn by it, `panels` what lies under the needle or the iron, as `garment.panel`; `allowance` how wide
    they are, where one width is; `readings` what is measured: such a step is done by what the tape reads.

    `needs` are the ids of operations that come before.
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
        return tuple(dict.fromkeys((*sewn, *along)))
