"""A job file as what an order is made of: the measures, the garments and the cloth, each length with its unit."""

import json
from dataclasses import dataclass
from typing import Any

from cutting.errors import CuttingError, refuse
from cutting.formats import read_job_text
from cutting.formats.bare_v1 import LENGTHS, choices_with_units, price_turned, with_unit
from cutting.kinds import PAIRS
from cutting.lengths import Unit
from cutting.where import JOB
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, words

CLOTH: dict[str, Any] = {
    "kind": "", "width": "", "length": "", "fold": "auto", "one_way": False, "shrink_percent": "",
    "stretch_percent": "", "thickness": "usual", "pleated": False, "selvedge": "", "trim": "", "spare": "",
    "repeat": "", "unit_of_sale": "", "price": "",
}  # fmt: skip
COLOUR = "#2F5D62"
"""What a cloth is shown in where the file does not say."""
TEXTS = {key for key, value in CLOTH.items() if value == ""}


@dataclass(frozen=True)
class JobParts:
    """What a job file holds, as it is written to the workshop's rows; `styles` what its garments are called, `patterns`
    the pieces of its house patterns by their ids, `corrections` each with its kind, choice, mm, day or other words,
    and garment.
    """

    client: str
    unit: Unit
    measures: dict[str, str]
    garments: list[dict[str, Any]]
    styles: list[str]
    cloth: dict[str, Any]
    other_cloth: dict[str, Any] | None
    patterns: dict[str, list[dict[str, Any]]]
    corrections: list[dict[str, str]]


def read_parts(text: str, unit: str) -> JobParts:
    """Raises CoreRefusal with every problem of the file; the price of its cloth is turned for a workshop in `unit`."""
    try:
        job = read_job_text(text)
        # Each number as it was written.
        raw = json.loads(text, parse_float=str, parse_int=str)
        if raw.get("others"):
            raise refuse("job.several", JOB / "others")
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(unit)) from None
    own = as_unit(raw.get("unit", "in"))
    other = raw.get("other_cloth")
    return JobParts(
        client=str((raw.get("client") or {}).get("name") or ""), unit=own,
        measures={key: with_unit(str(size), own) for key, size in raw["measurements"].items()},
        garments=[_garment(one, own) for one in raw["garments"]],
        styles=[words().style_name(one["style"]) for one in raw["garments"]],
        cloth=_cloth(raw["cloth"], own, as_unit(unit)),
        other_cloth=_cloth(other, own, as_unit(unit)) if other else None,
        patterns={one["id"]: one["pieces"] for one in json.loads(text).get("patterns") or []},
        corrections=[
            {
                "kind": one.kind, "choice": one.choice, "by": f"{float(one.by.size):.5f}", "since": one.by.since,
                "garment": one.garment, "side": one.side,
            }
            for one in job.body.corrections
        ],
    )  # fmt: skip


def _garment(raw: dict[str, Any], unit: Unit) -> dict[str, Any]:
    """A garment's row; of two halves each with its style, method and choices."""
    halves = PAIRS[raw["style"]].halves if raw["style"] in PAIRS else {}
    choices = {kind: raw[kind] for kind in halves if raw.get(kind)} if halves else raw.get("choices") or {}
    return {
        "name": raw["id"], "style": raw["style"], "method": raw.get("method") or "",
        "choices": choices_with_units(choices, unit),
    }  # fmt: skip


def _cloth(raw: dict[str, Any], own: Unit, unit: Unit) -> dict[str, Any]:
    made = dict(CLOTH)
    for key in CLOTH:
        value = raw.get(key)
        if value is not None:
            made[key] = with_unit(str(value), own) if key in LENGTHS else str(value) if key in TEXTS else value
    if made["price"] and own != unit:
        made["price"] = price_turned(made["price"], own)
    return made | {"sections": raw.get("sections") or {}, "colour": raw.get("colour") or COLOUR}
