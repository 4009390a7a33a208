"""One garment of a job file: a garment of some kind, or one of two halves that are sewn together."""

from dataclasses import replace
from typing import Any

from cutting.cloth import Cloth
from cutting.errors import CuttingError, Problem
from cutting.formats.choices_v1 import read_choices
from cutting.formats.values_v1 import Strict, known
from cutting.job import AnyAsk, GarmentAsk, JumpsuitAsk
from cutting.kinds import KINDS, PAIRS, all_styles, kind_of
from cutting.lengths import Unit
from cutting.where import Where

Cloths = tuple[Cloth | None, Cloth | None]
"""The main cloth and the other one."""
HALVES = ("top", "lower")


class HalfIn(Strict):
    style: str
    method: str = ""
    choices: dict[str, Any] = {}


class GarmentIn(Strict):
    id: str
    style: str
    method: str = ""
    choices: dict[str, Any] = {}
    top: HalfIn | None = None
    lower: HalfIn | None = None


def read_garment(raw: GarmentIn, unit: Unit, where: Where, cloths: Cloths, problems: list[Problem]) -> AnyAsk | None:
    """What is asked of one garment; None where it cannot be read, with the reasons added to `problems`."""
    if raw.style in PAIRS:
        return _pair(raw, unit, where, cloths, problems)
    for key in HALVES:
        if getattr(raw, key) is not None:
            problems.append(Problem("job.half", where / key, {"style": raw.style}))
    if not known(raw.style, (*all_styles(), *PAIRS), (), where / "style", problems):
        return None
    half = HalfIn(style=raw.style, method=raw.method, choices=raw.choices)
    read = _half(half, unit, where, cloths, problems, joined=False)
    return GarmentAsk(raw.id, raw.style, *read) if read else None


def _pair(raw: GarmentIn, unit: Unit, where: Where, cloths: Cloths, problems: list[Problem]) -> JumpsuitAsk | None:
    if raw.choices:
        problems.append(Problem("job.jumpsuit_choices", where / "choices", {}))
    if raw.method:
        problems.append(Problem("job.jumpsuit_choices", where / "method", {}))
    halves: dict[str, tuple[str, Any]] = {}
    for key in PAIRS[raw.style].halves:
        half: HalfIn | None = getattr(raw, key)
        at = replace(where, half=key)
        if half is None:
            problems.append(Problem("job.missing", at, {"key": key}))
        elif known(half.style, tuple(KINDS[key].styles), (), at / "style", problems):
            read = _half(half, unit, at, cloths, problems, joined=True)
            if read is not None:
                halves[key] = read
    if len(halves) != len(PAIRS[raw.style].halves):
        return None
    (_, top), (method, lower) = halves["top"], halves["lower"]
    return JumpsuitAsk(raw.id, top, method, lower)


def _half(
    raw: HalfIn, unit: Unit, where: Where, cloths: Cloths, problems: list[Problem], joined: bool
) -> tuple[str, Any] | None:
    """The method and what is asked of a garment by itself, or of a half."""
    kind = kind_of(raw.style)
    method = raw.method or _COMMONEST.get(kind.name) or kind.first_method(raw.style)
    sound = known(method, tuple(kind.methods), (), where / "method", problems)
    chosen = read_choices(raw.choices, unit, where / "choices", kind, problems)
    if not sound:
        return None
    cloth = cloths["all" in chosen.get("other_cloth", ())]
    try:
        return method, kind.resolve(method, raw.style, chosen, cloth, joined)
    except CuttingError as error:
        problems += [
            replace(one, where=one.where.in_garment(where.garment, where.half, where.outfit)) for one in error.problems
        ]
        return None


_COMMONEST = {"lower": "quarter-hip"}
"""What a file that names no method is drafted by, whatever the style."""
