"""How practitioners draft: each method a readable recipe that draws net lines on a board."""

from cutting.methods.ask import Allowances, Ask
from cutting.methods.registry import METHODS, Method

__all__ = ["METHODS", "Allowances", "Ask", "Method"]
