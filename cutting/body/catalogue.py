"""Every measurement a job may hold: the range no living person leaves, when it is taken, and where the tape runs.

Names follow ISO 8559-1 where it has one; the ranges are common practice, no source, set wide: from a child to
a hip of 2 m. They catch a slip of the unit, not an unusual body.
"""

from collections.abc import Collection
from dataclasses import dataclass
from difflib import get_close_matches
from typing import Literal

View = Literal["front", "side", "back", "bent", "seated"]
VIEWS: tuple[View, ...] = ("front", "side", "back", "bent", "seated")
"""How the client stands, in the order of taking: each once, so that the client turns as seldom as possible."""
SETS = {"T": ("trousers", "two-piece"), "B": ("top", "two-piece"), "J": ("jumpsuit",)}
_LOWER, _UPPER = ("waist", "hip", "thigh", "outseam"), ("bust", "shoulder", "nape_to_waist", "upper_arm")
NEEDED: dict[str, tuple[str, ...]] = {
    "trousers": _LOWER,
    "top": ("waist", "hip", *_UPPER),
    "two-piece": (*_LOWER, *_UPPER),
    "jumpsuit": (*_LOWER, *_UPPER, "body_rise"),
    "full": _LOWER,
}
"""Without these nothing of a session can be drafted; methods and choices may ask for more by name."""


@dataclass(frozen=True)
class MeasurePoint:
    """A point of the tape: its key, the range in mm, the sessions that ask for it, the view it is taken in.

    `tape` says how the tape is on the figure: `round` and a level, or `along` and the landmarks it passes.
    """

    key: str
    least: float
    most: float
    sets: tuple[str, ...]
    view: View
    tape: tuple[str, ...]


# key, least, most | sessions (T trousers, B top, J jumpsuit; - the full set only) | view | tape
_ROWS = """
head 400 750 | BJ | front | round head
neck 200 800 | BJ | front | round neck
shoulder_length 60 260 | - | front | along neck_point shoulder_tip
shoulder_slope 0 100 | - | front | along level_tip shoulder_tip
chest_width 180 700 | B | front | along chest_left chest_right
shoulder_to_chest 80 500 | B | front | along neck_point chest_point
chest 400 2000 | B | front | round chest
shoulder_to_bust_point 100 500 | BJ | front | along neck_point bust_point
bust_span 80 400 | BJ | front | along bust_left bust_point
bust_radius 30 200 | - | front | along bust_point bust_under
bust 400 2000 | BJ | front | round bust
under_bust 400 1800 | - | front | round under_bust
neck_to_under_bust 150 700 | - | front | along neck_point bust_point bust_under
neck_to_waist 200 800 | BJ | front | along neck_point bust_point front_waist
shoulder_to_waist 200 800 | - | front | along shoulder_middle side_front_waist
shoulder_to_tummy 200 900 | B | front | along neck_point bust_point front_tummy
neck_to_side_waist 250 900 | - | front | along neck_point side_front_waist
tip_to_waist 250 900 | - | front | along shoulder_tip bust_point front_waist
waist 400 2000 | TBJ | front | round waist
tummy 400 2200 | B | front | round tummy
low_waist 400 2000 | - | front | round low_waist
hip 500 2200 | TBJ | front | round hip
thigh 250 1200 | TJ | front | round thigh
knee 180 800 | TJ | front | round knee
calf 150 800 | - | front | round calf
high_ankle 120 500 | - | front | round high_ankle
ankle 120 500 | - | front | round ankle
instep 180 600 | - | front | round instep
inseam 250 1100 | TJ | front | along crotch inner_knee inner_ankle
height 800 2300 | - | side | along crown_wall floor_wall
armhole_girth 200 900 | - | side | loop shoulder_side armpit
waist_to_hip 60 400 | TJ | side | along side_waist side_hip
waist_to_knee 250 900 | TJ | side | along side_waist side_hip side_knee
outseam 400 1400 | TJ | side | along side_waist side_hip side_knee side_ankle
waist_to_floor 450 1500 | - | side | along side_waist side_hip side_knee side_floor
heel_height 0 200 | - | side | along heel_top heel_floor
crotch_length 350 1300 | TJ | side | along belly_waist under_crotch seat back_waist
full_strap 200 900 | - | side | along belly_waist bust_side shoulder_top back_waist
shoulder 200 700 | BJ | back | along tip_left shoulder_tip
back_width 180 700 | B | back | along back_left back_right
shoulder_to_armhole 100 500 | - | back | along tip_left back_left
armhole_depth 80 450 | B | back | along nape back_armhole
nape_to_waist 200 700 | BJ | back | along nape back_middle_waist
top_length 200 1400 | B | back | along nape back_middle_hip
upper_arm 120 800 | BJ | bent | round upper_arm
sleeve_length 50 900 | BJ | bent | along shoulder_tip elbow wrist
sleeve_round 90 900 | B | bent | round sleeve_edge
wrist 90 350 | BJ | bent | round wrist
body_rise 120 500 | TJ | seated | along seated_waist seated_seat
"""


def _read(row: str) -> MeasurePoint:
    size, sets, view, tape = (cell.strip() for cell in row.split("|"))
    key, least, most = size.split()
    named: View = next(one for one in VIEWS if one == view)
    asked = tuple(dict.fromkeys(name for letter in sets for name in SETS.get(letter, ())))
    return MeasurePoint(key, float(least), float(most), asked, named, tuple(tape.split()))


CATALOGUE: dict[str, MeasurePoint] = {point.key: point for point in map(_read, _ROWS.strip().splitlines())}


def session(name: str) -> tuple[MeasurePoint, ...]:
    """The points of a session (a name of `NEEDED`) in the order of taking."""
    asked = [point for point in CATALOGUE.values() if name == "full" or name in point.sets]
    return tuple(sorted(asked, key=lambda point: VIEWS.index(point.view)))


SESSIONS = tuple(NEEDED)
"""What is measured together, by what is sewn."""


def session_for(kinds: Collection[str], joined: bool = False) -> str:
    """The session that garments of these kinds ask for: trousers, a top, both; or both `joined` at the waist."""
    alone = {frozenset({"lower"}): "trousers", frozenset({"top"}): "top", frozenset[str](): "trousers"}
    return "jumpsuit" if joined else alone.get(frozenset(kinds), "two-piece")


def nearest(word: str, among: list[str]) -> str:
    """The known word nearest to a mistyped one, or an empty text."""
    close = get_close_matches(word, among, n=1, cutoff=0.55)
    return close[0] if close else ""
