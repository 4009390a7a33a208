"""Quarter plus one, with fixed additions: the 1 is the seam; the extension goes by size, the leg falls straight
from the thigh line. Common practice, no source.
"""

from cutting.methods.method import Method

QUARTER_PLUS_ONE = Method(
    "quarter-plus-one",
    {"crotch_extension": "by-size", "back_extension": "tip"},
    seats={"flat": (1.5, 1, 1.5), "usual": (2, 1.5, 2), "full": (2.5, 2, 2.5)},
)
