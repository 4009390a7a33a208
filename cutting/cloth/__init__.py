"""The cloth and its folds."""

from cutting.cloth.cloth import FOLDS, KINDS, THICKNESSES, USUAL_FOLDS, Cloth, Fold
from cutting.cloth.folded import Doubling, Folded, Layer, folded

__all__ = [
    "FOLDS", "KINDS", "THICKNESSES", "USUAL_FOLDS", "Cloth", "Doubling", "Fold", "Folded", "Layer", "folded",
]  # fmt: skip
