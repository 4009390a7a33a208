"""What a choice changes, in words: the name of each sum, and by how much."""

from collections.abc import Mapping

from cutting.lengths import Unit, show

NAMES = {
    "hip": "hip", "front_hip": "front hip", "back_hip": "back hip", "front_waist": "front waist, flat",
    "back_waist": "back waist, flat", "top": "waist seam down", "crotch_depth": "crotch depth", "hip_depth": "hip line",
    "knee_depth": "knee line", "length": "length", "extension": "front extension", "back_extension": "back extension",
    "tip": "back tip", "drop": "centre front down", "lift": "centre back up", "slant": "centre back in",
    "front_darts": "front dart", "back_darts": "back dart", "knee_round": "knee round", "hem_round": "hem round",
    "centre_seam": "centre seam", "width": "width, front and back", "shoulder": "shoulder", "neck_width": "neck, half width",
    "front_neck": "front neck depth", "back_neck": "back neck depth", "slope": "shoulder slope",
    "armhole_depth": "armhole line", "front_across": "front between the armholes", "back_across": "back between the armholes",
    "front_waist_level": "front waist", "back_waist_level": "back waist", "front_length": "front length",
    "back_length": "back length", "bust_dart": "bust dart", "bust_level": "bust point", "bust_out": "bust point, out",
    "opening": "neck opening", "hip_width": "width for the hip", "hip_level": "hip line", "sleeve_length": "sleeve length",
}  # fmt: skip


def say_effect(by: Mapping[str, float], unit: Unit) -> str:
    """Such as `crotch depth + 1 in, front extension - 1/2 in`; empty where nothing changes."""
    parts = [f"{NAMES[name]} {'+' if size > 0 else '-'} {show(abs(size), unit).text}" for name, size in by.items()]
    return ", ".join(parts)
