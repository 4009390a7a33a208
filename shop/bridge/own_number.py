"""A number of one's own beside the draft's: read from a stored plan, answered in words."""

from typing import Any

from pydantic import BaseModel, Field

from cutting.errors import CuttingError, refuse
from cutting.formats.stored import is_words
from cutting.formats.trees import from_tree
from cutting.lengths import read
from cutting.slips import compared
from cutting.where import JOB
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, words


class OwnNumberIn(BaseModel):
    """A number worked out by hand, for the number of the plan with that key."""

    key: str = Field(max_length=80)
    typed: str = Field(max_length=40)


class OwnNumberOut(BaseModel):
    """`right` where it is the draft's; `says` in sentences what the difference does and the slip it looks like."""

    right: bool
    typed_mm: float
    right_mm: float
    says: list[str]


def own_number(stored: dict[str, Any], key: str, typed: str, unit: str) -> OwnNumberOut:
    """The answer to a number that was typed. Raises CoreRefusal for what is no length, or a key there is none of."""
    tape = as_unit(unit)
    try:
        size = read(typed, tape)
        if is_words(stored) or key not in stored["numbers"]:
            raise refuse("job.unknown", JOB / "numbers", key=key[:60], close="")
    except CuttingError as error:
        raise CoreRefusal(error, tape) from None
    number = stored["numbers"][key]
    net = from_tree(number["net"])
    cut = from_tree(number["cut"]) if "cut" in number else net
    garment = next(name for name in stored["on_cloth"] if key.startswith(f"{name}."))
    answer = compared(key, cut if stored["on_cloth"][garment] else net, net, float(size), tape)
    return OwnNumberOut(
        right=answer.effect == "right", typed_mm=answer.typed, right_mm=answer.right.mm,
        says=words().say_answer(answer, tape),
    )  # fmt: skip
