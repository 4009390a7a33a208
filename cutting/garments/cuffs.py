"""A cuff on a sleeve: the sleeve slit behind, the strip it is drawn in to, the strip that binds the slit.

Sizes are common practice, no source.
"""

from dataclasses import replace

from cutting.garments.part import Allowed, Part, middle_of, strip
from cutting.garments.seams import sewn
from cutting.geometry import Line, Path, distance
from cutting.lengths import Rule, found, named
from cutting.methods.upper import Sleeve, TopAsk
from cutting.pieces import Panel

SEAM, OVERLAP = Rule(0.5), Rule(1, "overlap")
BINDING = Rule(1.25, metric=3.5)
LINE = "sleeve-slit"


def slit(sleeve: Panel) -> Panel:
    """The sleeve with the line it is slit along, up from its lower edge in the middle of its back half."""
    foot, top = sleeve.points["S0"], sleeve.points["S1"]
    return replace(sleeve, lines=sleeve.lines | {LINE: Path((Line(foot, top),))})


def cuff_parts(garment: str, ask: TopAsk, made: Sleeve, sleeve: Panel) -> list[Part]:
    """A folded strip for each cuff, interfaced, and a strip that binds both sides of its slit."""
    if made.cuff is None:
        return []
    both = Allowed(SEAM.now, SEAM.now)
    long = made.cuff + OVERLAP.now + SEAM.now * 2
    deep = named(ask.cuff_depth, "cuff") * 2 + SEAM.now * 2
    cuff = strip(garment, "cuff", long, deep, both, overlap=OVERLAP.now, round=made.cuff)
    bound = found(2 * distance(sleeve.points["S0"], sleeve.points["S1"]), "round_the_edge") + SEAM.now * 2
    binding = strip(garment, "slit-binding", bound, BINDING.now, both)
    to_edge = sewn("cuff", "cuff.waist", "sleeve.hem", count=2)
    to_slit = sewn("binding", "slit-binding.waist", f"sleeve.{LINE}", count=2)
    return [
        Part(cuff, 2, fold=middle_of(cuff), interfacing=True, seams=(to_edge,)), Part(binding, 2, seams=(to_slit,)),
    ]  # fmt: skip
