"""How cloth is folded, in words: which way, how deep, what is where. Common practice, no source."""

from collections.abc import Mapping

from cutting.lengths import Unit, show
from cutting.words.language import FoldWords

FOLDS: dict[str, FoldWords] = {
    "lengthwise-centre": FoldWords(
        "Lengthwise in the middle", "pairs cut at once, two layers; the usual one", "both selvedges", "cloth width / 2",
        "Fold it lengthwise in the middle, right sides together, selvedge on selvedge: {depth} deep. Pin the selvedges. Each piece is cut through two layers.",
    ),
    "open": FoldWords(
        "Open, one layer", "left and right each laid by itself, often the least cloth", "selvedge", "cloth width",
        "Spread it in one layer, right side up. Left and right are laid each by itself, one of them turned over.",
    ),
    "lengthwise-partial": FoldWords(
        "Lengthwise, partly", "two layers just as deep as needed, the rest single", "one selvedge", "cloth width less the turned part",
        "Fold one selvedge over, right sides together, {upper} deep; {single} stay single beside it. Pin the turned edge. Pairs go in the double part, one of a kind in the single.",
    ),
    "selvedges-to-middle": FoldWords(
        "Both selvedges to the middle", "two folds, for pieces that are cut on one", "fold", "cloth width / 2",
        "Fold both selvedges to the middle, right sides together: two folds, each {upper} deep. Pin where the selvedges meet; no piece crosses that line in the upper layers.",
    ),
    "crosswise": FoldWords(
        "Crosswise", "the length runs across the cloth: the drape turns", "both cut ends", "as far as the pieces reach",
        "Fold it across, cut end on cut end, right sides together: {depth} deep. The length of every piece runs across the cloth: the drape turns with it.",
    ),
    "folded-twice": FoldWords(
        "Folded twice", "four layers: all four panels of a quick cut at once", "all selvedges", "cloth width / 2",
        "Fold it across, cut end on cut end, then lengthwise: four layers, {depth} deep from the double fold. Pin well: the layers creep.",
    ),
    "sections": FoldWords(
        "In sections", "front, cut off, folded anew for the back; small parts beside them where they fit", "", "", "",
    ),
}  # fmt: skip
"""Each fold: its name, what it is good for, what is opposite the fold, what its depth is made of, how it is done."""

CLOTH_STEPS = {
    "edges": "Find the selvedges: the grain runs along them.",
    "edges_left": "Find the selvedges: the grain runs along them. {selvedge} at each of them stay empty.",
    "shrink": "Wash or steam it first: it shrinks by {percent} %. Then press it flat.",
    "press": "Press it flat.",
    "trim": "Trim the cut end square to the selvedge.",
    "trim_off": "Trim the cut end square to the selvedge: {trim} are bought for that.",
    "one_way": "Chalk an arrow at the cut end, the way the print or nap runs.",
    "next": "Cut the last section off straight across, and fold what is left anew.",
    "repeat": "Pin the stripes of all layers on each other, every {repeat}.",
    "creeps": "This cloth creeps: clips along the edges, more pins, paper under it.",
}
"""What is done before the first call of a section. Common practice, no source."""

SECTIONS = {"front": "Front", "back": "Back", "rest": "Small parts", "all": "The whole cloth"}


def section_name(part: str, small: bool) -> str:
    """What is cut from a section; `small` where small parts are beside what names it."""
    if part.startswith("spread-"):
        return f"Spread {part.removeprefix('spread-')}"
    return SECTIONS[part] + (" and small parts" if small and part in ("front", "back") else "")


def fold_words(fold: str) -> FoldWords:
    """What a fold is called, what it is good for, and how its depth comes about."""
    return FOLDS[fold]


def say_fold(fold: str, sizes: Mapping[str, float], unit: Unit) -> str:
    """How to fold; `sizes` are depth, upper and single, in mm."""
    return FOLDS[fold].how.format(**{name: show(mm, unit).text for name, mm in sizes.items()})


def say_cloth_step(code: str, sizes: Mapping[str, float], unit: Unit) -> str:
    """What is done to the cloth before it is chalked; sizes in mm, and a percentage."""
    texts = {key: f"{size:g}" if key == "percent" else show(size, unit).text for key, size in sizes.items()}
    return CLOTH_STEPS[code].format(**texts)
