"""The pieces of a stored plan for a pen plotter."""

from typing import Any

from cutting.export.hpgl import figures_to_hpgl
from cutting.formats.drawn import figures_of
from cutting.formats.named import NOBODY, name_of
from shop.bridge.words import said_plan, words


def pieces_to_plot(plan: dict[str, Any], unit: str, job: str) -> list[str]:
    """What is sent for each piece, in the order of the pieces; `job` names them for the plotter."""
    return figures_to_hpgl(figures_of(said_plan(plan, unit), words()), job)


def plotted_names(plan: dict[str, Any], unit: str) -> list[str]:
    """What each piece is called, in the same order."""
    said = said_plan(plan, unit)
    return [name_of(said, one.garment, one.panel, words(), NOBODY) for one in said.pieces]
