"""What a fly, a belt and a turn-up ask for: facing, guard, loops, strips. Sizes are common practice, no source."""

from cutting.drafting import Draft
from cutting.errors import refuse
from cutting.garments.part import Allowed, Part, strip
from cutting.garments.seams import Seam, SeamCode, sewn
from cutting.geometry import Line, Point, hermite, parted, unit
from cutting.lengths import Length, Rule, cm, found, inch, mm, named
from cutting.methods import Ask
from cutting.methods.sums import Sums
from cutting.pieces import Panel, finish
from cutting.pieces.panel import with_notches
from cutting.where import choice

SEAM = Rule(0.5)
FACING, GUARD = Rule(2), Rule(4)
ROUND = 50.8
"""Over so many mm the foot of a fly's facing is rounded in to the centre."""
FLY: tuple[tuple[SeamCode, str, str], ...] = (("fly", "centre", "crotch"), ("waist", "waist", "waist"))
"""How a fly's facing is sewn to the front."""
FLY_STRIP = Rule(4)
LOOP_LONG, LOOP_WIDE = cm(7.5), cm(5)
LOOP_EACH, FEWEST = Rule(6), 5
"""A belt loop for each so much of the waist, and no fewer than so many."""


def closure_parts(garment: str, ask: Ask, closing: Length | None, legs: dict[str, Panel], sums: Sums) -> list[Part]:
    """The parts of the closure, whose zip is `closing` long, and the strip that is cut up for loops."""
    parts: list[Part] = []
    if ask.closure == "fly" and closing is not None:
        front = _front_of(legs)
        seam, waist_seam = (sewn(code, f"fly-facing.{edge}", f"{front.name}.{to}") for code, edge, to in FLY)
        parts.append(Part(_fly_facing(garment, front, closing, ask), interfacing=True, seams=(seam, waist_seam)))
        guard = strip(garment, "fly-guard", closing + inch(1), GUARD.now, Allowed(SEAM.now, SEAM.now))
        parts.append(Part(guard, seams=(sewn("fly", "fly-guard.waist", f"{front.name}.crotch"),)))
    if ask.belt_loops != "none":
        around = (sums.waist_round or sums.opening).mm
        count = 4 if ask.belt_loops == "four" else max(FEWEST, round(around / LOOP_EACH.now.mm))
        loops = strip(garment, "belt-loops", LOOP_LONG * count, LOOP_WIDE, Allowed(cm(1), cm(1)))
        parts.append(Part(loops, seams=(sewn("loops", "belt-loops.end", "band", count=count),)))
    return parts


def _fly_facing(garment: str, front: Panel, closing: Length, ask: Ask) -> Panel:
    """Traced off the front: its centre down to the zip's end, 2 in of its waist; the foot is round."""
    waist, centre = front.edges["waist"].path, front.edges["crotch"]
    deep = closing.mm - (ask.band_depth.mm if ask.waist_finish == "shaped-band" else 0.0)
    upper, _ = centre.path.split(min(deep, centre.path.length - SEAM.now.mm))
    wide = min(FACING.now.mm, waist.length / 3)
    inner, _ = waist.back.along(wide)
    d = Draft("fly-facing")
    d.stage = d.panel
    top = d.start("O", upper.start, "centre_at_waist")
    d.mark("B1", top.to(inner, "facing_wide"), "fly_width", "waist_seam")
    d.mark("B2", top.to(upper.end, "zip_long"), "fly_length", "centre_line")
    along = unit(upper.end.minus(upper.start))
    turn = upper.end.plus(along, -min(ROUND, 0.4 * deep)).plus(along.left, -wide)
    (edge,) = parted(waist, [inner])[1:]
    assert edge is not None
    d.edge("waist", list(edge.segments), front.edges["waist"].allowance)
    d.edge("centre", list(upper.segments), centre.allowance_at(0.0))
    into = Point(-along.left.across, -along.left.down)
    d.edge("outer", [hermite(upper.end, into, turn, unit(inner.minus(turn))), Line(turn, inner)], mm(0))
    d.lengths.update(seam_down=mm(0))
    return finish(garment, d)


def _front_of(legs: dict[str, Panel]) -> Panel:
    """The panel that the centre front is on."""
    return legs["front" if "front" in legs else "leg"]


def fly_strips(garment: str, ask: Ask, legs: dict[str, Panel]) -> list[Part]:
    """The fly of an elastic waist: a folded strip for each front, from the waist down; one goes over the other."""
    if ask.front_opening == "none":
        return []
    front = _front_of(legs)
    both, deep = Allowed(SEAM.now, SEAM.now), ask.front_opening_deep
    panel = strip(garment, "fly-strip", named(deep, "fly") + SEAM.now * 2, FLY_STRIP.now, both, opening=deep)
    return [Part(panel, 2, seams=(sewn("fly", "fly-strip.waist", f"{front.name}.crotch"),))]


def with_fly_notch(legs: dict[str, Panel], ask: Ask) -> dict[str, Panel]:
    """The legs with a notch where the fly of an elastic waist ends, below it the centre is sewn. Raises CuttingError
    where the seam is no longer than that.
    """
    if ask.front_opening == "none":
        return legs
    panel, deep = _front_of(legs), ask.front_opening_deep
    room = panel.edges["crotch"].path.length - 2 * SEAM.now.mm
    if deep.mm > room:
        raise refuse("opening.too_deep", choice("front_opening_deep"), wanted=deep, room=found(room, ""))
    return legs | {panel.name: with_notches(panel, panel.notch("crotch", "opening_end", deep.mm))}


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
