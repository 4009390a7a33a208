"""The steps in which a stored plan is sewn."""

from typing import Any

from cutting.errors import CuttingError
from cutting.formats.readings_v1 import judge_readings, readings_of, say_judged
from cutting.lengths import read
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, words


def steps_of(plan: dict[str, Any]) -> dict[str, dict[str, Any]]:
    """The operations of a stored plan by their ids; none of one that was stored before there were any."""
    return {one["id"]: one for one in plan.get("sewing", [])}


def codes_of(step: dict[str, Any]) -> list[str]:
    """What is measured at an operation; nothing where it is ticked."""
    return [one["code"] for one in step.get("readings", [])]


def read_in(typed: str, unit: str) -> float:
    """The mm of a reading as it was typed. Raises CoreRefusal where it is no length."""
    try:
        return float(read(typed, as_unit(unit)))
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(unit)) from None


def judged(step: dict[str, Any], mm: dict[str, float], sure: bool) -> dict[str, Any]:
    """What the readings of an operation mean, as plain data to be kept."""
    return judge_readings(readings_of(step), mm, sure)


def say(kept: dict[str, Any], mm: dict[str, float], unit: str) -> list[str]:
    """What was judged, in words."""
    return say_judged(kept, mm, words(), as_unit(unit))


def reading_name(code: str) -> str:
    """What is measured, in words."""
    return words().reading_name(code)


def step_name(step: dict[str, Any]) -> str:
    """What an operation is called in a sentence."""
    title = words().operation_words(step["code"], "").title
    return title[0].lower() + title[1:]
