"""A jumpsuit: a top and a lower garment drafted so that their waists meet, and what the seam between them owes."""

from dataclasses import replace

from cutting.body import Body
from cutting.finding import Finding
from cutting.garments.lower import Lower, draft_lower
from cutting.garments.top import Top, draft_top
from cutting.lengths import Fixed, found, mm
from cutting.methods import Ask
from cutting.methods.darts import Darts
from cutting.methods.upper import TOPS, TopAsk
from cutting.methods.upper.sums import work_out

SEEN = 1.0


def draft_joined(name: str, method: str, body: Body, top: TopAsk, lower: Ask) -> tuple[Top, Lower]:
    """The two garments `name`.top and `name`.lower. Raises CuttingError with the measure that cannot be served.

    Both waists are the client's with the ease of the lower one. A fitted top's darts are laid over the lower one's; a
    wide top, and a wide lower garment, are gathered or folded into the seam.
    """
    below = draft_lower(f"{name}.lower", method, body, lower)
    asked = replace(top, waist_ease=lower.waist_ease, closure=lower.closure, joined=True)
    if lower.closure == "back-zip":
        asked = replace(asked, zip_edge=lower.allowances.centre)
    sums = work_out(body, asked)
    if TOPS[top.style].fitted:
        asked = replace(
            asked, front_dart_at=_over(sums.front_darts, below.sums.front_darts, below, "front"),
            back_dart_at=_over(sums.back_darts, below.sums.back_darts, below, "back"),
        )  # fmt: skip
    above = draft_top(f"{name}.top", "quarter-bust", body, asked)
    said = [_said(f"{name}.top", above.gathered, above.waist_flat, "gathers")]
    gathers = 2 * (below.sums.front_gathers + below.sums.back_gathers).mm
    said.append(_said(f"{name}.lower", gathers, below.waist_sewn, lower.waist_join))
    notes = tuple(one for one in said if one is not None)
    return replace(above, findings=above.findings + notes), below


def _over(top: Darts, lower: Darts, below: Lower, panel: str) -> Fixed | None:
    """Where a top's dart lies so that, both sewn, it meets the lower garment's; None where one has none."""
    if top.count == 0 or lower.count == 0:
        return None
    place = below.panels[panel].lengths.get("dart_place", mm(0)).mm - lower.intake.mm / 2 + top.intake.mm / 2
    return mm(round(place, 6), "over_the_dart")


def _said(where: str, gathers: float, flat: float, how: str) -> Finding | None:
    """What a waist takes in besides its darts, and how many times it is as wide as the seam."""
    if gathers < SEEN:
        return None
    params = {"by": found(gathers, ""), "times": f"{flat / (flat - gathers):.2f}", "how": how}
    return Finding("join.gathered", "note", f"{where}.waist", params)
