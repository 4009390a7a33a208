"""The cloth and its folds."""

from cutting.cloth.cloth import FOLDS, KINDS, Cloth, fold_depth

__all__ = ["FOLDS", "KINDS", "Cloth", "fold_depth"]
