"""From what is seen on the body to what changes in the draft. Common practice, no source."""

from cutting.fitting.cures import NumberMoved, Tried, corrections_of, tried
from cutting.fitting.signs import SIGNS, VIEWS, Change, Cure, Room, Sign

__all__ = ["SIGNS", "VIEWS", "Change", "Cure", "NumberMoved", "Room", "Sign", "Tried", "corrections_of", "tried"]
