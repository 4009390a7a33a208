"""The steps in which a stored plan is sewn."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from cutting.formats.readings_v1 import judge_readings, readings_of, say_band, say_judged
from cutting.sewing import HOW, own_minutes
from shop.bridge.words import as_unit, words

MINUTES: Mapping[str, float] = {code: how.minutes for code, how in HOW.items()}


def steps_of(plan: dict[str, Any]) -> dict[str, dict[str, Any]]:
    """The operations of a stored plan by their ids; none of one that was stored before there were any."""
    return {one["id"]: one for one in plan.get("sewing", [])}


def codes_of(step: dict[str, Any]) -> list[str]:
    """What is measured at an operation; nothing where it is ticked."""
    return [one["code"] for one in step.get("readings", [])]


def judged(step: dict[str, Any], mm: dict[str, float], sure: bool) -> dict[str, Any]:
    """What the readings of an operation mean, as plain data to be kept."""
    return judge_readings(readings_of(step), mm, sure)


def say(kept: dict[str, Any], mm: dict[str, float], unit: str) -> list[str]:
    """What was judged, in words."""
    return say_judged(kept, mm, words(), as_unit(unit))


def band_says(kept: dict[str, Any], unit: str) -> str:
    """How long the band is by what was judged, in words; empty where it has none."""
    return say_band(kept, words(), as_unit(unit))


def reading_name(code: str) -> str:
    """What is measured, in words."""
    return words().reading_name(code)


def step_name(step: dict[str, Any]) -> str:
    """What an operation is called in a sentence."""
    title = words().operation_title(step["code"])
    return title[0].lower() + title[1:]


def usual_minutes(code: str) -> float:
    """How long an operation takes somebody with practice; nothing where there is none of that code."""
    return MINUTES.get(code, 0.0)


@dataclass(frozen=True)
class OwnMinutes:
    """How long an operation takes in a workshop, in minutes; `usual` is what it starts from, `times` how often it was
    said, `summed` the sum in numbers.
    """

    code: str
    title: str
    usual: float
    minutes: float
    times: int
    summed: str


def minutes_of(taken: Mapping[str, Sequence[float]]) -> list[OwnMinutes]:
    """Of each operation that there is, from how long it took, the last first."""
    return [
        OwnMinutes(code, words().operation_title(code), how.minutes, round(own.minutes, 1), len(taken[code]),
                   own.summed)
        for code, how in HOW.items() if taken.get(code) for own in [own_minutes(how.minutes, taken[code])]
    ]  # fmt: skip
