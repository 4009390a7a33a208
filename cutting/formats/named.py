"""What the pieces of a plan are called: as short as they can be without being mistaken."""

from collections.abc import Mapping
from types import MappingProxyType
from typing import Literal

from cutting.formats.plan_shape import PlanOut
from cutting.garments import LEFT
from cutting.words import Language

Clients = Mapping[str, str]
"""Of the outfits of several on one cloth the clients' names by the outfits' ids; of the first its id is empty."""
NOBODY: Clients = MappingProxyType({})
"""One outfit alone."""
ON_THE_LEFT = f".{LEFT}"


def outfit_of(garment: str, clients: Clients) -> str:
    """Which outfit a garment is of: its id begins with it."""
    first = garment.partition(".")[0]
    return first if first in clients else ""


def name_of(plan: PlanOut, garment: str, panel: str, words: Language, clients: Clients) -> str:
    """A piece's name: with its side where the other side has its own, with its garment where its outfit has several,
    with its client where it is for several.
    """
    outfit, whole = outfit_of(garment, clients), garment.removesuffix(ON_THE_LEFT)
    mine = [one for one in plan.pieces if outfit_of(one.garment, clients) == outfit]
    several = any(one.garment.removesuffix(ON_THE_LEFT) != whole for one in mine)
    side = side_of(plan, garment, panel)
    return words.piece_name(panel, whole if several else "", clients.get(outfit, ""), side)


def side_of(plan: PlanOut, garment: str, panel: str) -> Literal["", "left", "right"]:
    """Which side a piece is of, where the other side has its own."""
    whole = garment.removesuffix(ON_THE_LEFT)
    if not any(one.panel == panel and one.garment == whole + ON_THE_LEFT for one in plan.pieces):
        return ""
    return "right" if garment == whole else "left"
