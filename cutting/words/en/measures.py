"""The client's measurements in words: name, how to take it, the usual slip. Own words, common practice, no source."""

from cutting.words.language import Taking

VIEWS = {
    "front": "Facing you, feet together, arms hanging",
    "side": "Standing sideways, looking ahead",
    "back": "With the back to you, arms hanging",
    "bent": "Hand on the hip, so that the elbow is bent",
    "seated": "Sitting upright on a hard chair",
}

_ROWS = """
head | head | Round the head above the brows and over the widest part behind. | Over the hair as it will be worn.
neck | neck | Round the base of the neck, where a collar sits. | One finger under the tape.
shoulder_length | shoulder length | From the side of the neck to the tip of the shoulder. | To the bone, not down the arm.
shoulder_slope | shoulder slope | How far the shoulder's tip is under the side of the neck. | Hold a ruler level from the neck; measure straight down.
chest_width | chest width | Across the front, from arm crease to arm crease. | Arms hanging, not drawn back.
shoulder_to_chest | shoulder to chest line | From the side of the neck straight down to the line where the arm joins. | Not slanting to the middle.
chest | chest | Round the fullest part of the chest, under the arms. | Level behind too; breathing out.
shoulder_to_bust_point | shoulder to bust point | From the side of the neck to the bust point. | In the underwear that goes with the garment.
bust_span | bust span | From one bust point to the other. | Straight across, not over the curve.
bust_radius | bust radius | From the bust point straight down to where the bust ends. | Along the body.
bust | bust | Round the fullest part of the bust. | Level behind too; do not pull.
under_bust | under the bust | Round the body right under the bust. | Level behind too.
neck_to_under_bust | neck to under the bust | From the side of the neck over the bust point to under the bust. | Along the body, not the air.
neck_to_waist | neck to waist, front | From the side of the neck over the bust point to the waist. | Tie a tape round the waist first.
shoulder_to_waist | shoulder to waist | From the middle of the shoulder down to the waist. | Tie a tape round the waist first.
shoulder_to_tummy | shoulder to tummy | From the side of the neck over the bust point to the fullest part of the tummy. | Along the body.
neck_to_side_waist | neck to side waist | From the side of the neck straight down to the waist at the side. | Tie a tape round the waist first.
tip_to_waist | shoulder tip to waist | From the shoulder's tip over the bust point to the middle of the waist. | A length: how far the tip slopes is another point.
waist | waist | Round the waist where the garment will sit. | Level behind too; one finger under the tape.
low_waist | low waist | Round the body a hand's breadth under the waist. | Level behind too.
tummy | tummy | Round the fullest part of the belly. | Level behind too; breathing out.
hip | hip | Round the fullest part of the seat. | Pockets empty; level behind too.
thigh | thigh | Round one leg, right under the seat. | Standing on both feet; do not pull.
knee | knee | Round the middle of the knee, leg straight. | Over the kneecap, not above it.
calf | calf | Round the fullest part of the lower leg. | Standing on both feet.
high_ankle | above the ankle | Round the leg a hand's breadth above the ankle. | Where the hem will end.
ankle | ankle | Round the ankle bones. | Can the foot pass the hem? It is rounder than this.
instep | heel and instep | Round the heel and over the instep, foot pointed. | What has to pass the hem.
inseam | inseam | Inside the leg, from the crotch to the ankle. | The client may hold the tape's upper end.
height | height | From the floor to the crown, against a wall. | Without shoes.
armhole_girth | armhole | Round the arm where it joins, over the shoulder's tip and under the arm. | Arm hanging; two fingers under the tape.
waist_to_hip | waist to hip | Down the side from the waist to the fullest part of the seat. | Along the body, not the air.
waist_to_knee | waist to knee | Down the side from the waist to the middle of the knee. | Leg straight.
outseam | outseam | Down the side from the waist to the ankle. | Over the hip, not through the air.
waist_to_floor | waist to floor | Down the side from the waist to the floor. | With the shoes to be worn: note the heel.
heel_height | heel height | From the heel's top to the floor, in the shoes to be worn. | Without a heel it is 0.
crotch_length | crotch length | From the front waist, between the legs, to the back waist. | The client may draw the tape through.
full_strap | strap, all over | From the front waist over the shoulder to the back waist. | Over the bust point.
shoulder | shoulders | Behind, from one shoulder's tip to the other. | Across the bone at the nape.
back_width | back width | Behind, from arm crease to arm crease. | Arms hanging; halfway down the armhole.
shoulder_to_armhole | shoulder to armhole, behind | Behind, from the shoulder's tip down to where the arm joins. | Arm hanging.
armhole_depth | armhole depth | Behind, from the nape straight down to the level of the armpits. | A strip of paper under the arms shows the level.
nape_to_waist | nape to waist | Behind, from the bone at the nape to the waist. | Along the hollow of the back.
top_length | length of the top | Behind, from the nape to where the top will end. | Let the client show it.
upper_arm | upper arm | Round the fullest part of the upper arm. | Elbow bent.
sleeve_length | sleeve length | From the shoulder's tip over the elbow to where the sleeve will end. | Elbow bent, or it binds.
sleeve_round | sleeve, lower edge | Round the arm where the sleeve will end. | With room for the hand to pass.
wrist | wrist | Round the wrist bone. | One finger under the tape.
body_rise | rise, seated | At the side, from the waist to the seat of the chair. | Back straight; not along the thigh.
"""


def _taking(row: str) -> tuple[str, Taking]:
    key, name, how, slip = (cell.strip() for cell in row.split("|"))
    return key, Taking(name, how, slip)


MEASURES: dict[str, Taking] = dict(map(_taking, _ROWS.strip().splitlines()))

WAYS = {
    "outseam_less_inseam": "The client may hold the tape's upper end at the inseam.",
    "quarter_of_hip": "The usual rule for a fitted waist; measure seated where you can.",
    "outseam_less_rise": "With no tape between the legs.",
    "inseam_and_rise": "Both were taken from the same waist.",
    "knee_by_halves": "Half of crotch to ankle, 1 1/2 in up.",
    "thigh_from_hip": "The middle of 507 adults; one in ten is further off.",
    "knee_from_hip": "The middle of 507 adults; one in ten is further off.",
    "low_waist_between": "Halfway between waist and hip.",
    "front_from_back": "A small bust; a full one takes more.",
}
"""What should be known of a second way."""
FLAT = "Lay trousers that fit flat and measure them: the girth so found holds their own ease."


def measure_name(key: str) -> str:
    """A measurement's name in a formula."""
    known = MEASURES.get(key)
    return known.name if known else key.replace("_", " ")


def taking(key: str) -> Taking:
    """How a point of the tape is taken."""
    return MEASURES[key]


def posture(view: str) -> str:
    """How the client stands for a view."""
    return VIEWS[view]


def about_way(code: str) -> str:
    """What should be known of a second way."""
    return WAYS[code]
