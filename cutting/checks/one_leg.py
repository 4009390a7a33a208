"""The checks of a garment whose legs are one piece each."""

from cutting.checks.check import Check
from cutting.checks.shared import GIRTH, SEAM, bands, grown, level, opening, thigh
from cutting.garments import Lower
from cutting.pieces import Panel

HIP_LEAST = 25.4


def check_leg(garment: Lower) -> list[Check]:
    """Every check of it, measured on the outline."""
    where, body, sums, leg = garment.where, garment.body, garment.sums, garment.panels["leg"]
    flat = garment.waist_sewn
    wanted, waist = sums.waist_round.mm, flat - 2 * (sums.front_gathers + sums.back_gathers).mm
    hip = 2 * _hip(leg, garment)
    inner = [leg.edges[name].path.length for name in ("inner_leg", "back_inner_leg")]
    tips = [abs(leg.edges[name].path.segments[k].start.across) for name, k in (("inner_leg", 0), ("back_crotch", 0))]
    around = sum(tips)
    under = _under(leg, sums.level(sums.thigh_depth, garment.ask).mm)
    checks = [
        Check("girth.waist", where, wanted, waist, GIRTH, abs(wanted - waist) <= GIRTH),
        *bands(garment, flat, waist),
        *opening(garment, flat, waist),
        Check("seam.inner_leg", where, inner[0], inner[1], SEAM, abs(inner[0] - inner[1]) <= SEAM),
        thigh(where, body.thigh.mm, around),
        Check("extension.order", where, tips[0], tips[1], 0.0, tips[1] >= tips[0] - 0.01),
        Check(
            "leg.width", where, max(around, _under(leg, 1e6)), under, 6.0, under <= max(around, _under(leg, 1e6)) + 6.0
        ),
        grown(where, garment),
    ]
    if sums.leg_on_fold:
        checks.insert(
            1, Check("hip.room", where, body.hip.mm + HIP_LEAST, hip, GIRTH, hip >= body.hip.mm + HIP_LEAST - GIRTH)
        )
    else:
        asked = 2 * (sums.front_hip + sums.back_hip).mm
        checks.insert(1, Check("girth.hip", where, asked, hip, GIRTH, abs(asked - hip) <= GIRTH))
    return checks


def _hip(leg: Panel, garment: Lower) -> float:
    """Half of the hip at the hip line, from the cut lines of both centres less their allowances, in mm."""
    down, seam = leg.points["H"].down, garment.ask.allowances.centre.mm
    width = 0.0
    for polyline, sign in ((leg.offsets["crotch"][:2], 1), (leg.offsets["back_crotch"][-2:], -1)):
        at, lean = level(polyline, down)[0]
        width += sign * at - seam * lean
    return width


def _under(leg: Panel, down: float) -> float:
    """Round the leg at a level under the crotch, or at the inner leg's end where that is higher, in mm."""
    front, back = leg.edges["inner_leg"].path, leg.edges["back_inner_leg"].path
    low = min(down, front.end.down, back.start.down)
    return level(front.flat(), low)[0][0] - level(back.flat(), low)[0][0]
