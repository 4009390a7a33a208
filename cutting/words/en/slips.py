"""What a number of one's own would do, and the slip that it looks like."""

from cutting.lengths import Unit, show
from cutting.slips import Answer, Slip
from cutting.words.en.formula import formula
from cutting.words.inches import as_taped

RIGHT = "It is the same: {right}."
DIFFERS = "It is {by} {more} than the draft's {right}."
EFFECTS: dict[str, str] = {
    "waist": "The waist comes out {by} too {large}.",
    "hip": "The hip comes out {by} too {large}.",
    "bust": "The bust comes out {by} too {large}.",
    "leg": "The leg comes out {by} too {wide} there.",
    "band": "The band is {by} too {long} for the waist it is sewn to.",
    "crotch_line": "The crotch line is {by} too {low}; the crotch seam changes by about 1 3/4 times that.",
    "hem_level": "The hem is {by} too {low}.",
    "fold": "The fold is {by} {deeper} than the widest piece needs.",
    "elastic": "The elastic is {by} too {long}.",
    "plain": "",
}  # fmt: skip
PAIRS = {
    "more": ("more", "less"), "large": ("large", "small"), "wide": ("wide", "narrow"), "long": ("long", "short"),
    "low": ("low", "high"), "deeper": ("deeper", "shallower"),
}  # fmt: skip
"""A word where the hand's number is larger, and where it is smaller."""
SLIPS: dict[str, str] = {
    "no_seams": "It looks as if the seams were left out: this is the number between the sewing lines.",
    "seams_twice": "It looks as if the seams were counted twice.",
    "left_out": "It looks as if {term} was left out.",
    "twice": "It looks as if {term} was counted twice.",
    "share_once": "It looks as if only half of {term} was counted: once for two edges or two turns.",
    "half": "It looks like half of it: a quarter taken for a half, or one panel for two.",
    "double": "It looks like twice as much: a half taken for a quarter, or two panels for one.",
    "quarter": "It looks like a quarter of it: a share was taken twice.",
    "fourfold": "It looks like four times as much: the whole round taken for a panel.",
    "decimals": "It looks as if a fraction was written as a decimal: 4 1/2 is 4.5, not 4.05.",
    "in_inches": "It looks as if centimetres were typed as inches.",
    "in_cm": "It looks as if inches were typed as centimetres.",
}  # fmt: skip
NAMES: dict[str, str] = {
    "no_seams": "seams left out", "seams_twice": "seams counted twice", "left_out": "a term left out",
    "twice": "a term counted twice", "share_once": "one of two edges", "half": "half of it", "double": "twice as much",
    "quarter": "a quarter of it", "fourfold": "four times as much", "decimals": "a fraction written as a decimal",
    "in_inches": "centimetres for inches", "in_cm": "inches for centimetres",
}  # fmt: skip
"""What each is called in a list."""


def slip_name(code: str) -> str:
    """What a slip is called in a list."""
    return NAMES[code]


def say_answer(answer: Answer, unit: Unit) -> list[str]:
    """The answer in sentences: how far off it is, what that does, what it looks like."""
    right = show(answer.right.value, unit).text
    if answer.effect == "right":
        return [RIGHT.format(right=right)]
    more = show(abs(answer.differs), unit).text
    said = [DIFFERS.format(by=more, right=right, **_ways(answer.differs))]
    if EFFECTS[answer.effect]:
        said.append(EFFECTS[answer.effect].format(by=show(abs(answer.by), unit).text, **_ways(answer.by)))
    return said + [_say_slip(slip, unit) for slip in answer.slips]


def _ways(size: float) -> dict[str, str]:
    return {key: pair[0] if size > 0 else pair[1] for key, pair in PAIRS.items()}


def _say_slip(slip: Slip, unit: Unit) -> str:
    term = formula(slip.term, unit) if slip.term is not None else ""
    text = SLIPS[slip.code]
    if slip.term is not None and "{term}" not in text:
        return as_taped(f"{text[:-1]}, in {term}.", unit)
    return as_taped(text, unit).format(term=term)
