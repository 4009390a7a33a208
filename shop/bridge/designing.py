"""What can be chosen for a garment, what is usual, what each choice would change, and how a style looks on a body."""

from dataclasses import fields
from typing import Any, TypeAlias

from pydantic import BaseModel

from cutting.body import with_sample
from cutting.effects import effects
from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job
from cutting.formats.choices_v1 import read_choices
from cutting.geometry import beyond
from cutting.lengths import Fixed, Unit, show
from cutting.methods import METHODS, STYLES, Ask, methods_for, resolve, usual_method
from cutting.plan import draft, plan
from cutting.words import say_effect, say_problem
from shop.bridge.measuring import as_unit
from shop.bridge.problems import CoreRefusal

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


def design(job: dict[str, Any]) -> DesignOut:
    """The first garment's choices. Where its draft cannot be made the effects are left out."""
    raw = job["garments"][0]
    unit, method, style = as_unit(job["unit"]), raw["method"], raw["style"]
    whole = read_job(job | {"measurements": {}, "garments": [raw | {"choices": {}}]})
    known = resolve(method, style, {}, whole.cloth)
    usual = {field.name: _text(getattr(known, field.name), unit) for field in fields(Ask) if field.name != "allowances"}
    usual |= {
        f"allowances.{field.name}": _text(getattr(known.allowances, field.name), unit)
        for field in fields(known.allowances)
    }
    found: list[EffectOut] = []
    try:
        body = read_job(job | {"garments": [raw | {"choices": {}}]}).body
        chosen = read_choices(raw["choices"], unit, "choices", [])
        for effect in effects(body, method, style, chosen, whole.cloth):
            refused = say_problem(effect.refused[0], unit)[0] if effect.refused else ""
            found.append(
                EffectOut(choice=effect.choice, rule=effect.rule, says=say_effect(effect.by, unit), refused=refused)
            )
    except CuttingError:
        found = []
    return DesignOut(
        makes={name: methods_for(name) for name in STYLES}, first={name: usual_method(name) for name in STYLES},
        usual=usual, unused={name: list(how.unused) for name, how in METHODS.items()}, effects=found,
    )  # fmt: skip


def first_method(style: str) -> str:
    """The method a garment of a style is drafted by where none is chosen."""
    return usual_method(style)


def styles_of(method: str) -> list[str]:
    """The styles a method makes; those of any where there is no such method, so that it is refused in words."""
    return list(METHODS[method].styles if method in METHODS else STYLES)


def silhouettes(unit: str, measurements: dict[str, str]) -> dict[str, Outline]:
    """Half of each style as it hangs, from its centre line, in mm; without those that cannot be drawn.

    Where a point that drafting needs is missing, an invented body's is taken.
    """
    measurements = with_sample(measurements)
    drawn: dict[str, Outline] = {}
    for style in STYLES:
        job = _one(unit, measurements, style, usual_method(style), {})
        try:
            (garment,) = draft(read_job(job))
        except CuttingError:
            continue
        panel = garment.panels[garment.main[0]]
        centre = panel.points["CF"].across
        net = beyond(panel.net, 0.0) if "leg" in garment.panels else panel.net
        # What reaches past the centre line is folded in between the legs.
        drawn[style] = [(round(min(0.0, p.across - centre), 1), round(p.down, 1)) for p in net]
    return drawn


def draft_alone(
    unit: str, measurements: dict[str, str], style: str, method: str, choices: dict[str, Any]
) -> dict[str, Any]:
    """The plan of one garment by one method, on cloth wide enough for anything. Raises CoreRefusal.

    Where a point that drafting needs is missing, an invented body's is taken.
    """
    measurements = with_sample(measurements)
    try:
        return plan_to_wire(plan(read_job(_one(unit, measurements, style, method, choices)), by_width=False))
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(unit)) from None


def _one(unit: str, measurements: dict[str, str], style: str, method: str, choices: dict[str, Any]) -> dict[str, Any]:
    garment = {"id": "trousers", "style": style, "method": method, "choices": choices}
    return {
        "format": "plavet-job", "version": 1, "unit": unit, "measurements": measurements, "garments": [garment],
        "cloth": {"width": "3290 mm", "fold": "open"},
    }  # fmt: skip
