"""Centre crease, borrowed crotch: close men's trousers on one crease, as a budget of cut widths.

The centre front is lowered by what the centre back is raised; front and back share (hip + 4) / 2 and (waist + 6) / 2,
the back 1 1/2 and 3/4 wider; half the thigh is the front's cut width at the crotch line, the back's is 3 more; the knee
is 2 wider behind. The 4 and the 6 hold the seams (1/2 on each edge) and the back's dart. Common practice, no source.
"""

from fractions import Fraction

from cutting.lengths import inch
from cutting.methods.ask import Allowances
from cutting.methods.method import Method

CENTRE_CREASE = Method(
    "centre-crease",
    {
        "ease_place": "panels",
        "hip_ease": inch(0),
        "hip_split": inch(1.5),
        "waist_split": inch(Fraction(-1, 4)),
        "crotch_extension": "thigh-cut",
        "back_extension": "tip",
        "back_tip": inch(1.5),
        "seat_height": "drop-and-raise",
        "seat_raise": inch(1),
        "front_darts": "none",
        "back_darts": "one",
        "knee_ease": inch(0),
        "hem_ease": inch(0),
        "knee_floor": False,
        "back_wider": inch(2),
        "closure": "fly",
        "allowances": Allowances(side=inch(0.5)),
    },
    styles=("knee-shorts", "straight-trousers", "close-trousers", "boot-cut"),
)
