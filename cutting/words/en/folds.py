"""How cloth is folded, in words: which way, how deep, what lies where. Common practice, no source."""

from collections.abc import Mapping

from cutting.lengths import Unit, show

NAMES = {
    "open": "Open, one layer",
    "lengthwise-centre": "Lengthwise in the middle",
    "lengthwise-partial": "Lengthwise, partly",
    "selvedges-to-middle": "Both selvedges to the middle",
    "crosswise": "Crosswise",
    "folded-twice": "Folded twice",
    "sections": "In sections, folded anew for each",
}
HOW = {
    "open": "Spread it in one layer, right side up. Left and right are laid each by itself, one of them turned over.",
    "lengthwise-centre": "Fold it lengthwise in the middle, right sides together, selvedge on selvedge: {depth} deep. Pin the selvedges. Each piece is cut through two layers.",
    "lengthwise-partial": "Fold one selvedge over, right sides together, {upper} deep; {single} stay single beside it. Pin the turned edge. Pairs lie in the double part, one of a kind in the single.",
    "selvedges-to-middle": "Fold both selvedges to the middle, right sides together: two folds, each {upper} deep. Pin where the selvedges meet; no piece crosses that line in the upper layers.",
    "crosswise": "Fold it across, cut end on cut end, right sides together: {depth} deep. The length of every piece lies across the cloth: the drape turns with it.",
    "folded-twice": "Fold it across, cut end on cut end, then lengthwise: four layers, {depth} deep from the double fold. Pin well: the layers creep.",
}  # fmt: skip

SECTIONS = {"front": "Front", "back": "Back", "rest": "Small parts", "all": "The whole cloth"}


def section_name(part: str, small: bool) -> str:
    """What is cut from a section; `small` where small parts are beside what names it."""
    if part.startswith("spread-"):
        return f"Spread {part.removeprefix('spread-')}"
    return SECTIONS[part] + (" and small parts" if small and part in ("front", "back") else "")


def fold_name(fold: str) -> str:
    """What the fold is called."""
    return NAMES[fold]


def say_fold(fold: str, sizes: Mapping[str, float], unit: Unit) -> str:
    """How to fold; `sizes` are depth, upper and single, in mm."""
    return HOW[fold].format(**{name: show(mm, unit).text for name, mm in sizes.items()})
