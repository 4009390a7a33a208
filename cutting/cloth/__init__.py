"""The cloth and its folds."""

from cutting.cloth.cloth import CLOTHS, PARTS, THICKNESSES, Cloth
from cutting.cloth.folded import FOLDS, SECTION_FOLDS, USUAL_FOLDS, Doubling, Fold, Folded, Layer, folded

__all__ = [
    "CLOTHS",
    "FOLDS",
    "PARTS",
    "SECTION_FOLDS",
    "THICKNESSES",
    "USUAL_FOLDS",
    "Cloth",
    "Doubling",
    "Fold",
    "Folded",
    "Layer",
    "folded",
]  # fmt: skip
