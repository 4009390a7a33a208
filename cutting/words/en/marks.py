"""What is called out at the table: the mark's name, how it is said, from where, along what, and why."""

from cutting.words.en import top_marks
from cutting.words.language import MarkWords

KNOWN = {
    **dict.fromkeys(("guide", "own_guide", "top_guide", "whole_guide", "second_guide"), "the guide line"),
    **dict.fromkeys(("top_line", "own_top_line", "top_top_line", "whole_top_line", "second_top_line"), "the top line"),
    "hip_place": "the front's hip line", "fold": "the fold", "near_fold": "the near fold", "far_fold": "the far fold", "selvedge": "the selvedge", "cut_end": "the cut end of the cloth",
    "crotch_line": "the crotch line", "hip_line": "the hip line", "knee_line": "the knee line",
    "hem_line": "the hem's cut edge", "hem_turn": "the hem's turn", "crease": "the crease", "centre_line": "the centre line",
    "crotch_point": "the crotch point", "crotch_tip": "the back crotch point, out", "rise_line": "the rise line", "armhole_line": "the armhole line",
    "top_hip_line": "the hip line", "casing_line": "the casing line", "neck_depth": "the neck at the centre",
}  # fmt: skip
"""What a line or a point is called after its call; what is not here is known by the name of its call."""


_FRONT: dict[str, tuple[str, str]] = {
    "guide": ("Guide line", "Chalk it along the grain, the whole length: every width of the front starts here."),
    "top_line": ("Top line", "Square to the guide line. Every depth is measured from here."),
    "crotch_line": ("Crotch line", "Mark the depth twice, at the guide line and a hand's breadth further in, so that the line comes out level."),
    "hip_line": ("Hip line", "The fullest part of the seat is on this line."),
    "knee_line": ("Knee line", "The leg is shaped to here and straight from here."),
    "hem_line": ("Hem, cut edge", "The hem's turn is above this edge by the hem allowance."),
    "hem_turn": ("Hem's turn", "The hem is folded here: its width is measured on this line."),
    "hip_width": ("Hip width", "The front's part of the round at the hip, on this line."),
    "centre_on_crotch_line": ("Centre front on the crotch line", "Join it to the hip width: this is the straight centre front."),
    "crotch_point": ("Crotch point", "The extension gives the front its room between the legs. The back gets more."),
    "centre_in": ("Centre front, in", "The waist is much smaller than the hip: the centre takes a little of it."),
    "centre_drop": ("Centre front, down", "What the centre front loses, the centre back gains. Chalk the slope; leave it uncut until the back is traced."),
    "curve_diagonal": ("Crotch curve, depth", "The curve passes here, then runs square into the inner leg."),
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
    "centre_base": ("Centre back on the crotch line", "The centre back starts a little in: the seat is held closer."),
    "crotch_tip": ("Back crotch point, out", "The seat needs more room than the front: the point moves out."),
    "tip_drop": ("Back crotch point, level", "This level makes the back's inner leg as long as the front's."),
    "centre_out": ("Centre back, out", "The back is wider than the seat here, for the elastic: what is over goes to the centre."),
    "centre_slant": ("Centre back, in", "The centre back leans in towards the waist over the seat."),
    "seat_raise": ("Centre back, up", "The raise is what the seat takes when one sits down."),
    "hip_width": ("Back hip width", "From the centre back towards the side; the ease of the hip is here."),
    "crotch_line_width": ("Back width on the crotch line", "The back's width, one line lower."),
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
    "guide": ("Guide line", "The leg's middle runs along the grain: front to one side of it, back to the other."),
    "rise_line": ("Rise line", "As deep as the rise measured seated; both ends of the top stand over it."),
    "front_half": ("Front's half", "Half of the panel: half the hip and 4 in, halved again."),
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
    "crotch_point": ("Crotch point", "2 in out, or a sixteenth of the hip, parallel to the waist."),
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
_PART: dict[str, tuple[str, str]] = {
    "guide": ("{Panel}, guide line", "Along the grain: every width of it starts here."),
    "top_line": ("{Panel}, top line", "Square to the guide line or the fold: every depth of it is measured from here."),
    "whole_guide": ("{Panel}, guide line", "Its middle, along the grain: mark one half beside it, fold the cloth on it and trace the other."),
    "whole_top_line": ("{Panel}, top line", "Square to the guide line: every depth of it is measured from here."),
}  # fmt: skip


_SECOND: dict[str, tuple[str, str]] = {
    "second_guide": ("Second {panel}, guide line", "Lay the cut {panel} here with its other face up and trace it: left and right mirror each other."),
    "second_hip_place": ("Second {panel}, hip line", "The cut {panel}'s hip line is on it; trace the whole outline, then its notches and darts."),
    "second_top_line": ("Second {panel}, top line", "The cut {panel}'s top line is on it; trace the whole outline, then its notches and darts."),
}  # fmt: skip


def mark_title(panel: str, code: str) -> MarkWords:
    """The name of a mark and the reason for it."""
    called = panel_name(panel)
    if code in _SECOND:
        name, reason = (text.format(panel=called) for text in _SECOND[code])
        return MarkWords(name, reason)
    of_top = top_marks.SLEEVE if panel == "sleeve" else top_marks.TOP
    if panel in ("front", "back", "sleeve") and code in of_top:
        return MarkWords(*of_top[code])
    if panel not in ("front", "back", "leg"):
        name, reason = _PART[code]
        return MarkWords(name.format(Panel=called.capitalize()), reason)
    if panel == "leg":
        name, reason = _LEG.get(code) or _FRONT[code]
        return MarkWords(name, reason)
    name, reason = (_BACK.get(code) if panel == "back" else None) or _FRONT[code]
    return MarkWords(name, reason)


def panel_name(panel: str) -> str:
    """What a panel is called: one of a house pattern as it was named."""
    return PANELS[panel] if panel in PANELS else panel.removeprefix("house-").replace("-", " ")
