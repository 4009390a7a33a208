"""What the pieces of a plan are called: as short as they can be without being mistaken."""

from collections.abc import Mapping
from types import MappingProxyType

from cutting.formats.plan_shape import PlanOut
from cutting.words import Language

Clients = Mapping[str, str]
"""Of the outfits of several on one cloth the clients' names by the outfits' ids; of the first its id is empty."""
NOBODY: Clients = MappingProxyType({})
"""One outfit alone."""


def outfit_of(garment: str, clients: Clients) -> str:
    """Which outfit a garment is of: its id begins with it."""
    first = garment.partition(".")[0]
    return first if first in clients else ""


def name_of(plan: PlanOut, garment: str, panel: str, words: Language, clients: Clients) -> str:
    """A piece's name: with its garment where its outfit has several, with its client where it is for several."""
    outfit = outfit_of(garment, clients)
    several = any(one.garment != garment and outfit_of(one.garment, clients) == outfit for one in plan.pieces)
    return words.piece_name(panel, garment if several else "", clients.get(outfit, ""))
