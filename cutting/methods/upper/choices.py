"""What can be chosen for a top: each choice once, in the order of Design."""

from cutting.methods.choices import ALONE, JOINED, Choice, allowances, grouped, length, need, rule, some

FITTED, NOT_FITTED = need("fitted", "yes"), need("fitted", "no")
LONG = need("ends", "hip")
CUFFED = need("sleeve", "three-quarter", "long")
SLEEVED = need("sleeve", "short", "three-quarter", "long")

TOP: dict[str, Choice] = grouped({
    "neck": {
        "neck_shape": rule("round v square boat"),
        "neck_width": length(2, 8),
        "front_neck_depth": length(1, 12),
        "back_neck_depth": length(0.5, 8),
        "closure": rule("none back-zip front-zip", ALONE),
        "zip_edge": length(0.75, 2, ALONE, need("closure", "back-zip", "front-zip")),
        "neck_opening": rule("none slit placket", need("closure", "none")),
        "neck_opening_length": length(2, 14, need("closure", "none"), need("neck_opening", "slit", "placket")),
        "finish": rule("facing bias"),
    },
    "fit": {
        "bust_ease": length(0, 14),
        "waist_ease": length(0, 6, FITTED, ALONE),
        "hip_ease": length(0, 14, LONG, ALONE),
        "shoulder_slope": length(0.25, 3),
        "armhole_lower": length(0, 3),
        "armhole_hollow": length(0, 1.5),
        "bust_dart": rule("side none"),
        "darts": rule("none one two", FITTED),
        "dart_intake": length(0, 2, FITTED),
    },
    "sleeve": {
        "sleeve": rule("none short three-quarter long"),
        "sleeve_ease": length(0.5, 10, SLEEVED),
        "cap_ease": length(0, 2, SLEEVED),
        "sleeve_length": length(4, 36, SLEEVED),
        "sleeve_round": length(4, 36, SLEEVED),
        "sleeve_finish": rule("hem cuff", CUFFED),
        "cuff_depth": length(1, 5, CUFFED, need("sleeve_finish", "cuff")),
    },
    "length": {
        "top_length": length(10, 50, NOT_FITTED, ALONE),
        "hem_shape": rule("level curved", LONG, ALONE),
        "hem": length(0.25, 4, ALONE),
        "side_slit": length(1, 14, LONG, ALONE),
    },
    "seams": {
        "allowances": allowances("side", "shoulder", "armhole", "neck", "waist"),
        "marking": rule("on-cloth on-paper"),
    },
    "another-cloth": {"other_cloth": some("facings sleeves all")},
})  # fmt: skip
EDGE_NEEDS = {"waist": (JOINED,)}
"""Allowances that are asked only where their edge is sewn."""
