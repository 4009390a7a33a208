"""A drill in words, and an answer to one of its questions graded."""

from collections.abc import Mapping, Sequence
from typing import Any

from pydantic import BaseModel

from cutting.drills import Asked, Drill, by_hand
from cutting.formats.trees import from_tree
from cutting.lengths import Length, Unit, read, show
from cutting.slips import compared
from cutting.words import Language, with_numbers


class MeasureOut(BaseModel):
    """A measure of the invented client, as it was written down."""

    key: str
    name: str
    typed: str


class QuestionOut(BaseModel):
    """A number to be worked out on the client of that seed: `rule` is its key, `hint` its sum with names."""

    rule: str
    name: str
    seed: int
    hint: str
    measures: list[MeasureOut]


class RuleOut(BaseModel):
    """A rule that a method has, by the key of its number."""

    key: str
    name: str


class DrillOut(BaseModel):
    """The questions of a drill, and every rule of the method that can be drilled by itself."""

    method: str
    style: str
    unit: str
    questions: list[QuestionOut]
    rules: list[RuleOut]


class GradeOut(BaseModel):
    """`right` where it is the draft's number to half a sixteenth; `slip` is the code of what it looks like, empty for
    none. `formula` and `with_` are the sum in names and in numbers; `says` in sentences what the difference does, and
    the slip.
    """

    right: bool
    slip: str
    right_mm: float
    shown: str
    formula: str
    with_: str
    says: list[str]


def said_drill(method: str, style: str, made: Drill, words: Language, unit: Unit) -> DrillOut:
    """The drill in words. Of a client those measures are shown that any of the questions about it needs."""
    asked = made.asked
    needs = {one.seed: _needed([other for other in asked if other.seed == one.seed]) for one in asked}
    return DrillOut(
        method=method, style=style, unit=unit,
        questions=[
            QuestionOut(
                rule=one.question.rule, name=words.number_name(one.question.rule), seed=one.seed,
                hint=words.formula(one.question.answer, unit),
                measures=[
                    MeasureOut(key=key, name=words.measure_name(key), typed=typed)
                    for key, typed in one.measures.items() if key in needs[one.seed]
                ],
            )
            for one in asked
        ],
        rules=[RuleOut(key=key, name=words.number_name(key)) for key in made.rules],
    )  # fmt: skip


USUALLY = frozenset(("waist", "hip", "thigh", "outseam"))
"""These are on every card: which of them a number needs is for who works it out to know."""


def _needed(asked: Sequence[Asked]) -> frozenset[str]:
    return USUALLY.union(*(one.question.measured for one in asked))


def graded(key: str, answer: Length, net: Length, typed: str, words: Language, unit: Unit) -> GradeOut:
    """A number that was worked out by hand, against the draft's. Raises CuttingError where it is no length."""
    found = compared(key, answer, net, float(read(typed, unit)), unit)
    right = found.effect == "right"
    return GradeOut(
        right=right, slip="" if right or not found.slips else found.slips[0].code, right_mm=answer.mm,
        shown=show(answer.value, unit).text, formula=words.formula(answer, unit), with_=with_numbers(answer, unit),
        says=words.say_answer(found, unit),
    )  # fmt: skip


def length_of_call(kept: Mapping[str, Any], number: int) -> Length | None:
    """The sum of a kept plan's call of that number, from 1, as a hand has it; None where it cannot be worked out from
    the measures, or there is no such call.
    """
    marks = kept["marks"]
    tree = marks[number - 1]["length"] if 1 <= number <= len(marks) else None
    return None if tree is None else by_hand(from_tree(tree))
