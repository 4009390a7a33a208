"""A lay read back: from the placements a page sends, or from what was stored of a lay."""

from collections.abc import Sequence
from typing import Any

from cutting.lay import Bound, BoundStep, Laid, Lay, Placement


def placements_of(rows: Sequence[dict[str, Any]]) -> list[tuple[int, Placement]]:
    """Placements from the wire, each with the number of its section."""
    return [
        (
            p["section"],
            Placement(p["piece"], p["copies"], tuple(p["layers"]), p["x_mm"], p["y_mm"], p["turned"], p["mirrored"]),
        )
        for p in rows
    ]


def stored_lays(laid: Laid, lay: dict[str, Any]) -> tuple[list[Lay], list[Bound]]:
    """What was stored of a lay for the same sections: where everything is placed, and the bounds that were proved."""
    placed = placements_of(lay["placements"])
    lays, bounds = [], []
    for number, (section, one) in enumerate(zip(laid.sections, lay["sections"], strict=True)):
        times = section.table.times
        reach = (one["to_mm"] - one["from_mm"]) / times
        lays.append(Lay(section.table, tuple(p for there, p in placed if there == number), reach))
        bounds.append(Bound(tuple(BoundStep(**step) for step in one["bound_steps"]), times))
    return lays, bounds
