"""A price before anybody is measured: what an outfit costs for the smallest and the largest who have such a hip."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Any, TypeAlias

from cutting.body.invented import around
from cutting.errors import CuttingError
from cutting.formats import keep, read_job
from cutting.kinds import PAIRS, kind_of
from cutting.lengths import read
from cutting.plan import plan
from cutting.yardage import UNITS
from shop.bridge.money import ClothNeed, Needs, Priced, PriceList, checked_amount, price
from shop.bridge.problems import CoreRefusal
from shop.bridge.scheduling import is_style
from shop.bridge.words import as_unit
from shop.errors import ShopError

LOOKS: Mapping[str, tuple[str, float, float]] = {
    "small": ("small", 864, 965), "middle": ("middle", 965, 1067), "large": ("large", 1067, 1181),
    "very_large": ("very large", 1181, 1346),
}  # fmt: skip
"""What somebody looks like, with the hips of such people in mm. Common practice, no source."""
OVER_CLOTHES = 25.0
"""A hip that is taken over clothes, or said, is that much less or more, mm."""
LEAST, MOST = 700.0, 1700.0
"""Hips that a quick price is made for, mm."""


class QuickError(ShopError):
    """Nothing that a quick price can be made for."""

    code = "quick"


@dataclass(frozen=True)
class QuickAsked:
    """What is asked for: styles, a hip as it is typed or a look, the cloth."""

    styles: tuple[str, ...]
    hip: str
    look: str
    width: str
    cloth_price: str
    sold_in: str


@dataclass(frozen=True)
class QuickEnd:
    """One end of a range: the hip, and what its garments cost."""

    hip_mm: float
    quote: Priced


Ends: TypeAlias = tuple[QuickEnd, QuickEnd]


def looks() -> list[tuple[str, str]]:
    """What somebody can look like: code and name."""
    return [(code, name) for code, (name, *_) in LOOKS.items()]


def quick_price(asked: QuickAsked, prices: PriceList, own: Mapping[str, float], fitting: bool) -> Ends:
    """Both ends of what it costs; the dearer one with a fitting where one is thought of. Raises QuickError where the
    hip is none, CoreRefusal where it cannot be planned.
    """
    if not asked.styles:
        raise QuickError("Say what it is: choose a garment.")
    unknown = next((one for one in asked.styles if not is_style(one)), None)
    if unknown is not None:
        raise QuickError(f"There is no style {unknown}. Choose one from the list.")
    if asked.sold_in not in ("", *UNITS):
        raise QuickError(f"Cloth is not sold by {asked.sold_in}. Choose one of {', '.join(UNITS)}.")
    low, high = _hips(asked, prices.unit)
    try:
        a_length = checked_amount(asked.cloth_price, prices.currency, "cloth_price")
        needs = _needed(asked.styles, low, high, asked.width, prices.unit)
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(prices.unit)) from None
    ends = []
    for hip, (length, notions, operations, pieces) in zip((low, high), needs, strict=True):
        cloth = [ClothNeed("cloth", "", length, asked.sold_in or _usual_sold(prices.unit), a_length)]
        quote = price(
            Needs(cloth, notions, operations, pieces), prices, own, fitting=fitting and hip == high
        )  # fmt: skip
        ends.append(QuickEnd(hip, quote))
    return ends[0], ends[1]


def _usual_sold(unit: str) -> str:
    return "half-yard" if unit == "in" else "0.1 m"


def _hips(asked: QuickAsked, unit: str) -> tuple[float, float]:
    if asked.hip:
        try:
            hip = float(read(asked.hip, as_unit(unit)))
        except CuttingError as error:
            raise CoreRefusal(error, as_unit(unit)) from None
        if not LEAST <= hip <= MOST:
            raise QuickError("Nobody has such a hip. Look at the number and its unit, or choose how the client looks.")
        return hip - OVER_CLOTHES, hip + OVER_CLOTHES
    if asked.look not in LOOKS:
        raise QuickError("Say how large: type the hip, or choose how the client looks.")
    _, low, high = LOOKS[asked.look]
    return low, high


Needed: TypeAlias = tuple[float, tuple[Mapping[str, Any], ...], tuple[str, ...], int]


@lru_cache(200)
def _needed(styles: tuple[str, ...], low: float, high: float, width: str, unit: str) -> tuple[Needed, Needed]:
    """For either end the cloth in mm, notions, operations and how many pieces."""
    found = [_of_body(styles, body, width, unit) for body in around(low, high, as_unit(unit))]
    return found[0], found[1]


def forget() -> None:
    """Draft and lay anew, as for the first who asks."""
    _needed.cache_clear()


def _of_body(styles: Sequence[str], body: Mapping[str, str], width: str, unit: str) -> Needed:
    job = {
        "format": "plavet-job", "version": 1, "unit": unit, "measurements": dict(body),
        "garments": [_garment(k, style) for k, style in enumerate(styles)], "cloth": {"width": width},
    }  # fmt: skip
    made = keep(plan(read_job(job), by_width=False))
    if not made["yardage"]:
        raise QuickError("It does not go on cloth so narrow. Choose a wider one.")
    return (
        made["yardage"]["length_mm"], tuple(made["notions"]), tuple(one["code"] for one in made["sewing"]),
        len(made["pieces"]),
    )  # fmt: skip


def _garment(k: int, style: str) -> dict[str, Any]:
    if style in PAIRS:
        return {"id": f"garment-{k}", "style": style} | {
            half: {"style": start, "method": kind_of(start).first_method(start)}
            for half, start in PAIRS[style].halves.items()
        }
    return {"id": f"garment-{k}", "style": style, "method": kind_of(style).first_method(style)}
