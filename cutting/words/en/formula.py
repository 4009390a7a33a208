"""What the leaves of a sum are called, and the sum with those names."""

import re

from cutting.lengths import Length, Unit
from cutting.words.en.measures import measure_name
from cutting.words.few import Given
from cutting.words.inches import as_taped
from cutting.words.sums import Names, sum_text

LABELS = {
    "dart": "dart",
    "tip": "back tip",
    "seat_raise": "seat raise",
    "slant": "slant",
    "allowance.side": "side seam", "allowance.centre": "centre seam", "allowance.inner_leg": "inner leg seam",
    "allowance.waist": "waist seam", "allowance.hem": "hem", "band": "band", "band_finished": "finished band", "band_seam": "seam",
    "neck": "for the neck", "wider": "wider", "deeper": "deeper", "slope": "of slope", "nape": "down to the nape", "armhole_ease": "of ease",
    "lower": "lower", "hollow": "of hollow", "bust_ease": "bust ease", "sleeve_ease": "sleeve ease", "below_armhole": "below the armhole line",
    "hip_below_waist": "below the waist", "above_the_waist": "above the waist", "short_sleeve": "of sleeve", "under_the_cap": "under the cap", "hand": "for the hand", "cuff": "finished cuff", "cuff_ease": "ease in the cuff", "drawn_in": "drawn in to the cuff", "sleeve_slit": "of slit",
    "over_the_dart": "so that it meets the dart below", "narrower": "narrower", "two_ends": "for both ends", "facing": "of facing", "allowance.neck": "neck seam", "allowance.shoulder": "shoulder seam",
    "allowance.armhole": "armhole seam", "allowance.cap": "armhole seam", "allowance.underarm": "underarm seam",
    "hem_ease": "ease at the hem", "side_out": "that the back's side is out", "back_waist_extra": "more behind", "to_pass": "to pass", "below_the_stitching": "below the stitching", "under_the_opening": "under the opening", "fly": "of the fly", "stitched": "of turned waist",
    "to_sit": "to sit", "off_the_floor": "off the floor", "by_crotch_share": "so that the front has its share of the crotch seam", "by_crotch_length": "that fits the crotch length",
    "opening": "of opening",
    "overlap": "overlap", "hem": "hem", "zip": "zip", "crotch_ease": "crotch ease", "hip_ease": "hip ease",
    "waist_ease": "waist ease", "thigh_ease": "thigh ease", "knee_ease": "knee ease", "side_raise": "side raise",
    "back_wider": "that the back is wider", "leg_inwards": "towards the inside", "leg_outwards": "towards the side", "lift": "lift", "over_the_bust": "over the bust",
    "low_waist": "that the waist is worn low", "hip_split": "that the back's hip is wider", "half_elastic": "to gather",
    "two_seams": "the two seams", "leg": "of leg", "at_the_knee": "at the knee", "to_take_in": "to take in", "turn_up": "turn-up", "below_the_band": "below the band", "loose": "to be loose", "casing": "casing", "heading": "heading and its turn", "heading_inside": "heading", "channel": "channel",
    "cut_round": "cut all round", "in_seams": "in seams", "in_darts": "in darts", "inner_seam": "inner seam",
    "pinned": "pinned", "kept": "kept", "allowance": "allowance",
    "tie": "tie", "to_tie": "to tie", "seam": "seam", "seams": "seams",
}  # fmt: skip
FOUND = {
    "over_the_head": "so that the head passes", "over_the_tummy": "so that the side passes the belly", "shoulder_run": "what the shoulder runs out level", "to_the_bust": "down to the bust's level", "below_the_bust": "up to 1 in below the bust point, or 1/2 in below the armhole line", "short_of_bust": "to 1 1/2 in short of the bust point",
    "zip_lean": "what the zip's edge leans in", "cap_height": "height that makes the cap as long as the armhole and its ease", "cap_length": "cap, measured on the draft",
    "to_fill_the_armhole": "to fill the armhole", "round_the_edge": "round the edge", "widest_sleeve": "widest line of the sleeve, cut",
    "lean": "lean of the seam", "half_armhole": "halfway from the shoulder tip down to the armhole line", "tip_drop": "level that makes the inner legs equal",
    "side_equal": "height that makes the side seams equal", "hem_widened": "extra hem that makes the inner legs equal",
    "curve_start": "where the curve leaves the centre line", "diagonal": "diagonal brought back into its range",
    "diagonal_moved": "diagonal brought back into its range", "side_curve": "hollow of the side curve",
    "dart_limit": "kept above the hip line", "centre_lean": "lean of the centre back",
    "on_the_draft": "measured on the draft",  "moves_with_tip": "as far as the crotch point moved",
    "back_ease": "the back's ease", "widest_front": "widest line of the front, cut", "lay_place": "its place in the lay",
    "to_the_yoke": "down to the yoke", "dart_to_the_edge": "prolonged to the strip's edge", "dart_left": "what the strip leaves of it",
    "room_for_it": "as large as there is room for", "facing_wide": "width of the facing", "zip_long": "as long as the zip", "beyond_opening": "1 in beyond the opening",
    "to_the_hip_line": "as far as the hip line", "to_the_dart": "as far as the dart", "to_the_centre": "as far as the centre", "of_the_bag": "of the bag's own shape", "strip_takes": "what the strip takes", "inner_leg_equal": "where the inner legs come out equal", "to_the_bottom": "to the front's bottom", "widest_leg": "widest line of the leg, cut", "widest_part": "widest line of the small parts, cut",
    "corner": "to where both cut lines meet", "drawn": "to where the cut line is", "curve": "from the straight line out to the cut line",
    "level": "to that height", "notch": "so that it meets the notch it is sewn to", "along_the_edge": "along the cut line", "dart_point": "to the dart's point",
    "opening": "to where the opening ends", "to_the_seam": "from the cut line in to the sewing line",
    "kept_on_the_panel": "kept on the panel", "above_the_knee": "wider above the knee", "to_the_hem_line": "down to the hem line", "to_the_leg": "what the leg runs in",
    "below_the_yoke": "below the yoke's seam", "waist_bends": "what its bends are longer",
    "seven_tenths_of_crotch_round": "7/10 of the crotch line all round",
    "wide_of_patch": "width of the patch", "deep_of_patch": "depth of the patch",
    "to_the_crease": "as far as the crease", "widest_back": "widest line of the back, cut",
}  # fmt: skip


def _given(length: Given) -> str:
    names = [measure_name(key) for key in length.keys]
    if length.eased:
        return f"{names[0]} with its ease"
    *most, last = names
    return f"what {', '.join(most)} and {last} give" if most else f"what the {last} gives"


MONTHS = (
    "January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November",
    "December",
)  # fmt: skip


def _since(since: str) -> str:
    """From which fitting: its day, or as it is said."""
    found = re.fullmatch(r"[0-9]{4}-(0[1-9]|1[0-2])-([0-3][0-9])", since)
    return f"from the fitting of {int(found[2])} {MONTHS[int(found[1]) - 1]}" if found else f"from {since}"


NAMES = Names(measure_name, LABELS, FOUND, _given, _since)


def formula(length: Length, unit: Unit) -> str:
    """The sum with names: `hip / 4 + 1 in side seam + 1/2 in centre seam`."""
    return as_taped(sum_text(length, unit, NAMES), unit)
