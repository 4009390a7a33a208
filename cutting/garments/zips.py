"""How long the zip of a lower garment is: as usual, or shorter, so that it does not run round the curve.

Sizes are common practice, no source.
"""

from collections.abc import Mapping
from math import floor

from cutting.finding import Finding
from cutting.lengths import Length, Rule, inch
from cutting.methods import Ask
from cutting.pieces import Panel
from cutting.where import choice

ZIPS = {"side-zip": Rule(9), "back-zip": Rule(9), "fly": Rule(7)}
"""How long the zip of each closure of a lower garment usually is."""
BELOW_THE_STRAIGHT, ABOVE_THE_FORK, SHORTEST = 57.15, 40.0, 4
"""In mm: how far a zip in a centre seam reaches into the curve; how far from the fork one with an edge of its own ends
at least. The shortest one sold, in inches.
"""


def zip_length(closure: str, panels: Mapping[str, Panel]) -> Length | None:
    """The zip of a closure on these panels; None for a garment that has none."""
    if closure not in ZIPS:
        return None
    usual = ZIPS[closure].now
    if closure == "side-zip":
        return usual
    if "leg" in panels:
        edges = panels["leg"].edges
        seam = edges["crotch"].path if closure == "fly" else edges["back_crotch"].path.back
    else:
        seam = panels["front" if closure == "fly" else "back"].edges["crotch"].path
    reach = seam.segments[0].length + BELOW_THE_STRAIGHT
    if closure == "back-zip":
        reach = min(reach, seam.length - ABOVE_THE_FORK)
    room = max(SHORTEST, floor(reach / 25.4 + 1e-6))
    return inch(room) if inch(room).mm < usual.mm else usual


ELASTIC = ("elastic-band", "casing", "paper-bag")
"""Waists that are drawn together and pass the hip without an opening."""


def said_of_opening(ask: Ask) -> list[Finding]:
    """That a zip was chosen for a waist that needs none: it is drawn and bought all the same."""
    needless = ask.waist_finish in ELASTIC and ask.closure in ZIPS and "closure" in ask.chosen
    return [Finding("zip.needless", "note", choice("closure"), {"finish": ask.waist_finish})] if needless else []


def said_of_zip(closure: str, used: Length | None) -> list[Finding]:
    """That a zip is shorter than usual, where it is."""
    if used is None or used.mm >= ZIPS[closure].now.mm:
        return []
    usual = ZIPS[closure].now
    return [Finding("zip.shorter", "note", choice("closure"), {"wanted": usual, "used": used})]
