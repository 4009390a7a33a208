"""The cloth and its folds."""

from cutting.cloth.cloth import FOLDS, KINDS, PARTS, SECTION_FOLDS, THICKNESSES, USUAL_FOLDS, Cloth, Fold
from cutting.cloth.folded import Doubling, Folded, Layer, folded

__all__ = [
    "FOLDS", "KINDS", "PARTS", "SECTION_FOLDS", "THICKNESSES", "USUAL_FOLDS", "Cloth",
    "Doubling", "Fold", "Folded", "Layer", "folded",
]  # fmt: skip
