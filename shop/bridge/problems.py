"""The core's refusals as the shop passes them on."""

from cutting.errors import CuttingError
from cutting.formats import problems_to_wire
from cutting.lengths import Unit
from shop.errors import ShopError


class CoreRefusal(ShopError):
    """The core refused, with every problem it found."""

    code = "core"

    def __init__(self, error: CuttingError, unit: Unit = "in"):
        super().__init__("This cannot be worked with yet.", problems_to_wire(error, unit)["problems"])
