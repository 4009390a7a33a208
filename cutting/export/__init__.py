"""Other forms of a plan: drawings for paper and cloth, words for the shell."""

from cutting.export.svg import plan_to_svg
from cutting.export.text import plan_to_text

__all__ = ["plan_to_svg", "plan_to_text"]
