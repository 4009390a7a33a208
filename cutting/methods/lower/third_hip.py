"""Third hip, loose: 7 of ease in the hip, hip/3 - 1 for the depth, half the thigh with 6 of ease for the front's
width at the crotch line; the back 2 1/2 wider there, 3 higher at the top, 1 1/4 wider at the hem. Common practice, no
source.
"""

from cutting.lengths import inch
from cutting.methods.ask import Allowances
from cutting.methods.method import Method

THIRD_HIP = Method(
    "third-hip",
    {
        "crotch_depth": "hip/3-1",
        "ease_place": "panels",
        "hip_ease": inch(7),
        "thigh_ease": inch(6),
        "crotch_extension": "thigh-eased",
        "back_extension": "tip",
        "back_tip": inch(2.5),
        "centre_slant": inch(0),
        "seat_raise": inch(3),
        "back_wider": inch(1.25),
        "waist_finish": "elastic-band",
        "closure": "none",
        "allowances": Allowances(centre=inch(0.25)),
    },
    of_style={"knee-shorts": {"ease_place": "panels", "hip_ease": inch(7)}},
    styles=("knee-shorts", "shorts", "straight-trousers", "palazzo", "wide-gathered", "paper-bag", "loose-trousers"),
)
