"""What would make the cloth in hand enough, in words."""

from cutting.words.en.folds import fold_words

SAVINGS = {
    "now": "As it stands",
    "pieced_band": "Piece the band: join it behind instead of cutting it in one",
    "other_cloth": "Facings, bindings and pocket bags from other cloth",
    "hem": "Hems half as deep",
    "leg": "Legs 2 in narrower round the hem",
    "shorter": "Legs 2 in shorter",
    "fuller": "A tenth less fullness",
}
FOLDING = {
    "open": "Lay it open, one layer",
    "sections": "Fold it anew for front, back and small parts",
    "crosswise": "Lay it across the grain: fold it crosswise; the drape turns",
}


def saving_words(code: str) -> str:
    """One saving, as one does it."""
    kind, _, fold = code.partition(".")
    if kind == "fold":
        return FOLDING.get(fold, f"Fold it otherwise: {fold_words(fold).name[0].lower()}{fold_words(fold).name[1:]}")
    return SAVINGS[code]
