"""How practitioners draft: each method a readable recipe that draws net lines on a board."""

from cutting.methods.ask import Allowances, Ask
from cutting.methods.correcting import correct_lower, correct_top, lengths_among, limits
from cutting.methods.method import Method
from cutting.methods.of_cloth import said_of_cloth
from cutting.methods.registry import METHODS, OF_A_WAIST, methods_for, resolve, usual, usual_method, usual_sources
from cutting.methods.styles import STYLES

__all__ = [
    "METHODS", "OF_A_WAIST", "STYLES", "Allowances", "Ask", "Method", "correct_lower", "correct_top",
    "lengths_among", "limits", "methods_for", "resolve", "said_of_cloth", "usual", "usual_method", "usual_sources",
]  # fmt: skip
