"""What a fly and a belt ask for: facing, guard and loops. Sizes are common practice, no source."""

from cutting.garments.part import Part, Seams, strip
from cutting.garments.waists import ZIPS
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
        both = Seams(SEAM, SEAM)
        facing = strip(garment, "fly-facing", long, FACING, both)
        guard = strip(garment, "fly-guard", long, GUARD, both)
        parts += [Part(facing, sewn_to="front.crotch"), Part(guard, sewn_to="front.crotch")]
    if ask.belt_loops == "four":
        loops = strip(garment, "belt-loops", LOOP_LONG, LOOP_WIDE, Seams(cm(1), cm(1)))
        parts.append(Part(loops, sewn_to="band"))
    return parts
