"""The steps in which a stored plan is sewn."""

from typing import Any

from shop.bridge.words import words


def steps_of(plan: dict[str, Any]) -> dict[str, dict[str, Any]]:
    """The operations of a stored plan by their ids; none of one that was stored before there were any."""
    return {one["id"]: one for one in plan.get("sewing", [])}


def step_name(step: dict[str, Any]) -> str:
    """What an operation is called in a sentence."""
    title = words().operation_words(step["code"], "").title
    return title[0].lower() + title[1:]
