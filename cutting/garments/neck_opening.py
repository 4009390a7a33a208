"""A slit or a placket at the front's neck: the neck is cut small, and opened so far that the head passes.

Sizes are common practice, no source.
"""

from dataclasses import replace

from cutting.garments.part import Allowed, Part, strip
from cutting.garments.seams import sewn
from cutting.geometry import Line, Path, Point
from cutting.lengths import Length, Rule
from cutting.methods.upper import TopAsk
from cutting.pieces import Panel

SEAM, FACING_WIDE, BEYOND = Rule(0.5), Rule(3), Rule(1.5)
PLACKET_WIDE, PLACKET_BEYOND = Rule(3.5), Rule(1)
"""A placket finishes to 1 1/4 in: cut twice that and two seams."""
LINE = "neck-opening"


def opened(front: Panel, long: Length) -> Panel:
    """The front with the line it is slashed along, down from its neck on the centre."""
    top = front.edges["neck"].path.start
    return replace(front, lines=front.lines | {LINE: Path((Line(top, top.plus(Point(0, 1), long.mm)),))})


def opening_parts(garment: str, ask: TopAsk, long: Length | None) -> list[Part]:
    """What the opening is finished with: one facing, or two strips that lap over one another."""
    if long is None:
        return []
    both, seam = Allowed(SEAM.now, SEAM.now), f"front.{LINE}"
    if ask.neck_opening == "slit":
        facing = strip(garment, "slit-facing", long + BEYOND.now, FACING_WIDE.now, both)
        return [Part(facing, interfacing=True, seams=(sewn("neck", "slit-facing.inside", seam),))]
    placket = strip(garment, "placket", long + PLACKET_BEYOND.now, PLACKET_WIDE.now, both)
    return [Part(placket, 2, interfacing=True, seams=(sewn("neck", "placket.waist", seam),))]
