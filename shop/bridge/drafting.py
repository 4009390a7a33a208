"""Planning a job, and checking its parts before they are kept."""

from collections.abc import Collection
from fractions import Fraction
from typing import Any, TypeAlias

from cutting.cloth import Cloth
from cutting.errors import CuttingError, Problem, refuse
from cutting.formats import keep, read_job
from cutting.formats.garment_v1 import GarmentIn, read_garment
from cutting.formats.keep import VERSION, keep_panels, keep_widths
from cutting.formats.lay_v1 import placements_of, stored_lays
from cutting.formats.plan_shape import LayOut, PanelOut, PlanOut, WidthOut
from cutting.formats.stored import is_words
from cutting.kinds import KINDS, PAIRS, all_styles, kind_of
from cutting.plan import CORE, by_hand, draft, plan, widths, with_lays
from cutting.where import LAY, Where
from cutting.yardage import yardage
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit

CORE_VERSION = CORE
# The wire's shapes, for the API to describe.
PlanShape: TypeAlias = PlanOut
PanelShape: TypeAlias = PanelOut
LayShape: TypeAlias = LayOut
WidthShape: TypeAlias = WidthOut


def make_plan(job: dict[str, Any]) -> dict[str, Any]:
    """The plan of a job as it is stored, without its table of widths. Raises CoreRefusal with every problem."""
    try:
        return keep(plan(read_job(job), by_width=False))
    except CuttingError as error:
        raise CoreRefusal(error, job.get("unit", "in")) from None


def check_job(job: dict[str, Any]) -> None:
    """Raises CoreRefusal with every problem of a job as far as they are known before anything is drafted."""
    try:
        read_job(job)
    except CuttingError as error:
        raise CoreRefusal(error, job.get("unit", "in")) from None


def draw_panels(job: dict[str, Any]) -> list[PanelShape]:
    """The panels of a job as they are drafted: without marks, lay and checks in a quarter of a plan's time. Raises
    CoreRefusal as `make_plan`.
    """
    try:
        outfits = draft(read_job(job))
    except CuttingError as error:
        raise CoreRefusal(error, job.get("unit", "in")) from None
    return [PanelOut(**panel) for panel in keep_panels(one for outfit in outfits for one in outfit)]


def can_be_said(stored: dict[str, Any]) -> bool:
    """Whether a stored plan can be said in words: it is of today's form, or was stored in words."""
    return is_words(stored) or stored.get("version") == VERSION


def make_widths(job: dict[str, Any]) -> list[dict[str, Any]]:
    """What the pieces of a planned job need on other widths: several times the work of the plan itself."""
    return keep_widths(widths(read_job(job)))


def job_garment(name: str, style: str, method: str, choices: dict[str, Any], waist: str = "worn") -> dict[str, Any]:
    """A garment as a job file has it. A jumpsuit's choices are its two halves, each with style, method and choices.

    Where the client wears the waist is given to what is drafted from it; a garment's own choice goes before.
    """
    worn = {"waist_position": waist} if waist != "worn" else {}
    if style in PAIRS:
        halves = {kind: choices.get(kind) or {} for kind in PAIRS[style].halves}
        return {"id": name, "style": style, **{kind: _worn(kind, half, worn) for kind, half in halves.items()}}
    kind = kind_of(style).name if style in all_styles() else ""
    made = {"style": style, "method": method, "choices": choices}
    return {"id": name, **(_worn(kind, made, worn) or made)}


def _worn(kind: str, made: dict[str, Any], worn: dict[str, str]) -> dict[str, Any] | None:
    """What is made, with where the waist is worn where its kind is drafted from it; None where nothing is made."""
    if not isinstance(made, dict) or not made or "waist_position" not in (KINDS[kind].choices if kind in KINDS else {}):
        return made or None
    chosen = made.get("choices") or {}
    return made | {"choices": worn | chosen} if isinstance(chosen, dict) else made


def starts_from(style: str, method: str) -> dict[str, Any]:
    """What a new garment starts from: trousers take the measured rise where their method would go by the hip alone."""
    if style in PAIRS or "crotch_depth" not in kind_of(style).choices:
        return {}
    usual = kind_of(style).resolve(method, style, {}, None, False)
    return {"crotch_depth": "rise"} if usual.crotch_depth not in ("seated", "outseam-inseam") else {}


def needs_of(garments: list[dict[str, Any]], unit: str, has: Collection[str]) -> list[str]:
    """The measurements that such garments cannot be drafted without; of two that will do the one in `has`."""
    found: dict[str, None] = {}
    for one in garments:
        problems: list[Problem] = []
        read = read_garment(GarmentIn(**one), as_unit(unit), Where("garments"), (None, None), problems)
        for part in read.parts if read is not None else ():
            found |= dict.fromkeys(part.kind.needs(part.method, part.ask, has))
    return list(found)


def bought(length: float, unit: str, unit_of_sale: str = "", price: str = "") -> dict[str, Any]:
    """What is bought for so many mm of cloth, rounded up to what a shop cuts off the bolt, and what that costs."""
    money = Fraction(price.replace(",", ".")) if price else None
    made = yardage(length, Cloth(unit_of_sale=unit_of_sale, price=money), as_unit(unit))
    return {"buy_mm": made.buy, "cost": None if made.cost is None else str(made.cost), "sold_in": made.sold_in}


def check_part(unit: str, garment: dict[str, Any] | None = None, cloth: dict[str, Any] | None = None) -> None:
    """Read a garment's or a cloth's fields as a job would. Raises CoreRefusal where one cannot be."""
    job = {
        "format": "plavet-job",
        "version": 1,
        "unit": unit,
        "measurements": {},
        "garments": [garment or {"id": "garment", "style": "palazzo"}],
        "cloth": cloth or {"width": "45 in"},
    }
    try:
        read_job(job)
    except CuttingError as error:
        raise CoreRefusal(error, "cm" if unit == "cm" else "in") from None


def plan_by_hand(job: dict[str, Any], placements: list[dict[str, Any]]) -> dict[str, Any]:
    """The plan of a job on a lay that was moved by hand. Raises CoreRefusal where it could not be cut."""
    try:
        return keep(by_hand(plan(read_job(job), by_width=False), placements_of(placements)))
    except CuttingError as error:
        raise CoreRefusal(error, job.get("unit", "in")) from None


def check_hand(job: dict[str, Any], hand: dict[str, Any]) -> None:
    """Whether a search can set out from there. Raises CoreRefusal where the pieces could not be cut so."""
    plan_by_hand(job, hand["placements"])
    if any(not 0 <= pin < len(hand["placements"]) for pin in hand["pins"]):
        raise CoreRefusal(refuse("lay.pin", LAY), as_unit(job.get("unit", "in")))


def plan_with_lay(job: dict[str, Any], lay: dict[str, Any]) -> dict[str, Any]:
    """The plan of a job on a lay that was found for it, checked anew."""
    made = plan(read_job(job), by_width=False)
    return keep(with_lays(made, *stored_lays(made.laid, lay)))
