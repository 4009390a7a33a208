"""One garment of a job file: a lower garment, a top, or a jumpsuit made of both."""

from dataclasses import replace
from typing import Any

from cutting.cloth import Cloth
from cutting.errors import CuttingError, Problem
from cutting.formats.choices_v1 import read_choices
from cutting.formats.values_v1 import Strict, known
from cutting.job import GarmentAsk, JumpsuitAsk
from cutting.lengths import Unit
from cutting.methods import METHODS, STYLES, Ask, resolve
from cutting.methods.upper import QUARTER_BUST, TOPS, TopAsk, resolve_top
from cutting.where import Where

JUMPSUIT = "jumpsuit"
Cloths = tuple[Cloth | None, Cloth | None]
"""The main cloth and the other one."""


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


def read_garment(
    raw: GarmentIn, unit: Unit, where: Where, cloths: Cloths, problems: list[Problem]
) -> GarmentAsk | JumpsuitAsk | None:
    """What is asked of one garment; None where it cannot be read, with the reasons added to `problems`."""
    if raw.style == JUMPSUIT:
        return _jumpsuit(raw, unit, where, cloths, problems)
    for key in ("top", "lower"):
        if getattr(raw, key) is not None:
            problems.append(Problem("job.half", where / key, {"style": raw.style}))
    if not known(raw.style, (*STYLES, *TOPS, JUMPSUIT), (), where / "style", problems):
        read_choices(raw.choices, unit, where / "choices", problems)
        return None
    half = HalfIn(style=raw.style, method=raw.method, choices=raw.choices)
    read = _half(half, unit, where, cloths, problems, joined=False)
    return GarmentAsk(raw.id, raw.style, read[0], read[1]) if read else None


def _jumpsuit(raw: GarmentIn, unit: Unit, where: Where, cloths: Cloths, problems: list[Problem]) -> JumpsuitAsk | None:
    if raw.choices:
        problems.append(Problem("job.jumpsuit_choices", where / "choices", {}))
    if raw.method:
        problems.append(Problem("job.jumpsuit_choices", where / "method", {}))
    halves: list[tuple[str, Ask | TopAsk] | None] = []
    for key, styles in (("top", TOPS), ("lower", STYLES)):
        half: HalfIn | None = getattr(raw, key)
        at = replace(where, half=key)
        if half is None:
            problems.append(Problem("job.missing", at, {"key": key}))
        elif known(half.style, tuple(styles), (), at / "style", problems):
            halves.append(_half(half, unit, at, cloths, problems, joined=True))
    if len(halves) != 2 or halves[0] is None or halves[1] is None:
        return None
    top, (method, lower) = halves[0][1], halves[1]
    if not isinstance(top, TopAsk) or not isinstance(lower, Ask):
        raise TypeError("a jumpsuit is a top over a lower garment")
    return JumpsuitAsk(raw.id, top, method, lower)


def _half(
    raw: HalfIn, unit: Unit, where: Where, cloths: Cloths, problems: list[Problem], joined: bool
) -> tuple[str, Ask | TopAsk] | None:
    """The method and what is asked, of a lower garment or a top."""
    top = raw.style in TOPS
    method = raw.method or (QUARTER_BUST if top else "quarter-hip")
    sound = known(method, (QUARTER_BUST,) if top else tuple(METHODS), (), where / "method", problems)
    chosen = read_choices(raw.choices, unit, where / "choices", problems, top)
    if not sound:
        return None
    cloth = cloths["all" in chosen.get("other_cloth", ())]
    try:
        if top:
            return method, resolve_top(raw.style, chosen, cloth, joined)
        return method, resolve(method, raw.style, chosen, cloth, joined)
    except CuttingError as error:
        problems += [
            replace(one, where=one.where.in_garment(where.garment, where.half, where.outfit)) for one in error.problems
        ]
        return None
