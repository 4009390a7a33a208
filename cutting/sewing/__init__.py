"""From cut pieces to a garment: what is sewn, in an order in which it can be. Common practice, no source."""

from cutting.sewing.judging import Given, Judged, doubt_of, judge
from cutting.sewing.operation import HOW, How, Operation, OperationCode, Stitch
from cutting.sewing.order import OPERATIONS, sewing_of
from cutting.sewing.reading import Give, Reading

__all__ = [
    "HOW", "OPERATIONS", "Give", "Given", "How", "Judged", "Operation", "OperationCode", "Reading", "Stitch",
    "doubt_of", "judge", "sewing_of",
]  # fmt: skip
