"""What a fly and a belt ask for: facing, guard and loops. Sizes are common practice, no source."""

from cutting.garments.part import Allowed, Part, strip
from cutting.garments.seams import sewn
from cutting.lengths import Length, Rule, cm, inch
from cutting.methods import Ask

SEAM = Rule(0.5)
FACING, GUARD = Rule(2.5), Rule(4)
LOOP_LONG, LOOP_WIDE = cm(30), cm(5)


def closure_parts(garment: str, ask: Ask, closing: Length | None) -> list[Part]:
    """The parts of the closure, whose zip is `closing` long, and the strip that is cut in four for loops."""
    parts: list[Part] = []
    if ask.closure == "fly" and closing is not None:
        long = closing + inch(1)
        both = Allowed(SEAM.now, SEAM.now)
        facing = strip(garment, "fly-facing", long, FACING.now, both)
        guard = strip(garment, "fly-guard", long, GUARD.now, both)
        parts += [Part(panel, seams=(sewn("fly", f"{panel.name}.waist", "front.crotch"),)) for panel in (facing, guard)]
    if ask.belt_loops == "four":
        loops = strip(garment, "belt-loops", LOOP_LONG, LOOP_WIDE, Allowed(cm(1), cm(1)))
        parts.append(Part(loops, seams=(sewn("loops", "belt-loops.end", "band", count=4),)))
    return parts
