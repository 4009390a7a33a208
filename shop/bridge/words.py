"""In which language and unit the core speaks for somebody, and its plans in those words."""

from typing import Any

from cutting.formats import read_kept, read_lay
from cutting.formats.plan_shape import LayOut, PlanOut
from cutting.formats.stored import as_plan, is_words
from cutting.lengths import Unit
from cutting.words import LANGUAGES, Language

LANGUAGE = "en"
"""The one language there is."""


def as_unit(text: str) -> Unit:
    """The unit a row holds as text."""
    return "cm" if text == "cm" else "in"


def words() -> Language:
    """What is said, in that language."""
    return LANGUAGES[LANGUAGE]


def said_plan(stored: dict[str, Any], unit: str) -> PlanOut:
    """A stored plan in words, its lengths in `unit`; one that was stored in words says what it said then."""
    return as_plan(stored) if is_words(stored) else read_kept(stored, words(), as_unit(unit))


def said_lay(stored: dict[str, Any], unit: str) -> LayOut:
    """A stored lay in words."""
    said = stored["sections"] and "say" in stored["sections"][0]
    return LayOut.model_validate(stored) if said else read_lay(stored, words(), as_unit(unit))
