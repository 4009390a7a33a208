"""The girth ledger: at each level what the body measures, what is cut, what seams and darts take, what is left."""

from collections.abc import Callable
from typing import Any

from cutting.garments import Garment
from cutting.ledger.lower import lower_rows
from cutting.ledger.row import Row
from cutting.ledger.top import top_rows

__all__ = ["ROWS", "Row", "ledger"]
ROWS: dict[str, Callable[[Any], list[Row]]] = {
    "lower": lower_rows,
    "top": top_rows,
    "house": lambda _: [],
    "left": lambda _: [],
}
"""By the kind of garment. A left side goes round no body by itself: what it differs in goes down."""


def ledger(garment: Garment) -> list[Row]:
    """The rows of one garment, downwards. Raises KeyError for a kind that has none."""
    return ROWS[garment.kind](garment)
