"""The core's refusals as the shop passes them on."""

from typing import Any

from cutting.errors import CuttingError
from cutting.formats import problems_to_wire
from cutting.lengths import Unit


class CoreRefusal(Exception):
    """The core refused: `problems` are dicts with where, code, what and mend."""

    def __init__(self, error: CuttingError, unit: Unit = "in"):
        super().__init__(str(error))
        self.problems: list[dict[str, Any]] = problems_to_wire(error, unit)["problems"]
