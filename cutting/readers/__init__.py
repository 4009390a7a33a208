"""Patterns that another program drew: read, checked, and drawn as any pattern is."""

from cutting.errors import refuse
from cutting.readers.dxf import read_dxf
from cutting.readers.outlines import HousePattern, HousePiece, Refused, Unit, pattern_of
from cutting.readers.svg import read_svg

__all__ = ["HousePattern", "HousePiece", "Refused", "Unit", "pattern_of", "read_dxf", "read_pattern", "read_svg"]

MOST_LETTERS = 500_000
"""A longer file is not read."""


def read_pattern(text: str, unit: Unit | None = None) -> HousePattern:
    """The pieces of an SVG or a DXF file, with what is refused of it. `unit` is for a file that says none.

    Raises CuttingError where it is no such file, too long, or says no unit and none is given.
    """
    if len(text) > MOST_LETTERS:
        raise refuse("pattern.large", most=MOST_LETTERS // 1000)
    return pattern_of(*(read_svg(text, unit) if "<svg" in text[:5000] else read_dxf(text, unit)))
