"""What is said of a crotch that was not measured."""

from cutting.body import Body
from cutting.finding import Finding
from cutting.garments.number import Numbers
from cutting.lengths import found
from cutting.methods import Ask
from cutting.methods.usual_crotch import usual_crotch
from cutting.where import measure


def said_of_crotch(body: Body, ask: Ask, numbers: Numbers) -> list[Finding]:
    """What the crotch usually is on such a body, beside the sewn seam, where it was not measured."""
    if body.has("crotch_length") or ask.waist_finish == "joined":
        return []
    usual = usual_crotch(body)
    if usual is None:
        return []
    low, high = (found(size, "") for size in usual)
    seam = numbers["crotch_seam"].net
    return [Finding("crotch.usual", "note", measure("crotch_length"), {"low": low, "high": high, "sewn": seam})]
