"""The checks of a garment whose legs are one piece each."""

from cutting.checks.check import Check
from cutting.checks.shared import GIRTH, SEAM, bands, girth_of_waist, grown, level, opening, thigh
from cutting.garments import Lower
from cutting.lengths import Rule
from cutting.pieces import Panel

HIP_LEAST = Rule(1)


def check_leg(garment: Lower) -> list[Check]:
    """Every check of it, measured on the outline."""
    where, body, sums, leg = garment.where, garment.body, garment.sums, garment.panels["leg"]
    flat = garment.waist_sewn
    waist = flat - 2 * (sums.front_gathers + sums.back_gathers).mm
    hip = 2 * _hip(leg, garment)
    inner = [leg.edges[name].path.length for name in ("inner_leg", "back_inner_leg")]
    tips = [abs(leg.edges[name].path.segments[k].start.across) for name, k in (("inner_leg", 0), ("back_crotch", 0))]
    around = sum(tips)
    under = _under(leg, sums.level(sums.thigh_depth, garment.ask).mm)
    checks = [
        *girth_of_waist(garment, waist),
        *bands(garment, flat, waist),
        *opening(garment, flat, waist),
        Check("seam.inner_leg", where, inner[0], inner[1], SEAM, abs(inner[0] - inner[1]) <= SEAM),
        *thigh(garment, around),
        Check("extension.order", where, tips[0], tips[1], 0.0, tips[1] >= tips[0] - 0.01),
        Check(
            "leg.width", where, max(around, _under(leg, 1e6)), under, 6.0, under <= max(around, _under(leg, 1e6)) + 6.0
        ),
        grown(where, garment),
    ]
    at = 1 if sums.waist_round is not None else 0
    if sums.leg_on_fold and not body.has("hip"):
        return checks
    if sums.leg_on_fold:
        checks.insert(
            at,
            Check(
                "hip.room",
                where,
                body.hip.mm + HIP_LEAST.now.mm,
                hip,
                GIRTH,
                hip >= body.hip.mm + HIP_LEAST.now.mm - GIRTH,
            ),
        )
    else:
        asked = 2 * (sums.front_hip + sums.back_hip).mm
        checks.insert(at, Check("girth.hip", where, asked, hip, GIRTH, abs(asked - hip) <= GIRTH))
    return checks


def _hip(leg: Panel, garment: Lower) -> float:
    """Half of the hip at the hip line, from the cut lines of both centres less their allowances, in mm."""
    down, seam = leg.points["H"].down, garment.ask.allowances.centre.mm
    behind = seam if leg.edges["back_crotch"].wide is None else garment.ask.zip_edge.mm
    width = 0.0
    ends = ((leg.offsets["crotch"][:2], 1, seam), (leg.offsets["back_crotch"][-2:], -1, behind))
    for polyline, sign, seam in ends:
        at, lean = level(polyline, down)[0]
        width += sign * at - seam * lean
    return width


def _under(leg: Panel, down: float) -> float:
    """Round the leg at a level under the crotch, or at the inner leg's end where that is higher, in mm."""
    front, back = leg.edges["inner_leg"].path, leg.edges["back_inner_leg"].path
    low = min(down, front.end.down, back.start.down)
    return level(front.flat(), low)[0][0] - level(back.flat(), low)[0][0]
