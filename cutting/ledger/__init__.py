"""The girth ledger: at each level what the body measures, what is cut, what seams and darts take, what is left."""

from cutting.garments import Garment, Lower, Top
from cutting.ledger.lower import lower_rows
from cutting.ledger.row import Row
from cutting.ledger.top import top_rows

__all__ = ["Row", "ledger"]


def ledger(garment: Garment) -> list[Row]:
    """The rows of one garment, downwards."""
    if isinstance(garment, Lower):
        return lower_rows(garment)
    return top_rows(garment) if isinstance(garment, Top) else []
