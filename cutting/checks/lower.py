"""A lower garment's checks: girths, seams that meet, the band, the crotch, the leg."""

from itertools import pairwise
from math import hypot

from cutting.checks.check import Check
from cutting.checks.one_leg import check_leg
from cutting.checks.shared import GIRTH, SEAM, STRETCHED, bands, girth_of_waist, grown, level, opening, thigh
from cutting.checks.smooth import smooth_lower
from cutting.checks.worn import check_worn
from cutting.garments import Lower
from cutting.geometry import Path, Point, crossings, distance, offset_polyline
from cutting.pieces import Panel
from cutting.where import Where

HEM, FINE = 2.0, 0.001
AT_THE_EDGE = 0.05
"""So near to the raw edge its corners are looked for, in mm."""


def check_lower(garment: Lower) -> list[Check]:
    """Every check of one lower garment, in the order of the body."""
    if "leg" in garment.panels:
        return [*check_leg(garment), *smooth_lower(garment), *check_worn(garment)]
    where, sums = garment.where, garment.sums
    front, back = (garment.panels[name] for name in ("front", "back"))
    flat = garment.waist_sewn
    gathers = 2 * (sums.front_gathers + sums.back_gathers).mm
    waist = flat - gathers
    hip = 2 * sum(_hip_sewn(panel, garment) for panel in (front, back))
    crotch_round = _crotch_line(front) + _crotch_line(back)
    sides = [garment.side(name) for name in garment.main]
    legs = [panel.edges["inner_leg"].path.length for panel in (front, back)]
    hip_wanted = 2 * (sums.front_hip + sums.back_hip).mm
    checks = [
        *girth_of_waist(garment, waist),
        Check("girth.hip", where, hip_wanted, hip, GIRTH, abs(hip_wanted - hip) <= GIRTH),
        *bands(garment, flat, waist),
        *opening(garment, flat, waist),
        Check("seam.side", where, sides[0], sides[1], SEAM, abs(sides[0] - sides[1]) <= SEAM),
        Check("seam.inner_leg", where, legs[0], legs[1], STRETCHED, -SEAM <= legs[0] - legs[1] <= STRETCHED),
        *thigh(garment, crotch_round),
        _extensions(where, front, back),
        _leg(garment, front, back, crotch_round),
        grown(where, garment),
        *(_turned(where, panel) for panel in (front, back) if panel.edges["hem"].allowance.mm > 0),
    ]
    if sums.hem_round is not None:
        hem = sum(panel.edges["hem"].path.length for panel in (front, back))
        asked = sums.hem_round.mm + garment.panels["back"].lengths["hem_widened"].mm
        checks.append(Check("girth.hem", where, asked, hem, GIRTH, abs(asked - hem) <= GIRTH))
    return [*checks, *smooth_lower(garment), *check_worn(garment)]


def _turned(where: Where, panel: Panel) -> Check:
    """The hem's raw edge, measured on the cut outline, is as long as the leg is where it comes to be folded.

    That is one fold above the hem's line, or on it where it is folded twice.
    """
    edge = panel.edges["hem"]
    inside = -edge.allowance.mm / edge.turned * (edge.turned % 2)
    path, ring = edge.path, panel.cut
    ends = (path.start, path.segments[0].direction(0.0), -1), (path.end, path.segments[-1].direction(1.0), 1)

    def beyond(end: Point, along: Point, sign: int, outside: float) -> float:
        """How far the cut outline is from an end of the hem, at a distance from the fold."""
        return max(sign * hit.at for hit in crossings([*ring, ring[0]], end.plus(along.left, outside), along))

    first, last = (end.plus(along.left, inside) for end, along, _ in ends)
    leg = _long([first, *offset_polyline(path.flat(FINE), inside)[1:-1], last])
    leg += sum(beyond(*end, inside) for end in ends)
    raw = edge.allowance.mm - AT_THE_EDGE
    corners = [end.plus(along.left, raw).plus(along, sign * beyond(end, along, sign, raw)) for end, along, sign in ends]
    places = [_nearest(ring, corner) for corner in corners]
    there = [ring[k % len(ring)] for k in range(places[0], places[0] + (places[1] - places[0]) % len(ring) + 1)]
    hem = _long(there)
    return Check("hem.turn", where / panel.name, leg, hem, HEM, abs(leg - hem) <= HEM, params={"panel": panel.name})


def _nearest(ring: list[Point], point: Point) -> int:
    """Which corner of an outline is nearest to a point."""
    far = [hypot(across - point.across, down - point.down) for across, down in ring]
    return far.index(min(far))


def _long(points: list[Point]) -> float:
    return sum(distance(a, b) for a, b in pairwise(points))


def _hip_sewn(panel: Panel, garment: Lower) -> float:
    """One panel at the hip line, from the cut lines less the allowances that were asked for, in mm."""
    down = panel.points["H"].down
    sides = level(panel.offsets["side"], down)
    left, left_lean = min(sides, key=lambda hit: hit[0])
    right, right_lean = level(panel.offsets["crotch"][:2], down)[0]
    given = garment.ask.allowances
    centre = garment.ask.zip_edge if panel.edges["crotch"].wide is not None else given.centre
    return right - left - given.side.mm * left_lean - centre.mm * right_lean


def _crotch_line(panel: Panel) -> float:
    """One panel at the crotch line, net, from the side to the crotch point, in mm."""
    tip = panel.points["X"]
    side = min(hit[0] for hit in level(panel.edges["side"].path.flat(), panel.points["C1"].down))
    return tip.across - side


def _extensions(where: Where, front: Panel, back: Panel) -> Check:
    one, other = (panel.points["X"].across - panel.points["C1"].across for panel in (front, back))
    return Check("extension.order", where, one, other, 0.0, other >= one - 0.01)


def _leg(garment: Lower, front: Panel, back: Panel, crotch_round: float) -> Check:
    """The leg under the crotch is no wider than the crotch line or the hem explains."""
    depth = garment.sums.level(garment.sums.thigh_depth, garment.ask).mm

    def width(panel: Panel) -> float:
        paths: list[Path] = [panel.edges[name].path for name in ("side", "inner_leg")]
        hits = [level(path.flat(), depth) for path in paths]
        return max(hit[0] for hit in hits[1]) - min(hit[0] for hit in hits[0])

    measured = width(front) + width(back)
    hem = garment.sums.hem_round.mm if garment.sums.hem_round is not None else 0.0
    most = max(crotch_round, hem)
    return Check("leg.width", garment.where, most, measured, 6.0, measured <= most + 6.0)
