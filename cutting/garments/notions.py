"""What is bought besides cloth, each by its code: zips, elastic, interfacing, hooks. Common practice, no source."""

from dataclasses import dataclass
from typing import Literal

from cutting.garments.part import Part
from cutting.lengths import Length, found, inch
from cutting.methods import Ask

NotionCode = Literal["zip", "invisible-zip", "fly-zip", "open-zip", "zip-through", "elastic", "interfacing", "hook"]
ELASTIC_WIDE = inch(1)
ZIPS = {"side-zip": inch(9), "back-zip": inch(9), "fly": inch(7)}
"""How long the zip of each closure of a lower garment is."""
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
    net = part.panel.net
    high = max(p.down for p in net) - min(p.down for p in net)
    wide = max(p.across for p in net) - min(p.across for p in net)
    count = part.count // 2 if part.pair else part.count
    return Notion("interfacing", count, found(max(high, wide), ""), found(min(high, wide), ""), part.panel.name)


def lower_notions(ask: Ask, elastic: Length | None, parts: list[Part]) -> list[Notion]:
    """Zip, elastic, interfacing, hook and bar of a lower garment."""
    bought: list[Notion] = []
    # In a jumpsuit the top's zip goes on down through the waist.
    if ask.closure in ZIPS and ask.waist_finish != "joined":
        bought.append(Notion(_OF_CLOSURE[ask.closure], 1, ZIPS[ask.closure]))
    if elastic is not None:
        bought.append(Notion("elastic", 1, elastic, ELASTIC_WIDE))
    bought += [interfacing(part) for part in parts if part.interfacing]
    if ask.has_band and ask.closure != "none":
        bought.append(Notion("hook"))
    return bought
