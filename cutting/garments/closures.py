"""What a fly, a belt and a turn-up ask for: facing, guard, loops, strips. Sizes are common practice, no source."""

from cutting.garments.part import Allowed, Part, strip
from cutting.garments.seams import Seam, sewn
from cutting.lengths import Length, Rule, cm, found, inch, named
from cutting.methods import Ask
from cutting.pieces import Panel

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


def turn_up_parts(garment: str, ask: Ask, legs: dict[str, Panel]) -> list[Part]:
    """A turn-up that is a strip for each leg: as long as the hem, twice as deep as it finishes, with seams."""
    if ask.turn_up is None or ask.turn_up_strip != "strip":
        return []
    around = found(sum(panel.edges["hem"].path.length for panel in legs.values()), "round_the_edge")
    both = Allowed(SEAM.now, SEAM.now)
    deep = named(ask.turn_up, "turn_up") * 2 + SEAM.now * 2
    panel = strip(garment, "turn-up", around + SEAM.now * 2, deep, both)
    seam = Seam("strip", ("turn-up.waist",), tuple(f"{name}.hem" for name in legs), 2)
    return [Part(panel, 2, seams=(seam,))]
