"""What can be chosen for a top: each choice and what it knows."""

from cutting.methods.choices import Choice, length, rule

TOP: dict[str, Choice] = {
    "bust_ease": length(0, 14),
    "waist_ease": length(0, 6),
    "hip_ease": length(0, 14),
    "neck_shape": rule("round v square boat"),
    "neck_width": length(2, 8),
    "front_neck_depth": length(1, 12),
    "back_neck_depth": length(0.5, 8),
    "shoulder_slope": length(0.25, 3),
    "armhole_hollow": length(0, 1.5),
    "armhole_lower": length(0, 3),
    "sleeve": rule("none short three-quarter long"),
    "sleeve_ease": length(0.5, 10),
    "cap_ease": length(0, 2),
    "sleeve_length": length(4, 36),
    "sleeve_round": length(4, 36),
    "closure": rule("none back-zip front-zip"),
    "zip_edge": length(0.75, 2),
    "finish": rule("facing bias"),
    "top_length": length(10, 50),
    "hem": length(0.25, 4),
    "hem_shape": rule("level curved"),
    "side_slit": length(1, 14),
    "darts": rule("none one two"),
    "dart_intake": length(0, 2),
    "bust_dart": rule("side none"),
    "marking": rule("on-cloth on-paper"),
    "other_cloth": Choice("list", ("none", "facings", "sleeves", "all")),
    "allowances": Choice("allowances", ("neck", "shoulder", "armhole", "side", "waist"), (), 0.0, 3 * 25.4),
}
