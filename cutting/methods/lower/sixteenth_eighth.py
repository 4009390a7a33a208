"""Sixteenth and eighth: from the eased panel, a quarter of it for the front's extension and a half for the back's; the
depth measured seated; the waist as wide as the hip, gathered. Common practice, no source.
"""

from cutting.lengths import inch
from cutting.methods.method import Method

SIXTEENTH_EIGHTH = Method(
    "sixteenth-eighth",
    {
        "crotch_depth": "seated",
        "ease_place": "panels",
        "hip_ease": inch(1),
        "crotch_extension": "panel/4",
        "back_extension": "panel/2",
        "front_diagonal": inch(1.5),
        "back_diagonal": inch(2),
        "seat_height": "none",
        "centre_slant": inch(0),
        "waist_finish": "casing",
        "band": "none",
        "closure": "none",
    },
    unused=("seat",),
)
