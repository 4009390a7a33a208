"""The rows of a top, from neck to hem, and of its sleeve."""

from cutting.garments import Top
from cutting.geometry import Line
from cutting.ledger.row import Row
from cutting.methods.upper import TOPS


def top_rows(garment: Top) -> list[Row]:
    """Neck and armhole are what comes out; bust, fitted waist and arm are driven, each with its ease."""
    numbers, body, ask, sums = garment.numbers, garment.body, garment.ask, garment.sums

    def both(key: str) -> tuple[float, float]:
        pair = [numbers[f"{panel}.{key}"] for panel in ("front", "back")]
        cut = 2 * sum(number.cut.mm for number in pair)
        return cut, cut - 2 * sum(number.net.mm for number in pair)

    neck = numbers["neck_round"].net.mm
    own = body.neck.mm if body.has("neck") else None
    rows = [Row(garment.id, "neck", "resulting", own, neck - (own or 0.0), 0.0, 0.0, 0.0, neck)]
    cut, seams = both("width")
    rows.append(Row(garment.id, "bust", "driven", sums.girth.mm, ask.bust_ease.mm, 0.0, 0.0, seams, cut))
    if TOPS[ask.style].fitted:
        cut, seams = both("waist_width")
        darts = 2 * sum(
            Line(d.near, d.far).length
            for name in ("front", "back")
            for d in garment.panels[name].darts
            if d.edge == "waist"
        )
        ease = ask.waist_ease.mm
        rows.append(Row(garment.id, "waist", "driven", body.waist.mm, ease, darts, 0.0, seams, cut))
    elif ask.joined:
        cut, seams = both("hem_width")
        ease, lean = ask.waist_ease.mm, cut - seams - garment.waist_flat
        rows.append(Row(garment.id, "waist", "driven", body.waist.mm, ease, 0.0, garment.gathered + lean, seams, cut))
    else:
        cut, seams = both("hem_width")
        of_hip = TOPS[ask.style].ends == "hip"
        own = body.hip.mm if of_hip else body.waist.mm if body.has("waist") else None
        ease = cut - seams - (own or 0.0)
        rows.append(Row(garment.id, "top_hem", "resulting", own, ease, 0.0, 0.0, seams, cut))
    armhole = numbers["armhole_length"].net.mm
    own = body.armhole_girth.mm if body.has("armhole_girth") else None
    rows.append(Row(garment.id, "armhole", "resulting", own, armhole - (own or 0.0), 0.0, 0.0, 0.0, armhole))
    if garment.sleeve is not None:
        width = numbers["sleeve.width"]
        ease = ask.sleeve_ease.mm + garment.sleeve.widened
        taken = width.cut.mm - width.net.mm
        rows.append(Row(garment.id, "upper_arm", "driven", body.upper_arm.mm, ease, 0.0, 0.0, taken, width.cut.mm))
    return rows
