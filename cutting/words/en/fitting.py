"""What is seen at a fitting, what cures it, and where a garment that is sewn can still take it."""

from cutting.fitting import Alteration, Amount
from cutting.lengths import Length, Unit, show
from cutting.words.en.formula import formula
from cutting.words.inches import as_taped
from cutting.words.language import SignWords
from cutting.words.sums import with_numbers

VIEWS = {"front": "From the front", "back": "From behind", "side": "From the side", "seated": "Seated"}
SIGNS: dict[str, tuple[str, str]] = {
    "folds_at_fork": ("Folds point at the fork, like a smile", "Pinned: how much is let out between the legs until the cloth is smooth."),
    "loose_at_fork": ("Cloth hangs loose at the fork, creases point away from it", "Pinned: the fold that can be taken up there."),
    "hips_pull": ("It pulls across the hips, or pockets gape", "Pinned: what is missing round the hip."),
    "waist_tight": ("The waist is tight", "Pinned: what is missing round the waist."),
    "waist_loose": ("The waist is loose", "Pinned: what is too much round the waist."),
    "crotch_low": ("The crotch hangs low", "Pinned: by how much it hangs."),
    "seat_tight": ("The seat is tight, cloth pulls into the back", "Pinned: what is missing over the seat."),
    "bags_under_seat": ("It bags under the seat", "Pinned: the fold that can be taken up there."),
    "waist_stands_off": ("The waist stands off behind", "Pinned: what can be taken up there."),
    "zip_stands_out": ("The zip stands out at the waist", "Pinned: what stands out; the edge is changed by its own amount."),
    "leg_long": ("Too long", "Pinned: what is too long. With other shoes: measure the heel anew and note it on Measure."),
    "leg_short": ("Too short", "Pinned: what is missing to the hem. With other shoes: measure the heel anew and note it on Measure."),
    "leg_turns_out": ("The leg turns out", "It presses inside the knee and hangs empty outside. Pinned: how far its middle has to move in there."),
    "leg_turns_in": ("The leg turns in", "It presses outside the knee and hangs empty inside. Pinned: how far its middle has to move out there."),
    "hip_high": ("The waist pulls up over a hip", "Pinned: what is missing at the side, up to the waist."),
    "waist_dips": ("The waist dips behind when seated", "Pinned: what is missing up to the waist."),
    "thigh_tight": ("The thigh is tight when seated", "Pinned: what is missing round the thigh."),
    "crotch_cuts": ("The crotch cuts in", "Pinned: what is missing down to the fork."),
    "neck_stands_off": ("The neck stands off", "Pinned: what can be taken up across it."),
    "neck_chokes": ("The neck chokes", "Pinned: what is missing in front."),
    "bust_pulls": ("It pulls across the bust", "Pinned: what is missing round the bust."),
    "folds_neck_to_armhole": ("Folds run from the neck to the armhole", "Pinned: what is taken up at the shoulder's end."),
    "folds_tip_to_neck": ("Folds run from the shoulder's end to the neck", "Pinned: what is taken up at the neck."),
    "armhole_low": ("The top lifts with the arm", "Pinned: by how much the armhole is too low."),
    "armhole_cuts": ("The armhole cuts in", "Pinned: by how much it is too high."),
    "sleeve_tight": ("The sleeve is tight", "Pinned: what is missing round the arm."),
    "from_file": ("Found at a fitting before", "It came with a job file."),
    "waist_high": ("The top rides up", "Its waist is above the waist. Pinned: by how much."),
    "waist_low": ("It is too long in the waist", "Folds cross the back above the waist. Pinned: the fold that can be taken up there."),
    "top_short": ("The top is too short", "Pinned: what is missing."),
}  # fmt: skip
CURES = {
    "extension_more": "More front extension, the curve a little closer to its corner",
    "extension_less": "Less front extension, the curve a little closer to its corner",
    "extension_quarter": "Front extension 1/4 in more",
    "drop_more": "Centre front 1/2 in lower at the waist",
    "depth_less": "Less crotch depth", "depth_more": "More crotch depth",
    "hip_more": "More hip ease", "waist_more": "More waist ease", "waist_less": "Less waist ease",
    "darts_less": "Shallower back darts", "darts_more": "Deeper back darts",
    "slant_more": "More slant at the centre back", "tip_more": "More back tip",
    "tip_half": "Back tip 1/2 in more", "tip_less": "Back tip 1/2 in less, centre back 1/2 in more slanted",
    "hip_and_raise": "More hip ease, centre back 1/2 in higher", "raise_more": "Centre back higher", "side_raise_more": "The side higher at the waist",
    "zip_edge_less": "The zip's edge 1/2 in narrower", "length_less": "Shorter", "length_more": "Longer",
    "thigh_more": "More thigh ease, back tip 1/2 in more",
    "neck_narrower": "A narrower neck", "neck_wider": "A wider neck", "neck_deeper": "A deeper neck in front",
    "bust_more": "More bust ease", "slope_less": "Less shoulder slope", "slope_more": "More shoulder slope",
    "armhole_higher": "A higher armhole", "armhole_lower": "A lower armhole", "sleeve_wider": "A wider sleeve",
    "top_longer": "A longer top", "leg_inside": "Knee and hem further in", "leg_outside": "Knee and hem further out",
    "waist_lower": "A lower waist: longer from the nape and from the neck", "waist_higher": "A higher waist: shorter from the nape and from the neck",
    "from_file": "As the job file has it",
}  # fmt: skip
ROOMS = {
    "side": ("On this garment: let the sides out, up to {left} all round.", "On this garment: take it in at the sides."),
    "inner_leg": ("On this garment: let the inner leg out at the fork, up to {left} at each layer.", "On this garment: take it in at the inner leg."),
    "hem": ("On this garment: let the hem down, up to {left}.", "On this garment: turn the hem up higher."),
    "darts_deeper": ("", "On this garment: sew the back darts deeper before the band is sewn."),
    "darts_shallower": ("", "On this garment: sew the back darts shallower before the band is sewn."),
    "back_centre": ("", "On this garment: take the back centre in from the seat up, before the band is sewn."),
    "waist_line": ("", "On this garment: lower the waist seam before the band is sewn."),
}  # fmt: skip
ALTERED = {
    "side": ("Let the sides out", "Take the sides in"),
    "inner_leg": ("Let the inner leg out at the fork", "Take the inner leg in at the fork"),
    "hem": ("Let the hem down", "Turn the hem up higher"),
    "waist_line": ("Lower the waist seam", "Lower the waist seam"),
    "darts_deeper": ("Sew the back darts deeper", "Sew the back darts deeper"),
    "darts_shallower": ("Sew the back darts shallower", "Sew the back darts shallower"),
    "back_centre": ("Take the back centre in", "Take the back centre in"),
}  # fmt: skip
"""Where a garment is altered: let out, and taken in."""
STAYS = {
    "side": " 1/4 in of each allowance stays under the needle.",
    "inner_leg": " 1/4 in of each allowance stays under the needle.", "hem": " 1 in of the hem stays turned.",
}  # fmt: skip
"""What has to be left where something is let out."""
NO_ROOM = "On this garment it cannot be done: it waits for the next."


def say_works(share: float) -> str:
    """How much of a cure that is refused can be drafted."""
    return f"{share:.0%} of it works: pin less, or take another cure."


def say_nothing() -> str:
    """That a cure changes nothing on a draft."""
    return "It changes nothing on this draft: take another cure."


def view_name(view: str) -> str:
    """From which side one looks."""
    return VIEWS[view]


def sign_words(sign: str, unit: Unit) -> SignWords:
    """What is seen, and what is pinned for it."""
    return SignWords(*(as_taped(text, unit) for text in SIGNS[sign]))


def cure_name(cure: str, unit: Unit) -> str:
    """What a cure does."""
    return as_taped(CURES[cure], unit)


def say_room(room: str, left: Length | None, unit: Unit) -> str:
    """Where a garment that is sewn can still take a cure; `left` is how much there at most."""
    if room == "" or (left is not None and left.mm < 1):
        return NO_ROOM
    limited, free = ROOMS[room]
    if left is None:
        return free
    return limited.format(left=f"{show(left.mm, unit).text} ({with_numbers(left, unit)})")


def alteration_words(one: Alteration, unit: Unit) -> tuple[str, str]:
    """What is altered on a garment that is sewn, and by how much."""
    out, into = ALTERED[one.room]
    each = show(one.each.mm, unit).text
    much = f"{each} at each of {one.layers} layers ({with_numbers(one.each, unit)})" if one.layers > 1 else each
    stays = as_taped(STAYS[one.room], unit) if one.out and one.room in STAYS else ""
    return out if one.out else into, f"By {much}.{stays}"


def say_amount(amount: Amount, unit: Unit) -> str:
    """Where the amount of a cure comes from."""
    if amount.part is None:
        return "whatever is pinned"
    ends = {"": "", "least": ", but no less than {}", "most": ", but no more than {}"}
    return f"{formula(amount.part, unit)}{ends[amount.end].format(show(abs(float(amount.size)), unit).text)}"
