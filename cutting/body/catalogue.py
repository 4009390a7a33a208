"""Every measurement a job may hold, with the range no living person leaves.

Names follow ISO 8559-1 where it has one; the ranges are common practice, no source, set wide: from a child to
a hip of 2 m. They catch a slip of the unit, not an unusual body.
"""

from dataclasses import dataclass
from difflib import get_close_matches


@dataclass(frozen=True)
class Point:
    """A point of the tape: its key, the range in mm, and its place in the order of taking a trouser (0: not asked)."""

    key: str
    least: float
    most: float
    turn: int = 0


_ROWS = """
waist 400 2000 1 | low_waist 400 2000 0 | hip 500 2200 2 | bust 400 2000 0 | under_bust 400 1800 0 | chest 400 2000 0
thigh 250 1200 3 | knee 180 800 4 | calf 150 800 0 | ankle 120 500 0 | high_ankle 120 500 0 | neck 200 800 0
head 400 750 0 | upper_arm 120 800 0 | wrist 90 350 0 | armhole_girth 200 900 0 | shoulder 200 700 0
shoulder_length 60 260 0 | back_width 180 700 0 | chest_width 180 700 0 | waist_to_hip 60 400 5
body_rise 120 500 6 | crotch_length 350 1300 0 | outseam 400 1400 7 | inseam 250 1100 8 | waist_to_knee 250 900 9
waist_to_floor 450 1500 0 | heel_height 0 200 0 | height 800 2300 0 | nape_to_waist 200 700 0
neck_to_waist 200 800 0 | shoulder_to_waist 200 800 0 | shoulder_to_chest 80 500 0 | shoulder_to_tummy 200 900 0
shoulder_to_bust_point 100 500 0 | bust_span 80 400 0 | bust_radius 30 200 0 | shoulder_slope 0 100 0
full_strap 200 900 0 | neck_to_under_bust 150 700 0 | armhole_depth 80 450 0 | sleeve_length 50 900 0
sleeve_round 90 900 0 | top_length 200 1400 0
"""


def _read(cell: str) -> Point:
    key, least, most, turn = cell.split()
    return Point(key, float(least), float(most), int(turn))


CATALOGUE: dict[str, Point] = {
    point.key: point for row in _ROWS.strip().splitlines() for point in map(_read, row.split("|"))
}


def nearest(word: str, among: list[str]) -> str:
    """The known word nearest to a mistyped one, or an empty text."""
    close = get_close_matches(word, among, n=1, cutoff=0.55)
    return close[0] if close else ""
