"""What finishes the neck and an armhole without a sleeve: facings traced off the panels, or strips cut on the bias.

Common practice, no source: a facing 2 to 3 in wide, a strip 1 1/4 in.
"""

from cutting.drafting import Draft, Place
from cutting.garments.part import Allowed, Part, strip
from cutting.garments.seams import sewn
from cutting.garments.strips import bias
from cutting.geometry import Cubic, Line, Path, Point, gap, unit
from cutting.lengths import Length, Rule, found, inch, mm
from cutting.methods.upper import TopAsk
from cutting.pieces import Panel, finish

NECK, ARMHOLE = Rule(2.5, "facing"), Rule(2, "facing")
STRIP = Rule(1.25, metric=3.5)
TURNED_IN, SLIT_WIDE = Rule(0.75), Rule(2)
"""From so much allowance on a slit's edge is turned in; else a strip so wide is sewn to it."""
FULL = (0.55, 0.65, 0.75)
"""How far a neck facing's outer edge is rounded out: more where a square neck's corner would come too near."""
MOST = 0.42
"""A facing takes no more than this share of the shoulder, so that neck's and armhole's do not meet."""


def facings(garment: str, panels: dict[str, Panel], ask: TopAsk) -> list[Part]:
    """The parts that finish the neck, and the armholes of a top without sleeves."""
    open_armhole = ask.sleeve == "none"
    if ask.finish == "bias":
        neck = 2 * sum(panels[name].edges["neck"].path.length for name in ("front", "back"))
        neck_seam = sewn("binding", "neck-binding.waist", "front.neck", "back.neck")
        parts = [Part(_binding(garment, "neck-binding", neck), seams=(neck_seam,))]
        if open_armhole:
            around = sum(panels[name].edges["armhole"].path.length for name in ("front", "back"))
            seam = sewn("binding", "armhole-binding.waist", "front.armhole", "back.armhole", count=2)
            parts.append(Part(_binding(garment, "armhole-binding", around), 2, seams=(seam,)))
        return parts
    parts = []
    for name in ("front", "back"):
        halves = ask.closure == f"{name}-zip"
        panel = _neck(garment, panels[name])
        parts.append(
            Part(panel, 2 if halves else 1, pair=halves, fold=None if halves else 0.0, interfacing=True,
                 seams=(sewn("neck", f"{panel.name}.neck", f"{name}.neck"),), half=not halves)
        )  # fmt: skip
    if open_armhole:
        for name in ("front", "back"):
            panel = _armhole(garment, panels[name])
            seam = sewn("armhole", f"{panel.name}.armhole", f"{name}.armhole", count=2)
            parts.append(Part(panel, 2, pair=True, interfacing=True, seams=(seam,)))
    return parts


def slit_facings(garment: str, ask: TopAsk) -> list[Part]:
    """A strip for each edge of the two side slits, where the side's own allowance is too narrow to be turned in."""
    if ask.side_slit is None or not ask.side_slit.size or ask.allowances.side.mm >= TURNED_IN.now.mm:
        return []
    seam = ask.allowances.side
    panel = strip(garment, "side-slit-facing", ask.side_slit + inch(1, "two_ends"), SLIT_WIDE.now, Allowed(seam, seam))
    return [Part(panel, 4, seams=(sewn("side", "side-slit-facing.waist", "front.side", "back.side", count=2),))]


def _binding(garment: str, name: str, around: float) -> Panel:
    return bias(garment, name, found(around, "round_the_edge") + inch(1, "two_ends"), STRIP.now)


def _width(wanted: Length, shoulder: float) -> Length:
    return wanted if wanted.mm <= MOST * shoulder else found(MOST * shoulder, "room_for_it")


def _neck(garment: str, panel: Panel) -> Panel:
    """The neck's own edge, the shoulder's inner end, an outer edge that runs square into the centre, leaning or not."""
    neck, shoulder, centre = panel.edges["neck"], panel.edges["shoulder"], panel.edges["centre"].path
    along = unit(shoulder.path.end.minus(shoulder.path.start))
    wide = _width(NECK.now, shoulder.path.length)
    d = Draft(f"{panel.name}-neck-facing")
    d.stage = d.panel
    top = Place(shoulder.path.start, "neck_point")
    end = d.mark("B1", top.along(along, wide), "facing_shoulder", "shoulder_seam").point
    fall = unit(centre.start.minus(centre.end))
    low = d.mark("B2", Place(centre.end, "centre_neck").along(fall, NECK.now), "facing_centre", "centre_line").point
    down = Point(-along.down, along.across)
    deep, out = low.down - end.down, end.across - low.across
    square = Point(fall.down, -fall.across)
    tried = [Cubic(end, end.plus(down, full * deep), low.plus(square, full * out), low) for full in FULL]
    kept = neck.path.flat()
    outer = next((one for one in tried if gap([end, *one.flat(1.0)], kept) >= wide.mm / 2), tried[-1])
    d.edge("neck", list(neck.path.segments), neck.allowance)
    d.edge("shoulder", [Line(shoulder.path.start, end)], shoulder.allowance)
    d.edge("outer", [outer], mm(0))
    d.edge("centre", [Line(low, centre.end)], panel.edges["centre"].allowance)
    return _done(garment, d, wide)


def _armhole(garment: str, panel: Panel) -> Panel:
    """The armhole's own edge, the ends of shoulder and side, an inner edge that follows it."""
    armhole, shoulder, side = (panel.edges[name] for name in ("armhole", "shoulder", "side"))
    wide = _width(ARMHOLE.now, shoulder.path.length)
    along = unit(shoulder.path.end.minus(shoulder.path.start))
    down_side = unit(side.path.end.minus(side.path.start))
    d = Draft(f"{panel.name}-armhole-facing")
    d.stage = d.panel
    tip, underarm = shoulder.path.end, side.path.start
    start = d.mark(
        "B1",
        Place(tip, "shoulder_tip").along(Point(-along.across, -along.down), wide),
        "facing_shoulder",
        "shoulder_seam",
    ).point
    foot = d.mark("B2", Place(underarm, "underarm").along(down_side, wide), "facing_side", "side_seam").point
    hollow = Path(armhole.path.segments[:1]).end
    reach = wide.mm
    middle = Point(hollow.across - reach, hollow.down + 0.35 * reach)
    into = Point(-down_side.down, down_side.across)
    lower = Cubic(
        foot,
        foot.plus(into, 0.6 * (foot.across - middle.across)),
        Point(middle.across, foot.down - 0.35 * (foot.down - middle.down)),
        middle,
    )
    upper = Cubic(
        middle,
        Point(middle.across, middle.down - 0.45 * (middle.down - start.down)),
        start.plus(Point(-along.down, along.across), 0.35 * (middle.down - start.down)),
        start,
    )
    d.edge("shoulder", [Line(start, tip)], shoulder.allowance)
    d.edge("armhole", list(armhole.path.segments), armhole.allowance)
    d.edge("side", [Line(underarm, foot)], side.allowance)
    d.edge("outer", [lower, upper], mm(0))
    return _done(garment, d, wide)


def _done(garment: str, d: Draft, wide: Length) -> Panel:
    d.lengths.update(seam_down=mm(0), finished_width=wide)
    return finish(garment, d)
