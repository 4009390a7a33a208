"""The pieces of a stored plan for a pen plotter."""

from typing import Any

from cutting.export.hpgl import figures_to_hpgl
from cutting.formats.drawn import figures_of
from shop.bridge.words import said_plan, words


def pieces_to_plot(plan: dict[str, Any], unit: str, job: str) -> list[str]:
    """What is sent for each piece, in the order of the pieces; `job` names them for the plotter."""
    return figures_to_hpgl(figures_of(said_plan(plan, unit), words()), job)


def plotted_names(plan: dict[str, Any], unit: str) -> list[str]:
    """What each piece is called, in the same order."""
    pieces = said_plan(plan, unit).pieces
    several = len({one.garment for one in pieces}) > 1
    names = [words().panel_name(one.panel) for one in pieces]
    return [f"{one.garment}, {name}" if several else name for one, name in zip(pieces, names, strict=True)]
