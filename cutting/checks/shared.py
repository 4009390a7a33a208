"""What every lower garment is held to: bands, the opening, the thigh, the allowances; and levels across an outline."""

from cutting.checks.check import Check
from cutting.finding import Weight
from cutting.garments import Lower, Top
from cutting.garments.cut_off import UNDER_LAP
from cutting.geometry import Line, Point, crossings
from cutting.lengths import Rule
from cutting.pieces import Panel
from cutting.pieces.panel import STEP
from cutting.where import Where

GIRTH, SEAM, BAND = 1.0, 0.5, 1.0
STRETCHED = 6.0
"""The back's inner leg may be this much shorter than the front's, to be stretched on."""
THIGH_LEAST = Rule(1)
ROUNDING = 1e-6
BAND_SEAM = Rule(0.5)


def bands(garment: Lower, flat: float, waist: float) -> list[Check]:
    """What is sewn to the legs' tops is as long as they are; each band folds to the depth asked for."""
    panels, where, ask = garment.panels, garment.where, garment.ask
    checks: list[Check] = []
    for name, leg in (("front-band", "front"), ("back-band", "back"), ("yoke", "back")):
        if name in panels and "lower" in panels[name].edges:
            # The lower edge of what was cut off a leg; a yoke is the leg of a band above it.
            under = panels["yoke"] if (name, "yoke" in panels) == ("back-band", True) else panels[leg]
            one = under.waist_closed
            other = panels[name].edges["lower"].path.length
            checks.append(Check("seam.strip", where / name, one, other, SEAM, abs(one - other) <= SEAM))
            checks += _under_lap(garment, name)
    strips = [part for part in garment.parts if part.panel.name.endswith("band") and "cut_depth" in part.panel.lengths]
    if not strips:
        return checks
    wanted = waist if ask.waist_finish == "straight-band" else flat
    lengths = [
        part.count * (panels[part.panel.name].edges["waist"].path.length - part.panel.lengths["overlap"].mm)
        for part in strips
    ]
    checks.append(Check("band.waist", where, wanted, sum(lengths), BAND, abs(wanted - sum(lengths)) <= BAND))
    for part in strips:
        xs = [point.across for point in panels[part.panel.name].cut]
        folded = (max(xs) - min(xs) - 2 * BAND_SEAM.now.mm) / 2
        asked = ask.band_depth.mm
        checks.append(Check("band.depth", where, asked, folded, SEAM, abs(asked - folded) <= SEAM))
    return checks


def _under_lap(garment: Lower, name: str) -> list[Check]:
    """The end of a shaped band that goes under its other end is cut longer by the overlap, beyond its seam."""
    edge = UNDER_LAP.get((name, garment.ask.closure))
    if edge is None:
        return []
    panel, given = garment.panels[name], garment.ask.allowances
    zipped = (name, garment.ask.closure) == ("back-band", "back-zip")
    seam = (garment.ask.zip_edge if zipped else given.centre if edge == "centre" else given.side).mm
    lap, asked = outside(panel, edge, 0.5) - seam, garment.ask.band_overlap.mm
    return [Check("band.under", garment.where / name, asked, lap, SEAM, abs(asked - lap) <= SEAM)]


def opening(garment: Lower, flat: float, waist: float) -> list[Check]:
    """Where nothing opens, the waist with its elastic let out, and the cloth's own stretch, passes the hip."""
    if garment.ask.closure != "none" or not garment.body.has("hip"):
        return []
    around = waist if garment.ask.waist_finish in ("straight-band", "joined") else flat
    around *= 1 + float(garment.ask.stretch) / 100
    hip = garment.body.hip.mm
    return [Check("waist.opening", garment.where, hip, around, GIRTH, around >= hip - GIRTH)]


def level(polyline: list[Point], down: float) -> list[tuple[float, float]]:
    """Where a level line meets a polyline: across, and what one mm of allowance measures along the level there."""
    return [
        (hit.at, 1 / max(0.2, abs(hit.direction.down)))
        for hit in crossings(polyline, Point(0, down), Point(1, 0), extend=True)
    ]


def girth_of_waist(garment: Lower, waist: float) -> list[Check]:
    """The waist as it is sewn against the body's and its ease, where that was measured; in mm."""
    if garment.sums.waist_round is None:
        return []
    wanted = garment.sums.waist_round.mm
    return [Check("girth.waist", garment.where, wanted, waist, GIRTH, abs(wanted - waist) <= GIRTH)]


def thigh(garment: Lower, around: float) -> list[Check]:
    """Room for the thigh at the crotch line, `around` mm there, where the thigh was measured."""
    return [thigh_room(garment.where, garment.body.thigh.mm, around)] if garment.body.has("thigh") else []


def thigh_room(where: Where, own: float, around: float) -> Check:
    """At least an inch more than the thigh; less than none is a stop. In mm."""
    ease = around - own
    weight: Weight = "stop" if ease < 0 else "warn"
    good = ease >= THIGH_LEAST.now.mm - ROUNDING
    return Check("thigh.ease", where, own, around, THIGH_LEAST.now.mm, good, weight)


def grown(where: Where, garment: Lower) -> Check:
    """Every edge's cut line is its allowance outside the sewing line; the edge that is furthest off."""
    given = garment.ask.allowances
    asked = {
        "side": given.side.mm, "crotch": given.centre.mm, "inner_leg": given.inner_leg.mm,
        "hem": garment.ask.hem_turn.mm, "back_crotch": given.centre.mm, "back_inner_leg": given.inner_leg.mm,
    }  # fmt: skip
    wanted: dict[tuple[str, str], float] = {}
    for name in garment.main:
        panel = garment.panels[name]
        turn = garment.ask.waist_turn if garment.top(name) is panel else None
        for key in panel.edges:
            wanted[name, key] = (turn or given.waist).mm if key == "waist" else asked[key]
    return furthest_off(where, garment, wanted)


CORNER = 1.5
"""A place so many allowances from the end of its edge is clear of the next edge's cut line."""


def furthest_off(where: Where, garment: Lower | Top, wanted: dict[tuple[str, str], float]) -> Check:
    """The check of all allowances, shown at the edge that is furthest off; `wanted` in mm by panel and edge."""
    rows: list[tuple[float, float, Where]] = []
    for (name, key), asked in wanted.items():
        panel = garment.panels[name]
        found, beside = list[tuple[float, float, Where]](), list[tuple[float, float, Where]]()
        length = panel.edges[key].path.length
        for share in _shares(panel, key):
            wide = panel.edges[key].wide
            along = length * (1 - share if wide and wide.at_end else share)
            if wide is not None and abs(along - wide.reach - STEP / 2) < STEP:
                continue
            there = garment.ask.zip_edge.mm if wide is not None and along < wide.reach else asked
            clear = min(share, 1 - share) * length > CORNER * there
            (found if clear else beside).append((there, outside(panel, key, share), where / name / key))
        # On an edge hardly longer than its allowance is wide the next one may reach across: the best place counts.
        rows += found or sorted(beside, key=_off)[:1]
    asked, got, at = max(rows, key=_off)
    return Check("allowance.held", at, asked, got, SEAM, abs(asked - got) <= SEAM)


def _off(row: tuple[float, float, Where]) -> float:
    return abs(row[0] - row[1])


def _shares(panel: Panel, edge: str) -> tuple[float, ...]:
    """Where on an edge to measure: away from its corners."""
    parts = panel.edges[edge].path.segments
    if len(parts) == 2 and all(isinstance(part, Line) for part in parts):
        first = parts[0].length / (parts[0].length + parts[1].length)
        return first / 3, (1 + 2 * first) / 3
    return (0.25, 0.75) if edge == "waist" else (0.3, 0.5, 0.7)  # a waist may bend in its middle


def outside(panel: Panel, edge: str, share: float) -> float:
    """From a point of the sewing line square out to the cut line, in mm."""
    path = panel.edges[edge].path
    point, direction = path.along(share * path.length)
    ring = [*panel.cut, panel.cut[0]]
    hits = [hit.at for hit in crossings(ring, point, direction.left)]
    return min((at for at in hits if at > -1e-6), default=0.0)
