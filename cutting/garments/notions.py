"""What is bought besides cloth, each by its code: zips, elastic, interfacing, hooks. Common practice, no source."""

from dataclasses import dataclass
from typing import Literal

from cutting.garments.part import Part
from cutting.lengths import Length, Rule, found
from cutting.methods import Ask
from cutting.methods.sums import Sums

NotionCode = Literal[
    "zip", "invisible-zip", "fly-zip", "open-zip", "zip-through", "elastic", "interfacing", "hook", "button",
    "pocket-stay", "waist-stay", "neck-stay",
]  # fmt: skip
ELASTIC_WIDE, TAPE_WIDE, BOTH_ENDS, OVER_ITSELF = Rule(1), Rule(0.5), Rule(1, "two_ends"), Rule(1, "overlap")
BOTH_SIDES = 4
"""A pair that is cut twice, outside and inside: one of them is interfaced."""
_OF_CLOSURE: dict[str, NotionCode] = {"side-zip": "zip", "back-zip": "invisible-zip", "fly": "fly-zip"}


@dataclass(frozen=True)
class Notion:
    """Something bought: how many, how long and wide where it has a length, and for which panel where for one."""

    code: NotionCode
    count: int = 1
    length: Length | None = None
    width: Length | None = None
    panel: str = ""


def interfacing(part: Part) -> Notion:
    """A piece of interfacing as large as the part's sewing lines."""
    net = part.piece(on_fold=False).net
    high = max(p.down for p in net) - min(p.down for p in net)
    wide = max(p.across for p in net) - min(p.across for p in net)
    count = part.count // 2 if part.count == BOTH_SIDES else part.count
    return Notion("interfacing", count, found(max(high, wide), ""), found(min(high, wide), ""), part.panel.name)


def stay(code: NotionCode, along: Length, count: int = 1) -> Notion:
    """Tape that keeps a seam from stretching: as long as the seam, and 1 in."""
    return Notion(code, count, along + BOTH_ENDS.now, TAPE_WIDE.now)


def lower_notions(
    ask: Ask, closing: Length | None, elastic: Length | None, parts: list[Part], sums: Sums
) -> list[Notion]:
    """Zip (`closing` long), elastic, interfacing, stay tape, hook and bar of a lower garment."""
    bought: list[Notion] = []
    # In a jumpsuit the top's zip goes on down through the waist.
    if closing is not None and ask.waist_finish != "joined":
        bought.append(Notion(_OF_CLOSURE[ask.closure], 1, closing))
    if elastic is not None:
        # All round it is closed over itself; behind alone its ends are held at the sides.
        whole = elastic + OVER_ITSELF.now if ask.elastic_all_round else elastic
        bought.append(Notion("elastic", 1, whole, ELASTIC_WIDE.now))
    bought += [interfacing(part) for part in parts if part.interfacing]
    bag = next((part for part in parts if part.panel.name == "pocket-bag"), None)
    if bag is not None:
        bought.append(stay("pocket-stay", bag.panel.lengths["opening"], bag.count if bag.half else bag.count // 2))
    if ask.waist_finish == "joined":
        bought.append(stay("waist-stay", sums.waist_round or sums.opening))
    if ask.front_opening != "none":
        bought.append(Notion("button"))
    if ask.has_band and ask.closure != "none":
        bought.append(Notion("hook"))
    return bought
