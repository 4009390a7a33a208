"""The same pieces on cloth of every standard width, and on its own cloth with every fold."""

from dataclasses import dataclass, replace

from cutting.cloth import FOLDS, USUAL_FOLDS, Cloth
from cutting.cloth.cloth import STANDARD_WIDTHS
from cutting.dividing import divided, first_length
from cutting.laying import Laying
from cutting.lengths import INCH_MM, Unit
from cutting.yardage import yardage


@dataclass(frozen=True)
class WidthRow:
    """What the same pieces need on cloth of another width or fold, in mm; None where they do not fit."""

    width: float
    fold: str
    length: float | None
    buy: float | None


def by_width(laying: Laying, unit: Unit, garments: int) -> tuple[WidthRow, ...]:
    """On cloth of each standard width with the usual folds, and on its own with every fold and in sections."""
    cloths = [replace(laying.cloth, width=inches * INCH_MM) for inches in STANDARD_WIDTHS]
    own = laying.cloth
    asked = [(cloth, fold) for cloth in cloths if cloth.width != own.width for fold in USUAL_FOLDS]
    every = [*asked, *((own, fold) for fold in (*FOLDS, "sections"))]
    return tuple(_row(laying, cloth, fold, unit, garments) for cloth, fold in every)


def _row(laying: Laying, cloth: Cloth, fold: str, unit: Unit, garments: int) -> WidthRow:
    length = first_length(divided(laying, cloth, fold))
    bought = yardage(length, cloth, unit, garments) if length is not None else None
    return WidthRow(float(cloth.width), fold, bought.length if bought else None, bought.buy if bought else None)
