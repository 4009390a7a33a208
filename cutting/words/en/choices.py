"""Each choice in a tailor's words: what is asked, a hint, what is taken where nothing is chosen, its rules."""

from cutting.words.en.measures import measure_name
from cutting.words.en.trade import METHODS
from cutting.words.language import ChoiceWords

GROUPS = {
    "lower": {
        "waist": "Waist", "fit": "How it sits", "crotch": "Crotch", "leg": "Leg", "darts": "Darts", "pockets": "Pockets",
        "seams": "Seams and chalk", "another-cloth": "Another cloth",
    },
    "top": {
        "neck": "Neck and opening", "fit": "How it sits", "sleeve": "Sleeve", "length": "Length and hem",
        "seams": "Seams and chalk", "another-cloth": "Another cloth",
    },
}  # fmt: skip
SOURCES = {"method": "by the method", "style": "by the style", "cloth": "by the cloth", "": ""}
"""Where the usual choice comes from."""

_SPEAK = ("The calls speak", "of cut lines on cloth, of sewing lines on paper", "")
_ANOTHER = ("Cut from another cloth", "Cloth, Mark and Lay then have both", "")
CHOICES: dict[str, dict[str, tuple[str, str, str]]] = {
    # kind of garment: choice: what is asked, hint, what is taken where nothing is chosen and no length can be named
    "lower": {
        "waist_join": ("Taken in to the top by", "the waist seam is sewn to the top", ""),
        "waist_finish": ("Finished with", "", ""),
        "closure": ("Opens with", "", ""),
        "closure.joined": ("Opens with", "one zip through the waist, or nothing", ""),
        "zip_edge": ("Zip's edge behind", "from the waist to 1 in below the zip", ""),
        "band": ("The band is placed", "depths are measured from its top", ""),
        "band_depth": ("Band, finished", "a strip is twice this and two seams", ""),
        "band_overlap": ("Overlap", "for hook and bar", ""),
        "band_join": ("The band is", "", ""),
        "casing": ("Casing", "cut on and turned twice", ""),
        "heading": ("Heading", "what stands up over the tie", ""),
        "heading_place": ("The heading is", "the channel is sewn under it", ""),
        "elastic": ("Elastic", "without its overlap", ""),
        "front_waist": ("The front is as wide as", "what is behind is drawn in by the elastic", ""),
        "waist_position": ("The waist is", "where the figure was taken", ""),
        "belt_loops": ("Belt loops", "", ""),
        "front_opening": ("Fly under the elastic", "two folded strips, a button", ""),
        "front_opening_deep": ("The fly, from the waist down", "", ""),
        "seat": ("Seat", "sets the back's tip, raise and slant", ""),
        "seat_height": ("Centre front and back", "what the front loses, the back gains", ""),
        "hip_ease": ("Ease at the hip", "all round", ""),
        "ease_place": ("That ease is placed", "", ""),
        "hip_split": ("The back's hip wider by", "what the front gives up", ""),
        "waist_ease": ("Ease at the waist", "all round", ""),
        "waist_split": ("The back's waist wider by", "what the front gives up", ""),
        "waist_in": ("Side, in at the waist", "of a waist that is gathered", ""),
        "back_waist_extra": ("Back wider at the waist by", "at its centre, where the waist is gathered", ""),
        "seat_raise": ("Centre back, up", "for sitting down", "by the seat"),
        "centre_slant": ("Centre back, in", "at the waist", "by the seat"),
        "centre_base": ("Centre back, in on the crotch line", "holds the seat closer", ""),
        "centre_drop": ("Centre front, down", "", "by the rule above"),
        "side_raise": ("Side, up", "the waist rises to the side", ""),
        "waist_cleanup": ("When it is joined, the waist is", "", ""),
        "crotch_depth": ("Depth to the crotch line", "from the top of the figure", ""),
        "crotch_fit": ("The crotch seam is as long as", "depth, then the back tip, are found for it", ""),
        "crotch_ease": ("Ease in the depth", "room to sit", ""),
        "crotch_extension": ("Front extension", "room between the legs", ""),
        "back_extension": ("Back extension", "more than the front's", ""),
        "back_tip": ("Back tip", "beyond the front's point", "by the seat"),
        "hip_line": ("Hip line", "where the width is laid", ""),
        "front_diagonal": ("Front curve, from its corner", "", ""),
        "back_diagonal": ("Back curve, from its corner", "", ""),
        "curve_outside": ("Curve outside the centre line", "at the hip line", ""),
        "length": ("Finished length", "from the top of the figure to the hem", ""),
        "knee_ease": ("Ease at the knee", "all round", ""),
        "knee_width": ("Knee, all round", "sewn; instead of the ease", "knee and its ease"),
        "thigh_line": ("Thigh line, below the crotch line", "a straight leg falls from here", "2 in, lower where the leg runs in"),
        "thigh_ease": ("Ease at the thigh", "sets the leg line", ""),
        "back_wider": ("The back's leg wider by", "shared about the crease", "with the crotch point; 1 in about a crease"),
        "back_side_out": ("Back's side, out", "from hip to crotch line", ""),
        "hem_width": ("Hem, all round one leg", "sewn", "by the style"),
        "hem_ease": ("Hem wider than the ankle by", "all round", ""),
        "hem_from": ("Knee and hem are measured from", "from the guide line the side falls straight", ""),
        "leg_inwards": ("Knee and hem, towards the inside", "as far from the middle of the crease; with a minus towards the side", ""),
        "side_in_knee": ("Side, in at the knee", "from the guide line", "none"),
        "side_in_hem": ("Side, in at the hem", "from the guide line", "by the style"),
        "inner_in_hem": ("Inner leg, in at the hem", "from the crotch line's width", "by the style"),
        "fullness": ("Times a quarter of the hip", "a number from 1 to 4", ""),
        "hem": ("Hem to turn up", "cut", ""),
        "turn_up_strip": ("The turn-up is", "", ""),
        "turn_up": ("Turn-up, finished", "cut twice as deep", "none"),
        "front_darts": ("Darts in each front", "they take the waist in", "As the waist needs"),
        "front_dart_place": ("Front dart, from the centre", "its middle, along the waist seam", ""),
        "front_dart_intake": ("Front dart, takes in", "each of them", "what is left over"),
        "front_dart_length": ("Front dart, long", "from the seam down", "4 in"),
        "back_darts": ("Darts in each back", "they take the waist in", "As the front, or the seat needs"),
        "back_dart_place": ("Back dart, from the centre", "its middle, along the waist seam", ""),
        "back_dart_intake": ("Back dart, takes in", "each of them", "what is left over"),
        "back_dart_length": ("Back dart, long", "from the seam down", "5 in"),
        "darts": ("Darts in each back and front", "they take the waist in", "As the waist needs"),
        "dart_place": ("The darts stand", "", ""),
        "dart_intake": ("Darts, take in", "each of them", "what is left over"),
        "dart_length": ("Darts, long", "from the seam down; the back's 1 in longer", "by the panel"),
        "yoke": ("Back yoke, deep at the centre", "the dart is in its seam", "none"),
        "pockets": ("Pockets", "each brings all its pieces", ""),
        "pocket_start": ("Opening starts", "below the waist", "1 in below the lowest stitching"),
        "pocket_opening": ("Opening in the seam", "", ""),
        "pocket_wide": ("Curved opening, along the waist", "", ""),
        "pocket_deep": ("Curved opening, down the side", "", ""),
        "bag_deep": ("Bag, deep", "", ""),
        "bag_wide": ("Bag, wide", "never past the dart", ""),
        "bag_cut": ("The bag is cut", "", ""),
        "patch": ("Patch, cut square", "", ""),
        "patch_wide": ("Patch, cut wide", "", "by its kind"),
        "patch_deep": ("Patch, cut deep", "", "by its kind"),
        "patch_foot": ("The patch's foot is", "", ""),
        "patch_from_centre": ("Patch, from the centre", "its nearer side", "in the middle"),
        "mouth_wide": ("Mouth, along the waist", "", ""),
        "mouth_deep": ("Mouth, down the side", "", ""),
        "piping": ("The mouth is piped with", "", ""),
        "allowances.side": ("Side", "to let out", ""),
        "allowances.centre": ("Centre and crotch", "", ""),
        "allowances.inner_leg": ("Inner leg", "", ""),
        "allowances.waist": ("Waist", "", ""),
        "back_from": ("The back is drafted", "the same outline either way", ""),
        "marking": _SPEAK,
        "assembly": ("Sewn together", "the order of Sewing and its card", "By how it opens and what the cloth is"),
        "other_cloth": _ANOTHER,
    },
    "top": {
        "neck_shape": ("Neck", "", ""),
        "neck_width": ("Neck, half its width", "from the centre", "from the neck's girth"),
        "front_neck_depth": ("Neck, deep in front", "cut it small: it can be opened at the fitting", "by the shape"),
        "back_neck_depth": ("Neck, deep behind", "", "by the style"),
        "closure": ("Opens with", "where nothing opens, the neck is cut to pass the head", ""),
        "zip_edge": ("Zip's edge at the neck", "", ""),
        "neck_opening": ("Neck opens in front with", "then it is cut small", ""),
        "neck_opening_length": ("That opening, long", "", "5 in, or so that the head passes"),
        "finish": ("Neck and open armholes finished with", "", ""),
        "bust_ease": ("Ease at the bust", "all round", ""),
        "waist_ease": ("Ease at the waist", "all round", ""),
        "hip_ease": ("Ease at the hip", "all round", ""),
        "shoulder_slope": ("Shoulder, slopes", "", "as measured, else 1 in"),
        "armhole_lower": ("Armhole lower by", "more room under the arm", ""),
        "armhole_hollow": ("Armhole hollowed in front", "at half its depth", ""),
        "bust_dart": ("What the front is longer by", "", ""),
        "darts": ("Waist darts in each back and front", "", "As the waist needs"),
        "dart_intake": ("Dart, takes in", "each of them", "what is left over"),
        "sleeve": ("Sleeve", "", ""),
        "sleeve_ease": ("Ease at the upper arm", "close 1 1/2 in, straight 2 in, loose 4 in", ""),
        "cap_ease": ("Cap longer than the armhole by", "0 loose, 1/2 to 1 in set in", ""),
        "sleeve_length": ("Sleeve length", "with the elbow bent", "by the kind"),
        "sleeve_round": ("Lower edge, all round", "with the elbow bent", "from the arm or the wrist"),
        "sleeve_finish": ("The sleeve ends in", "", ""),
        "cuff_depth": ("Cuff, finished", "taken off the sleeve's length", ""),
        "top_length": ("Length", "from the nape, finished", "by the style"),
        "hem_shape": ("Hem", "", ""),
        "hem": ("Hem to turn up", "cut", ""),
        "side_slit": ("Side slit", "", "none"),
        "allowances.side": ("Side and underarm", "to let out", ""),
        "allowances.shoulder": ("Shoulder", "", ""),
        "allowances.armhole": ("Armhole", "", ""),
        "allowances.neck": ("Neck", "", ""),
        "allowances.waist": ("Waist", "", ""),
        "marking": _SPEAK,
        "other_cloth": _ANOTHER,
    },
}  # fmt: skip
_NUMBER = {"none": "None", "one": "One", "two": "Two"}
_DART_PLACE = {
    "half-panel": "In the panel's middle",
    "from-centre": "4 in from the centre",
    "crease": "On the crease",
    "bust-span": "Under the bust point",
}
_CHALK = {"on-cloth": "On cloth, seams inside", "on-paper": "On paper, to the sewing line"}
RULES: dict[str, dict[str, dict[str, str]]] = {
    "lower": {
        "waist_join": {"darts": "Darts, over the top's", "gathers": "Gathers", "tucks": "Tucks"},
        "waist_finish": {"straight-band": "Straight band", "shaped-band": "Shaped band", "half-elastic": "Band, elastic behind", "elastic-band": "Elastic in a band", "casing": "Casing, cut on", "paper-bag": "Paper-bag, channel and tie"},
        "closure": {"fly": "Fly", "side-zip": "Side zip", "back-zip": "Invisible zip behind", "none": "Nothing"},
        "closure.joined": {"back-zip": "Zip behind", "none": "Nothing"},
        "band": {"below": "Below: taken off the depths", "inside": "Inside: cut off the draft's top", "on-top": "On top: added above", "none": "Nowhere: there is none"},
        "band_join": {"none": "One strip", "sides": "Joined at the sides", "centre-back": "Joined behind"},
        "heading_place": {"above": "Above the figure's top", "inside": "Inside it: the channel is that much lower"},
        "elastic": {"waist-4": "The waist less 4 in", "nine-tenths": "Nine tenths of the waist"},
        "waist_position": {"worn": "Where it is worn", "natural": "Natural", "high": "High", "low": "Low"},
        "front_opening": {"none": "None", "buttoned": "Open, with a button"},
        "belt_loops": {"none": "None", "four": "A strip cut in four", "by-waist": "One for each 6 in of the waist, at least five"},
        "seat": {"flat": "Flat", "usual": "Usual", "full": "Full"},
        "seat_height": {"raise-only": "Raise the back", "small-drop-and-raise": "Front 1/2 in down, back up", "drop-and-raise": "Front down as the back goes up", "none": "Level"},
        "ease_place": {"back": "All in the back", "panels": "In every panel", "measure": "In the measure, so the rules grow with it"},
        "waist_cleanup": {"back-to-front": "Right as it is: the back cut to the front", "back-larger": "Taken in behind, cut 1 in larger", "redraw-centre": "Redrawn at the centre back", "re-mark-side": "Marked anew at the side"},
        "crotch_depth": {"rise": "By the measured rise, and 1/2 in; else by the method", "hip/4": "hip / 4", "hip/4+1": "hip / 4 + 1 in", "hip/4+2": "hip / 4 + 2 in, high waist", "hip/4+3": "hip / 4 + 3 in, very loose", "hip/3": "hip / 3", "hip/3-1": "hip / 3 - 1 in", "seated": "Measured seated", "outseam-inseam": "Outseam less inseam"},
        "crotch_extension": {"hip/16": "hip / 16", "hip/20": "hip / 20", "by-size": "By size, 2 to 3 in", "thigh/2": "From half the thigh", "thigh-eased": "From the thigh and its ease", "thigh-cut": "From half the thigh, cut", "panel/4": "A quarter of the panel"},
        "crotch_fit": {"rule": "These rules make it", "measured": "The body is there, and 1/2 in"},
        "back_extension": {"tip": "Front's and the tip", "hip/8": "hip / 8", "hip/10": "hip / 10", "panel/2": "Half the panel"},
        "back_tip": {"by-seat": "By the seat"},
        "hip_line": {"measured": "As measured from the waist", "two-above": "2 in above the crotch line", "hip/16-above": "hip / 16 above it"},
        "front_darts": _NUMBER, "back_darts": _NUMBER, "darts": _NUMBER,
        "front_dart_place": _DART_PLACE, "back_dart_place": _DART_PLACE, "dart_place": _DART_PLACE,
        "front_waist": {"waist": "To the waist", "hip": "To the hip, flat"},
        "length": {"by-style": "By the style", "floor": "To the floor, less 1/2 in"},
        "turn_up_strip": {"cut-on": "Cut on", "strip": "A strip of its own"},
        "hem_from": {"crease": "The crease", "guide": "The guide line"},
        "bag_deep": {"usual": "12 in", "hip-line": "As far as the hip line"},
        "bag_wide": {"usual": "7 in", "dart": "As far as the dart"},
        "bag_cut": {"halves": "In two halves", "fold": "In one, on the fold"},
        "patch_foot": {"square": "Square", "round": "Round"},
        "piping": {"none": "Nothing", "straight": "A straight strip", "bias": "A strip on the bias"},
        "pockets": {"in-seam": "In the side seam", "front-curved": "Curved, in front", "mock": "Curved, without a bag", "patch-curved": "Patch in front, flush", "back-patch": "Patch behind", "outside-patch": "Outside patch, piped"},
        "back_from": {"front": "From the cut front, by additions", "itself": "By itself, from lines of its own"},
        "marking": _CHALK,
        "assembly": {"centres-first": "Centres first", "sides-first": "Sides first, the crotch in one run", "from-the-crotch": "From the crotch outwards"},
        "other_cloth": {"bags": "Pocket bags", "facings": "Facings and backings", "band": "Band", "yoke": "Yoke", "all": "The whole garment"},
    },
    "top": {
        "neck_shape": {"round": "Round", "v": "V", "square": "Square", "boat": "Boat"},
        "closure": {"none": "Nothing", "back-zip": "Zip behind", "front-zip": "Zip in front"},
        "neck_opening": {"none": "Nothing: it passes the head", "slit": "A slit, faced", "placket": "A placket"},
        "finish": {"facing": "A facing", "bias": "A strip on the bias"},
        "bust_dart": {"side": "In a dart from the side", "none": "Left in the front"},
        "darts": _NUMBER,
        "sleeve": {"none": "None", "short": "Short", "three-quarter": "Three-quarter", "long": "Long"},
        "sleeve_finish": {"hem": "A hem", "cuff": "A cuff, the sleeve slit and drawn in to it"},
        "hem_shape": {"level": "Level", "curved": "Curved up at the sides"},
        "marking": _CHALK,
        "other_cloth": {"facings": "Facings and bindings", "sleeves": "Sleeves", "all": "The whole garment"},
    },
}  # fmt: skip


def group_name(kind: str, group: str) -> str:
    """What a group of choices is called."""
    return GROUPS[kind][group]


def choice_words(kind: str, key: str, joined: bool) -> ChoiceWords:
    """What a choice asks; `key` is `allowances.side` for one of a set; `joined` of a half that is sewn to another."""
    table = CHOICES[kind]
    return ChoiceWords(*table.get(f"{key}.joined", table[key]) if joined else table[key])


def corrected_name(kind: str, key: str) -> str:
    """What a correction of a kind of garment changes: a choice, or a measure."""
    return choice_words(kind, key, False).legend if key in CHOICES[kind] else measure_name(key).capitalize()


def rule_name(kind: str, key: str, rule: str, joined: bool) -> str:
    """What a rule of a choice is called."""
    table = RULES[kind]
    return (table.get(f"{key}.joined", table[key]) if joined else table[key])[rule]


def source_name(source: str) -> str:
    """Where the usual choice comes from; empty for what is taken everywhere."""
    return SOURCES[source]


EITHER = {
    "joined": {"yes": "where a top is sewn to the waist", "no": "where the garment has a waist of its own"},
    "fitted": {"yes": "where the top is fitted to the waist", "no": "where the top is not fitted to the waist"},
}
WHERE = {
    "leg": "where the leg goes another way",
    "waist_is": "where the waist is {fits}",
    "by_seat": "where tip, raise or slant go by the seat",
    "by_thigh": "where the leg is drawn by the thigh",
    "ends": "where the top reaches the hip",
    "method": "by the method '{methods}'",
    "panels": "where front and back are two panels",
}
"""Where a choice is read, by the fact that it needs."""
_FITS = {"fitted": "fitted", "half": "elastic behind alone", "half-flat": "flat in front", "gathered": "gathered"}


def idle_words(kind: str, choice: str, key: str, among: tuple[str, ...] | list[str]) -> dict[str, str]:
    """A choice that changes nothing, by its name, and where it would be read: the need (`key`, `among`) not met."""
    if key in EITHER:
        where = EITHER[key][among[0]]
    elif key in WHERE:
        methods = " or ".join(METHODS[one].name if one in METHODS else one for one in among)
        where = WHERE[key].format(fits=" or ".join(_FITS.get(one, one) for one in among), methods=methods)
    else:
        names = RULES[kind].get(key, {}) | _STATES
        said = [names[one] for one in among if one in names]
        where = f"where '{CHOICES[kind][key][0]}' is {' or '.join(said)}"
    return {"choice": f"'{CHOICES[kind][choice][0]}'", "where": where}


_STATES = {"": "left to its rule", "a length": "more than 0", "0": "0"}
