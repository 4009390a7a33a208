"""What each number of a plan is called."""

_PANELS = {
    "sleeve": "Sleeve",
    "front": "Front",
    "back": "Back",
    "band": "Band",
    "fold": "Fold",
    "elastic": "Elastic",
    "waist": "Waist",
}
_NUMBERS = {
    "crotch_depth": "crotch depth", "hip_depth": "hip line", "thigh_depth": "thigh line", "knee_depth": "knee line",
    "ankle_depth": "ankle line", "length": "length, finished", "cut_length": "length, cut", "hip_width": "hip width",
    "crotch_extension": "crotch extension", "crotch_width": "width on the crotch line", "waist_width": "waist width",
    "thigh_width": "thigh width", "knee_width": "knee width", "hem_width": "hem width", "crease": "crease",
    "curve_diagonal": "curve's diagonal", "dart_intake": "dart, width", "dart_length": "dart, length",
    "dart_place": "dart, place", "centre_drop": "centre down", "side_raise": "side up", "crotch_seam": "crotch seam, sewn", "crotch_tip": "tip, out",
    "tip_drop": "tip, down", "seat_raise": "centre up", "centre_slant": "centre in", "cut_depth": "depth, cut",
    "finished_depth": "depth, finished", "needed": "depth needed", "quick_rule": "depth by the quick rule", "quick_half": "half the hip", "quick_thigh": "half the thigh and 2", "quick_thigh_back": "half the thigh and 5, for the back",
    "opening": "opening, let out", "width": "width", "neck_depth": "neck depth", "across": "width between the armholes",
    "neck_width": "neck width, half", "shoulder": "shoulder, half", "shoulder_slope": "shoulder slope",
    "armhole_depth": "armhole depth", "waist_depth": "waist behind", "neck_round": "neck, all round",
    "armhole_length": "armhole, all round", "bust_dart": "bust dart", "zip_edge_neck": "zip edge at the neck",
    "zip_edge_waist": "zip edge at the waist", "cap_height": "cap height", "cap_length": "cap length", "round": "lower edge, round",
}  # fmt: skip


def number_name(key: str) -> str:
    """The name of a number by its key, without the garment's id: `front.hip_width` is `Front, hip width`."""
    panel, _, number = key.rpartition(".")
    name = _NUMBERS.get(number, number.replace("_", " "))
    if not panel:
        return name[0].upper() + name[1:]
    return f"{_PANELS.get(panel, panel.replace('-', ' ').capitalize())}, {name}"
