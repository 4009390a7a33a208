"""The choices of a job file, each read as its kind says."""

import re
from dataclasses import fields
from decimal import Decimal
from fractions import Fraction
from typing import Any

from cutting.body import nearest
from cutting.codes import ProblemCode
from cutting.errors import CuttingError, Problem
from cutting.formats.values_v1 import exact_mm, known, placed
from cutting.kinds import GarmentKind
from cutting.lengths import Fixed, Unit
from cutting.methods.choices import OF_BOTH, Choice
from cutting.where import Where


def read_choices(
    raw: dict[str, Any], unit: Unit, where: Where, kind: GarmentKind, problems: list[Problem]
) -> dict[str, Any]:
    """The choices that were made for a garment of a kind, read; what is wrong is added to `problems`."""
    table = kind.choices
    read_: dict[str, Any] = {}
    for key, value in raw.items():
        at = where / key
        choice = table.get(key)
        if choice is None:
            close = nearest(key, list(table))
            problems.append(Problem("job.unknown", at, {"key": key[:60], "close": close}))
        elif value is None:
            continue
        elif choice.kind == "allowances":
            read_[key] = _allowances(value, choice, unit, at, kind, problems)
        elif choice.kind == "list":
            words = value if isinstance(value, list) else [value]
            for word in words:
                known(str(word), choice.offered, choice.known, at, problems)
            read_[key] = tuple(word for word in words if word != "none")
        elif isinstance(value, str) and (choice.kind == "rule" or value in choice.offered):
            if value in choice.known or known(value, choice.offered, (), at, problems):
                read_[key] = value
        elif choice.kind == "number":
            number = _number(value, choice, at, problems)
            if number is not None:
                read_[key] = number
        elif choice.kind == "rule":
            problems.append(Problem("job.rule", at, {"word": str(value)[:60], "offered": choice.offered}))
        else:
            size = _choice_length(value, choice, unit, at, problems)
            if size is not None:
                read_[key] = size
    read_by = {one.name for one in fields(kind.ask)} | set(OF_BOTH)
    return {key: value for key, value in read_.items() if key in read_by}


def _number(value: Any, choice: Choice, where: Where, problems: list[Problem]) -> Fraction | None:
    """A pure number, such as how many times a panel is multiplied."""
    text = str(value).strip().replace(",", ".")
    if isinstance(value, bool) or not re.fullmatch(r"[0-9]{1,3}(\.[0-9]{1,4})?", text):
        problems.append(Problem("job.kind", where, {"wanted": "number"}))
        return None
    number = Fraction(text)
    if not choice.least <= number <= choice.most:
        params = {"shown": text, "least": choice.least, "most": choice.most}
        problems.append(Problem("choice.small" if number < choice.least else "choice.large", where, params))
        return None
    return number


def _choice_length(value: Any, choice: Choice, unit: Unit, where: Where, problems: list[Problem]) -> Fixed | None:
    if isinstance(value, bool) or not isinstance(value, int | Decimal | str):
        problems.append(Problem("job.kind", where, {"wanted": "length"}))
        return None
    try:
        size = exact_mm(value, unit, signed=choice.least < 0)
    except CuttingError as error:
        if isinstance(value, str) and choice.offered and not value[:1].isdigit():
            problems.append(Problem("job.rule", where, {"word": value[:60], "offered": choice.offered}))
        else:
            problems.extend(placed(error, where))
        return None
    if not choice.least - 0.001 <= size <= choice.most + 0.001:
        least, most = (Fixed(Fraction(end)) for end in (choice.least, choice.most))
        code: ProblemCode = "choice.small" if size < choice.least else "choice.large"
        problems.append(Problem(code, where, {"shown": Fixed(size), "least": least, "most": most}))
        return None
    return Fixed(size)


def _allowances(
    value: Any, choice: Choice, unit: Unit, where: Where, kind: GarmentKind, problems: list[Problem]
) -> Any:
    if not isinstance(value, dict):
        problems.append(Problem("job.kind", where, {"wanted": "lengths"}))
        return kind.allowances()
    given: dict[str, Fixed] = {}
    for key, size in value.items():
        if key not in choice.offered:
            close = nearest(key, list(choice.offered))
            params = {"key": key[:60], "close": close, "offered": choice.offered}
            problems.append(Problem("job.unknown", where / key, params))
            continue
        length = _choice_length(size, choice, unit, where / key, problems)
        if length is not None:
            given[key] = length
    return kind.allowances(**given)
