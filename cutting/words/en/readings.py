"""What is measured on the sewn garment, and what a reading of it means."""

from collections.abc import Sequence

from cutting.lengths import Unit, show
from cutting.sewing import Given, Judged

READINGS = {
    "hip": "Hip round", "waist": "Waist round", "left_leg": "Left inner leg", "right_leg": "Right inner leg",
    "cap": "The sleeve's cap", "armhole": "The armhole", "lower_waist": "The trousers' waist", "top_waist": "The top's waist",
}  # fmt: skip
SEAMS = {
    "side": ("Let the sides out", "Take the sides in"), "back_centre": ("Let the back centre out", "Take the back centre in"),
    "underarm": ("Let the sleeve's underarm seam out", "Take the sleeve's underarm seam in"),
    "darts": ("Make the darts shallower", "Make the darts deeper"),
}  # fmt: skip
DOUBTS = {
    "swapped": "{name} {read}, where {wanted} is wanted: look whether two figures changed places.",
    "other_unit": "{name} {read}, where {wanted} is wanted: look whether that was read in the other unit.",
    "far": "{name} {read}, where {wanted} is wanted: that cannot well be. Measure again, the tape flat and on its line.",
}


def reading_name(code: str) -> str:
    """What is measured."""
    return READINGS[code]


def say_doubt(doubt: str, code: str, read: float, wanted: float, unit: Unit) -> str:
    """Why a reading, in mm, is doubted."""
    sizes = {"read": show(read, unit).text, "wanted": show(wanted, unit).text}
    return DOUBTS[doubt].format(name=f"{READINGS[code]}:", **sizes)


def say_reading(judged: Judged, codes: Sequence[str], band: float | None, unit: Unit) -> tuple[str, ...]:
    """What the readings of those codes mean; `band` is how long the band was cut, in mm."""
    said = [_off(judged, codes, unit), *(_given(one, unit) for one in judged.given)]
    if abs(judged.left) > 0:
        left = show(abs(judged.left), unit).text
        said.append(f"{left} more no seam gives: look at the cut widths and the seams before you go on.")
    if judged.band is not None and band is not None and not judged.agrees:
        said.append(f"Or, if the wearer agrees, leave the seams and cut the band {_band(judged, band, unit)}.")
    return tuple(said)


def say_band(judged: Judged, band: float, unit: Unit) -> str:
    """How long the band is by what was read; `band` is how long it was cut, in mm."""
    return f"By the waist that was read, the band is {_band(judged, band, unit)}."


def _band(judged: Judged, band: float, unit: Unit) -> str:
    cut, was, by = (show(mm, unit).text for mm in (band + judged.off, band, abs(judged.off)))
    return (
        f"{cut} long, as it was drafted" if cut == was else f"{cut} long ({was} {'+' if judged.off > 0 else '-'} {by})"
    )


def _off(judged: Judged, codes: Sequence[str], unit: Unit) -> str:
    by = show(abs(judged.off), unit).text
    more = judged.off > 0
    if codes[0] == "left_leg":
        sides = ("left", "right") if more else ("right", "left")
        if judged.agrees:
            return f"Both legs are as long as they should be, to {by}."
        return f"The {sides[0]} leg is {by} too long beside the {sides[1]}: look for what slipped, and even them now."
    if codes[0] == "cap":
        ease = f"The cap is {by} {'longer' if more else 'shorter'} than the armhole"
        return f"{ease}: as it was drafted." if judged.agrees else f"{ease}, not as it was drafted."
    if codes[0] == "lower_waist":
        against = f"The trousers' waist is {by} {'larger' if more else 'smaller'} than the top's"
        return f"{against}: as it was drafted." if judged.agrees else f"{against}, not as it was drafted."
    if judged.agrees:
        return f"As it should be: {by} {'more' if more else 'less'}." if by[0] != "0" else "As it should be."
    return f"{by} too {'large' if more else 'small'}."


def _given(one: Given, unit: Unit) -> str:
    out, into = SEAMS[one.code]
    each, whole = (show(abs(mm), unit).text for mm in (one.each, one.each * one.layers))
    does = out if one.each > 0 else into
    of = "darts" if one.code == "darts" else "layers"
    return f"{does} by {each} at each of {one.layers} {of} ({whole} / {one.layers})."
