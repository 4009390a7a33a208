"""Styles: what panels, waist, parts and numbers a garment has."""

from cutting.garments.lower import STYLES, Garment, Number, draft_lower

__all__ = ["STYLES", "Garment", "Number", "draft_lower"]
