"""A top's checks: girths, seams that meet, smooth joins, the neck over the head, the sleeve in its armhole."""

from math import asin, degrees

from cutting.checks.check import Check
from cutting.checks.shared import GIRTH, SEAM, furthest_off, level
from cutting.checks.smooth import bend, smooth_top
from cutting.garments import Top
from cutting.geometry import Line
from cutting.methods.upper import TOPS, TopAsk
from cutting.methods.upper.sleeve import CUFF_SEAM
from cutting.methods.upper.sums import HEAD
from cutting.pieces import Panel
from cutting.where import Where

ANGLE = 3.0
INCH = 25.4
ROOM, ARM_LEAST = INCH, 12.7
HANDS = 50.8
"""A waist without an opening passes the bust where it is within 2 in of it."""


def check_top(garment: Top) -> list[Check]:
    """Every check of one top, in the order of the body."""
    where, ask, sums, body = garment.where, garment.ask, garment.sums, garment.body
    front, back = garment.panels["front"], garment.panels["back"]
    bust = 2 * sum(_bust_sewn(panel, ask) for panel in (front, back))
    wanted = sums.girth.mm + ask.bust_ease.mm
    shoulders = [panel.edges["shoulder"].path.length for panel in (front, back)]
    sides = [_closed(panel, "side") for panel in (front, back)]
    checks = [_neck(garment)]
    checks += [
        Check("girth.bust", where, wanted, bust, GIRTH, abs(wanted - bust) <= GIRTH),
        *_lower_edge(garment),
        Check("seam.shoulder", where, shoulders[0], shoulders[1], SEAM, abs(shoulders[0] - shoulders[1]) <= SEAM),
        Check("seam.top_side", where, sides[0], sides[1], SEAM, abs(sides[0] - sides[1]) <= SEAM),
        *smooth_top(garment),
        *(_square(where, panel) for panel in (front, back) if panel.name == "back" or ask.neck_shape != "v"),
    ]
    if garment.sleeve is not None:
        checks += _sleeve(garment, front, back, body.upper_arm.mm)
    checks += _facings(garment)
    return [*checks, _grown(garment)]


def _closed(panel: Panel, edge: str) -> float:
    """An edge with the darts that are in it closed, in mm."""
    return panel.edges[edge].path.length - sum(Line(d.near, d.far).length for d in panel.darts if d.edge == edge)


def _bust_sewn(panel: Panel, ask: TopAsk) -> float:
    """Half of the panel on the armhole line, from the cut lines less the allowances that were asked for, in mm."""
    down = panel.edges["side"].path.start.down
    side, lean = min(level(panel.offsets["side"], down), key=lambda hit: abs(hit[0]))
    centre, leant = level(panel.offsets["centre"], down)[0]
    zip_edge = ask.zip_edge.mm if ask.closure == f"{panel.name}-zip" else 0.0
    return side - ask.allowances.side.mm * lean - centre - zip_edge * leant


def _lower_edge(garment: Top) -> list[Check]:
    """The fitted waist goes round the body and over the bust; a longer top goes over the hip."""
    where, ask, sums = garment.where, garment.ask, garment.sums
    panels = [garment.panels[name] for name in ("front", "back")]
    if TOPS[ask.style].fitted:
        edge = "waist" if "waist" in panels[0].edges else "hem"
        waist = 2 * sum(_closed(panel, edge) for panel in panels)
        wanted = sums.waist_round.mm
        checks = [Check("girth.waist", where, wanted, waist, GIRTH, abs(wanted - waist) <= GIRTH)]
        if ask.closure == "none" and not ask.joined:
            over = waist * (1 + float(ask.stretch) / 100)
            least = sums.girth.mm - HANDS
            checks.append(Check("top.opening", where, least, over, GIRTH, over >= least - GIRTH))
        return checks
    if ask.joined or TOPS[ask.style].ends != "hip" or sums.back_length.mm < sums.hip_level.mm:
        return []
    hip = 2 * sum(_at(panel, sums.hip_level.mm) for panel in panels)
    least = garment.body.hip.mm + ROOM
    return [Check("top.hip", where, least, hip, GIRTH, hip >= least - GIRTH, "warn")]


def _at(panel: Panel, down: float) -> float:
    """From the centre to the side at a level, net."""
    return max(hit[0] for hit in level(panel.edges["side"].path.flat(), down))


def _neck(garment: Top) -> Check:
    """The neck passes the head, or opens."""
    edges = [garment.panels[name].edges["neck"].path for name in ("front", "back")]
    around = 2 * sum(edge.length for edge in edges)
    head = garment.body.head.mm if garment.body.has("head") else HEAD
    opens = garment.ask.closure != "none"
    slash = garment.panels["front"].lines.get("neck-opening")
    around += 2 * slash.length if slash is not None else 0.0
    room = around * (1 + float(garment.ask.stretch) / 100)
    return Check(
        "neck.head", garment.where, head, around, GIRTH, opens or room >= head - GIRTH, params={"opens": opens}
    )


def _square(where: Where, panel: Panel) -> Check:
    """The neck leaves the centre squarely, so that the two halves make no point."""
    leaves = panel.edges["neck"].path.segments[0].direction(0.0)
    return bend("square.neck", where / panel.name, degrees(asin(max(-1.0, min(1.0, abs(leaves.down))))), ANGLE)


def _sleeve(garment: Top, front: Panel, back: Panel, arm: float) -> list[Check]:
    where, sleeve = garment.where / "sleeve", garment.panels["sleeve"]
    armhole = sum(panel.edges["armhole"].path.length for panel in (front, back))
    cap = sleeve.edges["cap"].path.length + sleeve.edges["back_cap"].path.length
    wanted = armhole + garment.ask.cap_ease.mm
    under = [sleeve.edges[name].path.length for name in ("underarm", "back_underarm")]
    around = sleeve.edges["underarm"].path.start.across - sleeve.edges["back_underarm"].path.end.across
    cuff = [
        part.panel.edges["waist"].path.length - part.panel.lengths["overlap"].mm
        for part in garment.parts
        if part.panel.name == "cuff"
    ]
    edge = sleeve.edges["hem"].path.length
    return [
        *(Check("cuff.sleeve", where, round_, edge, SEAM, edge >= round_ - SEAM) for round_ in cuff),
        Check("cap.armhole", where, wanted, cap, SEAM, abs(wanted - cap) <= SEAM),
        Check("seam.underarm", where, under[0], under[1], SEAM, abs(under[0] - under[1]) <= SEAM),
        Check("girth.arm", where, arm + ARM_LEAST, around, GIRTH, around >= arm + ARM_LEAST - GIRTH),
    ]


def _facings(garment: Top) -> list[Check]:
    """Each facing's edge is as long as the edge that it finishes."""
    checks = []
    for part in garment.parts:
        name, _, edge = part.panel.name.removesuffix("-facing").partition("-")
        if not part.panel.name.endswith("-facing") or edge not in part.panel.edges:
            continue
        panel = garment.panels[part.panel.name]
        one, other = (p.edges[edge].path.length for p in (garment.panels[name], panel))
        where = garment.where / part.panel.name
        checks.append(Check("seam.facing", where, one, other, SEAM, abs(one - other) <= SEAM))
    return checks


def _grown(garment: Top) -> Check:
    given, ask = garment.ask.allowances, garment.ask
    wanted: dict[tuple[str, str], float] = {}
    for name in garment.main:
        for key, edge in garment.panels[name].edges.items():
            asked = {
                "neck": given.neck.mm, "shoulder": given.shoulder.mm, "armhole": given.armhole.mm,
                "cap": given.armhole.mm, "back_cap": given.armhole.mm, "side": given.side.mm,
                "underarm": given.side.mm, "back_underarm": given.side.mm, "waist": given.waist.mm,
                "centre": ask.zip_edge.mm if ask.closure == f"{name}-zip" else 0.0, "hem": ask.hem.mm,
            }[key]  # fmt: skip
            if key == "hem" and name == "sleeve" and ask.cuffed:
                asked = CUFF_SEAM.now.mm
            if key in ("waist", "hem") and name != "sleeve" and not ask.joined:
                asked = edge.allowance.mm if ask.hem_shape == "curved" else ask.hem.mm
            wanted[name, key] = asked
    return furthest_off(garment.where, garment, wanted)
