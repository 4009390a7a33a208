"""Kinds of garments, styles, methods and cloth, as the trade calls them."""

from cutting.words.language import MethodWords

KINDS = {"lower": "Trousers", "top": "Tops"}
HALVES = {"lower": "trousers", "top": "top"}
STYLES = {
    "very-short-shorts": "Very short shorts", "shorts": "Shorts", "knee-shorts": "Knee shorts",
    "straight-trousers": "Straight trousers", "close-trousers": "Close trousers", "boot-cut": "Boot cut",
    "palazzo": "Palazzo", "wide-gathered": "Wide gathered", "paper-bag": "Paper-bag", "boxers": "Boxers",
    "loose-trousers": "Loose trousers", "bodice": "Bodice", "straight-top": "Straight top", "loose-top": "Loose top",
    "cropped-top": "Cropped top", "jumpsuit": "Jumpsuit",
}  # fmt: skip
METHODS = {
    "quarter-hip": MethodWords("Quarter hip", "A quarter of the hip makes the panel; the back comes from the front by known additions. The commonest."),
    "half-thigh": MethodWords("Half thigh", "The front is half the thigh wide on the crotch line; the centre front drops by what the back rises."),
    "twentieth-tenth": MethodWords("Twentieth and tenth", "hip / 20 in front, hip / 10 behind; the curve swings outside the centre line."),
    "sixteenth-eighth": MethodWords("Sixteenth and eighth", "A quarter of the panel in front and half of it behind; the waist gathered on elastic."),
    "centre-crease": MethodWords("Centre crease", "Close trousers on one crease: front and back share a budget of cut widths."),
    "third-hip": MethodWords("Third of the hip", "Very loose: 7 in of ease, the depth from a third of the hip."),
    "one-piece-leg": MethodWords("One-piece leg", "No side seam: front and back of a leg in one piece."),
    "four-layer": MethodWords("Four layers", "A quick cut through cloth folded twice; it needs no hip."),
    "quarter-plus-one": MethodWords("Quarter plus one", "As quarter hip, its extension by size from 2 to 3 in."),
    "multiplied-quarter": MethodWords("Multiplied quarter", "Panels two to three times a quarter of the hip, gathered at the waist."),
    "quarter-bust": MethodWords("Quarter bust", "A quarter of the bust and of its ease makes front and back; the sleeve is fitted to their armholes."),
}  # fmt: skip
CLOTHS = {
    "cotton": "Cotton", "linen": "Linen", "wool": "Wool", "denim": "Denim", "viscose": "Viscose", "polyester": "Polyester",
    "silk": "Silk", "velvet": "Velvet", "twill": "Twill", "chiffon": "Chiffon", "crepe": "Crepe", "jersey": "Jersey", "lining": "Lining",
}  # fmt: skip
THICKNESSES = {"thin": "Thin", "usual": "Usual", "thick": "Thick"}


def kind_name(kind: str) -> str:
    """Garments of a kind, such as Tops."""
    return KINDS[kind]


def half_name(kind: str) -> str:
    """A half of a garment of two, by its kind."""
    return HALVES[kind]


def style_name(style: str) -> str:
    """What a style is called."""
    return STYLES[style]


def method_words(method: str) -> MethodWords:
    """What a method is called, and how it goes about it."""
    return METHODS[method]


def cloth_name(kind: str) -> str:
    """A kind of cloth, as one asks for it."""
    return CLOTHS[kind]


def thickness_name(thickness: str) -> str:
    """How thick a cloth is."""
    return THICKNESSES[thickness]
