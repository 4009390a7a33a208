"""The calls of a top and its sleeve in words: name and reason; and the places and lines they speak of."""

PLACES = {
    "neck_level": "the neck point's level", "centre": "the centre", "centre_line_level": "the centre",
    "centre_waist": "the centre's lower end", "shoulder_out": "the shoulder tip's mark", "underarm": "the underarm point",
    "bust_dart_place": "the dart's upper leg", "bust_dart_middle": "the dart's middle", "neck_point": "the neck point",
    "centre_neck": "the neck at the centre", "neck_depth": "the neck at the centre", "shoulder_tip": "the shoulder tip", "cap_top": "the cap's top",
    "middle_line": "the middle line", "armhole_line": "the centre", "sleeve_slit_foot": "the slit's foot",
}  # fmt: skip
LINES = {
    "neck_level": "straight out, level", "armhole_line": "along the armhole line", "side_seam": "down the side seam",
    "shoulder_seam": "along the shoulder", "dart_up": "square to the waist, up", "dart_in": "square to the side, in",
    "middle_line": "down the middle line",
}  # fmt: skip
TOP: dict[str, tuple[str, str]] = {
    "top_guide": ("Centre line", "Chalk it along the grain: every width starts here. With a zip, its edge is outside it."),
    "top_top_line": ("Neck point's level", "Square to the centre line: every depth is measured down from here."),
    "whole_guide": ("Centre line", "Along the grain: mark one half beside it, fold the cloth on it and trace the other."),
    "whole_top_line": ("Neck point's level", "Square to the centre line: every depth is measured down from here."),
    "armhole_line": ("Armhole line", "A sixth of the bust and 1 1/2 in below the shoulder tip, or the armhole's measured depth and 3/4 in: it holds the armhole's ease."),
    "top_hip_line": ("Hip line", "The top is wide enough for the hip here."),
    "centre_waist": ("Waist at the centre", "The length over the bust in front, from the nape behind."),
    "zip_lean": ("Centre back, in", "The zip's edge narrows towards the waist, so that it does not bulge; the side gives it back."),
    "top_hem": ("Hem at the centre, cut edge", "The hem's turn is above it by the hem allowance."),
    "hem_turn": ("Hem's turn", "The hem is folded here: its width is measured on this line."),
    "neck_opening": ("Neck opening, end", "The front is slashed from the neck to here, when its facing or placket is sewn on; not before."),
    "neck_depth": ("Neck, depth", "Cut it small: it can be opened at the fitting, never closed."),
    "neck_width": ("Neck, width", "Half of the neck's width, from the centre."),
    "shoulder_out": ("Shoulder tip, out", "Half of the shoulder, tip to tip."),
    "shoulder_slope": ("Shoulder tip, down", "The shoulder slopes: join the neck point to here."),
    "bust_width": ("Width on the armhole line", "A quarter of the bust and of its ease, from the centre."),
    "armhole_level": ("Armhole, half depth", "Mark the level on the centre line."),
    "armhole_hollow": ("Armhole, hollow", "The armhole passes here, then turns square into the side."),
    "side_level": ("Side's lower end, level", "At this height front and back side seams are equal."),
    "hem_out": ("Hem, side", "From the centre to the side."),
    "dart_up": ("Dart, point", "The front's ends under the bust point, the back's under the armhole line."),
    "bust_dart_place": ("Bust dart, upper leg", "What the front is longer by goes into this dart."),
    "bust_dart_intake": ("Bust dart, width", "Closed, the front's side is as long as the back's."),
    "bust_dart_length": ("Bust dart, point", "It ends 1 1/2 in short of the bust point."),
}  # fmt: skip
SLEEVE: dict[str, tuple[str, str]] = {
    "top_guide": ("Sleeve, middle line", "Along the grain: the front's half is to one side of it, the back's to the other."),
    "top_top_line": ("Cap's top", "Square to the middle line."),
    "cap_height": ("Cap height", "At this height the cap is as long as the armhole and its ease."),
    "sleeve_length": ("Sleeve length", "From the cap's top, measured with the elbow bent."),
    "sleeve_front": ("Upper arm, front half", "Half of the arm and its ease."),
    "sleeve_back": ("Upper arm, back half", "The same to the other side."),
    "sleeve_hem_front": ("Lower edge, front half", "Half of the round at the lower edge, measured with the elbow bent."),
    "sleeve_hem_back": ("Lower edge, back half", "The same to the other side."),
    "cap_upper": ("Cap, upper level", "A quarter down the cap: mark the level on the middle line."),
    "cap_lower": ("Cap, lower level", "Three quarters down: mark the level on the middle line."),
    "hem_turn": ("Lower edge's line", "A hem is folded here, a cuff is sewn here: the lower edge is measured on this line."),
    "sleeve_slit_foot": ("Slit, across", "In the middle of the sleeve's back half, at its lower edge."),
    "sleeve_slit": ("Slit, end", "The sleeve is slit from its lower edge to here; a strip binds both sides."),
    "cap_front_upper": ("Cap, front, upper point", "The cap runs full here."),
    "cap_front_lower": ("Cap, front, lower point", "The front is hollowed more than the back."),
    "cap_back_upper": ("Cap, back, upper point", "The cap runs full here."),
    "cap_back_lower": ("Cap, back, lower point", "Then level into the underarm."),
}  # fmt: skip
FACING: dict[str, tuple[str, str]] = {
    "traced_guide": ("{Panel}, centre line", "Lay the cut panel here and trace its edge: the facing is its copy."),
    "traced_top_line": ("{Panel}, level", "The cut panel's edge is on it."),
    "whole_guide": ("{Panel}, centre line", "Lay the cut panel here, trace its edge, then the other half."),
    "whole_top_line": ("{Panel}, level", "The cut panel's edge is on it."),
    "facing_shoulder": ("{Panel}, at the shoulder", "So wide along the shoulder."),
    "facing_centre": ("{Panel}, at the centre", "So deep below the neck."),
    "facing_side": ("{Panel}, at the side", "So deep below the underarm."),
}  # fmt: skip
PANELS = {
    "sleeve": "sleeve", "front-neck-facing": "front neck facing", "back-neck-facing": "back neck facing",
    "front-armhole-facing": "front armhole facing", "back-armhole-facing": "back armhole facing",
    "cuff": "cuff", "slit-binding": "slit binding", "zip-shield": "zip shield", "side-slit-facing": "side slit facing",
    "neck-binding": "neck binding", "armhole-binding": "armhole binding",
}  # fmt: skip
"""What each panel is called."""
