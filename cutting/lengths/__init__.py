"""Lengths: read as people write them, shown as a tape shows them, kept with the sum they came from."""

from cutting.lengths.length import (
    INCH_MM,
    Corrected,
    Exact,
    Fixed,
    Found,
    Length,
    Measured,
    OfCorrection,
    Rule,
    Scaled,
    Sum,
    as_marked,
    cm,
    found,
    inch,
    mm,
    named,
    on_tape,
    total,
    unit_of_tape,
)
from cutting.lengths.units import Shown, Unit, read, read_signed, show

__all__ = [
    "INCH_MM", "Corrected", "Exact", "Fixed", "Found", "Length", "Measured", "OfCorrection", "Rule", "Scaled", "Shown",
    "Sum", "Unit", "as_marked", "cm", "found", "inch", "mm", "named", "on_tape", "read", "read_signed", "show",
    "total", "unit_of_tape",
]  # fmt: skip
