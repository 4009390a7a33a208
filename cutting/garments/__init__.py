"""A garment drafted whole: panels, parts, numbers, what is bought."""

from cutting.garments.lower import Garment, draft_lower
from cutting.garments.numbers import Number
from cutting.garments.part import Part
from cutting.garments.waists import Notion

__all__ = ["Garment", "Notion", "Number", "Part", "draft_lower"]
