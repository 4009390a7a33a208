"""A garment's checks: girths, seams that meet, the band, the crotch, the leg."""

from cutting.checks.check import Check
from cutting.garments import Garment
from cutting.geometry import Path, Point, area, crossings
from cutting.pieces import Panel

GIRTH, SEAM, BAND = 1.0, 0.5, 1.0
STRETCHED = 6.0
"""The back's inner leg may be this much shorter than the front's, to be stretched on."""
THIGH_LEAST = 25.4


def check_garment(garment: Garment) -> list[Check]:
    """Every check of one lower garment, in the order of the body."""
    where, body, ask = garment.id, garment.body, garment.ask
    front, back, band = (garment.panels[name] for name in ("front", "back", "band"))
    waist = garment.waist_sewn
    wanted = body.waist.mm + ask.waist_ease.mm
    hip = 2 * sum(_hip_sewn(panel, garment) for panel in (front, back))
    crotch_round = _crotch_line(front) + _crotch_line(back)
    thigh = body.thigh.mm
    sides = [panel.edges["side"].path.length for panel in (front, back)]
    legs = [panel.edges["inner_leg"].path.length for panel in (front, back)]
    band_round = band.edges["waist"].path.length - ask.band_overlap.mm
    hip_wanted = body.hip.mm + ask.hip_ease.mm
    checks = [
        Check("girth.waist", where, wanted, waist, GIRTH, abs(wanted - waist) <= GIRTH),
        Check("girth.hip", where, hip_wanted, hip, GIRTH, abs(hip_wanted - hip) <= GIRTH),
        Check("band.waist", where, waist, band_round, BAND, abs(waist - band_round) <= BAND),
        Check("seam.side", where, sides[0], sides[1], SEAM, abs(sides[0] - sides[1]) <= SEAM),
        Check("seam.inner_leg", where, legs[0], legs[1], STRETCHED, -SEAM <= legs[0] - legs[1] <= STRETCHED),
        _thigh(where, thigh, crotch_round),
        _extensions(where, front, back),
        _leg(garment, front, back, crotch_round),
        _grown(where, garment),
    ]
    if garment.sums.hem_round is not None:
        hem = sum(panel.edges["hem"].path.length for panel in (front, back))
        asked = garment.sums.hem_round.mm + garment.panels["back"].lengths["hem_widened"].mm
        checks.append(Check("girth.hem", where, asked, hem, GIRTH, abs(asked - hem) <= GIRTH))
    return checks


def _level(polyline: list[Point], down: float) -> list[tuple[float, float]]:
    """Where a level line meets a polyline: across, and what one mm of allowance measures along the level there."""
    return [
        (hit.at, 1 / max(0.2, abs(hit.direction.down)))
        for hit in crossings(polyline, Point(0, down), Point(1, 0), extend=True)
    ]


def _hip_sewn(panel: Panel, garment: Garment) -> float:
    """One panel at the hip line, from the cut lines less the allowances that were asked for, in mm."""
    down = panel.points["H"].down
    sides = _level(panel.offsets["side"], down)
    left, left_lean = min(sides, key=lambda hit: hit[0])
    right, right_lean = _level(panel.offsets["crotch"][:2], down)[0]
    given = garment.ask.allowances
    return right - left - given.side.mm * left_lean - given.centre.mm * right_lean


def _crotch_line(panel: Panel) -> float:
    """One panel at the crotch line, net, from the side to the crotch point, in mm."""
    tip = panel.points["X"]
    side = min(hit[0] for hit in _level(panel.edges["side"].path.flat(), panel.points["C1"].down))
    return tip.across - side


def _thigh(where: str, thigh: float, round_: float) -> Check:
    ease = round_ - thigh
    weight = "stop" if ease < 0 else "warn"
    return Check("thigh.ease", where, thigh, round_, THIGH_LEAST, ease >= THIGH_LEAST, weight)  # type: ignore[arg-type]  # a Weight


def _extensions(where: str, front: Panel, back: Panel) -> Check:
    one, other = (panel.points["X"].across - panel.points["C1"].across for panel in (front, back))
    return Check("extension.order", where, one, other, 0.0, other >= one - 0.01)


def _leg(garment: Garment, front: Panel, back: Panel, crotch_round: float) -> Check:
    """The leg under the crotch is no wider than the crotch line or the hem explains."""
    depth = garment.sums.level(garment.sums.thigh_depth, garment.ask).mm

    def width(panel: Panel) -> float:
        paths: list[Path] = [panel.edges[name].path for name in ("side", "inner_leg")]
        hits = [_level(path.flat(), depth) for path in paths]
        return max(hit[0] for hit in hits[1]) - min(hit[0] for hit in hits[0])

    measured = width(front) + width(back)
    hem = garment.sums.hem_round.mm if garment.sums.hem_round is not None else 0.0
    most = max(crotch_round, hem)
    return Check("leg.width", garment.id, most, measured, 6.0, measured <= most + 6.0)


def _grown(where: str, garment: Garment) -> Check:
    """The cut outline holds every allowance: the mean distance between net and cut line, all round, in mm."""
    strips = measured = edges = 0.0
    given = garment.ask.allowances
    asked = {
        "waist": given.waist.mm, "side": given.side.mm, "crotch": given.centre.mm, "inner_leg": given.inner_leg.mm,
        "hem": garment.ask.hem.mm,
    }  # fmt: skip
    for name in ("front", "back"):
        panel = garment.panels[name]
        strips += sum(edge.path.length * asked[key] for key, edge in panel.edges.items())
        edges += sum(edge.path.length for edge in panel.edges.values())
        measured += area(panel.cut) - area(panel.net)
    # Corners and curves change the mean a little: a forgotten seam changes it by a tenth or more.
    wanted, got = strips / edges, measured / edges
    return Check("allowance.held", where, wanted, got, 0.08 * wanted, abs(got - wanted) <= 0.08 * wanted)
