"""Problems as JSON: every one with its place, what is wrong, and how to mend it."""

from typing import Any

from pydantic import BaseModel, ConfigDict

from cutting.errors import CuttingError
from cutting.lengths import Unit
from cutting.where import Station
from cutting.words import ENGLISH, Language


class ProblemOut(BaseModel):
    """One thing that is wrong."""

    where: str
    code: str
    what: str
    mend: str
    station: Station = ""


class ProblemsOut(BaseModel):
    """The file `plavet-problems`, version 1."""

    model_config = ConfigDict(json_schema_serialization_defaults_required=True)

    format: str = "plavet-problems"
    version: int = 1
    problems: list[ProblemOut]


def problems_to_wire(error: CuttingError, unit: Unit = "in", words: Language = ENGLISH) -> dict[str, Any]:
    """All problems of an error, in words."""
    found = []
    for problem in error.problems:
        what, mend = words.say_problem(problem, unit)
        found.append(
            ProblemOut(
                where=str(problem.where) or "job",
                code=problem.code,
                what=what,
                mend=mend,
                station=problem.where.station,
            )
        )
    return ProblemsOut(problems=found).model_dump()
