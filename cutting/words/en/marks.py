"""What is called out at the table: the mark's name, how it is said, from where, along what, and why."""

from cutting.geometry import Point
from cutting.words.en import top_marks
from cutting.words.language import MarkWords

PLACES = {
    "top": "the top line", "crotch_line": "the guide line", "hip_line": "the guide line", "knee_line": "the guide line",
    "hem_line": "the guide line", "hem_edge": "the hem's edge", "guide_line": "the guide line", "centre_on_crotch_line": "the corner of centre and crotch line",
    "centre_at_waist": "the centre", "centre_in": "the centre", "centre_drop": "the centre's lowered point", "waist_line": "the waist line",
    "dart_near": "the dart's near leg", "dart_place": "the dart's middle", "crease": "the crease",
    "front_crotch_point": "the front's crotch point", "crotch_tip": "the back crotch point", "front_centre_line": "the front's centre",
    "centre_out": "the centre back's top", "centre_slant": "the centre back's top", "seat_raise": "the centre back's top", "centre_line": "the centre back",
    "front_knee_inner": "the front's inner leg", "front_knee_side": "the front's side", "front_hem_inner": "the front's inner leg",
    "front_hem_side": "the front's side", "front_thigh_inner": "the front's inner leg", "strip_end": "the strip's end",
    "centre_base": "the centre back on the crotch line", "own_centre": "the centre back on the crotch line", "own_slant": "the centre back's top",
    "own_crotch_point": "the back crotch point", "rise_line": "the guide line", "front_half": "the front's end of the rise line", "back_half": "the back's end of the rise line",
    "front_out": "the front's point, out", "back_out": "the back's point, out", "corner": "the corner of centre and crotch line",
    "fold_at_waist": "the fold, at the waist", "slanted_waist": "the centre's end of the waist", "crotch_point": "the crotch point",
    "hip_level": "the hip line", "strip_centre": "the centre's end of the strip's line", "strip_corner": "its top line",
    "strip_guide": "its guide line", "bag_corner": "the bag's corner", "bag_width": "the bag's outer corner", "bag_level": "the opening's line", "bag_middle": "the bag's lowest point", "opening": "the opening",
    **top_marks.PLACES,
    "just_marked": "the point just marked", "side_top": "the side's top", "back_on_hem_line": "the back's point on the hem line", "back_hem_in": "the back's point on the hem line", "patch_corner": "the patch's corner", "waist_middle": "the middle of the waist", "fold": "the fold", "selvedge": "the selvedge", "cut_end": "the cut end of the cloth",
}  # fmt: skip
GUIDE = "the guide line"
LEAST = 0.05
"""A run of less, in mm, has no direction."""
UPRIGHT = {
    "down": ("straight down", "straight up"), "up": ("straight down", "straight up"), "side": ("straight down", "straight up"),
    "guide_line": ("down along the guide line", "up along the guide line"),
    "upright": ("square to the waist line, down", "square to the waist line, up"),
}  # fmt: skip
"""Lines that are along the grain, as they are said where the tape runs down, and where it runs up."""
BEYOND = ", out beyond it"
LINES = {
    "fold": "along the fold",
    "guide_line": "down along the guide line", "hip_line": "along the hip line", "crotch_line": "along the crotch line",
    "waist_line": "along the waist line", "waist_seam": "along the waist seam", "centre_line": "along the centre line",
    "diagonal": "at half a right angle, up and out", "dart": "square to the waist seam, down", "dart_axis": "down the dart's middle", "level": "level, out", "halfway": "halfway between hip line and waist, out",
    "knee_line": "along the knee line", "hem_line": "along the hem's turn", "thigh_line": "along the thigh line",
    "side": "straight up", "down": "straight down", "up": "straight up", "upright": "square to the waist line", "grain": "along the grain",
    "waist_slant": "slanting up to the casing line", "square_to_slant": "square to the slanted waist, down",
    "parallel_to_slant": "parallel to the slanted waist, out", "swung": "swung down from the waist",
    **top_marks.LINES,
    "bias": "at half a right angle to the grain", "strip_end": "along the strip's end", "across_cloth": "straight across the cloth", "along_cloth": "along the selvedge",
}  # fmt: skip


_FRONT: dict[str, tuple[str, str]] = {
    "guide": ("Guide line", "Chalk it along the grain, the whole length: every width of the front starts here."),
    "top_line": ("Top line", "Square to the guide line. Every depth is measured from here."),
    "crotch_line": ("Crotch line", "Mark the depth twice, at the guide line and a hand's breadth further in, so that the line comes out level."),
    "hip_line": ("Hip line", "The fullest part of the seat is on this line."),
    "knee_line": ("Knee line", "The leg is shaped to here and straight from here."),
    "hem_line": ("Hem, cut edge", "The hem's turn is above this edge by the hem allowance."),
    "hem_turn": ("Hem's turn", "The hem is folded here: its width is measured on this line."),
    "hip_width": ("Hip width", "A quarter of the hip. The ease is in the back."),
    "centre_on_crotch_line": ("Centre front on the crotch line", "Join it to the hip width: this is the straight centre front."),
    "crotch_point": ("Crotch point", "The extension gives the front its room between the legs. The back gets more."),
    "centre_in": ("Centre front, in", "The waist is much smaller than the hip: the centre takes a little of it."),
    "centre_drop": ("Centre front, down", "What the centre front loses, the centre back gains. Chalk the slope; leave it uncut until the back is traced."),
    "waist_width": ("Waist width", "A quarter of the waist and the dart, laid along the seam from the centre. Curve the seam at its ends: square to centre and side."),
    "side_raise": ("Side, up", "The waist rises towards the side."),
    "curve_start": ("Crotch curve, start", "Here the curve leaves the straight centre line."),
    "curve_diagonal": ("Crotch curve, depth", "The curve passes here, then runs square into the inner leg."),
    "dart_place": ("Dart, middle", "The dart's middle on the waist seam."),
    "dart_intake": ("Dart, width", "What the dart takes in; it is closed below the band."),
    "dart_length": ("Dart, point", "The dart ends here, above the fullest part."),
    "strip_centre_level": ("Strip's line, level at the centre", "The top is a piece of its own: the leg begins at this line. Mark the level on the guide line."),
    "strip_centre": ("Strip's line, at the centre", "Here the leg begins at the centre."),
    "strip_side_level": ("Strip's line, level at the side", "Mark the level on the guide line."),
    "strip_side": ("Strip's line, at the side", "Join both ends: the strip is sewn on here."),
    "side_middle": ("Side curve", "Halfway up: draw the side from the hip line through here to the waist."),
    "crease": ("Crease", "Half of the crotch width. Carry it down to the hem: knee and hem are shared about it."),
    "knee_inner": ("Knee, inner leg", "The knee is shared equally about the crease."),
    "knee_side": ("Knee, side", "The same on the other side of the crease."),
    "hem_inner": ("Hem, inner leg", "The hem is shared equally about the crease. Curve its ends: square to inner leg and side."),
    "hem_side": ("Hem, side", "The same on the other side of the crease."),
    "thigh_width": ("Leg line", "From this line down the leg falls straight."),
    "hem_width": ("Hem width", "Straight down from the leg line."),
    "knee_in": ("Knee, side", "The side runs in to here."),
    "knee_width": ("Knee width", "From the guide line: the side falls straight."),
    "hem_in": ("Hem, side", "The side runs in a little towards the hem."),
}  # fmt: skip
_BACK: dict[str, tuple[str, str]] = {
    "guide": ("Front's guide line", "Lay the cut front here and trace it lightly: the back is the front and its additions."),
    "top_line": ("Front's top line", "The traced front's top edge is on it."),
    "hip_place": ("Front's hip line", "Lay the cut front with its hip line here: its top may reach past the back's, whose own top is a piece by itself."),
    "strip_centre_level": ("Strip's line, level at the centre back", "The top is a piece of its own: the back begins at this line. Mark the level on the guide line."),
    "strip_centre": ("Strip's line, at the centre back", "Join it to the corner on the crotch line: this is the straight centre back."),
    "centre_base": ("Centre back on the crotch line", "The centre back starts a little in: the seat is held closer."),
    "crotch_tip": ("Back crotch point, out", "The seat needs more room than the front: the point moves out."),
    "tip_drop": ("Back crotch point, level", "This level makes the back's inner leg as long as the front's."),
    "centre_out": ("Centre back, out", "The back is wider than the seat here, for the elastic: what is over goes to the centre."),
    "centre_slant": ("Centre back, in", "The centre back leans in towards the waist over the seat."),
    "seat_raise": ("Centre back, up", "The raise is what the seat takes when one sits down."),
    "hip_width": ("Back hip width", "From the centre back towards the side; the ease of the hip is here."),
    "crotch_line_width": ("Back width on the crotch line", "The same width, one line lower."),
    "side_height": ("Side top, level", "At this height the back's side seam is as long as the front's."),
    "waist_width": ("Back waist width", "Swing it from the centre back's top until it meets that level: the same width as the front's. Curve the seam at its ends: square to centre and side."),
    "own_guide": ("Guide line", "Chalk it along the grain: every width of the back starts here."),
    "own_top_line": ("Top line", "Square to the guide line. Every depth is measured from here."),
    "own_centre": ("Centre back on the crotch line", "A quarter of the hip from the guide line, less what the centre starts in."),
    "own_crotch_point": ("Back crotch point", "The front's extension and the tip the seat needs."),
    "own_slant": ("Centre back, leaning in", "A quarter of the hip from the guide line, less the slant."),
    "own_knee_inner": ("Back knee, inner leg", "From the guide line."), "own_knee_side": ("Back knee, side", "From the guide line."),
    "own_hem_inner": ("Back hem, inner leg", "From the guide line."), "own_hem_side": ("Back hem, side", "From the guide line."),
    "thigh_inner": ("Leg line", "The whole leg edge moves out with the crotch point."),
    "knee_inner": ("Back knee, inner leg", "The back is a little wider at the knee."),
    "knee_side": ("Back knee, side", "The same at the side."),
    "hem_inner": ("Back hem, inner leg", "The back is wider at the hem as well."),
    "hem_side": ("Back hem, side", "The same at the side."),
}  # fmt: skip
_LEG: dict[str, tuple[str, str]] = {
    "guide": ("Middle line", "The leg's middle runs along the grain: front to one side of it, back to the other."),
    "rise_line": ("Rise line", "As deep as the rise measured seated; both ends of the top stand over it."),
    "front_half": ("Front's half", "Half of the panel: half the hip and 10 cm, halved again."),
    "back_half": ("Back's half", "The same to the other side."),
    "front_out": ("Front, out", "The front's room between the legs."),
    "back_out": ("Back, out", "The seat needs twice the front's room."),
    "back_tip": ("Back crotch point", "Half of its drop below the rise line."),
    "front_tip": ("Front crotch point", "The back's inner leg, measured up from the front's bottom, ends here."),
    "front_bottom": ("Front's bottom", "The inner leg ends here."),
    "back_on_hem_line": ("Back's point on the hem line", "Straight down from the back's point, out."),
    "back_hem_in": ("Back's bottom, in", "The inner leg leans in towards the hem."),
    "back_bottom": ("Back's bottom", "A little lower and in: the back's inner leg leans."),
    "hem_line": ("Hem", "The middle line's end: the hem runs from here to both bottoms."),
    "casing_line": ("Casing line", "The waist slants up to this height at the centre."),
    "fold_at_waist": ("Waist, at the fold", "The casing is cut on above it: everything else is measured from here."),
    "slanted_waist": ("Waist", "A quarter of the waist and 2 in, never less than a quarter of the hip: it has to pass over it."),
    "corner": ("Corner of the crotch", "As deep as one sits."),
    "crotch_point": ("Crotch point", "Two inches out, or a sixteenth of the hip, parallel to the waist."),
    "inner_length": ("Inner leg", "Square to the waist, as long as the leg is under the crotch."),
    "swung_length": ("Hem, between", "The length swung from the waist's middle: the hem is a bow."),
}  # fmt: skip
PANELS = {
    "leg": "leg",
    "front": "front", "back": "back", "band": "band", "front-band": "front band", "back-band": "back band",
    "curved-patch": "curved patch", "turn-up": "turn-up", "mouth-piping": "mouth piping", "slit-facing": "slit facing", "placket": "placket", "channel": "channel", "tie": "tie", "yoke": "yoke", "pocket-bag": "pocket bag", "front-pocket-bag": "front pocket bag", "pocket-facing": "pocket facing",
    "pocket-backing": "pocket backing", "patch": "patch pocket", "outside-patch": "outside pocket", "piping": "piping",
    **top_marks.PANELS,
    "bag-facing": "bag facing", "fly-facing": "fly facing", "fly-guard": "fly guard", "fly-strip": "fly strip", "belt-loops": "belt loops",
}  # fmt: skip
"""What each panel is called."""
_STRIP: dict[str, tuple[str, str]] = {
    "guide": ("{Panel}, edge", "The strip is along the grain."),
    "top_line": ("{Panel}, end", "Square to the fold or the edge: the strip begins here."),
    "strip_length": ("{Panel}, length", "Its seams at both ends are in it."),
    "shaped_guide": ("{Panel}, guide line", "Along the grain, through the centre's foot: every width of it starts here."),
    "shaped_top_line": ("{Panel}, top line", "Square to the guide line: every level of it is measured from here."),
    "centre_foot": ("{Panel}, centre's foot", "The strip's lower corner at the centre is on the guide line."),
    "centre_top_level": ("{Panel}, centre's top, level", "Mark the level on the guide line."),
    "centre_top": ("{Panel}, centre's top", "The waist's end at the centre."),
    "bend_top_level": ("{Panel}, upper bend, level", "Mark the level on the guide line."),
    "bend_top": ("{Panel}, upper bend", "The dart is closed here: draw the edge through it without a corner."),
    "curve_top_centre_level": ("{Panel}, upper curve at the centre, level", "Mark the level on the guide line."),
    "curve_top_centre": ("{Panel}, upper curve at the centre", "From here the edge curves, to be square to the centre seam."),
    "curve_top_side_level": ("{Panel}, upper curve at the side, level", "Mark the level on the guide line."),
    "curve_top_side": ("{Panel}, upper curve at the side", "From here the edge curves, to be square to the side seam."),
    "curve_foot_centre_level": ("{Panel}, lower curve at the centre, level", "Mark the level on the guide line."),
    "curve_foot_centre": ("{Panel}, lower curve at the centre", "From here the edge curves, to be square to the centre seam."),
    "curve_foot_side_level": ("{Panel}, lower curve at the side, level", "Mark the level on the guide line."),
    "curve_foot_side": ("{Panel}, lower curve at the side", "From here the edge curves, to be square to the side seam."),
    "bend_foot_level": ("{Panel}, lower bend, level", "Mark the level on the guide line."),
    "bend_foot": ("{Panel}, lower bend", "The dart is closed here: draw the edge through it without a corner."),
    "side_top_level": ("{Panel}, side's top, level", "Mark the level on the guide line."),
    "side_top": ("{Panel}, side's top", "The waist's end at the side."),
    "side_foot_level": ("{Panel}, side's foot, level", "Mark the level on the guide line."),
    "side_foot": ("{Panel}, side's foot", "The strip's lower corner at the side: it meets the leg's side here."),
    "bag_opening": ("{Panel}, opening", "This long is sewn into the side seam."),
    "bag_level": ("{Panel}, widest level", "The hand's room is here."),
    "bag_middle": ("{Panel}, lowest point, across", "The bag hangs lowest under this point."),
    "bag_depth": ("{Panel}, depth", "It ends by the hip line, or well above the knee."),
    "bag_width": ("{Panel}, width", "Never past the dart."),
    "fly_width": ("{Panel}, along the waist", "Trace the front's centre and waist: it is sewn to the edge that is on top."),
    "fly_length": ("{Panel}, down the centre", "As far as the zip; then round the foot."),
    "facing_width": ("{Panel}, width", "It follows the opening's curve."),
    "backing_width": ("{Panel}, along the waist", "Trace the front's corner before its opening is cut, and 1 in more."),
    "backing_depth": ("{Panel}, down the side", "The same down the side."),
    "patch_depth": ("{Panel}, depth", "The hem at its top and the seam at its foot are in it."),
    "patch_width": ("{Panel}, width", "Both sides go in by 1 cm."),
    "strip_depth": ("{Panel}, depth", "Its seams along both edges are in it; on the fold, half of that."),
}  # fmt: skip
_BAND: dict[str, str] = {
    "strip_length": "The sewn waist, the overlap and a seam at each end. Cut it a little long; trim it after the waist is measured again.",
    "strip_depth": "Twice the finished band and a seam on each edge; on the fold, half of that.",
}  # fmt: skip
_REASONS: dict[str, dict[str, str]] = {
    "band": _BAND, "front-band": _BAND,
    "back-band": _BAND | {"strip_length": "As long as the back's waist laid flat: the elastic gathers it."},
    "channel": {"strip_length": "As long as the waist laid flat, sewn inside under the heading.", "strip_depth": "It holds the elastic."},
    "fly-strip": {"strip_length": "As long as the fly and two seams.", "strip_depth": "Folded along its middle; one goes over the other."},
    "fly-guard": {"strip_length": "As long as the zip and 1 in.", "strip_depth": "Folded along its middle; it is behind the zip."},
    "belt-loops": {"strip_length": "Cut in four when it is sewn and turned.", "strip_depth": "Folded twice."},
    "piping": {"strip_length": "As long as the pocket's edge and 1 in.", "strip_depth": "Cut on the bias, so that it goes round the corner."},
    "tie": {"strip_length": "Half the tie: two are joined at the middle.", "strip_depth": "Folded along its middle and turned."},
}  # fmt: skip


_SECOND: dict[str, tuple[str, str]] = {
    "second_guide": ("Second {panel}, guide line", "Lay the cut {panel} here with its other face up and trace it: left and right mirror each other."),
    "second_hip_place": ("Second {panel}, hip line", "The cut {panel}'s hip line is on it; trace the whole outline, then its notches and darts."),
    "second_top_line": ("Second {panel}, top line", "The cut {panel}'s top line is on it; trace the whole outline, then its notches and darts."),
}  # fmt: skip


def mark_words(panel: str, code: str) -> MarkWords:
    """The name of a mark and the reason for it."""
    called = PANELS[panel]
    if code in _SECOND:
        name, reason = (text.format(panel=called) for text in _SECOND[code])
        return MarkWords(name, reason)
    of_top = top_marks.SLEEVE if panel == "sleeve" else top_marks.TOP
    if panel in ("front", "back", "sleeve") and code in of_top:
        return MarkWords(*of_top[code])
    if panel not in ("front", "back", "leg"):
        name, reason = top_marks.FACING[code] if code in top_marks.FACING else _STRIP[code]
        return MarkWords(name.format(Panel=called.capitalize()), _REASONS.get(panel, {}).get(code, reason))
    if panel == "leg":
        name, reason = _LEG.get(code) or _FRONT[code]
        return MarkWords(name, reason)
    name, reason = (_BACK.get(code) if panel == "back" else None) or _FRONT[code]
    return MarkWords(name, reason)


def from_along(from_code: str, along: str, run: Point) -> tuple[str, str]:
    """From where the tape starts and along what it runs, in words; `run` is how far it runs, across and down.

    A sum may come out the other way: what is mostly marked down is then above.
    """
    start = PLACES[from_code]
    if along in UPRIGHT and abs(run.down) > LEAST:
        return start, UPRIGHT[along][run.down < 0]
    outside = start == GUIDE and run.across < -LEAST
    return start, LINES[along] + (BEYOND if outside else "")


def mark_say(name: str, shown: str, start: str, along: str) -> str:
    """A call in one sentence."""
    return f"{name}: {shown} from {start}, {along}"


def panel_name(panel: str) -> str:
    """What a panel is called."""
    return PANELS[panel]
