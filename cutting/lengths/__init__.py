"""Lengths: read as people write them, shown as a tape shows them, kept with the sum they came from."""

from cutting.lengths.length import (
    INCH_MM,
    Fixed,
    Found,
    Length,
    Measured,
    Scaled,
    Sum,
    cm,
    found,
    inch,
    mm,
    named,
    total,
)
from cutting.lengths.units import Shown, Unit, read, show

__all__ = [
    "INCH_MM", "Fixed", "Found", "Length", "Measured", "Scaled", "Shown", "Sum", "Unit", "cm", "found",
    "inch", "mm", "named", "read", "show", "total",
]  # fmt: skip
