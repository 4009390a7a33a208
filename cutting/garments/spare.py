"""What a sewn seam can be let out by: its allowance less what stays under the needle. Common practice, no source."""

from fractions import Fraction

from cutting.garments.garment import Garment
from cutting.lengths import Length, Rule, named, total

KEPT = Rule(Fraction(1, 4), "kept")


def spare(garment: Garment, *places: tuple[str, str]) -> Length | None:
    """By how much each layer of an edge can be let out, of the first panel and edge that there is; nothing or less
    where the allowance is no more than what is kept. None where there is no such edge.
    """
    for panel, edge in places:
        if panel in garment.panels and edge in garment.panels[panel].edges:
            return total(named(garment.panels[panel].edges[edge].allowance, "allowance"), -KEPT.now)
    return None
