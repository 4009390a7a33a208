"""From cut pieces to a garment: what is sewn, in an order in which it can be. Common practice, no source."""

from cutting.sewing.judging import Given, Judged, doubt_of, judge
from cutting.sewing.learned import own_minutes
from cutting.sewing.operation import HOW, How, Operation, OperationCode, Stitch
from cutting.sewing.order import OPERATIONS, sewing_of
from cutting.sewing.reading import Give, Reading
from cutting.sewing.ways import Way, way_of

__all__ = [
    "HOW", "OPERATIONS", "Give", "Given", "How", "Judged", "Operation", "OperationCode", "Reading", "Stitch", "Way",
    "doubt_of", "judge", "own_minutes", "sewing_of", "way_of",
]  # fmt: skip
