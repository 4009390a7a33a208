"""Half thigh: the front is as wide as half the thigh at the crotch line; what is left past a quarter of the hip is its
extension (never under hip/24). What the front loses at the centre the back gains. Common practice, no source.
"""

from cutting.lengths import inch
from cutting.methods.method import Method

HALF_THIGH = Method(
    "half-thigh",
    {
        "crotch_depth": "hip/4+1",
        "crotch_extension": "thigh/2",
        "seat_height": "drop-and-raise",
        "front_diagonal": inch(1.5),
        "back_diagonal": inch(2),
        "front_dart_place": "crease",
        "back_wider": inch(2),
    },
    of_style={key: {"side_in_hem": inch(0.25), "inner_in_hem": inch(0.25)} for key in ("very-short-shorts", "shorts")},
    seats={"flat": (2, 1.5, 1.5), "usual": (2, 1.5, 2), "full": (2.5, 1.5, 2.5)},
)
