"""From cut pieces to a garment: what is sewn, in an order in which it can be. Common practice, no source."""

from cutting.sewing.operation import HOW, How, Operation, OperationCode, Stitch
from cutting.sewing.order import OPERATIONS, sewing_of

__all__ = ["HOW", "OPERATIONS", "How", "Operation", "OperationCode", "Stitch", "sewing_of"]
