"""Twentieth and tenth: the front's extension is hip/20, the back's hip/10; the curve swings 1/2 outside the centre line
at the hip line; the centre back runs from 1 in on the crotch line to 2 in and 2 up at the waist. Common practice, no
source.
"""

from cutting.lengths import inch
from cutting.methods.method import Method

TWENTIETH_TENTH = Method(
    "twentieth-tenth",
    {
        "crotch_extension": "hip/20",
        "back_extension": "hip/10",
        "curve_outside": inch(0.5),
        "centre_drop": inch(0.5),
        "side_raise": inch(0.5),
        "centre_base": inch(1),
        "seat_raise": inch(2),
        "centre_slant": inch(2),
        "knee_ease": inch(1),
        "knee_floor": False,
        "back_wider": inch(1),
    },
)
