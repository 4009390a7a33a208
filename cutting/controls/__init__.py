"""Control tapes of a chalked piece: tapes that no mark was made with, and which mark a wrong reading comes from."""

from cutting.controls.choosing import control_tapes
from cutting.controls.judging import Suspect, Verdict, judge
from cutting.controls.tape import FEWEST, LONGEST, MOST, NOT_CUT, SHORTEST, Tape

__all__ = ["FEWEST", "LONGEST", "MOST", "NOT_CUT", "SHORTEST", "Suspect", "Tape", "Verdict", "control_tapes", "judge"]
