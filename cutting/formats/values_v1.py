"""Single values of a job file: a length, a measurement, a percentage, a word out of a list."""

import re
from dataclasses import replace
from decimal import Decimal
from fractions import Fraction

from pydantic import BaseModel, ConfigDict

from cutting.body import CATALOGUE, nearest
from cutting.codes import ProblemCode
from cutting.errors import CuttingError, Problem, refuse
from cutting.lengths import Fixed, Unit, read, read_signed
from cutting.where import Where

Size = int | Decimal | str


class Strict(BaseModel):
    """Unknown keys are refused by name."""

    model_config = ConfigDict(extra="forbid", strict=True)


def exact_mm(value: Size, unit: Unit, signed: bool = False) -> Fraction:
    """Exact mm of a bare number in `unit`, to a millionth of it, or of a text with its own; where it may be `signed`
    also less than nothing.
    """
    if isinstance(value, Decimal):
        # Programs write 22.42 as 22.419999999999998.
        value = f"{round(value, 6):f}"
    return (read_signed if signed else read)(str(value), unit)


def placed(error: CuttingError, where: Where) -> list[Problem]:
    """A refusal's problems, said of the place in the file."""
    return [replace(problem, where=where) for problem in error.problems]


def read_measure(key: str, value: Size, unit: Unit, where: Where) -> Fraction:
    """One measurement in mm. Raises CuttingError where it is unknown, unreadable or no living person's."""
    point = CATALOGUE.get(key)
    if point is None:
        close = nearest(key, list(CATALOGUE))
        raise refuse("job.unknown", where, key=key, close=close)
    try:
        size = exact_mm(value, unit)
    except CuttingError as error:
        raise CuttingError(*placed(error, where)) from None
    if not point.least <= size <= point.most:
        swapped = "cm" if unit == "in" else "in"
        other = size / Fraction(254, 100) if unit == "in" else size * Fraction(254, 100)
        meant = swapped if point.least <= other <= point.most else ""
        raise refuse(
            "measure.small" if size < point.least else "measure.large", where, shown=Fixed(size), swapped=meant
        )
    return size


def known(word: str, offered: tuple[str, ...], later: tuple[str, ...], where: Where, problems: list[Problem]) -> bool:
    """Whether a word is offered; where not, that is added to `problems`."""
    if word in offered:
        return True
    code: ProblemCode = "job.later" if word in later else "job.rule"
    problems.append(Problem(code, where, {"word": str(word)[:60], "offered": offered}))
    return False


def percent(value: int | Decimal | str | None, most: int, where: Where, problems: list[Problem]) -> Fraction:
    """A share of a hundred, with or without its sign; 0 where it is left out or wrong."""
    if value in (None, ""):
        return Fraction(0)
    text = str(value).strip().removesuffix("%").strip().replace(",", ".")
    if not re.fullmatch(r"[0-9]{1,3}(\.[0-9]{1,4})?", text) or Fraction(text) > most:
        problems.append(Problem("cloth.percent", where, {"most": most}))
        return Fraction(0)
    return Fraction(text)
