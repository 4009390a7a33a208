"""What can be chosen for a garment, what is usual, what each choice would change, and how a style looks on a body."""

from contextlib import suppress
from dataclasses import fields
from typing import Any, TypeAlias

from pydantic import BaseModel

from cutting.body import with_sample
from cutting.effects import effects
from cutting.errors import CuttingError
from cutting.formats import keep, read_job
from cutting.formats.choices_v1 import read_choices
from cutting.formats.garment_v1 import JUMPSUIT
from cutting.formats.plan_shape import PlanOut
from cutting.geometry import beyond
from cutting.lengths import Fixed, Unit, show
from cutting.methods import METHODS, STYLES, methods_for, resolve, usual_method
from cutting.methods.upper import QUARTER_BUST, TOPS, draw_top, resolve_top
from cutting.pieces import finish
from cutting.plan import plan
from cutting.where import choice
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, said_plan, words

Outline: TypeAlias = list[tuple[float, float]]


class EffectOut(BaseModel):
    """What one rule would change, as the draft stands; `refused` says why it cannot be chosen."""

    choice: str
    rule: str
    says: str
    refused: str = ""


class DesignOut(BaseModel):
    """The choices of a garment: which methods make each style and by which it is drafted where none is chosen, what is
    usual, what each method does not read, what each choice changes.
    """

    makes: dict[str, list[str]]
    first: dict[str, str]
    usual: dict[str, str]
    unused: dict[str, list[str]]
    effects: list[EffectOut]


def _text(value: Any, unit: Unit) -> str:
    if isinstance(value, Fixed):
        return show(value.value, unit).text if value.size else "none"
    if isinstance(value, tuple):
        return ", ".join(value) or "none"
    return "" if value is None else str(value)


def design(job: dict[str, Any], garment: str = "", half: str = "") -> DesignOut:
    """The choices of a job's garment of that name, or of a jumpsuit's half; of the first where there is none.

    Where its draft cannot be made the effects are left out.
    """
    raw = next((one for one in job["garments"] if one["id"] == garment), job["garments"][0])
    joined = raw["style"] == JUMPSUIT
    if joined:
        raw = raw[half or "lower"] or {"style": "palazzo"}
    unit, style = as_unit(job["unit"]), raw["style"]
    top = style in TOPS
    method = raw.get("method") or first_method(style)
    cloth = read_job(job | {"measurements": {}, "garments": [{"id": "any", "style": "palazzo"}]}).cloth
    known = resolve_top(style, {}, cloth, joined) if top else resolve(method, style, {}, cloth, joined)
    usual = {one.name: _text(getattr(known, one.name), unit) for one in fields(known) if one.name != "allowances"}
    seams = known.allowances
    usual |= {f"allowances.{one.name}": _text(getattr(seams, one.name), unit) for one in fields(seams)}
    say = words()
    found: list[EffectOut] = []
    try:
        body = read_job(job | {"garments": [{"id": "any", "style": "palazzo"}]}).body
        chosen = read_choices(raw.get("choices") or {}, unit, choice(), [], top)
        for effect in effects(body, method, style, chosen, cloth, joined):
            refused = say.say_problem(effect.refused[0], unit)[0] if effect.refused else ""
            says = say.say_effect(effect.by, unit)
            found.append(EffectOut(choice=effect.choice, rule=effect.rule, says=says, refused=refused))
    except CuttingError:
        found = []
    styles = list(TOPS if top else STYLES)
    return DesignOut(
        makes={name: [QUARTER_BUST] if top else methods_for(name) for name in styles},
        first={name: first_method(name) for name in styles}, usual=usual,
        unused={QUARTER_BUST: []} if top else {name: list(how.unused) for name, how in METHODS.items()}, effects=found,
    )  # fmt: skip


def first_method(style: str) -> str:
    """The method a garment of a style is drafted by where none is chosen; a jumpsuit's halves have their own."""
    return "" if style == JUMPSUIT else QUARTER_BUST if style in TOPS else usual_method(style)


def styles_of(method: str) -> list[str]:
    """The styles a method makes; those of any where there is no such method, so that it is refused in words."""
    if method == QUARTER_BUST:
        return list(TOPS)
    return list(METHODS[method].styles if method in METHODS else STYLES)


def silhouettes(unit: str, measurements: dict[str, str]) -> dict[str, Outline]:
    """Half of each style as it hangs, from its centre line, in mm; without those that cannot be drawn.

    Where a point that drafting needs is missing, an invented body's is taken.
    """
    body = read_job(_one(unit, with_sample(measurements), "palazzo", "", {})).body
    drawn: dict[str, Outline] = {}
    for style in TOPS:
        with suppress(CuttingError):
            panel = finish(style, draw_top(body, resolve_top(style, {})).drafts[0])
            drawn[style] = [(round(-p.across, 1), round(p.down, 1)) for p in panel.net]
    for style in STYLES:
        method = usual_method(style)
        how = METHODS[method]
        with suppress(CuttingError):
            _, drafts = how.draw(body, resolve(method, style, {}), how.seats)
            panel = finish(style, drafts[0])
            centre = panel.points["CF"].across
            net = beyond(panel.net, 0.0) if panel.name == "leg" else panel.net
            # What reaches past the centre line is folded in between the legs.
            drawn[style] = [(round(min(0.0, p.across - centre), 1), round(p.down, 1)) for p in net]
    return drawn


def draft_alone(unit: str, measurements: dict[str, str], style: str, method: str, choices: dict[str, Any]) -> PlanOut:
    """The plan of one garment by one method, on cloth wide enough for anything. Raises CoreRefusal.

    Where a point that drafting needs is missing, an invented body's is taken.
    """
    measurements = with_sample(measurements)
    try:
        made = plan(read_job(_one(unit, measurements, style, method, choices)), by_width=False)
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(unit)) from None
    return said_plan(keep(made), unit)


def _one(unit: str, measurements: dict[str, str], style: str, method: str, choices: dict[str, Any]) -> dict[str, Any]:
    garment = {"id": "trousers", "style": style, "method": method, "choices": choices}
    return {
        "format": "plavet-job", "version": 1, "unit": unit, "measurements": measurements, "garments": [garment],
        "cloth": {"width": "3290 mm", "fold": "open"},
    }  # fmt: skip
