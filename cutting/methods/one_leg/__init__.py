"""A leg in one piece, without a side seam: the sums both such methods share, and the outline they end in."""

from cutting.methods.one_leg.outline import close_leg
from cutting.methods.one_leg.sums import Widths, leg_sums, needs

UNUSED = (
    "crotch_extension", "back_extension", "back_tip", "seat", "seat_height", "seat_raise", "centre_drop", "side_raise",
    "centre_slant", "centre_base", "curve_outside", "hip_ease", "ease_place", "hip_split", "waist_split", "waist_in",
    "back_waist_extra", "back_wider", "back_side_out", "darts", "dart_place", "dart_intake", "dart_length",
    "front_darts", "front_dart_place", "front_dart_intake", "front_dart_length", "back_darts", "back_dart_place",
    "back_dart_intake", "back_dart_length", "front_waist", "hem_ease", "side_in_hem", "inner_in_hem", "knee_width",
    "knee_ease", "pocket_start", "bag_deep", "bag_wide", "bag_cut", "patch_wide", "patch_deep", "patch_foot",
    "patch_from_centre", "mouth_wide", "mouth_deep", "piping", "turn_up_strip", "hem_from", "leg_inwards",
    "side_in_knee", "crotch_fit", "thigh_line", "thigh_ease", "fullness", "hip_line", "yoke", "turn_up", "pockets",
    "waist_cleanup", "belt_loops", "back_from",
)  # fmt: skip
"""Choices that a leg in one piece does not read: it has no back to lay out, no dart and no knee."""

__all__ = ["UNUSED", "Widths", "close_leg", "leg_sums", "needs"]
