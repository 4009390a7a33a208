"""Multiplied quarter: very wide legs from a panel two to three times a quarter of the hip, the waist gathered.

Common practice, no source.
"""

from fractions import Fraction

from cutting.lengths import inch
from cutting.methods.method import Method

MULTIPLIED_QUARTER = Method(
    "multiplied-quarter",
    {
        "fullness": Fraction(5, 2),
        "hip_ease": inch(0),
        "crotch_extension": "hip/16",
        "back_extension": "tip",
        "back_tip": inch(2),
        "back_side_out": inch(2),
        "back_wider": inch(1),
        "seat_raise": inch(1),
        "centre_slant": inch(2),
        "waist_in": inch(1.5),
        "waist_finish": "elastic-band",
        "closure": "none",
    },
    styles=("palazzo", "wide-gathered"),
    finishes=("straight-band", "elastic-band", "casing", "paper-bag"),
)
