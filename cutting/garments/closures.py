"""What a fly and a belt ask for: facing, guard and loops. Sizes are common practice, no source."""

from cutting.garments.notions import ZIPS
from cutting.garments.part import Allowed, Part, strip
from cutting.garments.seams import sewn
from cutting.lengths import cm, inch
from cutting.methods import Ask

SEAM = inch(0.5)
FACING, GUARD = inch(2.5), inch(4)
LOOP_LONG, LOOP_WIDE = cm(30), cm(5)


def closure_parts(garment: str, ask: Ask) -> list[Part]:
    """The parts of the closure, and the strip that is cut in four for loops."""
    parts: list[Part] = []
    if ask.closure == "fly":
        long = ZIPS["fly"] + inch(1)
        both = Allowed(SEAM, SEAM)
        facing = strip(garment, "fly-facing", long, FACING, both)
        guard = strip(garment, "fly-guard", long, GUARD, both)
        parts += [Part(panel, seams=(sewn("fly", f"{panel.name}.waist", "front.crotch"),)) for panel in (facing, guard)]
    if ask.belt_loops == "four":
        loops = strip(garment, "belt-loops", LOOP_LONG, LOOP_WIDE, Allowed(cm(1), cm(1)))
        parts.append(Part(loops, seams=(sewn("loops", "belt-loops.end", "band", count=4),)))
    return parts
