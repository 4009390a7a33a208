"""What is called out at the table: the mark's name, how it is said, from where, along what, and why."""

from dataclasses import dataclass

PLACES = {
    "top": "the top line", "crotch_line": "the guide line", "hip_line": "the guide line", "knee_line": "the guide line",
    "hem_line": "the guide line", "guide_line": "the guide line", "centre_on_crotch_line": "the corner of centre and crotch line",
    "centre_at_waist": "the centre", "centre_in": "the centre", "centre_drop": "the centre's lowered point", "waist_line": "the waist line",
    "dart_near": "the dart's near leg", "dart_place": "the dart's middle", "crease": "the crease",
    "front_crotch_point": "the front's crotch point", "crotch_tip": "the point just marked", "front_centre_line": "the front's centre",
    "centre_slant": "the point just marked", "seat_raise": "the centre back's top", "centre_line": "the centre back",
    "front_knee_inner": "the front's inner leg", "front_knee_side": "the front's side", "front_hem_inner": "the front's inner leg",
    "front_hem_side": "the front's side", "front_thigh_inner": "the front's inner leg", "strip_end": "the strip's end",
    "fold": "the fold", "selvedge": "the selvedge", "cut_end": "the cut end of the cloth",
}  # fmt: skip
LINES = {
    "fold": "along the fold",
    "guide_line": "down along the guide line", "hip_line": "along the hip line", "crotch_line": "along the crotch line",
    "waist_line": "along the waist line", "waist_seam": "along the waist seam", "centre_line": "along the centre line",
    "diagonal": "at half a right angle, up and out", "dart": "square to the waist seam, down", "level": "level, out",
    "knee_line": "along the knee line", "hem_line": "along the hem line", "thigh_line": "along the thigh line",
    "side": "straight up", "down": "straight down", "up": "straight up", "upright": "square to the waist line", "grain": "along the grain",
    "strip_end": "along the strip's end", "across_cloth": "straight across the cloth", "along_cloth": "along the selvedge",
}  # fmt: skip


@dataclass(frozen=True)
class Words:
    """One mark in words."""

    name: str
    reason: str


_FRONT: dict[str, tuple[str, str]] = {
    "guide": ("Guide line", "Chalk it along the grain, the whole length: every width of the front starts here."),
    "top_line": ("Top line", "Square to the guide line. Every depth is measured from here."),
    "crotch_line": ("Crotch line", "Mark the depth twice, at the guide line and a hand's breadth further in, so that the line comes out level."),
    "hip_line": ("Hip line", "The fullest part of the seat lies on this line."),
    "knee_line": ("Knee line", "The leg is shaped to here and straight from here."),
    "hem_line": ("Hem, cut edge", "The hem's turn lies above this edge by the hem allowance."),
    "hip_width": ("Hip width", "A quarter of the hip. The ease lies in the back."),
    "centre_on_crotch_line": ("Centre front on the crotch line", "Join it to the hip width: this is the straight centre front."),
    "crotch_point": ("Crotch point", "The extension gives the front its room between the legs. The back gets more."),
    "centre_in": ("Centre front, in", "The waist is much smaller than the hip: the centre takes a little of it."),
    "centre_drop": ("Centre front, down", "What the centre front loses, the centre back gains. Chalk the slope; leave it uncut until the back is traced."),
    "waist_width": ("Waist width", "A quarter of the waist and the dart, laid along the seam from the centre."),
    "side_raise": ("Side, up", "The waist rises towards the side."),
    "curve_start": ("Crotch curve, start", "Here the curve leaves the straight centre line."),
    "curve_diagonal": ("Crotch curve, depth", "The curve passes here, then runs square into the inner leg."),
    "dart_place": ("Dart, middle", "The dart's middle on the waist seam."),
    "dart_intake": ("Dart, width", "What the dart takes in; it is closed below the band."),
    "dart_length": ("Dart, point", "The dart ends here, above the fullest part."),
    "side_middle": ("Side curve", "Halfway up: draw the side from the hip line through here to the waist."),
    "crease": ("Crease", "Half of the crotch width. Carry it down to the hem: knee and hem are shared about it."),
    "knee_inner": ("Knee, inner leg", "The knee is shared equally about the crease."),
    "knee_side": ("Knee, side", "The same on the other side of the crease."),
    "hem_inner": ("Hem, inner leg", "The hem is shared equally about the crease."),
    "hem_side": ("Hem, side", "The same on the other side of the crease."),
    "thigh_width": ("Leg line", "Two inches below the crotch line; from here the leg falls straight."),
    "hem_width": ("Hem width", "Straight down from the leg line."),
}  # fmt: skip
_BACK: dict[str, tuple[str, str]] = {
    "guide": ("Front's guide line", "Lay the cut front here and trace it lightly: the back is the front and its additions."),
    "top_line": ("Front's top line", "The traced front's top edge lies on it."),
    "crotch_tip": ("Back crotch point, out", "The seat needs more room than the front: the point moves out."),
    "tip_drop": ("Back crotch point, down", "The drop makes the back's inner leg as long as the front's."),
    "centre_slant": ("Centre back, in", "The centre back leans in towards the waist over the seat."),
    "seat_raise": ("Centre back, up", "The raise is what the seat takes when one sits down."),
    "hip_width": ("Back hip width", "From the centre back towards the side; the ease of the hip lies here."),
    "crotch_line_width": ("Back width on the crotch line", "The same width, one line lower."),
    "side_height": ("Side top, level", "At this height the back's side seam is as long as the front's."),
    "waist_width": ("Back waist width", "Swing it from the centre back's top until it meets that level: the same width as the front's."),
    "thigh_inner": ("Leg line", "The whole leg edge moves out with the crotch point."),
    "knee_inner": ("Back knee, inner leg", "The back is a little wider at the knee."),
    "knee_side": ("Back knee, side", "The same at the side."),
    "hem_inner": ("Back hem, inner leg", "The back is wider at the hem as well."),
    "hem_side": ("Back hem, side", "The same at the side."),
}  # fmt: skip
_BAND: dict[str, tuple[str, str]] = {
    "guide": ("Band, edge", "The strip lies along the grain."),
    "top_line": ("Band, end", "Square to the fold or the edge: the strip begins here."),
    "band_length": ("Band, length", "The sewn waist, the overlap and a seam at each end. Cut it a little long; trim it after the waist is measured again."),
    "band_depth": ("Band, depth", "Twice the finished band and a seam on each edge; on the fold, half of that."),
}  # fmt: skip


_SECOND: dict[str, tuple[str, str]] = {
    "second_guide": ("Second {panel}, guide line", "Lay the cut {panel} here with its other face up and trace it: left and right mirror each other."),
    "second_top_line": ("Second {panel}, top line", "The cut {panel}'s top line lies on it; trace the whole outline, then its notches and darts."),
}  # fmt: skip


def mark_words(panel: str, code: str) -> Words:
    """The name of a mark and the reason for it."""
    if code in _SECOND:
        name, reason = (text.format(panel=panel) for text in _SECOND[code])
        return Words(name, reason)
    own = {"back": _BACK, "band": _BAND}.get(panel, {})
    name, reason = own.get(code) or _FRONT[code]
    return Words(name, reason)


def from_along(from_code: str, along: str) -> tuple[str, str]:
    """From where the tape starts and along what it lies, in words."""
    return PLACES[from_code], LINES[along]
