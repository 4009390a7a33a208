"""What is bought besides cloth, and what a part is sewn to."""

from cutting.garments import LEFT
from cutting.words.en.marks import panel_name

NOTIONS = {
    "zip": "zip", "invisible-zip": "invisible zip", "fly-zip": "fly zip", "open-zip": "open zip",
    "zip-through": "zip for top and trousers", "elastic": "elastic, 1 in wide",
    "interfacing": "interfacing for the {panel}", "hook": "hook and bar", "button": "button",
    "pocket-stay": "stay tape for a pocket's mouth", "waist-stay": "stay tape for the waist seam",
    "neck-stay": "stay tape for the back neck",
}  # fmt: skip
PLACES = {
    "neck-opening": "at the neck's opening", "channel": "inside, under the heading", "pocket": "opening", "inner_leg": "inner leg", "patch": "at the patch's place",
    "curved-patch": "at the patch's place", "outside-patch": "at the pocket's place", "inner": "inner edge", "sleeve-slit": "at the slit", "end": "end", "other_side": "other side",
}  # fmt: skip
"""Edges and lines that are not called by their own code."""


def notion_name(code: str, panel: str) -> str:
    """Something that is bought; `panel` where it is for one."""
    return NOTIONS[code].format(panel=panel_name(panel))


def sewn_to(places: tuple[str, ...]) -> str:
    """What a part is sewn to: `front waist, back waist`."""
    return ", ".join(_place(*place.split(".")) for place in places)


def _place(panel: str, edge: str = "") -> str:
    return f"{panel_name(panel)} {PLACES.get(edge, edge.replace('_', ' '))}".strip()


def garment_name(garment: str) -> str:
    """A garment by its id in a plan: of a jumpsuit the half."""
    whole = garment.removesuffix(f".{LEFT}")
    kind = whole.rpartition(".")[2].replace("-", " ")
    name = "Trousers" if kind == "lower" else kind.capitalize()
    return name if whole == garment else f"{name}, left side"


def piece_name(panel: str, garment: str = "", whose: str = "", side: str = "") -> str:
    """A piece, where there are several garments with the garment's id, where they are for several with the client's
    name: `Front, top, Anna`; of one side alone `Left front`.
    """
    parts = f"{side} {panel_name(panel)}".strip().capitalize(), garment_name(garment).lower(), whose
    return ", ".join(filter(None, parts))


def piece_label(name: str, count: int, pair: bool, on_fold: bool) -> str:
    """What is written on a piece."""
    cut = f"{count}, left and right" if pair else f"{count}"
    return f"{name}: cut {cut}{', half: the fold at its left edge' if on_fold else ''}"
