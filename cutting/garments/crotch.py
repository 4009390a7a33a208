"""What is said of a crotch that was not measured."""

from math import ceil, floor

from cutting.body import Body
from cutting.codes import FindingCode
from cutting.finding import Finding
from cutting.garments.number import Numbers
from cutting.lengths import Rule, found
from cutting.methods import Ask
from cutting.methods.usual_crotch import usual_crotch
from cutting.where import measure

ROUGHLY = Rule(0.5, metric=1)
"""What is usual is said to so much."""


def said_of_crotch(body: Body, ask: Ask, numbers: Numbers) -> list[Finding]:
    """What the crotch usually is on such a body, beside the sewn seam, where it was not measured."""
    if body.has("crotch_length") or ask.waist_finish == "joined":
        return []
    usual = usual_crotch(body)
    if usual is None:
        return []
    step = ROUGHLY.now.mm
    low, high = found(floor(usual[0] / step) * step, ""), found(ceil(usual[1] / step) * step, "")
    seam = numbers["crotch_seam"].net
    code: FindingCode = "crotch.usual" if usual[2] == "rise" else "crotch.usual_by_hip"
    return [Finding(code, "note", measure("crotch_length"), {"low": low, "high": high, "sewn": seam})]
