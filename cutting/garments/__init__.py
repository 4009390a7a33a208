"""A garment drafted whole: panels, parts, numbers, what is bought."""

from cutting.garments.garment import Garment
from cutting.garments.house import House, HouseDrawing, draft_house
from cutting.garments.join import draft_joined
from cutting.garments.lower import Lower, draft_lower, lower_panels
from cutting.garments.notions import Notion
from cutting.garments.number import Number
from cutting.garments.part import Part
from cutting.garments.seams import Seam
from cutting.garments.sides import LEFT, LeftSide, by_sides
from cutting.garments.spare import KEPT, spare
from cutting.garments.top import Top, draft_top, top_panels

__all__ = [
    "KEPT",
    "LEFT",
    "Garment",
    "House",
    "HouseDrawing",
    "LeftSide",
    "Lower",
    "Notion",
    "Number",
    "Part",
    "Seam",
    "Top",
    "by_sides",
    "draft_house",
    "draft_joined",
    "draft_lower",
    "draft_top",
    "lower_panels",
    "spare",
    "top_panels",
]
