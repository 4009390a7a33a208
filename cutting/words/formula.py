"""A length's sum in words: with names, and with the client's numbers."""

from fractions import Fraction

from cutting.lengths import Fixed, Found, Length, Measured, Scaled, Sum, Unit, show
from cutting.lengths.units import MM
from cutting.words.measures import measure_name

LABELS = {
    "dart": "dart",
    "tip": "back tip",
    "seat_raise": "seat raise",
    "slant": "slant",
    "allowance.side": "side seam", "allowance.centre": "centre seam", "allowance.inner_leg": "inner leg seam",
    "allowance.waist": "waist seam", "allowance.hem": "hem", "band": "band", "band_finished": "finished band", "band_seam": "seam",
    "neck": "for the neck", "wider": "wider", "deeper": "deeper", "slope": "of slope", "nape": "down to the nape", "armhole_ease": "of ease",
    "lower": "lower", "hollow": "of hollow", "bust_ease": "bust ease", "sleeve_ease": "sleeve ease", "below_armhole": "below the armhole line",
    "hip_below_waist": "below the waist", "above_the_waist": "above the waist", "short_sleeve": "of sleeve", "under_the_cap": "under the cap", "hand": "for the hand",
    "over_the_dart": "so that it meets the dart below", "narrower": "narrower", "two_ends": "for both ends", "facing": "of facing", "allowance.neck": "neck seam", "allowance.shoulder": "shoulder seam",
    "allowance.armhole": "armhole seam", "allowance.cap": "armhole seam", "allowance.underarm": "underarm seam",
    "overlap": "overlap", "hem": "hem", "zip": "zip", "crotch_ease": "crotch ease", "hip_ease": "hip ease",
    "waist_ease": "waist ease", "thigh_ease": "thigh ease", "knee_ease": "knee ease", "side_raise": "side raise",
    "back_wider": "that the back is wider", "lift": "lift", "over_the_bust": "over the bust",
    "low_waist": "that the waist is worn low", "hip_split": "that the back's hip is wider", "half_elastic": "to gather",
    "two_seams": "the two seams", "leg": "of leg", "at_the_knee": "at the knee", "to_take_in": "to take in", "turn_up": "turn-up, twice", "below_the_band": "below the band", "loose": "to be loose", "casing": "casing", "heading": "heading and its turn", "channel": "channel",
    "tie": "tie", "to_tie": "to tie", "seven_tenths_of_crotch_round": "which is 7/10 of the crotch line all round",
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
    "on_the_draft": "measured on the draft", "moves_with_tip": "as far as the crotch point moved",
    "back_ease": "the back's ease", "widest_front": "widest line of the front, cut", "lay_place": "its place in the lay",
    "to_the_yoke": "down to the yoke", "dart_to_the_edge": "prolonged to the strip's edge", "dart_left": "what the strip leaves of it",
    "room_for_it": "as large as there is room for", "facing_wide": "width of the facing", "beyond_opening": "1 in beyond the opening",
    "of_the_bag": "of the bag's own shape", "strip_takes": "what the strip takes", "inner_leg_equal": "where the inner legs come out equal", "to_the_bottom": "to the front's bottom", "widest_leg": "widest line of the leg, cut", "widest_part": "widest line of the small parts, cut",
    "to_the_crease": "as far as the crease", "widest_back": "widest line of the back, cut",
}  # fmt: skip
UNSEEN_MM = 0.4
"""A lean under a quarter of a sixteenth of an inch is left out of the words; the number holds it."""


def number_text(mm: float | Fraction, unit: Unit) -> str:
    """A bare number in `unit`: as tape fractions where exact, else with two decimals."""
    shown = show(mm, unit)
    if shown.exact:
        return shown.bare
    return f"{float(mm) / float(MM[unit]):.2f}".rstrip("0").rstrip(".")


def _fixed(length: Fixed, unit: Unit) -> str:
    text = f"{number_text(length.size, unit)} {unit}"
    return f"{text} {LABELS[length.label]}" if length.label else text


def _leaf(length: Length, unit: Unit, numbers: bool) -> str:
    if isinstance(length, Measured):
        return number_text(length.size, unit) if numbers else measure_name(length.key)
    if isinstance(length, Fixed):
        return number_text(length.size, unit) if numbers else _fixed(length, unit)
    if isinstance(length, Found):
        return number_text(length.size, unit) if numbers else FOUND[length.label]
    raise TypeError(type(length).__name__)


def _render(length: Length, unit: Unit, numbers: bool) -> str:
    if isinstance(length, Sum):
        return _sum(length, unit, numbers)
    if isinstance(length, Scaled):
        return _scaled(length, unit, numbers)
    return _leaf(length, unit, numbers)


def _grouped(length: Length, unit: Unit, numbers: bool) -> str:
    text = _render(length, unit, numbers)
    plain = isinstance(length, Measured | Found | Fixed)
    return text if plain and not (numbers and " " in text and "/" in text) else f"({text})"


def _scaled(length: Scaled, unit: Unit, numbers: bool) -> str:
    over, under = length.factor.numerator, length.factor.denominator
    if over < 0:
        return (
            "- " + _scaled(Scaled(length.of, -length.factor), unit, numbers)
            if length.factor != -1
            else ("- " + _grouped(length.of, unit, numbers))
        )
    text = _render(length.of, unit, numbers)
    chain = isinstance(length.of, Scaled) and length.of.factor > 0
    if not chain:
        text = _grouped(length.of, unit, numbers)
        if isinstance(length.of, Fixed) and not numbers and length.of.label:
            text = f"({text})"
    if over != 1:
        text = f"{text} x {over}"
    return f"{text} / {under}" if under != 1 else text


def _sum(length: Sum, unit: Unit, numbers: bool) -> str:
    parts: list[str] = []
    for term in length.terms:
        if isinstance(term, Found) and term.label == "lean" and abs(term.size) < UNSEEN_MM:
            continue
        minus = isinstance(term, Scaled) and term.factor < 0
        if minus and isinstance(term, Scaled):
            inner = Scaled(term.of, -term.factor) if term.factor != -1 else term.of
            text = f"({_render(inner, unit, numbers)})" if isinstance(inner, Sum) else _render(inner, unit, numbers)
        else:
            text = _render(term, unit, numbers)
            if isinstance(term, Found | Fixed) and float(term.value) < 0:
                minus = True
                shown = (
                    Found(-float(term.value), term.label) if isinstance(term, Found) else Fixed(-term.size, term.label)
                )
                text = _leaf(shown, unit, numbers)
        if not parts:
            parts.append(f"- {text}" if minus else text)
        else:
            parts.append(f"{'-' if minus else '+'} {text}")
    return " ".join(parts)


def formula(length: Length, unit: Unit) -> str:
    """The sum with names: `hip / 4 + 1 in side seam + 1/2 in centre seam`."""
    return _render(length, unit, False)


def with_numbers(length: Length, unit: Unit) -> str:
    """The sum with the client's numbers: `41 / 4 + 1 + 1/2`."""
    return _render(length, unit, True)
