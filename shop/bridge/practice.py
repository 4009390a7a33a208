"""Drills on invented clients, and numbers that were worked out by hand graded."""

from typing import Any, TypeAlias

from cutting.body import with_sample
from cutting.drills import SEEDS, drill, question_of
from cutting.errors import CuttingError, refuse
from cutting.formats import read_job
from cutting.formats.drill_v1 import DrillOut, GradeOut, graded, length_of_call, said_drill
from cutting.where import JOB
from shop.bridge.designing import one_garment
from shop.bridge.drafting import can_be_said
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, words

DrillShape: TypeAlias = DrillOut
GradeShape: TypeAlias = GradeOut
CLIENTS = SEEDS


def practice_drill(method: str, style: str, seed: int, unit: str, rule: str) -> DrillShape:
    """A drill by method, or with a rule by rule. Raises CoreRefusal where there is no such method, style or rule."""
    tape = as_unit(unit)
    try:
        _check_made(method, style, unit)
        made = drill(method, style, seed, tape, rule)
        if not made.asked:
            raise _unknown(rule)
        return said_drill(method, style, made, words(), tape)
    except CuttingError as error:
        raise CoreRefusal(error, tape) from None


def grade(method: str, style: str, seed: int, unit: str, rule: str, typed: str) -> GradeShape:
    """An answer to a question of a drill. Raises CoreRefusal where there is none such, or it is no length."""
    tape = as_unit(unit)
    try:
        _check_made(method, style, unit)
        question = question_of(method, style, seed, tape, rule)
        if question is None:
            raise _unknown(rule)
        return graded(f"drill.{rule}", question.answer, question.net, typed, words(), tape)
    except CuttingError as error:
        raise CoreRefusal(error, tape) from None


def grade_call(plan: dict[str, Any], call: int, typed: str, unit: str) -> GradeShape:
    """The number of a plan's call, worked out by hand. Raises CoreRefusal where that call has none that a hand can work
    out, or what was typed is no length.
    """
    tape = as_unit(unit)
    try:
        answer = length_of_call(plan, call) if can_be_said(plan) else None
        if answer is None:
            raise _unknown(str(call))
        return graded("", answer, answer, typed, words(), tape)
    except CuttingError as error:
        raise CoreRefusal(error, tape) from None


def rule_name(rule: str) -> str:
    """What a rule is called."""
    return words().number_name(rule)


def slip_name(code: str) -> str:
    """What a slip is called in a list."""
    return words().slip_name(code)


def _check_made(method: str, style: str, unit: str) -> None:
    """Raises CuttingError where there is no such method or style, or it does not make that."""
    read_job(one_garment(unit, with_sample({}, as_unit(unit)), style, method, {}))


def _unknown(key: str) -> CuttingError:
    return refuse("job.unknown", JOB / "numbers", key=key[:60], close="")
