"""What control tapes found, in words."""

from collections.abc import Mapping

from cutting.lengths import Unit, show
from cutting.words.en.calls import EDGES

MOST = 3
"""So many edges are said: those that change most."""


def say_suspect(mark: str, mm: float, edges: Mapping[str, float], unit: Unit) -> str:
    """A mark whose tape was read too long or too short, and what that does to the edges of the piece."""
    off = f"{mark}: its tape was {show(abs(mm), unit).text} too {'long' if mm > 0 else 'short'}"
    most = sorted(edges.items(), key=lambda one: -abs(one[1]))[:MOST]
    if not most:
        return f"{off}."
    does = [f"the {_edge(edge)} {show(abs(by), unit).text} {'longer' if by > 0 else 'shorter'}" for edge, by in most]
    return f"{off}; so {', '.join(does)}."


def _edge(edge: str) -> str:
    return EDGES.get(edge, edge.replace("_", " "))
