"""The cloth and its folds."""

from cutting.cloth.cloth import FOLDS, KINDS, THICKNESSES, Cloth, fold_depth

__all__ = ["FOLDS", "KINDS", "THICKNESSES", "Cloth", "fold_depth"]
