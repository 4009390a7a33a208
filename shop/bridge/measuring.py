"""Reading the tape: what a typed length means, and which points a trouser needs."""

from decimal import Decimal
from typing import Any

from cutting.body import CATALOGUE
from cutting.errors import CuttingError
from cutting.formats.job_v1 import read_measure
from cutting.lengths import Unit
from cutting.words import MEASURES
from shop.bridge.problems import CoreRefusal


def read_reading(key: str, typed: str, unit: Unit) -> Decimal:
    """The millimetres of one reading, to a millionth. Raises CoreRefusal with the field's place."""
    try:
        size = read_measure(key, typed, unit, f"measurements.{key}")
    except CuttingError as error:
        raise CoreRefusal(error, unit) from None
    return (Decimal(size.numerator) / Decimal(size.denominator)).quantize(Decimal("0.000001"))


def trouser_points() -> list[dict[str, Any]]:
    """The points of a trouser session in the order of taking."""
    points = sorted((p for p in CATALOGUE.values() if p.turn), key=lambda p: p.turn)
    return [
        {
            "key": p.key, "name": MEASURES[p.key].name, "how": MEASURES[p.key].how, "slip": MEASURES[p.key].slip,
            "least_mm": p.least, "most_mm": p.most, "needed": p.key in ("waist", "hip", "thigh", "outseam"),
        }
        for p in points
    ]  # fmt: skip
