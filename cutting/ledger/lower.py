"""The rows of a lower garment, from waist to hem."""

from typing import Literal

from cutting.garments import Lower
from cutting.geometry import Line
from cutting.ledger.row import Row


def lower_rows(garment: Lower) -> list[Row]:
    """The rows of one lower garment, from waist to hem."""
    numbers, body, ask, sums = garment.numbers, garment.body, garment.ask, garment.sums

    def both(level: str, times: int) -> tuple[float, float]:
        pair = [numbers[f"{panel}.{level}"] for panel in ("front", "back")]
        cut = times * sum(number.cut.mm for number in pair)
        return cut, cut - times * sum(number.net.mm for number in pair)

    darts = 2 * sum(Line(d.near, d.far).length for panel in garment.drafted.values() for d in panel.darts)
    gathers = 2 * (sums.front_gathers + sums.back_gathers).mm
    cut, seams = both("waist_width", 2)
    if sums.waist_girth is not None:
        rows = [Row(garment.id, "waist", "driven", sums.waist_girth.mm, ask.waist_ease.mm, darts, gathers, seams, cut)]
    else:
        rows = [Row(garment.id, "waist", "resulting", None, cut - seams, darts, gathers, seams, cut)]
    cut, seams = both("hip_width", 2)
    hip = 2 * (sums.front_hip + sums.back_hip).mm
    own = body.hip.mm if body.has("hip") else None
    of_hip: Literal["driven", "resulting"] = "resulting" if sums.leg_on_fold or own is None else "driven"
    rows.append(Row(garment.id, "hip", of_hip, own, hip - (own or 0.0), 0.0, 0.0, seams, cut))
    cut, seams = both("crotch_width", 1)
    own = body.thigh.mm if body.has("thigh") else None
    rows.append(Row(garment.id, "thigh", "resulting", own, cut - seams - (own or 0.0), 0.0, 0.0, seams, cut))
    widened = garment.panels[garment.main[-1]].lengths["hem_widened"].mm
    knee = body.knee.mm if body.has("knee") else None
    for level, whole, own in (("knee", sums.knee_round, knee), ("hem", sums.hem_round, None)):
        if f"front.{level}_width" not in numbers:
            continue
        cut, seams = both(f"{level}_width", 1)
        wanted = cut - seams if whole is None else whole.mm + widened
        kind: Literal["driven", "resulting"] = "resulting" if whole is None else "driven"
        rows.append(Row(garment.id, level, kind, own, wanted - (own or 0.0), 0.0, 0.0, seams, cut))
    return rows
