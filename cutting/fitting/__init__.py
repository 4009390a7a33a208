"""From what is seen on the body to what changes in the draft. Common practice, no source."""

from cutting.fitting.altering import Alteration, alteration_of
from cutting.fitting.cures import NumberMoved, Tried, corrections_of, tried
from cutting.fitting.recurring import Fitted, Recurring, recurring
from cutting.fitting.signs import SIGNS, VIEWS, Amount, Change, Cure, Room, Sign

__all__ = [
    "SIGNS", "VIEWS", "Alteration", "Amount", "Change", "Cure", "Fitted", "NumberMoved", "Recurring", "Room", "Sign",
    "Tried", "alteration_of", "corrections_of", "recurring", "tried",
]  # fmt: skip
